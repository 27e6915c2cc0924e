<?php

use Illuminate\Support\Facades\DB;

/*
 * What pages read instead of all a house ever had is kept beside the rows it is of: here each is made of those rows again.
 */
function expectKept(): void
{
    $sums = fn (string $from, string $columns): array => collect(DB::select("SELECT house_id, form, way, {$columns} FROM {$from}"))
        ->keyBy(fn (stdClass $row) => "{$row->house_id} {$row->form} {$row->way}")
        ->sortKeys()
        ->all();
    $kept = $sums('yield_sums', 'batches, weight, weighted');
    $rows = $sums(
        'yields GROUP BY house_id, form, way',
        'COUNT(*) AS batches, SUM(1 / variance) AS weight, SUM(uptake / variance) AS weighted',
    );
    expect(array_keys($kept))->toBe(array_keys($rows));
    foreach ($rows as $key => $row) {
        expect((int) $kept[$key]->batches)->toBe((int) $row->batches, $key);
        expect((float) $kept[$key]->weight)->toEqualWithDelta((float) $row->weight, 1e-9 * (float) $row->weight);
        expect((float) $kept[$key]->weighted)->toEqualWithDelta((float) $row->weighted, 1e-9 * abs((float) $row->weighted) + 1e-9);
    }
    foreach (['batches' => ['stage', '1 = 1'], 'lots' => ['kind', '`left` > 0 AND deleted_at IS NULL']] as $table => [$by, $which]) {
        $counted = fn (array $rows): array => collect($rows)
            ->mapWithKeys(fn (stdClass $row) => ["{$row->house_id} {$row->kind}" => (int) $row->many])
            ->sortKeys()
            ->all();
        expect($counted(DB::select("SELECT * FROM tallies WHERE what = '{$table}' AND many <> 0")))->toBe(
            $counted(DB::select("SELECT house_id, {$by} AS kind, COUNT(*) AS many FROM {$table} WHERE {$which} GROUP BY house_id, {$by}")),
        );
    }
    $held = fn (string $from): array => collect(DB::select("SELECT house_id, kind, material, {$from} ORDER BY 1, 2, 3, 4, 5"))
        ->map(fn (stdClass $row) => array_values((array) $row))
        ->all();
    expect($held('called, thing, many FROM held_things WHERE many <> 0'))->toBe(
        $held(
            "IF(material = '', called, '') AS called, thing, COUNT(*) FROM lots WHERE `left` > 0 AND deleted_at IS NULL
            GROUP BY house_id, kind, material, IF(material = '', called, ''), thing",
        ),
    );
    foreach (DB::select('SELECT use_until, best_before, verdict FROM lots') as $lot) {
        expect($lot->use_until)->toBe($lot->verdict === 'past' ? '1000-01-01' : $lot->best_before ?? '9999-12-31');
    }
    $of = [];
    foreach (
        DB::table('batches')
            ->orderBy('id')
            ->get(['id', 'house_id', 'herbs', 'oils']) as $batch
    ) {
        foreach (['herbs' => 'herb', 'oils' => 'oil'] as $column => $kind) {
            foreach (json_decode($batch->{$column}, true)['all'] as $named) {
                // What somebody called otherwise has no page in the Almanac.
                $of[] = isset($named[$kind]) && is_array($named) ? "{$batch->house_id} {$kind} {$named[$kind]} {$batch->id}" : null;
            }
        }
    }
    $of = array_values(array_unique(array_filter($of)));
    $told = DB::table('batch_materials')
        ->get()
        ->map(fn (stdClass $row) => "{$row->house_id} {$row->kind} {$row->material} {$row->batch_id}")
        ->all();
    sort($of);
    sort($told);
    expect($told)->toBe($of);
    foreach (DB::table('makings')->get() as $making) {
        $oils = DB::table('making_batches')
            ->join('batches', 'batches.id', '=', 'making_batches.batch_id')
            ->where('making_id', $making->id)
            ->get(['batches.best_before', 'batches.stage']);
        $thrown = $oils->contains('stage', 'discarded');
        $until = min([$making->best_before, ...$oils->pluck('best_before')]);
        expect([$making->good_until, (bool) $making->oil_thrown])->toBe([$until, $thrown], $making->code);
        expect($making->wrong_after)->toBe(
            match (true) {
                $making->tins_left === 0 => null,
                $thrown || $making->stage === 'discarded' => '1000-01-01',
                default => $until,
            },
            $making->code,
        );
    }
}
