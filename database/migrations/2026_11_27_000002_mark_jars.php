<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How high so much stands in a jar that is no cylinder. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('jars', function (Blueprint $table): void {
            $table->json('marks')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('jars', function (Blueprint $table): void {
            $table->dropColumn('marks');
        });
    }
};
