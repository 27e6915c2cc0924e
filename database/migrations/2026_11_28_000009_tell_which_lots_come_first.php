<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * So that a plan finds the first lots of each of its things, however many there are: of what there is anything left, counted
 * by the database with each lot, and an index in the order in which lots of a thing are taken.
 */
return new class extends Migration
{
    private const TRIGGERS = ['held' => 'INSERT', 'reheld' => 'UPDATE', 'let_go' => 'DELETE'];

    public function up(): void
    {
        Schema::table('lots', function (Blueprint $table): void {
            // Until when it may be used: never, where its check failed.
            $table
                ->date('use_until')
                ->storedAs("CASE WHEN verdict = 'past' THEN DATE'1000-01-01' ELSE COALESCE(best_before, DATE'9999-12-31') END");
            $table->index(['house_id', 'holds', 'thing', 'use_until', 'got_on', 'id'], 'lots_taken');
        });
        Schema::create('held_things', function (Blueprint $table): void {
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 8);
            $table->string('material', 60);
            // Of what the tables do not know; empty for the rest.
            $table->string('called', 80);
            $table->unsignedBigInteger('thing');
            $table->integer('many');
            $table->primary(['house_id', 'kind', 'material', 'called', 'thing']);
        });
        $of = fn (string $row): string => "{$row}.house_id, {$row}.kind, {$row}.material,
            IF({$row}.material = '', {$row}.called, ''), {$row}.thing";
        $more = "IF NEW.holds THEN
                INSERT INTO held_things VALUES ({$of('NEW')}, 1) ON DUPLICATE KEY UPDATE many = many + 1;
            END IF;";
        $less = "IF OLD.holds THEN
                UPDATE held_things SET many = many - 1 WHERE house_id = OLD.house_id AND kind = OLD.kind AND material = OLD.material
                    AND called = IF(OLD.material = '', OLD.called, '') AND thing = OLD.thing;
            END IF;";
        $does = [
            'INSERT' => $more,
            'UPDATE' => "IF OLD.holds <> NEW.holds OR OLD.thing <> NEW.thing THEN {$more} {$less} END IF;",
            'DELETE' => $less,
        ];
        foreach (self::TRIGGERS as $name => $event) {
            DB::unprepared("CREATE TRIGGER lots_{$name} AFTER {$event} ON lots FOR EACH ROW BEGIN {$does[$event]} END");
        }
        DB::statement(
            "INSERT INTO held_things SELECT house_id, kind, material, IF(material = '', called, '') AS named, thing, COUNT(*)
            FROM lots WHERE holds GROUP BY house_id, kind, material, named, thing",
        );
    }

    public function down(): void
    {
        foreach (array_keys(self::TRIGGERS) as $name) {
            DB::unprepared("DROP TRIGGER lots_{$name}");
        }
        Schema::dropIfExists('held_things');
        Schema::table('lots', function (Blueprint $table): void {
            $table->dropIndex('lots_taken');
            $table->dropColumn('use_until');
        });
    }
};
