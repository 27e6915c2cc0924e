<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A second step at the door, for who wishes one: the secret that an app on a phone shares, and codes on paper for when it is lost. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('second_steps', function (Blueprint $table) {
            $table->foreignId('user_id')->primary()->constrained()->cascadeOnDelete();
            // Shut with the house's key.
            $table->text('secret');
            // Null until a first code has shown that the app has it.
            $table->dateTime('confirmed_at')->nullable();
            // The last half minute whose code was taken: each is taken once.
            $table->unsignedBigInteger('last_step')->default(0);
        });
        Schema::create('recovery_codes', function (Blueprint $table) {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->char('code_hash', 64);
            $table->dateTime('used_at')->nullable();
            $table->unique(['user_id', 'code_hash']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('recovery_codes');
        Schema::dropIfExists('second_steps');
    }
};
