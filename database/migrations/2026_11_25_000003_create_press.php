<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What each batch gave, what is left in each bottle, how it is kept, its label, and the house's notes in the Almanac. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('batches', function (Blueprint $table) {
            // What it is for now; a plan stays as it was.
            $table->string('purpose', 20)->default('');
            // Only for what is kept cold: after this moment it is not used or given.
            $table->dateTime('use_by')->nullable();
            // Sheet, start, fields, names and own words of its label.
            $table->json('label')->nullable();
        });
        Schema::create('yields', function (Blueprint $table) {
            $table->id();
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->foreignId('batch_id')->unique()->constrained()->cascadeOnDelete();
            $table->string('form', 60);
            $table->string('way', 12);
            $table->decimal('oil_ml', 10, 3);
            $table->decimal('out_ml', 10, 3);
            $table->decimal('dry_g', 10, 3);
            // mL left in each g, and its variance about the house's usual.
            $table->double('uptake');
            $table->double('variance');
            $table->dateTime('strained_at');
            // The sums a plan asks for are read from the index alone.
            $table->index(['house_id', 'form', 'way', 'strained_at', 'uptake', 'variance'], 'yields_learned');
        });
        Schema::table('bottles', function (Blueprint $table) {
            $table->decimal('left_ml', 10, 3)->default(0);
            // in, used, given or thrown, once it is empty or gone
            $table->string('state', 10)->default('in');
            $table->string('to', 160)->default('');
        });
        Schema::create('almanac_notes', function (Blueprint $table) {
            $table->id();
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 12);
            $table->string('key', 60);
            $table->text('note');
            $table->string('by', 80);
            $table->unsignedInteger('version')->default(1);
            $table->timestamps();
            $table->unique(['house_id', 'kind', 'key']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('almanac_notes');
        Schema::dropIfExists('yields');
        Schema::table('bottles', fn (Blueprint $table) => $table->dropColumn(['left_ml', 'state', 'to']));
        Schema::table('batches', fn (Blueprint $table) => $table->dropColumn(['purpose', 'use_by', 'label']));
    }
};
