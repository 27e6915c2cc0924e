<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How many burners the stove has: pots that are boiled down share them. Null where nobody counted. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('houses', fn (Blueprint $table) => $table->unsignedTinyInteger('burners')->nullable()->after('room_c'));
    }

    public function down(): void
    {
        Schema::table('houses', fn (Blueprint $table) => $table->dropColumn('burners'));
    }
};
