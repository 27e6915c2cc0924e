<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('houses', function (Blueprint $table): void {
            // What an hour of hands is worth, in the house's currency; null where time is not counted.
            $table->decimal('hour_rate', 8, 2)->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('houses', fn (Blueprint $table) => $table->dropColumn('hour_rate'));
    }
};
