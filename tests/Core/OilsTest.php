<?php

use Kettle\Material\Blend;
use Kettle\Material\Carrier;
use Kettle\Material\OilRanking;
use Kettle\Measure\Density;
use Tests\Core\Support;

/** @param  array<string, float>  $parts by carrier id */
function blended(array $parts): Blend
{
    return Blend::of(
        array_map(
            fn (string $id, float $each) => ['carrier' => Support::planning()->cupboard()->carrier($id), 'parts' => $each],
            array_keys($parts),
            $parts,
        ),
    );
}

/** @return list<string> ids, best first */
function order(string $purpose, float $room = 18.0, array $stock = []): array
{
    $cupboard = Support::planning()->cupboard();

    return array_map(fn (array $oil) => $oil['carrier']->id, (new OilRanking($cupboard))->for($cupboard->purpose($purpose), $room, $stock));
}

/*
 * Fatemi and Hammond 1980, by hand from the table: (18:1 + 10.3 x 18:2 + 21.6 x 18:3) / 100.
 *   olive      (75 + 82.4 + 15.12) / 100   = 1.725
 *   grapeseed  (17 + 721 + 6.48) / 100     = 7.445
 *   flaxseed   (18 + 154.5 + 1231.2) / 100 = 14.037
 *   coconut    (7 + 20.6) / 100            = 0.276
 */
it('reckons how fast an oil takes up oxygen', function (string $id, float $index) {
    expect(Support::planning()->cupboard()->carrier($id)->oxidisability())->toEqualWithDelta($index, 0.002);
})->with([['olive', 1.725], ['grapeseed', 7.445], ['flaxseed', 14.037], ['coconut', 0.276], ['coconut-fractionated', 0.0]]);

/*
 * AOCS Cd 1c-85 by hand: 0.860 x 18:1 + 1.732 x 18:2 + 2.616 x 18:3 + 0.950 x 16:1.
 *   olive      64.5 + 13.856 + 1.831 + 0.95      = 81.14
 *   grapeseed  14.62 + 121.24 + 0.785            = 136.64
 *   macadamia  49.88 + 4.33 + 0.262 + 19         = 73.47
 */
it('reckons iodine values as by hand', function (string $id, float $value) {
    expect(Support::planning()->cupboard()->carrier($id)->iodineValue())->toEqualWithDelta($value, 0.02);
})->with([['olive', 81.14], ['grapeseed', 136.64], ['macadamia', 73.47]]);

it('has fats that come to a hundred, near enough, for every oil', function () {
    foreach (Support::planning()->cupboard()->carriers() as $carrier) {
        $picture = $carrier->fattyAcids?->picture();
        if ($picture === null) {
            expect($carrier->id)->toBe('jojoba');

            continue;
        }
        expect(array_sum($picture))->toEqualWithDelta(100.0, 0.6, $carrier->id)->and($picture['other'])->toBeLessThan(8.0, $carrier->id);
    }
});

// Vegetable oils thin by about 0.00068 g/mL for each degree: from memory; the densities at both ends are published (Codex
// CXS 210 and 211, quoted from memory).
it('is within the published range at the temperature it was published for', function (string $id, float $celsius, float $low, float $high) {
    $at = Density::ofOilAt(Support::planning()->cupboard()->carrier($id)->at20->gramsPerMl, $celsius)->gramsPerMl;
    expect($at)
        ->toBeGreaterThanOrEqual($low - 0.0005)
        ->toBeLessThanOrEqual($high + 0.0005);
})->with([
    'olive, 20' => ['olive', 20.0, 0.91, 0.916],
    'sunflower, 20' => ['sunflower', 20.0, 0.918, 0.923],
    'high-oleic sunflower, 25' => ['sunflower-high-oleic', 25.0, 0.909, 0.915],
    'rapeseed, 20' => ['rapeseed', 20.0, 0.914, 0.92],
    'soybean, 20' => ['soybean', 20.0, 0.919, 0.925],
    'groundnut, 20' => ['groundnut', 20.0, 0.909, 0.913],
    'coconut, 40' => ['coconut', 40.0, 0.908, 0.921],
    'lard, 40' => ['lard', 40.0, 0.896, 0.904],
    'sesame, 20' => ['sesame', 20.0, 0.915, 0.924],
    'flaxseed, 20' => ['flaxseed', 20.0, 0.925, 0.935],
]);

it('is the one oil when blended of one', function (string $id) {
    $oil = Support::planning()->cupboard()->carrier($id);
    $blend = blended([$id => 3.0]);
    expect($blend->density(20)->gramsPerMl)
        ->toEqualWithDelta($oil->at20->gramsPerMl, 1e-12)
        ->and($blend->iodineValue())
        ->toEqualWithDelta((float) $oil->iodineValueOrPublished(), 1e-9)
        ->and($blend->setsBelow())
        ->toEqual(['low' => $oil->setsBelowC, 'value' => $oil->setsBelowC, 'high' => $oil->setsBelowC])
        ->and($blend->allergens())
        ->toBe($oil->food->allergens)
        ->and($blend->name())
        ->toBe($oil->name);
    $oil->oxidisability() === null
        ? expect($blend->oxidisability())->toBeNull()
        : expect($blend->oxidisability())->toEqualWithDelta($oil->oxidisability(), 1e-12);
})->with(fn () => array_map(fn (string $id) => [$id], array_keys(Support::planning()->cupboard()->carriers())));

it('lies between its oils in everything, and splits as it is shared', function (string $a, string $b) {
    $one = blended([$a => 1.0]);
    $other = blended([$b => 1.0]);
    foreach ([0.1, 0.5, 2.0, 9.0] as $parts) {
        $both = blended([$a => 1.0, $b => $parts]);
        foreach (
            [
                fn (Blend $x) => $x->density(20)->gramsPerMl,
                fn (Blend $x) => (float) $x->iodineValue(),
                fn (Blend $x) => $x->setsBelow()['value'],
            ] as $of
        ) {
            expect($of($both))
                ->toBeGreaterThanOrEqual(min($of($one), $of($other)) - 1e-9)
                ->toBeLessThanOrEqual(max($of($one), $of($other)) + 1e-9);
        }
        expect(array_sum(array_column($both->massShares(), 'share')))
            ->toEqualWithDelta(1.0, 1e-12)
            ->and(array_sum($both->picture()))
            ->toEqualWithDelta(100.0, 1.0);
    }
})->with([['olive', 'jojoba'], ['coconut', 'sunflower'], ['flaxseed', 'castor'], ['shea', 'grapeseed']]);

/*
 * By hand, two parts sunflower (0.920) and one of jojoba (0.866) by volume: 1.840 and 0.866 g of 2.706, so
 * 68.0 and 32.0 % by weight; iodine value 0.680 x 130.88 + 0.320 x 84 = 115.87.
 */
it('blends iodine values by weight, as by hand', function () {
    expect(blended(['sunflower' => 2.0, 'jojoba' => 1.0])->iodineValue())->toEqualWithDelta(115.87, 0.05);
});

it('carries every allergen of every oil, once', function () {
    expect(blended(['sweet-almond' => 1.0, 'hazelnut' => 1.0, 'sesame' => 1.0, 'olive' => 5.0])->allergens())->toBe([
        'almond (tree nuts)',
        'hazelnut (tree nuts)',
        'sesame',
    ]);
});

it('orders for a purpose as a cook would', function (string $purpose, string $better, string $worse) {
    $order = order($purpose);
    expect(array_search($better, $order, true))->toBeLessThan(array_search($worse, $order, true));
})->with([
    'perfume wants no smell and long keeping' => ['perfume', 'jojoba', 'hemp-seed'],
    'perfume again' => ['perfume', 'coconut-fractionated', 'olive'],
    'the face wants it light' => ['face', 'jojoba', 'avocado'],
    'the face wants it liquid' => ['face', 'camellia', 'shea'],
    'a salve does not mind a hard fat' => ['salve', 'mango-butter', 'grapeseed'],
    'what keeps before what does not' => ['skin', 'sunflower-high-oleic', 'sunflower'],
    'massage is for anybody, so no nuts' => ['massage', 'camellia', 'hazelnut'],
    'the kitchen wants it liquid' => ['kitchen', 'olive', 'lard'],
    'rancid early is last for the skin' => ['skin', 'olive', 'flaxseed'],
]);

it('leaves out of the kitchen what is no food', function () {
    $order = order('kitchen');
    foreach (Support::planning()->cupboard()->carriers() as $carrier) {
        expect(in_array($carrier->id, $order, true))->toBe($carrier->food->gradeExists, $carrier->id);
    }
});

it('puts forward what is in the cupboard, and back what is dear', function () {
    $without = array_search('rice-bran', order('skin'), true);
    $with = array_search('rice-bran', order('skin', 18.0, ['rice-bran' => ['ml' => 500.0, 'price' => null]]), true);
    expect($with)->toBeLessThan($without);
    $stock = ['olive' => ['ml' => 500.0, 'price' => 1.0], 'camellia' => ['ml' => 500.0, 'price' => 8.0]];
    $cheap = array_search('camellia', order('skin', 18.0, [...$stock, 'camellia' => ['ml' => 500.0, 'price' => 1.0]]), true);
    $dear = array_search('camellia', order('skin', 18.0, $stock), true);
    expect($dear)->toBeGreaterThanOrEqual($cheap);
});

it('minds the warmth of the room', function () {
    $cupboard = Support::planning()->cupboard();
    $marks = fn (float $room) => array_column(
        array_map(
            fn (array $oil) => ['id' => $oil['carrier']->id, 'state' => $oil['marks']['state']],
            (new OilRanking($cupboard))->for($cupboard->purpose('face'), $room),
        ),
        'state',
        'id',
    );
    expect($marks(18.0)['coconut'])->toBe(0.0)->and($marks(28.0)['coconut'])->toBe(1.0)->and($marks(18.0)['olive'])->toBe(1.0);
});

it('says why, and keeps every mark and score within bounds', function () {
    $cupboard = Support::planning()->cupboard();
    foreach ($cupboard->purposes() as $purpose) {
        foreach ((new OilRanking($cupboard))->for($purpose, 18.0, ['olive' => ['ml' => 100.0, 'price' => 2.0]]) as $oil) {
            expect($oil['score'])->toBeGreaterThanOrEqual(0.0)->toBeLessThanOrEqual(1.0)->and($oil['reasons'])->not->toBe([]);
            foreach ($oil['marks'] as $mark) {
                expect($mark)->toBeGreaterThanOrEqual(0.0)->toBeLessThanOrEqual(1.0);
            }
            foreach ($oil['reasons'] as $reason) {
                expect($reason)->toMatch('/^[A-Z].*\.$/u');
            }
        }
    }
});

it('asks of a solid fat that it be warmed, by the room it stands in', function (float $room, bool $solid) {
    $faults = [];
    try {
        Support::plan(['oils' => ['coconut'], 'method' => 'cold'], ['room_c' => $room]);
    } catch (Kettle\Recipe\WishException $refused) {
        $faults = array_column($refused->faults, 'reason');
    }
    expect(in_array('solid_oil', $faults, true))->toBe($solid);
})->with([[18.0, true], [23.5, true], [24.0, false], [27.0, false]]);

it('warns of rags when the blend dries in air, and says what was left out', function () {
    $drying = Support::plan(['oils' => [['id' => 'flaxseed', 'parts' => '3'], ['id' => 'jojoba']], 'method' => 'slow-cooker']);
    expect(array_column($drying->notes, 'id'))
        ->toContain('rags')
        ->and(Support::said($drying->figures['iodine_value']->reasons[0]->inputs['dries']))
        ->toContain('Over 130')
        ->and(Support::said($drying->figures['oxidisability']->reasons[0]->inputs['wax']))
        ->toContain('left out')
        ->and($drying->figures['sets_below']->low)
        ->toBe(-20.0)
        ->and($drying->figures['sets_below']->high)
        ->toBe(10.0);
    $calm = Support::plan(['oils' => ['olive']]);
    expect(array_column($calm->notes, 'id'))
        ->not->toContain('rags')
        ->and(Support::said($calm->figures['iodine_value']->reasons[0]->inputs['dries']))
        ->toContain('Under 130');
});

it('keeps the carrier’s own value where no fats are known', function () {
    $jojoba = Support::planning()->cupboard()->carrier('jojoba');
    expect($jojoba)
        ->toBeInstanceOf(Carrier::class)
        ->and($jojoba->iodineValue())
        ->toBeNull()
        ->and($jojoba->iodineValueOrPublished())
        ->toBe(84.0);
});
