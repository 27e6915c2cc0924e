<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('users', function (Blueprint $table) {
            $table->id();
            $table->ulid('uid')->unique();
            $table->string('name', 80);
            $table->string('email', 190)->unique();
            $table->string('password');
            $table->rememberToken();
            // What this person likes to see: temperature c or f, amounts metric or kitchen.
            $table->json('prefs');
            $table->timestamps();
        });
        Schema::create('houses', function (Blueprint $table) {
            $table->id();
            $table->ulid('uid')->unique();
            $table->string('name', 80);
            $table->string('time_zone', 64);
            $table->string('measures', 12);
            $table->string('wake', 5);
            $table->string('bed', 5);
            $table->decimal('drops_per_ml', 5, 2);
            $table->boolean('is_demo')->default(false);
            $table->unsignedInteger('version')->default(1);
            $table->unsignedInteger('batches_begun')->default(0);
            $table->timestamps();
        });
        Schema::create('memberships', function (Blueprint $table) {
            $table->id();
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('role', 10);
            $table->timestamps();
            $table->unique(['house_id', 'user_id']);
            $table->index('user_id');
        });
        Schema::create('invitations', function (Blueprint $table) {
            $table->id();
            $table->ulid('uid')->unique();
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->string('role', 10);
            $table->char('token_hash', 64)->unique();
            $table->foreignId('made_by')->nullable()->constrained('users')->nullOnDelete();
            $table->timestamp('expires_at');
            $table->timestamp('used_at')->nullable();
            $table->timestamps();
        });
        Schema::create('resets', function (Blueprint $table) {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->char('token_hash', 64)->unique();
            $table->timestamp('expires_at');
            $table->timestamps();
        });
        Schema::create('jars', function (Blueprint $table) {
            $table->id();
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->string('uid', 26);
            $table->string('called', 60);
            $table->decimal('brim_ml', 9, 3);
            $table->decimal('height_mm', 7, 2);
            $table->timestamps();
            $table->softDeletes();
            $table->unique(['house_id', 'uid']);
        });
        Schema::create('bottle_sizes', function (Blueprint $table) {
            $table->id();
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->string('uid', 26);
            $table->string('called', 60);
            $table->decimal('capacity_ml', 9, 3);
            $table->timestamps();
            $table->softDeletes();
            $table->unique(['house_id', 'uid']);
        });
    }

    public function down(): void
    {
        foreach (['bottle_sizes', 'jars', 'resets', 'invitations', 'memberships', 'houses', 'users'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
