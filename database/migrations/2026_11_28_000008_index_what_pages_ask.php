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
    /** By what column the rows of a table are counted, and which of them. */
    private const TALLIED = ['batches' => ['stage', '1'], 'lots' => ['kind', '%s.`left` > 0 AND %s.deleted_at IS NULL']];

    public function up(): void
    {
        Schema::table('lots', function (Blueprint $table): void {
            $table->boolean('holds')->storedAs('`left` > 0 AND deleted_at IS NULL');
            // What is taken for one another, as a number: quicker to set in order than its four names.
            $table
                ->unsignedBigInteger('thing')
                ->storedAs("CONV(LEFT(MD5(CONCAT_WS('|', kind, material, IF(material = '', called, ''), state)), 15), 16, 10)");
            // All that is asked of many at once; the rows are read of the few that are wanted.
            $table->index(
                [
                    ...['house_id', 'holds', 'kind', 'material', 'thing', 'best_before', 'verdict', 'got_on', 'called'],
                    ...['left', 'price', 'got', 'deleted_at'],
                ],
                'lots_held',
            );
            $table->index(['house_id', 'holds', 'kind', 'called', 'best_before', 'id'], 'lots_listed');
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
            $table->index(['house_id', 'id']);
        });
        Schema::table('batches', function (Blueprint $table): void {
            $table->boolean('in_diary')->storedAs("diary IS NOT NULL AND stage IN ('planned', 'steeping')");
            $table->index(['in_diary', 'house_id', 'id']);
            $table->string('method', 40)->nullable()->storedAs("JSON_VALUE(shelf, '$.method')");
            $table->string('school', 40)->nullable()->storedAs("JSON_VALUE(plan, '$.method.school')");
            $table->index(['house_id', 'method', 'id']);
            $table->index(['house_id', 'school', 'id']);
            // The last of one house, without walking past those of every other.
            $table->index(['house_id', 'id']);
        });
        $this->tellMaterials();
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
        $this->tally();
        DB::statement(
            'INSERT INTO yield_sums SELECT house_id, form, way, COUNT(*), SUM(1 / variance), SUM(uptake / variance)
            FROM yields GROUP BY house_id, form, way',
        );
    }

    /** Of what each batch is made, told by the database with its row, so that the last of one herb are found at once. */
    private function tellMaterials(): void
    {
        Schema::create('batch_materials', function (Blueprint $table): void {
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 8);
            $table->string('material', 60);
            $table->foreignId('batch_id')->constrained()->cascadeOnDelete();
            $table->primary(['house_id', 'kind', 'material', 'batch_id']);
        });
        $of = fn (string $row): string => implode(
            ' ',
            array_map(
                fn (string $column, string $kind): string => "INSERT IGNORE INTO batch_materials
                    SELECT {$row}.house_id, '{$kind}', named.id, {$row}.id
                    FROM ".
                    ($row === 'NEW' ? '' : "{$row}, ").
                    "JSON_TABLE({$row}.{$column}, '$.all[*]' COLUMNS (id VARCHAR(60) PATH '$.{$kind}')) AS named
                    WHERE named.id IS NOT NULL;",
                ['herbs', 'oils'],
                ['herb', 'oil'],
            ),
        );
        DB::unprepared("CREATE TRIGGER batches_made AFTER INSERT ON batches FOR EACH ROW BEGIN {$of('NEW')} END");
        DB::unprepared(
            "CREATE TRIGGER batches_remade AFTER UPDATE ON batches FOR EACH ROW
            IF NOT (OLD.herbs <=> NEW.herbs AND OLD.oils <=> NEW.oils) THEN
                DELETE FROM batch_materials WHERE batch_id = NEW.id; {$of('NEW')}
            END IF",
        );
        foreach (array_filter(explode(';', $of('batches')), fn (string $each) => trim($each) !== '') as $each) {
            DB::statement($each);
        }
    }

    /** How many of a kind there are, counted by the database with each row: nobody who writes one can forget it. */
    private function tally(): void
    {
        Schema::create('tallies', function (Blueprint $table): void {
            $table->foreignId('house_id')->constrained()->cascadeOnDelete();
            $table->string('what', 12);
            $table->string('kind', 12);
            $table->integer('many');
            $table->primary(['house_id', 'what', 'kind']);
        });
        foreach (self::TALLIED as $table => [$by, $counts]) {
            $is = fn (string $row): string => '('.sprintf($counts, $row, $row).')';
            $more = "INSERT INTO tallies VALUES (NEW.house_id, '{$table}', NEW.{$by}, 1) ON DUPLICATE KEY UPDATE many = many + 1;";
            $less = "UPDATE tallies SET many = many - 1 WHERE house_id = OLD.house_id AND what = '{$table}' AND kind = OLD.{$by};";
            foreach (
                [
                    'added' => ['INSERT', "IF {$is('NEW')} THEN {$more} END IF;"],
                    'changed' => [
                        'UPDATE',
                        "IF {$is('OLD')} <> {$is('NEW')} OR OLD.{$by} <> NEW.{$by} THEN
                            IF {$is('NEW')} THEN {$more} END IF;
                            IF {$is('OLD')} THEN {$less} END IF;
                        END IF;",
                    ],
                    'gone' => ['DELETE', "IF {$is('OLD')} THEN {$less} END IF;"],
                ] as $when => [$event, $does]
            ) {
                DB::unprepared("CREATE TRIGGER {$table}_{$when} AFTER {$event} ON {$table} FOR EACH ROW BEGIN {$does} END");
            }
            DB::statement(
                "INSERT INTO tallies SELECT house_id, '{$table}', {$by}, COUNT(*) FROM {$table} WHERE {$is(
                    $table,
                )} GROUP BY house_id, {$by}",
            );
        }
    }

    public function down(): void
    {
        foreach (array_keys(self::TALLIED) as $table) {
            foreach (['added', 'changed', 'gone'] as $when) {
                DB::unprepared("DROP TRIGGER {$table}_{$when}");
            }
        }
        foreach (['made', 'remade'] as $when) {
            DB::unprepared("DROP TRIGGER batches_{$when}");
        }
        Schema::dropIfExists('batch_materials');
        Schema::dropIfExists('tallies');
        Schema::dropIfExists('yield_sums');
        Schema::table('tasks', fn (Blueprint $table) => $table->dropIndex(['house_id', 'open', 'due_at']));
        Schema::table('batches', function (Blueprint $table): void {
            $table->dropIndex(['house_id', 'id']);
            $table->dropIndex(['house_id', 'school', 'id']);
            $table->dropIndex(['house_id', 'method', 'id']);
            $table->dropIndex(['in_diary', 'house_id', 'id']);
            $table->dropColumn(['school', 'method', 'in_diary']);
        });
        Schema::table('makings', function (Blueprint $table): void {
            $table->dropIndex(['house_id', 'id']);
            $table->dropIndex(['house_id', 'taught', 'id']);
            $table->dropIndex(['house_id', 'stage', 'holds', 'begun_at', 'id']);
            $table->dropIndex(['house_id', 'wrong_after', 'id']);
            $table->dropColumn(['taught', 'wrong_after', 'holds']);
            $table->dropColumn(['oil_thrown', 'good_until']);
        });
        Schema::table('lots', function (Blueprint $table): void {
            $table->dropIndex('lots_listed');
            $table->dropIndex('lots_held');
            $table->dropColumn(['thing', 'holds']);
        });
    }
};
