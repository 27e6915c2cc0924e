<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Whoever keeps a house, or did: no other keeper gives them a new password, not by taking their part first either. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('memberships', fn (Blueprint $table) => $table->boolean('was_keeper')->default(false));
        DB::table('memberships')
            ->where('role', 'keeper')
            ->update(['was_keeper' => true]);
    }

    public function down(): void
    {
        Schema::table('memberships', fn (Blueprint $table) => $table->dropColumn('was_keeper'));
    }
};
