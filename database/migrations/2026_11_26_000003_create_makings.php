<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Products as they are made: a frozen plan and a logbook, as a batch has them; what is folded from these stands beside them. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('batch_counters', fn (Blueprint $table) => $table->unsignedInteger('made')->default(0));
        Schema::create('makings', function (Blueprint $table) {
            $table->id();
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->ulid('uid');
            $table->string('code', 16);
            $table->string('product', 40);
            // The wish as typed and the plan as it was reckoned, kept whole and never rewritten.
            $table->json('wish');
            $table->json('plan');
            $table->json('plants');
            // Where it stands: folded from the logbook, and folded anew at each entry.
            $table->string('stage', 12);
            $table->dateTime('begun_at');
            $table->dateTime('poured_at')->nullable();
            $table->date('best_before');
            $table->unsignedSmallInteger('tins')->default(0);
            $table->unsignedSmallInteger('tins_left')->default(0);
            $table->string('stands', 80)->default('');
            $table->decimal('loss', 7, 6)->nullable();
            $table->json('verdicts');
            $table->unsignedInteger('version')->default(0);
            $table->timestamps();
            $table->unique(['house_id', 'uid']);
            $table->unique(['house_id', 'code']);
            $table->index(['house_id', 'stage', 'begun_at', 'id']);
            $table->index(['house_id', 'best_before']);
        });
        Schema::create('making_entries', function (Blueprint $table) {
            $table->id();
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->foreignId('making_id')->constrained()->cascadeOnDelete();
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
            $table->index(['making_id', 'id']);
        });
        Schema::create('tins', function (Blueprint $table) {
            $table->id();
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->foreignId('making_id')->constrained()->cascadeOnDelete();
            $table->unsignedSmallInteger('number');
            $table->decimal('ml', 9, 3);
            $table->decimal('grams', 9, 3);
            $table->string('state', 8);
            $table->string('to', 160)->default('');
            $table->decimal('price', 10, 2)->nullable();
            $table->unique(['making_id', 'number']);
            $table->index(['house_id', 'state']);
        });
        // Whose bottles went into which product: what its logbook and theirs say, to be followed both ways.
        Schema::create('making_batches', function (Blueprint $table) {
            $table->id();
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->foreignId('making_id')->constrained()->cascadeOnDelete();
            $table->foreignId('batch_id')->constrained()->cascadeOnDelete();
            $table->decimal('ml', 10, 3);
            $table->unique(['making_id', 'batch_id']);
            $table->index(['batch_id']);
        });
        Schema::table('lot_moves', fn (Blueprint $table) => $table->foreignId('making_id')->nullable()->constrained()->cascadeOnDelete());
        foreach (['UPDATE' => 'stay', 'DELETE' => 'kept'] as $doing => $called) {
            DB::unprepared(
                "CREATE TRIGGER making_entries_{$called} BEFORE {$doing} ON making_entries FOR EACH ROW ".
                    "SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'the logbook is append-only'",
            );
        }
    }

    public function down(): void
    {
        Schema::table('lot_moves', function (Blueprint $table) {
            $table->dropConstrainedForeignId('making_id');
        });
        foreach (['making_batches', 'tins', 'making_entries', 'makings'] as $table) {
            Schema::dropIfExists($table);
        }
        Schema::table('batch_counters', fn (Blueprint $table) => $table->dropColumn('made'));
    }
};
