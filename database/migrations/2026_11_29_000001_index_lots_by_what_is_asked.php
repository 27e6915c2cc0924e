<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * So that Today finds the lots that age first, of however many, and what there is of each oil is summed of an index that holds
 * no more than it asks: each write of a lot keeps that index too.
 */
return new class extends Migration
{
    private const HELD = ['house_id', 'holds', 'kind', 'material', 'use_until', 'left', 'price', 'got', 'deleted_at'];

    private const HELD_BEFORE = [
        ...['house_id', 'holds', 'kind', 'material', 'thing', 'best_before', 'verdict', 'got_on', 'called'],
        ...['left', 'price', 'got', 'deleted_at'],
    ];

    public function up(): void
    {
        Schema::table('lots', function (Blueprint $table): void {
            $table->dropIndex('lots_held');
            $table->index(self::HELD, 'lots_held');
            $table->index(['house_id', 'holds', 'ages_on', 'id'], 'lots_ageing');
            $table->dropIndex(['house_id', 'ages_on']);
        });
    }

    public function down(): void
    {
        Schema::table('lots', function (Blueprint $table): void {
            $table->index(['house_id', 'ages_on']);
            $table->dropIndex('lots_ageing');
            $table->dropIndex('lots_held');
            $table->index(self::HELD_BEFORE, 'lots_held');
        });
    }
};
