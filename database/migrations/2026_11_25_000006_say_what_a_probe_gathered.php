<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('stove_probes', fn (Blueprint $table) => $table->renameColumn('kept', 'gathered'));
    }

    public function down(): void
    {
        Schema::table('stove_probes', fn (Blueprint $table) => $table->renameColumn('gathered', 'kept'));
    }
};
