<?php

use Kettle\Diary\Stage;

/** What the tests of the press share: a batch strained, poured off and bottled by the house's sizes. */
function bottleSize(float $ml): string
{
    return collect(test()->atHouse('GET', '')->json('bottles'))->firstWhere('capacity_ml', $ml)['id'];
}

/**
 * @param  array<string, mixed>  $wish
 * @param  array<int, int>  $bottles counts by capacity
 * @param  array<string, mixed>  $more of the bottling
 * @return string the batch's path
 */
function bottledBatch(array $wish = [], string $out = '300 mL', array $bottles = [100 => 2, 50 => 1], array $more = []): string
{
    $batch = test()->batch($wish + ['jar' => test()->jarOf(505)->uid]);
    test()->fill($batch);
    $path = "/batches/{$batch->uid}";
    test()
        ->atHouse('POST', "{$path}/strain", ['amount' => $out, 'warmth' => 'had'])
        ->assertOk();
    // What sets in the room is not settled: it goes from the cloth into its jars.
    if ($batch->refresh()->stage === Stage::Settling) {
        test()
            ->atHouse('POST', "{$path}/decant", [])
            ->assertOk();
    }
    test()
        ->atHouse(
            'POST',
            "{$path}/bottle",
            [
                'bottles' => array_map(
                    fn (int $ml, int $count) => ['size' => bottleSize($ml), 'count' => $count],
                    array_keys($bottles),
                    $bottles,
                ),
            ] + $more,
        )
        ->assertOk();

    return $path;
}
