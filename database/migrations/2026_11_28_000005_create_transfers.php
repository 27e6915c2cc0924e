<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Whole houses on their way out or in, each a zip beside the database; the newest of each way stays for a day. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('transfers', function (Blueprint $table) {
            $table->id();
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->string('uid', 26);
            $table->string('way', 3);
            $table->string('state', 8);
            // Of one that comes in: how many bytes it is to have.
            $table->unsignedBigInteger('size')->nullable();
            // What comes along beside the records.
            $table->json('choices')->nullable();
            $table->dateTime('expires_at');
            $table->timestamps();
            $table->unique(['house_id', 'way']);
            $table->unique('uid');
            $table->index('expires_at');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('transfers');
    }
};
