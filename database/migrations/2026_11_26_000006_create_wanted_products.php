<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Products that are wanted by a day and are not begun yet. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('wanted_products', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->ulid('uid');
            $table->string('product', 40);
            $table->json('plants');
            $table->json('wish');
            $table->date('ready_by');
            // When it is made and what has to be there by then: planned anew whenever an oil or the house's hours change.
            $table->dateTime('make_at');
            $table->unsignedSmallInteger('minutes');
            $table->date('oil_start_by')->nullable();
            $table->json('days');
            $table->boolean('late')->default(false);
            // Why it cannot be made as it was wanted, as a code; null where it can.
            $table->string('trouble', 40)->nullable();
            $table->foreignId('making_id')->nullable()->constrained()->nullOnDelete();
            $table->dateTime('closed_at')->nullable();
            $table->unsignedInteger('version')->default(0);
            $table->timestamps();
            $table->unique(['house_id', 'uid']);
            $table->index(['house_id', 'closed_at', 'make_at']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('wanted_products');
    }
};
