<?php

use Kettle\Ask\PressQuestions;
use Kettle\Vessel\BestFilling;
use Kettle\Vessel\FillingException;

/** @return list<array{id: string, capacity: float, stock: ?int, fixed: int}> */
function bottleSizes(array ...$sizes): array
{
    return array_map(
        fn (int $i, array $size) => [
            'id' => "s{$i}",
            'capacity' => (float) $size[0],
            'stock' => $size[1] ?? null,
            'fixed' => $size[2] ?? 0,
        ],
        array_keys($sizes),
        $sizes,
    );
}

/** The least that can be left over, by trying every filling. */
function leastLeft(float $ml, array $sizes): float
{
    if ($sizes === []) {
        return $ml;
    }
    $size = array_shift($sizes);
    $best = INF;
    for ($n = $size['fixed']; $n <= ($size['stock'] ?? 999) && $n * $size['capacity'] <= $ml + 1e-9; $n++) {
        $best = min($best, leastLeft($ml - $n * $size['capacity'], $sizes));
    }

    return $best;
}

it('leaves as little over as trying every filling does', function () {
    mt_srand(99);
    $tried = 0;
    for ($i = 0; $i < 250; $i++) {
        $sizes = bottleSizes(
            ...array_map(fn () => [mt_rand(50, 1200) / 10, mt_rand(0, 2) === 0 ? null : mt_rand(0, 4), 0], range(1, mt_rand(1, 4))),
        );
        $ml = mt_rand(100, 5000) / 10;
        $filling = BestFilling::of($ml, $sizes);
        expect($filling->leftMl)->toEqualWithDelta(leastLeft($ml, $sizes), 1e-6);
        $counts = array_column($filling->bottles, 'count', 'id');
        foreach ($sizes as $size) {
            expect($counts[$size['id']] ?? 0)->toBeLessThanOrEqual($size['stock'] ?? 500);
        }
        $tried += count($filling->bottles) > 1 ? 1 : 0;
    }
    expect($tried)->toBeGreaterThan(60);
});

it('fills the fixed ones in any case, and the best around them', function () {
    mt_srand(5);
    for ($i = 0; $i < 80; $i++) {
        $sizes = bottleSizes(
            [mt_rand(10, 60), null, mt_rand(0, 2)],
            [mt_rand(10, 60), mt_rand(2, 6), mt_rand(0, 2)],
            [mt_rand(60, 120), 3, 0],
        );
        $filling = BestFilling::of(400, $sizes);
        expect($filling->leftMl)->toEqualWithDelta(leastLeft(400, $sizes), 1e-6);
        $counts = array_column($filling->bottles, 'count', 'id');
        foreach ($sizes as $size) {
            expect($counts[$size['id']] ?? 0)->toBeGreaterThanOrEqual($size['fixed']);
        }
    }
});

it('of equals takes the fewest small ones', function () {
    expect(BestFilling::of(300, bottleSizes([10], [50], [100]))->bottles)
        ->toBe([['id' => 's2', 'capacity' => 100.0, 'count' => 3]])
        ->and(BestFilling::of(347, bottleSizes([50, 4], [30], [100, 1]))->leftMl)
        ->toEqualWithDelta(7, 1e-9);
});

it('never calls more than five hundred bottles a filling', function () {
    expect(BestFilling::of(20_000, bottleSizes([1]))->count())
        ->toBe(500)
        ->and(BestFilling::of(20_000, bottleSizes([1], [2]))->count())
        ->toBe(500);
});

it('offers the least left over, and all of one size', function () {
    $offers = PressQuestions::offers(330, bottleSizes([50], [30], [100]));
    expect(array_column($offers, 'id'))
        ->toBe(['least-left', 'only.s0', 'only.s1', 'only.s2'])
        ->and(array_column($offers, 'left_ml'))
        ->toBe([0.0, 30.0, 0.0, 30.0]);
    expect(PressQuestions::offers(20, bottleSizes([50])))->toBe([]);
});

it('refuses', function (float $ml, array $sizes, string $reason) {
    try {
        BestFilling::of($ml, $sizes);
    } catch (FillingException $refused) {
        expect($refused->reason)->toBe($reason);

        return;
    }
    $this->fail('It was filled.');
})->with([
    'no oil' => [0, bottleSizes([50]), 'out_of_range'],
    'a barrel' => [20_001, bottleSizes([50]), 'out_of_range'],
    'nothing at all' => [NAN, bottleSizes([50]), 'out_of_range'],
    'thirteen sizes' => [500, bottleSizes(...array_fill(0, 13, [50])), 'too_many'],
    'a thimble' => [500, bottleSizes([0.1]), 'out_of_range'],
    'more wished for than there is oil' => [100, bottleSizes([50, null, 3]), 'too_much'],
    'more wished for than in Stores' => [500, bottleSizes([50, 2, 3]), 'short'],
    'fewer than none' => [500, bottleSizes([50, null, -1]), 'out_of_range'],
]);
