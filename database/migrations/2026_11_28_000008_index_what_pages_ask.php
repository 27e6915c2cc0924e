<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * So that no page reads all a house ever had: what is left is told by an index apart from what is gone, until when a product
 * is good is kept with it, and what a house has learned is kept as its two sums.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('lots', function (Blueprint $table): void {
            $table->boolean('holds')->storedAs('`left` > 0');
            $table->index(
                ['house_id', 'holds', 'deleted_at', 'kind', 'material', 'state', 'best_before', 'verdict', 'got_on', 'called'],
                'lots_held',
            );
        });
        Schema::table('makings', function (Blueprint $table): void {
            // No later than its oils are good, and whether one of them was thrown away.
            $table->date('good_until')->default('9999-12-31');
            $table->boolean('oil_thrown')->default(false);
        });
        $oils = 'making_batches JOIN batches ON batches.id = making_batches.batch_id WHERE making_batches.making_id = makings.id';
        DB::statement(
            "UPDATE makings SET
                good_until = LEAST(best_before, COALESCE((SELECT MIN(batches.best_before) FROM {$oils}), best_before)),
                oil_thrown = EXISTS (SELECT 1 FROM {$oils} AND batches.stage = 'discarded')",
        );
        Schema::table('makings', function (Blueprint $table): void {
            $table->boolean('holds')->storedAs('tins_left > 0');
            $table
                ->date('wrong_after')
                ->nullable()
                ->storedAs(
                    "CASE WHEN tins_left = 0 THEN NULL WHEN stage = 'discarded' OR oil_thrown THEN DATE'1000-01-01' ELSE good_until END",
                );
            $table->boolean('taught')->storedAs('loss IS NOT NULL OR JSON_LENGTH(verdicts) > 0');
            $table->index(['house_id', 'wrong_after', 'id']);
            $table->index(['house_id', 'stage', 'holds', 'begun_at', 'id']);
            $table->index(['house_id', 'taught', 'id']);
        });
        Schema::table('batches', function (Blueprint $table): void {
            $table->boolean('in_diary')->storedAs("diary IS NOT NULL AND stage IN ('planned', 'steeping')");
            $table->index(['in_diary', 'house_id', 'id']);
        });
        Schema::table('tasks', function (Blueprint $table): void {
            $table->index(['house_id', 'open', 'due_at']);
        });
        Schema::create('yield_sums', function (Blueprint $table): void {
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->string('form', 60);
            $table->string('way', 20);
            $table->unsignedInteger('batches');
            // Sums over its batches of 1/variance, and of uptake/variance in mL a gram.
            $table->double('weight');
            $table->double('weighted');
            $table->primary(['house_id', 'form', 'way']);
        });
        DB::statement(
            'INSERT INTO yield_sums SELECT house_id, form, way, COUNT(*), SUM(1 / variance), SUM(uptake / variance)
            FROM yields GROUP BY house_id, form, way',
        );
    }

    public function down(): void
    {
        Schema::dropIfExists('yield_sums');
        Schema::table('tasks', fn (Blueprint $table) => $table->dropIndex(['house_id', 'open', 'due_at']));
        Schema::table('batches', function (Blueprint $table): void {
            $table->dropIndex(['in_diary', 'house_id', 'id']);
            $table->dropColumn('in_diary');
        });
        Schema::table('makings', function (Blueprint $table): void {
            $table->dropIndex(['house_id', 'taught', 'id']);
            $table->dropIndex(['house_id', 'stage', 'holds', 'begun_at', 'id']);
            $table->dropIndex(['house_id', 'wrong_after', 'id']);
            $table->dropColumn(['taught', 'wrong_after', 'holds']);
            $table->dropColumn(['oil_thrown', 'good_until']);
        });
        Schema::table('lots', function (Blueprint $table): void {
            $table->dropIndex('lots_held');
            $table->dropColumn('holds');
        });
    }
};
