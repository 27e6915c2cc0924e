<?php

use Kettle\Infusion\Uptake;
use Kettle\Material\Tables;
use Kettle\Recipe\Again;
use Kettle\Recipe\Plan;
use Kettle\Recipe\WishException;
use Tests\Core\Support;

/*
 * A plan from any side: jar, herb, oil, both, what is to come out, bottles, the jar way, a past batch.
 */
function figure(Plan $plan, string $id): float
{
    return $plan->figures[$id]->number();
}

it('gives back the start, solved for any unknown', function (array $herb, string $ratio, string $basis) {
    $base = [
        'herbs' => [$herb + ['amount' => '40 g']],
        'oils' => [['id' => 'olive', 'parts' => '2'], ['id' => 'jojoba', 'parts' => '1']],
        'ratio' => $ratio,
        'basis' => $basis,
    ];
    $first = Support::plan($base);
    $fromOil = Support::plan([...$base, 'herbs' => [$herb], 'oil_amount' => figure($first, 'oil_volume').' mL']);
    $fromYield = Support::plan([
        ...$base,
        'herbs' => [$herb],
        'finished' => ['amount' => figure($first, 'yield_volume').' mL', 'sure' => 'evens'],
    ]);
    $fromBoth = Support::plan(array_diff_key([...$base, 'oil_amount' => figure($first, 'oil_volume').' mL'], ['ratio' => 1]));
    expect(figure($fromOil, 'herb_mass'))
        ->toEqualWithDelta(40.0, 1e-6)
        ->and(figure($fromYield, 'herb_mass'))
        ->toEqualWithDelta(40.0, 1e-6)
        ->and(figure($fromYield, 'oil_volume'))
        ->toEqualWithDelta(figure($first, 'oil_volume'), 1e-6)
        ->and(figure($fromBoth, 'oil_volume') / figure($fromBoth, 'herb_mass'))
        ->toEqualWithDelta(figure($first, 'oil_volume') / 40.0, 1e-9);
})->with([
    'weighed' => [['id' => 'marshmallow-root'], '1:5', 'dry'],
    'leaner' => [['id' => 'self-heal'], '1:7', 'dry'],
    'weight to weight' => [['id' => 'self-heal'], '1:6 w/w', 'dry'],
    'by volume' => [['id' => 'marshmallow-root'], '1:2 v/v', 'dry'],
    'wilted, as if dry' => [['id' => 'chickweed', 'state' => 'wilted', 'water' => '70'], '1:14', 'dry'],
    'wilted, as it lies' => [['id' => 'chickweed', 'state' => 'wilted', 'water' => '70'], '1:5', 'as-it-lies'],
    'fresh, as it lies' => [['id' => 'st-johns-wort', 'state' => 'fresh'], '1:4', 'as-it-lies'],
    'tea bags' => [['id' => 'turmeric', 'form' => 'tea-bag'], '1:6', 'dry'],
]);

it('says weight to weight and by volume as they are', function () {
    $weight = Support::plan(['herb' => ['id' => 'marshmallow-root', 'amount' => '50 g'], 'ratio' => '1:5 w/w']);
    // 250 g of sunflower at 0.920 g/mL.
    expect(figure($weight, 'oil_mass'))
        ->toEqualWithDelta(250.0, 1e-6)
        ->and(figure($weight, 'oil_volume'))
        ->toEqualWithDelta(271.739, 0.001);
    $volume = Support::plan(['herb' => ['id' => 'marshmallow-root', 'amount' => '50 g'], 'ratio' => '1:2 v/v']);
    // 50 g of cut root lying loose at 0.40 g/mL is 125 mL; twice that is 250 mL.
    expect(figure($volume, 'oil_volume'))->toEqualWithDelta(250.0, 1e-6);
});

it('makes enough nine times in ten, and no more than that asks for', function (string $herb, string $way) {
    $plan = Support::plan(['herb' => ['id' => $herb], 'finished' => ['amount' => '300 mL'], 'way' => $way]);
    $uptake = Uptake::by($way, Tables::shipped());
    // The tenth part of a normal lies 1.2816 deviations below its middle (handbook table of the normal distribution).
    $tenth = figure($plan, 'oil_volume') - ($uptake->mlPerGram + 1.2816 * $uptake->sd) * figure($plan, 'herb_mass') - $uptake->lossesMl;
    expect($tenth)->toEqualWithDelta(300.0, 1e-6);
    $evens = Support::plan(['herb' => ['id' => $herb], 'finished' => ['amount' => '300 mL', 'sure' => 'evens'], 'way' => $way]);
    expect(figure($evens, 'yield_volume'))
        ->toEqualWithDelta(300.0, 1e-6)
        ->and(figure($evens, 'oil_volume'))
        ->toBeLessThan(figure($plan, 'oil_volume'));
})->with([['marshmallow-root', 'squeezed'], ['marshmallow-root', 'drained'], ['self-heal', 'pressed'], ['linden-blossom', 'squeezed']]);

/*
 * The same by throwing dice: of many batches whose herb keeps u ~ N(1.2, 0.35) mL in each gram, nine in
 * ten must fill the six bottles.
 */
it('fills six bottles nine times in ten when it is tried', function () {
    $plan = Support::plan(['herb' => ['id' => 'marshmallow-root'], 'finished' => ['count' => '6', 'size' => '50 mL']]);
    mt_srand(7);
    $enough = 0;
    for ($i = 0; $i < 20_000; $i++) {
        $normal = sqrt(-2 * log((mt_rand() + 1) / (mt_getrandmax() + 2))) * cos((2 * M_PI * mt_rand()) / mt_getrandmax());
        $enough += figure($plan, 'oil_volume') - (1.2 + 0.35 * $normal) * figure($plan, 'herb_mass') - 5 >= 300 ? 1 : 0;
    }
    expect($enough / 20_000)
        ->toBeGreaterThan(0.89)
        ->toBeLessThan(0.91)
        ->and(Support::said($plan->sentenceText()))
        ->toStartWith('Enough for six bottles of 50 mL, in a ');
});

/*
 * The jar way, by hand, for self-heal (thin leaf: 0.13 loose, 0.20 settled, 1.3 g/mL of its own) in a pint
 * jar, 505 mL and 118 mm, 4279.66 mm2 across, filled half and covered by 25 mm:
 *   herb    59 mm x 4279.66 / 1000 x 0.13       = 32.825 g
 *   bed     32.825 / 0.20 = 164.125 mL          = 38.35 mm
 *   level   38.35 + 25                          = 63.35 mm = 271.117 mL
 *   oil     271.117 - 32.825 / 1.3              = 245.867 mL, which is 1:7.49
 */
it('weighs the jar way', function () {
    $plan = Support::plan(['herb' => ['id' => 'self-heal'], 'jar' => '473', 'by_jar' => ['fill' => 'half', 'cover' => '25 mm']]);
    expect(figure($plan, 'herb_mass'))
        ->toEqualWithDelta(32.825, 0.001)
        ->and(figure($plan, 'bed_height'))
        ->toEqualWithDelta(38.35, 0.001)
        ->and(figure($plan, 'level_height'))
        ->toEqualWithDelta(63.35, 0.001)
        ->and(figure($plan, 'oil_volume'))
        ->toEqualWithDelta(245.867, 0.01)
        ->and(figure($plan, 'cover'))
        ->toEqualWithDelta(25.0, 1e-9)
        ->and($plan->amounts->ratio->parts)
        ->toEqualWithDelta(7.49, 0.01)
        ->and(Support::said($plan->sentenceText()))
        ->toStartWith('A pint jar, half full and covered by 25 mm: self-heal oil');
});

it('fills and covers as far as is said, for every fill that has room', function (string $fill, float $share) {
    foreach (['237', '473', '946', '1893'] as $jar) {
        foreach (['self-heal', 'linden-blossom', 'marshmallow-root'] as $herb) {
            try {
                $plan = Support::plan(['herb' => ['id' => $herb], 'jar' => $jar, 'by_jar' => ['fill' => $fill, 'cover' => '1 in']]);
            } catch (WishException $refused) {
                expect($refused->faults[0]['reason'])->toBe('herb_stands_out');

                continue;
            }
            expect(figure($plan, 'dry_fill_height'))
                ->toEqualWithDelta($share * $plan->amounts->jar->heightMm, 1e-6)
                ->and(figure($plan, 'cover'))
                ->toEqualWithDelta(25.4, 1e-6);
        }
    }
})->with([['quarter', 0.25], ['third', 1 / 3], ['half', 0.5], ['two-thirds', 2 / 3], ['three-quarters', 0.75], ['full', 1.0]]);

it('shares between jars alike what is wanted of all together', function () {
    $one = Support::plan(['jar' => '473']);
    $three = Support::plan(['jar' => '473', 'jars' => '3']);
    foreach (['herb_mass', 'oil_volume', 'oil_mass'] as $id) {
        expect(figure($three, $id))->toEqualWithDelta(3 * figure($one, $id), 1e-9);
    }
    foreach (['level_height', 'bed_height', 'cover', 'headspace', 'dry_fill_height'] as $id) {
        expect(figure($three, $id))->toEqualWithDelta(figure($one, $id), 1e-9);
    }
    expect(Support::said($three->sentenceText()))->toStartWith('Three pint jars of marshmallow root oil');
    $chosen = Support::plan(['herb' => ['id' => 'marshmallow-root', 'amount' => '900 g']]);
    expect($chosen->amounts->jars)
        ->toBe(3)
        ->and($chosen->amounts->jar->id)
        ->toBe('1893')
        ->and($chosen->amounts->levels->headspaceMm())
        ->toBeGreaterThanOrEqual(10.0);
});

it('takes several herbs by parts, by weights, or one weighed', function () {
    $parts = Support::plan([
        'herbs' => [['id' => 'calendula', 'parts' => '2'], ['id' => 'self-heal'], ['id' => 'rosemary', 'parts' => '1/2']],
        'oil_amount' => '400 mL',
        'ratio' => '1:7',
    ]);
    $whole = figure($parts, 'herb_mass');
    expect(figure($parts, 'herb_mass.0') / $whole)
        ->toEqualWithDelta(2 / 3.5, 1e-9)
        ->and(figure($parts, 'herb_mass.0') + figure($parts, 'herb_mass.1') + figure($parts, 'herb_mass.2'))
        ->toEqualWithDelta($whole, 1e-9)
        ->and(Support::said($parts->name()))
        ->toBe('Calendula, self-heal and rosemary in sunflower oil')
        ->and(Support::said($parts->sentenceText()))
        ->toContain('calendula, self-heal and rosemary (two to one to 0.5) oil for');
    $weighed = Support::plan(['herbs' => [['id' => 'calendula', 'amount' => '30 g'], ['id' => 'self-heal', 'amount' => '1 oz']]]);
    expect(figure($weighed, 'herb_mass'))
        ->toEqualWithDelta(58.349523125, 1e-9)
        ->and(figure($weighed, 'herb_mass.1'))
        ->toEqualWithDelta(28.349523125, 1e-9);
    $one = Support::plan(['herbs' => [['id' => 'calendula', 'amount' => '30 g', 'parts' => '2'], ['id' => 'self-heal']]]);
    expect(figure($one, 'herb_mass'))->toEqualWithDelta(45.0, 1e-9);
});

it('counts tea bags', function () {
    $plan = Support::plan(['herb' => ['id' => 'turmeric', 'form' => 'tea-bag', 'amount' => '12 bags']]);
    // Two grams in a bag: common practice, no source.
    expect(figure($plan, 'herb_mass'))->toBe(24.0)->and($plan->wish->variant->id)->toBe('two-weeks');
    expect(Support::faults(['herb' => ['id' => 'calendula', 'amount' => '12 bags']]))->toBe(['herb.amount: unreadable']);
});

it('scales: a plan twice as large is twice as large in every weight and volume', function (array $wish) {
    $one = Support::plan($wish + ['oil_amount' => '200 mL']);
    $two = Support::plan($wish + ['oil_amount' => '400 mL']);
    foreach ($one->figures as $id => $figure) {
        if (in_array($figure->unit, ['g', 'mL'], true) && $id !== 'yield_volume') {
            expect(figure($two, $id))->toEqualWithDelta(2 * $figure->number(), 1e-9, $id);
        }
    }
    // Sediment and cloth take the same of both.
    expect(figure($two, 'yield_volume') + 5)->toEqualWithDelta(2 * (figure($one, 'yield_volume') + 5), 1e-9);
})->with([
    [[]],
    [
        [
            'herbs' => [['id' => 'calendula', 'parts' => '3'], ['id' => 'yarrow']],
            'oils' => [['id' => 'olive', 'parts' => 3], ['id' => 'sesame', 'parts' => 1], ['id' => 'jojoba', 'parts' => 2]],
        ],
    ],
    [['herb' => ['id' => 'chickweed', 'state' => 'fresh'], 'oils' => ['olive']]],
]);

it('makes a past batch again, as it was, scaled, or of another size', function (array $wish) {
    $plan = Support::plan($wish);
    $document = json_decode((string) json_encode(Support::planning()->document($plan, Support::kitchen())), true);
    $same = Support::plan(Again::wish($plan->wish->asked->document, $document, 1.0));
    $twice = Support::plan(Again::wish($plan->wish->asked->document, $document, 2.0));
    $open = Again::wish($plan->wish->asked->document, $document);
    // As it was is as it was written, to the last gram.
    expect(figure($same, 'herb_mass'))
        ->toEqualWithDelta(figure($plan, 'herb_mass'), 1e-9)
        ->and(figure($same, 'oil_volume'))
        ->toEqualWithDelta(figure($plan, 'oil_volume'), 1e-9)
        ->and(figure($twice, 'herb_mass'))
        ->toEqualWithDelta(2 * figure($plan, 'herb_mass'), 0.01 * figure($twice, 'herb_mass'))
        ->and($open)
        ->not->toHaveKeys(['oil_amount', 'finished', 'by_jar', 'jar', 'start', 'ready_by'])
        ->and(array_column($open['herbs'], 'amount'))
        ->toBe([]);
    $reopened = Support::plan([...$open, 'oil_amount' => '300 mL']);
    expect(figure($reopened, 'oil_volume') / figure($reopened, 'herb_mass'))->toEqualWithDelta(
        figure($plan, 'oil_volume') / figure($plan, 'herb_mass'),
        0.02,
    );
})->with([
    'a jar' => [['jar' => '473']],
    'weighed' => [['herb' => ['id' => 'self-heal', 'amount' => '40 g'], 'oil_amount' => '250 mL']],
    'the jar way' => [['herb' => ['id' => 'self-heal'], 'jar' => '473', 'by_jar' => ['fill' => 'half']]],
    'bottles' => [['finished' => ['count' => '4', 'size' => '50 mL'], 'ready_by' => '2027-01-31']],
    'herbs by weight' => [
        ['herbs' => [['id' => 'calendula', 'amount' => '20 g'], ['id' => 'self-heal', 'amount' => '35 g']], 'oils' => ['olive']],
    ],
    'wilted' => [['herb' => ['id' => 'chickweed', 'state' => 'wilted', 'amount' => '70 g', 'picked' => '100 g'], 'oils' => ['olive']]],
]);

it('refuses to scale a batch out of the kitchen', function (float $times) {
    expect(fn () => Again::wish(['oils' => ['olive']], [], $times))->toThrow(WishException::class, 'twentieth');
})->with([[0.0], [-2.0], [50.0]]);

it('refuses a side that cannot be', function (array $wish, string $fault) {
    expect(Support::faults($wish))->toContain($fault);
})->with([
    'parts that add to nothing' => [
        ['herbs' => [['id' => 'calendula', 'parts' => '0'], ['id' => 'self-heal', 'parts' => '0']]],
        'herbs: out_of_range',
    ],
    'parts that are no number' => [
        ['herbs' => [['id' => 'calendula', 'parts' => 'lots'], ['id' => 'self-heal']]],
        'herbs.0.parts: unreadable',
    ],
    'some weighed' => [
        ['herbs' => [['id' => 'calendula', 'amount' => '10 g'], ['id' => 'self-heal', 'amount' => '10 g'], ['id' => 'yarrow']]],
        'herbs: disagree',
    ],
    'the same herb twice' => [['herbs' => [['id' => 'calendula'], ['id' => 'calendula']]], 'herbs: twice'],
    'thirteen herbs' => [
        ['herbs' => array_map(fn (int $each) => ['name' => "herb {$each}", 'form' => 'root'], range(1, 13))],
        'herbs: out_of_range',
    ],
    'thirteen oils' => [
        [
            'oils' => [
                ...['olive', 'sunflower', 'sesame', 'jojoba', 'castor', 'avocado', 'argan'],
                ...['grapeseed', 'hazelnut', 'walnut', 'moringa', 'baobab', 'marula'],
            ],
        ],
        'oils: out_of_range',
    ],
    'an unknown second herb' => [['herbs' => [['id' => 'calendula'], ['id' => 'triffid']]], 'herbs.1: unknown'],
    'no bottles' => [['finished' => ['count' => '0', 'size' => '50 mL']], 'finished.count: out_of_range'],
    'half a bottle' => [['finished' => ['count' => '2.5', 'size' => '50 mL']], 'finished.count: out_of_range'],
    'bottles of no size' => [['finished' => ['count' => '3']], 'finished.size: missing'],
    'bottles by weight' => [['finished' => ['count' => '3', 'size' => '50 g']], 'finished.size: wrong_kind'],
    'finished by word' => [['finished' => 'much'], 'finished: unreadable'],
    'a sea of it' => [['finished' => ['amount' => '300 L']], 'finished: too_much'],
    'two sides at once' => [['finished' => ['amount' => '300 mL'], 'oil_amount' => '300 mL'], 'finished: disagree'],
    'the jar way and a weight' => [
        ['by_jar' => ['fill' => 'half'], 'herb' => ['id' => 'calendula', 'amount' => '20 g']],
        'by_jar: disagree',
    ],
    'brimming over' => [['by_jar' => ['fill' => 'heaped']], 'by_jar.fill: unknown'],
    'a cover of nothing' => [['by_jar' => ['fill' => 'half', 'cover' => '0 mm']], 'by_jar: not_above_zero'],
    'a cover by weight' => [['by_jar' => ['fill' => 'half', 'cover' => '20 g']], 'by_jar: wrong_kind'],
    'no jars' => [['jars' => '0'], 'jars: out_of_range'],
    'a hundred jars' => [['jars' => '100'], 'jars: out_of_range'],
    'a basis of its own' => [['basis' => 'damp'], 'basis: unknown'],
    'a way of its own' => [['way' => 'wrung'], 'way: unknown'],
    'so thick that nothing comes out' => [['ratio' => '1:1', 'finished' => ['amount' => '100 mL']], 'ratio: too_thick'],
    'a dried herb in the pan' => [['method' => 'gentle-pan'], 'method: not_for_this'],
    'wet herb in a closed bath' => [
        ['herb' => ['id' => 'chickweed', 'state' => 'fresh'], 'method' => 'water-bath', 'oils' => ['olive']],
        'method: not_for_this',
    ],
    'lard for the salad, cold' => [['oils' => ['lard'], 'method' => 'cold'], 'method: solid_oil'],
    'butter that is no food' => [['oils' => ['shea'], 'method' => 'slow-cooker', 'purpose' => 'kitchen'], 'oils: not_for_the_kitchen'],
    'wilted garlic for the kitchen' => [['herb' => ['id' => 'garlic', 'state' => 'wilted'], 'purpose' => 'kitchen'], 'purpose: botulism'],
]);
