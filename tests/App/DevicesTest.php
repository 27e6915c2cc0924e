<?php

use App\Devices\SimulatedScale;

it('swings when something is put on it, and comes to rest at the same gram', function () {
    $scale = new SimulatedScale();
    $shown = fn (float $since) => $scale->reads(412, 0, $since, 412);
    expect($shown(0.1)['stable'])->toBeFalse()->and($shown(2.0))->toBe($shown(60.0))->and($shown(2.0)['grams'])->toBe(413.0);
    $swings = array_map(fn (int $tenth) => abs($shown($tenth / 10)['grams'] - 413), range(1, 19));
    expect(max($swings))->toBeGreaterThan(2)->and(max(array_slice($swings, 15)))->toBeLessThan(max($swings));
});

it('is out by the same share of whatever it weighs, to the gram, and takes a tare off', function (float $load) {
    $scale = new SimulatedScale();
    expect($scale->reads($load, 0, 10, 1)['grams'])
        ->toBe(round($load * 1.002))
        ->and($scale->reads($load, $load, 10, 1)['grams'])
        ->toEqualWithDelta(0, 0.5)
        ->and(round($scale->reads($load + 250, $load, 10, 1)['grams']))
        ->toEqualWithDelta(250.5, 0.6);
})->with([[0.0], [3.2], [412.0], [1999.0], [4700.0]]);

it('says too heavy, and nothing else, over five kilograms', function () {
    $scale = new SimulatedScale();
    expect($scale->reads(5000, 0, 10, 1)['over'])
        ->toBeFalse()
        ->and($scale->reads(5001, 0, 0.1, 1))
        ->toBe(['grams' => 0.0, 'stable' => true, 'over' => true]);
});
