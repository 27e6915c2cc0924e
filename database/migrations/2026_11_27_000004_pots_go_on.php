<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * How much of which pot went into which product or pot: what their logbooks say, to be followed both ways. Lots go into pots
 * too, and what came of one has a label.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('boil_takes', function (Blueprint $table) {
            $table->id();
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->foreignId('boil_id')->constrained()->cascadeOnDelete();
            $table->foreignId('making_id')->nullable()->constrained()->cascadeOnDelete();
            $table->foreignId('into_boil_id')->nullable()->constrained('boils')->cascadeOnDelete();
            // mL, or g of what is made by weight.
            $table->decimal('amount', 12, 3);
            $table->unique(['making_id', 'boil_id']);
            $table->unique(['into_boil_id', 'boil_id']);
        });
        Schema::table('boils', fn (Blueprint $table) => $table->json('label')->nullable()->after('plan'));
        Schema::table('lot_moves', fn (Blueprint $table) => $table->foreignId('boil_id')->nullable()->constrained()->cascadeOnDelete());
    }

    public function down(): void
    {
        Schema::table('lot_moves', fn (Blueprint $table) => $table->dropConstrainedForeignId('boil_id'));
        Schema::table('boils', fn (Blueprint $table) => $table->dropColumn('label'));
        Schema::dropIfExists('boil_takes');
    }
};
