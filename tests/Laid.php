<?php

namespace Tests;

use App\Models\House;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

require_once dirname(__DIR__).'/perf/rows.php';

/**
 * What many tests begin with is laid once in each process that runs them, and put back for the next as the database had it:
 * its rows under the same numbers, and the clock.
 */
final class Laid
{
    /** Filled by the database with the rows that they count. */
    private const TOLD = ['migrations', 'tallies', 'held_things', 'batch_materials'];

    /** @var array<string, array{rows: array<string, list<array<string, mixed>>>, house: int, keeper: int, now: Carbon}> by name */
    private static array $kept = [];

    /**
     * To be asked for before a test has written anything by itself.
     *
     * @param  \Closure(): void  $lay
     */
    public static function once(AppCase $test, string $name, \Closure $lay): void
    {
        if (DB::table('houses')->count() !== 1 || DB::table('batches')->exists() || $test->keeper->wasChanged()) {
            throw new \LogicException("“{$name}” is laid first, or not at all.");
        }
        if (! isset(self::$kept[$name])) {
            $lay();
            self::$kept[$name] = [
                'rows' => self::rows(),
                'house' => $test->house->id,
                'keeper' => $test->keeper->id,
                'now' => Carbon::now(),
            ];

            return;
        }
        $kept = self::$kept[$name];
        DB::table('houses')->delete();
        DB::table('users')->delete();
        DB::statement('SET FOREIGN_KEY_CHECKS = 0');
        foreach ($kept['rows'] as $table => $rows) {
            foreach (array_chunk($rows, 100) as $some) {
                DB::table($table)->insert($some);
            }
        }
        DB::statement('SET FOREIGN_KEY_CHECKS = 1');
        $test->house = House::query()->findOrFail($kept['house']);
        $test->keeper = User::query()->findOrFail($kept['keeper']);
        Carbon::setTestNow($kept['now']);
    }

    /** @return array<string, list<array<string, mixed>>> by table, without what the database makes of a row's other columns */
    public static function rows(): array
    {
        $all = [];
        foreach (array_diff(Schema::getTableListing(DB::getDatabaseName(), false), self::TOLD) as $table) {
            $made = array_flip(madeColumns($table));
            $rows = DB::table($table)
                ->get()
                // To the last bit: bound as a number, the last digits would be lost.
                ->map(fn (\stdClass $row) => array_map(fn (mixed $is) => is_float($is) ? json_encode($is) : $is, (array) $row))
                ->map(fn (array $row) => array_diff_key($row, $made))
                ->all();
            if ($rows !== []) {
                $all[$table] = $rows;
            }
        }

        return $all;
    }
}
