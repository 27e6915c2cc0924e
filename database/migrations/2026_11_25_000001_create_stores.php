<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What is in the cupboard, lot by lot, and what became of it; recipes and their versions. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('houses', function (Blueprint $table) {
            $table->char('currency', 3)->default('');
            $table->decimal('room_c', 4, 1)->default(18);
            // Ids of what there is to work with; null until the house has said.
            $table->json('things')->nullable();
        });
        Schema::create('lots', function (Blueprint $table) {
            $table->id();
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->string('uid', 26);
            $table->string('kind', 8);
            $table->string('material', 60)->default('');
            $table->string('called', 80);
            $table->string('part', 40)->default('');
            $table->string('form', 40)->nullable();
            $table->string('state', 8)->nullable();
            // g, mL or pieces by its kind. What is left is the sum of its moves, kept beside them.
            $table->decimal('got', 12, 3);
            $table->decimal('left', 12, 3);
            $table->string('typed', 80);
            $table->decimal('low_at', 12, 3)->nullable();
            $table->boolean('is_low')->default(false);
            $table->decimal('price', 10, 2)->nullable();
            $table->string('got_how', 10)->default('');
            $table->string('got_where', 160)->default('');
            $table->date('got_on')->nullable();
            $table->date('opened_on')->nullable();
            $table->date('best_before')->nullable();
            // The day from which it is told as ageing, by its best-before, its opening or its getting.
            $table->date('ages_on')->nullable();
            $table->boolean('food_grade')->default(false);
            $table->json('allergens');
            $table->text('note');
            $table->string('verdict', 8)->nullable();
            $table->dateTime('checked_at')->nullable();
            $table->unsignedInteger('version')->default(1);
            $table->timestamps();
            $table->softDeletes();
            $table->unique(['house_id', 'uid']);
            $table->index(['house_id', 'kind', 'material']);
            $table->index(['house_id', 'kind', 'called', 'best_before']);
            $table->index(['house_id', 'called', 'best_before']);
            $table->index(['house_id', 'ages_on']);
            $table->index(['house_id', 'is_low']);
            $table->index(['house_id', 'verdict']);
        });
        Schema::create('lot_moves', function (Blueprint $table) {
            $table->id();
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->foreignId('lot_id')->constrained()->cascadeOnDelete();
            $table->string('uid', 26);
            $table->string('kind', 8);
            $table->decimal('amount', 12, 3);
            $table->foreignId('batch_id')->nullable()->constrained()->cascadeOnDelete();
            $table->string('by', 80);
            $table->string('note', 255)->default('');
            $table->dateTime('happened_at');
            $table->unique(['house_id', 'uid']);
            $table->index(['lot_id', 'id']);
            $table->index(['batch_id']);
        });
        Schema::create('lot_checks', function (Blueprint $table) {
            $table->id();
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->foreignId('lot_id')->constrained()->cascadeOnDelete();
            $table->string('uid', 26);
            $table->string('verdict', 8);
            $table->string('says', 600);
            $table->json('answers');
            $table->string('by', 80);
            $table->dateTime('happened_at');
            $table->unique(['house_id', 'uid']);
            $table->index(['lot_id', 'id']);
        });
        Schema::create('recipes', function (Blueprint $table) {
            $table->id();
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->string('uid', 26);
            $table->string('name', 120);
            $table->unsignedInteger('version')->default(1);
            $table->timestamps();
            $table->softDeletes();
            $table->unique(['house_id', 'uid']);
            $table->index(['house_id', 'name']);
        });
        Schema::create('recipe_versions', function (Blueprint $table) {
            $table->id();
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->foreignId('recipe_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('number');
            $table->string('name', 120);
            // What it makes, in short, as it was reckoned when it was kept.
            $table->string('says', 255);
            $table->text('note');
            $table->json('wish');
            $table->string('by', 80);
            $table->dateTime('made_at');
            $table->unique(['recipe_id', 'number']);
        });
        foreach (['lot_moves', 'lot_checks', 'recipe_versions'] as $table) {
            DB::unprepared(
                "CREATE TRIGGER {$table}_stay BEFORE UPDATE ON {$table} FOR EACH ROW ".
                    "SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'what happened to a lot, or how a recipe was, is append-only'",
            );
        }
    }

    public function down(): void
    {
        foreach (['recipe_versions', 'recipes', 'lot_checks', 'lot_moves', 'lots'] as $table) {
            Schema::dropIfExists($table);
        }
        Schema::table('houses', fn (Blueprint $table) => $table->dropColumn(['currency', 'room_c', 'things']));
    }
};
