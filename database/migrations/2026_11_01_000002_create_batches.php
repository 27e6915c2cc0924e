<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('batches', function (Blueprint $table) {
            $table->id();
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->ulid('uid');
            $table->string('code', 16);
            $table->string('name', 160);
            $table->string('herb_name', 80);
            $table->string('oils_name', 120);
            $table->string('origin', 160)->default('');
            // The wish as typed and the plan as it was reckoned, kept whole and never rewritten.
            $table->json('wish');
            $table->json('plan');
            // Where the batch stands: folded from the logbook, and folded anew at each entry.
            $table->string('stage', 12);
            $table->json('shelf');
            $table->dateTime('start_at');
            $table->dateTime('filled_at')->nullable();
            $table->dateTime('strain_at');
            $table->dateTime('strained_at')->nullable();
            $table->dateTime('bottled_at')->nullable();
            $table->decimal('strained_ml', 10, 3)->nullable();
            $table->decimal('left_ml', 10, 3)->nullable();
            $table->date('best_before');
            $table->string('repeats', 26)->nullable();
            $table->unsignedInteger('version')->default(1);
            $table->timestamps();
            $table->unique(['house_id', 'uid']);
            $table->unique(['house_id', 'code']);
            $table->index(['house_id', 'stage', 'strain_at', 'id']);
            $table->index(['house_id', 'best_before']);
        });
        Schema::create('log_entries', function (Blueprint $table) {
            $table->id();
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->foreignId('batch_id')->constrained()->cascadeOnDelete();
            $table->ulid('uid');
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('by', 80);
            $table->string('kind', 16);
            $table->json('data');
            $table->text('note')->nullable();
            // The entry this one corrects or strikes out; the corrected one stays beside it.
            $table->string('corrects', 26)->nullable();
            $table->dateTime('happened_at');
            $table->dateTime('recorded_at');
            $table->unique(['house_id', 'uid']);
            $table->index(['batch_id', 'id']);
        });
        Schema::create('tasks', function (Blueprint $table) {
            $table->id();
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->foreignId('batch_id')->constrained()->cascadeOnDelete();
            $table->string('key', 20);
            $table->string('step', 12);
            $table->string('place', 10);
            $table->dateTime('due_at');
            $table->boolean('open');
            $table->unsignedTinyInteger('minutes');
            $table->index(['house_id', 'due_at', 'id']);
            $table->index('batch_id');
        });
        Schema::create('bottles', function (Blueprint $table) {
            $table->id();
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->foreignId('batch_id')->constrained()->cascadeOnDelete();
            $table->unsignedSmallInteger('number');
            $table->string('called', 60);
            $table->decimal('capacity_ml', 9, 3);
            $table->decimal('filled_ml', 9, 3);
            $table->unique(['batch_id', 'number']);
        });
        // The logbook is append-only for the database too. Rows go only with their house, by cascade,
        // which fires no trigger; a person leaving clears user_id the same way.
        DB::unprepared("CREATE TRIGGER log_entries_stay BEFORE UPDATE ON log_entries FOR EACH ROW
            SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'the logbook is append-only'");
        DB::unprepared("CREATE TRIGGER log_entries_kept BEFORE DELETE ON log_entries FOR EACH ROW
            SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'the logbook is append-only'");
    }

    public function down(): void
    {
        foreach (['bottles', 'tasks', 'log_entries', 'batches'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
