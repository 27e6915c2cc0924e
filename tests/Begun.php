<?php

/* Products begun and bottles looked into, for the tests that need some. */

require_once __DIR__.'/Pressed.php';

const POT = ['product' => 'salve', 'firmness' => 'firm', 'tins' => [['ml' => 30, 'count' => 4]]];

/** A product begun from 250 mL of bottled calendula oil, or from what is said. */
function begunSalve(array $wish = [], ?string $batch = null): array
{
    $batch ??= basename(bottledBatch(['herb' => ['id' => 'calendula']], '260 mL'));
    $made = test()->atHouse('POST', '/makings', [
        'wish' => $wish + ['oils' => [['batch' => $batch]]] + POT,
        'acknowledged' => ['daisy-family'],
    ]);
    $made->assertOk();

    return [$made->json(), $batch];
}

/** mL in the bottles of a batch. */
function inBottles(string $batch): float
{
    return array_sum(
        array_column(
            test()
                ->atHouse('GET', "/batches/{$batch}")
                ->json('bottles'),
            'left_ml',
        ),
    );
}
