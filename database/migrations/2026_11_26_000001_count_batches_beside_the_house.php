<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * How many batches a house has begun stands in a row of its own. Every line that is written looks at its house's row,
 * and who begins a batch held that row while waiting for lots that others held: one of them had to be undone.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('batch_counters', function (Blueprint $table) {
            $table->foreignId('house_id')->primary()->constrained()->cascadeOnDelete();
            $table->unsignedInteger('begun');
        });
        DB::statement('INSERT INTO batch_counters (house_id, begun) SELECT id, batches_begun FROM houses WHERE batches_begun > 0');
        Schema::table('houses', fn (Blueprint $table) => $table->dropColumn('batches_begun'));
    }

    public function down(): void
    {
        Schema::table('houses', fn (Blueprint $table) => $table->unsignedInteger('batches_begun')->default(0));
        DB::statement('UPDATE houses JOIN batch_counters ON house_id = houses.id SET batches_begun = begun');
        Schema::drop('batch_counters');
    }
};
