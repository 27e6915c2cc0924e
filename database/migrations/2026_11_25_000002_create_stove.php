<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Cookers and what is warmed in them, thermometers and their readings, who is at home, and the weather. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('houses', function (Blueprint $table) {
            $table->decimal('latitude', 8, 5)->nullable();
            $table->decimal('longitude', 8, 5)->nullable();
            $table->smallInteger('height_m')->default(0);
            // Which way the sunny window looks, degrees from north by east.
            $table->unsignedSmallInteger('facing')->default(180);
            // Hours at home by ISO weekday, as typed; days left out are all day.
            $table->json('home')->nullable();
            $table->char('feed_hash', 64)->nullable()->unique();
        });
        Schema::create('cookers', function (Blueprint $table) {
            $table->id();
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->string('uid', 26);
            $table->string('called', 60);
            $table->string('shape', 10);
            $table->decimal('length_mm', 7, 2);
            $table->decimal('width_mm', 7, 2);
            $table->decimal('height_mm', 7, 2);
            $table->json('methods');
            // Name and watts of each; from the tables until the pot is learned.
            $table->json('settings');
            $table->decimal('loss_w_per_k', 7, 3);
            $table->decimal('vessel_j_per_k', 9, 2);
            $table->json('learned')->nullable();
            $table->timestamps();
            $table->softDeletes();
            $table->unique(['house_id', 'uid']);
        });
        Schema::create('probes', function (Blueprint $table) {
            $table->id();
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->string('uid', 26);
            $table->string('called', 60);
            $table->string('kind', 10);
            $table->char('key_hash', 64)->nullable()->unique();
            // What a simulated one goes on from.
            $table->json('state')->nullable();
            $table->timestamps();
            $table->softDeletes();
            $table->unique(['house_id', 'uid']);
        });
        Schema::create('stove_sessions', function (Blueprint $table) {
            $table->id();
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->string('uid', 26);
            $table->foreignId('cooker_id')->nullable()->constrained()->nullOnDelete();
            // The cooker, its jars and its water as they stood, so that a cooker may go and the session stay true.
            $table->json('set_up');
            $table->string('setting', 40);
            $table->json('band');
            $table->string('state', 8);
            // How many times as fast as the clock a trial goes; 1 for what counts.
            $table->unsignedSmallInteger('speed')->default(1);
            $table->dateTime('started_at');
            $table->dateTime('switched_at');
            $table->dateTime('ended_at')->nullable();
            $table->dateTime('filled_at');
            $table->decimal('filled_ml', 9, 2);
            $table->dateTime('shaken_at');
            $table->unsignedInteger('version')->default(1);
            $table->timestamps();
            $table->unique(['house_id', 'uid']);
            $table->index(['house_id', 'state', 'id']);
            $table->index(['state', 'id']);
        });
        Schema::create('stove_jars', function (Blueprint $table) {
            $table->id();
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->foreignId('stove_session_id')->constrained()->cascadeOnDelete();
            $table->foreignId('batch_id')->constrained()->cascadeOnDelete();
            $table->foreignId('probe_id')->nullable()->constrained()->nullOnDelete();
            $table->unsignedTinyInteger('count');
            $table->decimal('planned_h', 8, 3);
            $table->decimal('had_h', 8, 3);
            // At warmth here: all there was when it was taken out, and what its logbook knows of.
            $table->decimal('hours', 8, 3)->nullable();
            $table->decimal('logged_h', 8, 3)->default(0);
            $table->dateTime('in_at');
            $table->dateTime('out_at')->nullable();
            $table->index(['batch_id']);
            $table->index(['stove_session_id']);
        });
        Schema::create('stove_probes', function (Blueprint $table) {
            $table->foreignId('stove_session_id')->constrained()->cascadeOnDelete();
            $table->foreignId('probe_id')->constrained()->cascadeOnDelete();
            // Warm hours and water lost, gathered reading by reading; made anew from the readings when one comes late.
            $table->json('kept');
            $table->primary(['stove_session_id', 'probe_id']);
            $table->index('probe_id');
        });
        Schema::create('readings', function (Blueprint $table) {
            $table->unsignedBigInteger('stove_session_id');
            $table->unsignedBigInteger('probe_id');
            $table->unsignedInteger('at');
            $table->smallInteger('centi_c');
            // A sender that repeats itself doubles nothing.
            $table->primary(['stove_session_id', 'probe_id', 'at']);
            $table->foreign('stove_session_id')->references('id')->on('stove_sessions')->cascadeOnDelete();
        });
        Schema::create('stove_events', function (Blueprint $table) {
            $table->id();
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->foreignId('stove_session_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 16);
            $table->json('data');
            $table->string('by', 80);
            $table->dateTime('happened_at');
            $table->index(['stove_session_id', 'id']);
        });
        Schema::create('calendars', function (Blueprint $table) {
            $table->id();
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->string('uid', 26);
            $table->string('called', 80);
            $table->timestamps();
            $table->unique(['house_id', 'uid']);
        });
        Schema::create('absences', function (Blueprint $table) {
            $table->id();
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->foreignId('calendar_id')->nullable()->constrained()->cascadeOnDelete();
            $table->string('uid', 26);
            $table->string('called', 120);
            $table->dateTime('from_at');
            $table->dateTime('to_at');
            $table->unique(['house_id', 'uid']);
            $table->index(['house_id', 'to_at']);
        });
        Schema::table('batches', function (Blueprint $table) {
            // Sessions the diary keeps for it in a shared cooker, which one, and what it says where they come late.
            $table->json('diary')->nullable();
        });
        Schema::create('diary_moves', function (Blueprint $table) {
            $table->id();
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->foreignId('batch_id')->constrained()->cascadeOnDelete();
            $table->dateTime('was_at');
            $table->dateTime('is_at');
            $table->string('why', 160);
            $table->dateTime('moved_at');
            $table->index(['house_id', 'id']);
        });
        Schema::create('weather_days', function (Blueprint $table) {
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->date('day');
            $table->decimal('cloud', 4, 3);
            $table->decimal('low_c', 4, 1);
            $table->decimal('high_c', 4, 1);
            $table->primary(['house_id', 'day']);
        });
        Schema::create('photos', function (Blueprint $table) {
            $table->id();
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->foreignId('batch_id')->constrained()->cascadeOnDelete();
            $table->string('uid', 26);
            $table->binary('jpeg');
            $table->timestamps();
            $table->unique(['house_id', 'uid']);
        });
        Illuminate\Support\Facades\DB::statement('ALTER TABLE photos MODIFY jpeg MEDIUMBLOB NOT NULL');
    }

    public function down(): void
    {
        foreach (
            [
                'photos',
                'weather_days',
                'diary_moves',
                'absences',
                'calendars',
                'stove_events',
                'readings',
                'stove_probes',
                'stove_jars',
                'stove_sessions',
                'probes',
                'cookers',
            ] as $table
        ) {
            Schema::dropIfExists($table);
        }
        Schema::table('batches', fn (Blueprint $table) => $table->dropColumn('diary'));
        Schema::table(
            'houses',
            fn (Blueprint $table) => $table->dropColumn(['latitude', 'longitude', 'height_m', 'facing', 'home', 'feed_hash']),
        );
    }
};
