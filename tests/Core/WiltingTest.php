<?php

use Kettle\Material\MaterialException;
use Kettle\Material\Tables;
use Kettle\Material\Wilting;
use Tests\Core\Support;

function wilted(float $fresh, float $now, float $water = 0.8, ?float $hours = null): Wilting
{
    return Wilting::weighed($fresh, $now, $water, $hours, Tables::shipped());
}

/*
 * Worked by hand: the dry matter stays, so w_now = 1 - m_0 (1 - w_0) / m_now.
 *   100 g at 80 % holds 20 g of dry matter: at 80 g, 1 - 20/80 = 75 %; at 65 g, 69.23 %; at 25 g, 20 %
 *   240 g at 85 % holds 36 g: at 120 g, 70 %
 *   60 g at 65 % holds 21 g: at 42 g, 50 %
 */
it('finds the water left by weighing twice', function (float $fresh, float $now, float $water, float $left, float $lost) {
    $wilting = wilted($fresh, $now, $water);
    expect($wilting->waterNow)->toEqualWithDelta($left, 1e-4)->and($wilting->lost)->toEqualWithDelta($lost, 1e-4);
})->with([
    [100.0, 100.0, 0.8, 0.8, 0.0],
    [100.0, 80.0, 0.8, 0.75, 0.2],
    [100.0, 65.0, 0.8, 0.6923, 0.35],
    [100.0, 25.0, 0.8, 0.2, 0.75],
    [240.0, 120.0, 0.85, 0.7, 0.5],
    [60.0, 42.0, 0.65, 0.5, 0.3],
]);

it('says when it is ready', function (float $now, string $verdict) {
    expect(wilted(100, $now)->verdict)->toBe($verdict);
})->with([
    [100.0, 'not yet'],
    [90.0, 'not yet'],
    [66.0, 'not yet'],
    [65.0, 'ready'],
    [50.0, 'ready'],
    [24.0, 'ready'],
    [23.0, 'dried'],
    [21.0, 'dried'],
]);

/*
 * How much longer. At the rate so far: from 100 g to 80 g in 8 h is 2.5 g an hour, and 15 g more to 65 g is
 * 6 h. By Lewis's law with 20/0.9 = 22.22 g staying: k = ln(77.78/57.78)/8 = 0.03716 an hour, and
 * ln(57.78/42.78)/k = 8.09 h.
 */
it('foretells how much longer, by the even rate and by the drying law', function () {
    $wilting = wilted(100, 80, 0.8, 8.0);
    expect($wilting->leastHours)
        ->toEqualWithDelta(6.0, 1e-9)
        ->and($wilting->mostHours)
        ->toEqualWithDelta(8.09, 0.01)
        ->and($wilting->says())
        ->toContain('not yet')
        ->toContain('6 h to 8.1 h more');
});

it('comes out at the target when dried on by its own law', function () {
    foreach ([95.0, 90.0, 85.0, 75.0, 70.0] as $now) {
        $wilting = wilted(100, $now, 0.8, 5.0);
        $stays = 20 / 0.9;
        $rate = log((100 - $stays) / ($now - $stays)) / 5.0;
        expect($stays + ($now - $stays) * exp(-$rate * (float) $wilting->mostHours))
            ->toEqualWithDelta(65.0, 1e-9)
            // Drying slows, so the law never promises sooner than the even rate.
            ->and($wilting->mostHours)
            ->toBeGreaterThan($wilting->leastHours);
    }
});

it('says nothing of how much longer where it cannot know', function () {
    expect(wilted(100, 80)->leastHours)
        ->toBeNull()
        ->and(wilted(100, 80)->says())
        ->toEndWith('not yet.')
        ->and(wilted(100, 100, 0.8, 5.0)->leastHours)
        ->toBeNull()
        ->and(wilted(100, 60, 0.8, 5.0)->leastHours)
        ->toBeNull();
    // A plant of little water is dry before it has lost a third: it never gets there by the law.
    $bark = wilted(100, 97, 0.35, 5.0);
    expect($bark->leastHours)->not->toBeNull()->and($bark->mostHours)->toBeNull()->and($bark->says())->toContain('at least');
});

it('refuses weights that cannot be', function (float $fresh, float $now, float $water, string $says) {
    expect(fn () => wilted($fresh, $now, $water))->toThrow(MaterialException::class, $says);
})->with([
    'heavier than fresh' => [100.0, 120.0, 0.8, 'wilting only takes water away'],
    'lighter than its dry matter' => [100.0, 15.0, 0.8, 'lighter than the dry matter'],
    'nothing' => [100.0, 0.0, 0.8, 'more than nothing'],
    'nothing before' => [0.0, 10.0, 0.8, 'more than nothing'],
]);

it('reckons a wilted plan by its two weights as by its water', function () {
    $byWeights = Support::plan([
        'herb' => ['id' => 'chickweed', 'state' => 'wilted', 'amount' => '70 g', 'picked' => '100 g'],
        'oils' => ['olive'],
    ]);
    $byWater = Support::plan([
        'herb' => ['id' => 'chickweed', 'state' => 'wilted', 'amount' => '70 g', 'water' => (string) ((1 - 20 / 70) * 100)],
        'oils' => ['olive'],
    ]);
    expect($byWeights->figures['oil_volume']->number())
        ->toEqualWithDelta($byWater->figures['oil_volume']->number(), 1e-9)
        ->and($byWeights->figures['dry_equivalent']->number())
        ->toEqualWithDelta(22.2222, 0.001);
});

it('lays a wrong weight to its field', function (array $herb, string $fault) {
    expect(Support::faults(['herb' => $herb + ['id' => 'chickweed', 'state' => 'wilted']]))->toContain($fault);
})->with([
    [['amount' => '120 g', 'picked' => '100 g'], 'herb.picked: out_of_range'],
    [['picked' => '100 g'], 'herb.amount: missing'],
    [['amount' => '70 g', 'picked' => 'some'], 'herb.picked: unreadable'],
    [['amount' => '70 g', 'water' => '120'], 'herb.water: out_of_range'],
    [['amount' => '70 g', 'water' => 'wet'], 'herb.water: unreadable'],
]);
