<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How a product's labels are set: sheet, start, fields, names and own words, as a batch's. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('makings', fn (Blueprint $table) => $table->json('label')->nullable());
    }

    public function down(): void
    {
        Schema::table('makings', fn (Blueprint $table) => $table->dropColumn('label'));
    }
};
