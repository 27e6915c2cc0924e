<?php

use App\Models\House;
use Illuminate\Support\Facades\DB;

/**
 * Lots in the order they were written in, each with 100 left of 100.
 *
 * @param  array<string, array<string, mixed>>  $lots by id
 */
function shelved(House $house, array $lots): void
{
    $usual = ['kind' => 'carrier', 'material' => 'sunflower', 'state' => null, 'best_before' => null, 'verdict' => null, 'got_on' => null];
    $usual += ['got' => 100, 'left' => 100, 'typed' => '100 mL', 'allergens' => '[]', 'note' => '', 'deleted_at' => null];
    foreach ($lots as $uid => $lot) {
        $row = ['house_id' => $house->id, 'uid' => $uid] + $lot + $usual;
        DB::table('lots')->insert($row + ['called' => $row['material']]);
    }
}

/**
 * Rows that the database reads for something.
 *
 * @param  Closure(): mixed  $do
 */
function rowsRead(Closure $do): int
{
    $sum = fn (): int => (int) collect(DB::select("SHOW SESSION STATUS LIKE 'Handler_read%'"))->sum('Value');
    $before = $sum();
    $do();

    return $sum() - $before;
}
