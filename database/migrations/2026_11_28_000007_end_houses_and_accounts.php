<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** When a house, or an account, is to be deleted; null of all that stay. */
return new class extends Migration
{
    public function up(): void
    {
        foreach (['houses', 'users'] as $table) {
            Schema::table($table, function (Blueprint $table) {
                $table->dateTime('goes_at')->nullable()->index();
            });
        }
    }

    public function down(): void
    {
        foreach (['houses', 'users'] as $table) {
            Schema::table($table, function (Blueprint $table) {
                $table->dropColumn('goes_at');
            });
        }
    }
};
