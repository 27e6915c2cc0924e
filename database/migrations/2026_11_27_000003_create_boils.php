<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Pots that are boiled down: what each was begun with and a logbook; what is folded from these stands beside them. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('batch_counters', fn (Blueprint $table) => $table->unsignedInteger('boiled')->default(0));
        Schema::create('boils', function (Blueprint $table) {
            $table->id();
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->ulid('uid');
            $table->string('code', 16);
            $table->string('kind', 16);
            // The question as typed and what it came to, kept whole and never rewritten.
            $table->json('wish');
            $table->json('plan');
            // Where it stands: folded from the logbook, and folded anew at each entry.
            $table->string('stage', 12);
            $table->dateTime('begun_at');
            $table->date('best_before')->nullable();
            $table->decimal('left', 12, 3)->default(0);
            $table->string('stands', 80)->default('');
            $table->unsignedInteger('version')->default(0);
            $table->timestamps();
            $table->unique(['house_id', 'uid']);
            $table->unique(['house_id', 'code']);
            $table->index(['house_id', 'stage', 'begun_at', 'id']);
        });
        Schema::create('boil_entries', function (Blueprint $table) {
            $table->id();
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->foreignId('boil_id')->constrained()->cascadeOnDelete();
            $table->ulid('uid');
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('by', 80);
            $table->string('kind', 16);
            $table->json('data');
            $table->text('note')->nullable();
            $table->string('corrects', 26)->nullable();
            $table->dateTime('happened_at');
            $table->dateTime('recorded_at');
            $table->unique(['house_id', 'uid']);
            $table->index(['boil_id', 'id']);
        });
        foreach (['UPDATE' => 'stay', 'DELETE' => 'kept'] as $doing => $called) {
            DB::unprepared(
                "CREATE TRIGGER boil_entries_{$called} BEFORE {$doing} ON boil_entries FOR EACH ROW ".
                    "SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'the logbook is append-only'",
            );
        }
    }

    public function down(): void
    {
        foreach (['boil_entries', 'boils'] as $table) {
            Schema::dropIfExists($table);
        }
        Schema::table('batch_counters', fn (Blueprint $table) => $table->dropColumn('boiled'));
    }
};
