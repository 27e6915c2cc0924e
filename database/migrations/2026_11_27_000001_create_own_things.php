<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Plants, oils, waxes and essential oils that a house entered as its own. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('own_things', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 10);
            // What plans, lots and recipes know it by.
            $table->string('slug', 60);
            $table->json('fields');
            $table->unsignedInteger('version')->default(0);
            $table->timestamps();
            $table->unique(['house_id', 'slug']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('own_things');
    }
};
