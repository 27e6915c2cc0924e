<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What happened to accounts and to who may do what: told to keepers, never changed and never taken out. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('security_events', function (Blueprint $table) {
            $table->id();
            // Of a house where it is about somebody's part in it; of none where it is about an account.
            $table->foreignId('house_id')->nullable()->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('by_id')->nullable()->constrained('users')->nullOnDelete();
            $table->string('kind', 20);
            $table->string('role', 10)->nullable();
            $table->string('from', 45);
            $table->dateTime('happened_at');
            $table->index(['user_id', 'id']);
            $table->index(['house_id', 'id']);
        });
        foreach (['UPDATE' => 'stay', 'DELETE' => 'kept'] as $doing => $called) {
            DB::unprepared(
                "CREATE TRIGGER security_events_{$called} BEFORE {$doing} ON security_events FOR EACH ROW ".
                    "SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'the trail of what happened to accounts is append-only'",
            );
        }
    }

    public function down(): void
    {
        Schema::dropIfExists('security_events');
    }
};
