<?php

use Kettle\Batch\Entry;
use Kettle\Batch\Line\Line;
use Kettle\Batch\Logbook;
use Kettle\Making\FrozenProduct;
use Kettle\Making\Hand;
use Kettle\Making\Line\StepDone;
use Kettle\Making\Line\Stirred;
use Kettle\Making\MakingException;
use Kettle\Making\MakingState;
use Kettle\Material\Tables;
use Kettle\Melt\House;
use Kettle\Melt\Melting;
use Kettle\Melt\MeltTable;
use Kettle\Melt\ProductDocument;
use Kettle\Recipe\KitchenReader;
use Kettle\Recipe\Planning;
use Kettle\Recipe\Words;
use Tests\Core\Melted;

const LEAFY = ['product' => 'ointment', 'leaf' => ['id' => 'plantain-leaf', 'amount' => '40 g'], 'tins' => [['ml' => 60, 'count' => 3]]];

/** An ointment with leaf in it, frozen as it would be begun. */
function leafy(array $more = []): FrozenProduct
{
    $tables = Tables::shipped();
    $kitchen = KitchenReader::read(
        ['now' => '2026-11-24T10:00:00+00:00', 'time_zone' => 'Europe/London', 'measures' => 'us'],
        new DateTimeImmutable('2026-11-24T10:00:00Z'),
        $tables,
    );
    $house = new House($kitchen);
    $plan = (new Melting($tables))->plan($more + LEAFY, $house);
    $record = (new ProductDocument(new Planning($tables), $kitchen, MeltTable::of($tables)))->record($plan);

    return FrozenProduct::of(json_decode(json_encode(FrozenProduct::keep($plan, $record, $house, 0.03)), true));
}

/** @param  array<string, Line>  $lines by the hour they were written, H:i */
function leafState(FrozenProduct $plan, array $lines): MakingState
{
    $entries = [];
    foreach ($lines as $at => $line) {
        $entries[] = new Entry("e{$at}", new DateTimeImmutable("2026-11-24T{$at}:00Z"), 'Isa', $line);
    }

    return MakingState::of($plan, new Logbook($entries));
}

it('stirs in fresh leaf, keeps it just liquid for one to two hours, and sieves it warm', function () {
    $told = Melted::ask(LEAFY);
    $steps = array_column($told['steps'], 'says', 'id');
    expect(array_keys($steps))
        ->toBe(['dry', 'weigh.olive', 'weigh.beeswax', 'melt', 'leaf', 'sieve', 'spoon', 'pour', 'set', 'wipe', 'label'])
        // Common practice, no source: one to two hours, never boiling.
        ->and($steps['leaf'])
        ->toContain('1 h to 2 h')
        ->toContain('never boils')
        ->and($told['text'])
        ->toContain('40 g of fresh plantain leaf stirred in')
        ->and($told['leaf']['ceiling_c'])
        ->toBeLessThan(100)
        ->and($told['leaf']['low_c'])
        ->toBeGreaterThan(30)
        // Two to three months with fresh plant in it: common practice, no source.
        ->and($told['figures']['best_before']['value'])
        ->toBe('2027-02-24')
        ->and($told['ingredients']['inci'])
        ->toContain('Plantago lanceolata Extract')
        ->and(array_column($told['cautions'], 'id'))
        ->toContain('leaf-in-it');
});

it('makes so much more that the tins are full when the leaf has kept its share', function () {
    $without = Melted::ask(array_diff_key(LEAFY, ['leaf' => 1]));
    $with = Melted::ask(LEAFY);
    $held = $with['figures']['held_volume']['value'];
    expect($held)
        ->toBeGreaterThan(1)
        ->and($with['figures']['total_volume']['value'] - $without['figures']['total_volume']['value'])
        ->toEqualWithDelta($held, 0.01)
        ->and($with['tins']['count'])
        ->toBe(3)
        ->and($with['tins']['left_ml'])
        ->toEqualWithDelta($without['tins']['left_ml'], 0.01);
    // By hand: fresh leaf is at most a fifth dry matter (USDA FoodData Central, raw herbs: 75 to 88 % water), and a gram of that
    // keeps about a millilitre pressed in a cloth (from memory).
    expect($held)->toBeLessThan(40 * 0.25 * 2 + 6);
});

it('refuses what is no fresh leaf', function (array $asked, string $fault) {
    expect(Melted::faults($asked + LEAFY))->toContain($fault);
})->with([
    'a plant nobody knows' => [['leaf' => ['id' => 'moonwort', 'amount' => '40 g']], 'leaf: unknown'],
    'dried' => [['leaf' => ['id' => 'plantain-leaf', 'amount' => '40 g', 'state' => 'dried']], 'leaf.state: dry_leaf'],
    'of no weight' => [['leaf' => ['id' => 'plantain-leaf']], 'leaf.amount: missing'],
    'of no sense' => [['leaf' => ['id' => 'plantain-leaf', 'amount' => 'some']], 'leaf.amount: unreadable'],
    'more than all of it' => [
        ['leaf' => ['id' => 'plantain-leaf', 'amount' => '2 kg'], 'total' => '100 g', 'tins' => [['ml' => 60]]],
        'leaf.amount: too_much',
    ],
    'in what is not melted' => [['product' => 'waxless-balm', 'oils' => ['olive'], 'butters' => []], 'leaf: no_leaf'],
    'in a hair oil' => [['product' => 'hair-oil'], 'leaf: no_leaf'],
    'in a cream' => [['product' => 'cream'], 'leaf: no_leaf'],
    'in a dressing' => [['product' => 'dressing'], 'leaf: no_leaf'],
]);

it('watches the leaf by the clock, and no hour of it moves later', function () {
    $plan = leafy();
    $state = leafState($plan, ['10:00' => new StepDone('melt', 66.0), '10:10' => new StepDone('leaf', 55.0)]);
    $clock = fn (DateTimeImmutable $at): string => $at->format('H:i');
    expect($state->leaf)
        ->not->toBeNull()
        ->and($clock($state->leaf->stirBy))
        ->toBe('10:25')
        ->and($clock($state->leaf->sieveFrom))
        ->toBe('11:10')
        ->and($clock($state->leaf->sieveBy))
        ->toBe('12:10')
        ->and($state->leaf->isTooWarm())
        ->toBeFalse();
    // Stirred late, too warm: what it is sieved by stays.
    $late = leafState($plan, [
        '10:10' => new StepDone('leaf'),
        '11:55' => new Stirred(88.0),
        '12:05' => new Stirred(),
    ]);
    expect($clock($late->leaf->stirBy))
        ->toBe('12:10')
        ->and($clock($late->leaf->sieveBy))
        ->toBe('12:10')
        ->and($late->leaf->isTooWarm())
        ->toBeTrue();
});

it('loses with the leaf what is missing from the scale, or what such a leaf keeps', function () {
    $plan = leafy();
    $before = leafState($plan, ['10:10' => new StepDone('leaf')])->pot;
    $expected = leafState($plan, ['10:10' => new StepDone('leaf'), '11:30' => new StepDone('sieve')])->pot;
    expect($before->ml - $expected->ml)
        ->toEqualWithDelta($plan->leaf->heldMl, 0.01)
        ->and($expected->firmness)
        ->toEqualWithDelta($before->firmness, 1e-6);
    $weighed = leafState($plan, ['10:10' => new StepDone('leaf'), '11:30' => new StepDone('sieve', null, 150.0)]);
    expect($weighed->pot->massG)->toEqualWithDelta(150.0, 0.001)->and($weighed->leaf)->toBeNull();
    // Sieved without a leaf, nothing is lost.
    expect(leafState($plan, ['11:30' => new StepDone('sieve')])->pot->massG)->toEqualWithDelta($before->massG, 1e-6);
});

it('lets nothing be tried, mended or poured while the leaf is in it, and nothing be sieved before', function () {
    $plan = leafy();
    $words = new Words(KitchenReader::read([], new DateTimeImmutable('2026-11-24T10:00:00Z'), Tables::shipped()));
    $hand = fn (array $lines): Hand => new Hand(leafState($plan, $lines), $words);
    $in = ['10:10' => new StepDone('leaf')];
    foreach (
        [
            fn () => $hand($in)->spoon('right', 'plainly', null, 0.0),
            fn () => $hand($in)->mend(null, 5.0, true),
            fn () => $hand($in)->pour([['ml' => 60.0, 'holds_ml' => 57.0, 'count' => 3]], null, ''),
            fn () => $hand([])->step('sieve', null),
            fn () => $hand([])->stir(50.0),
            fn () => $hand($in)->stir(400.0),
            fn () => $hand($in)->step('sieve', null, 100_000.0),
            fn () => $hand($in)->step('leaf', null, 10.0),
        ] as $no
    ) {
        expect($no)->toThrow(MakingException::class);
    }
    expect($hand($in)->step('sieve', null, 150.0)->massG)
        ->toBe(150.0)
        ->and($hand($in)->stir(52.0)->celsius)
        ->toBe(52.0);
});

it('has the leaf among its ingredients once it is in, and not when it was left out', function () {
    $plan = leafy();
    $inci = fn (array $lines): array => leafState($plan, $lines)->ingredients()->inci();
    $poured = new Kettle\Making\Line\Poured([['ml' => 60.0, 'holds_ml' => 57.0, 'count' => 3]], null);
    expect($inci(['10:10' => new StepDone('leaf'), '11:30' => new StepDone('sieve'), '12:00' => $poured]))
        ->toContain('Plantago lanceolata Extract')
        ->and($inci(['12:00' => $poured]))
        ->not->toContain('Plantago lanceolata Extract');
});
