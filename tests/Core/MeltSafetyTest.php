<?php

use Kettle\Material\Cupboard;
use Kettle\Material\Tables;
use Kettle\Melt\MeltTable;
use Kettle\Recipe\WishException;
use Tests\Core\Melted;

require_once dirname(__DIR__).'/Cautions.php';

/** An oil of the house as a question gives it. */
function bottled(array $more = []): array
{
    return $more + [
        'id' => 'b',
        'called' => 'calendula oil',
        'oils' => ['olive'],
        'herbs' => ['calendula'],
        'left_ml' => 300,
        'best_before' => '2027-11-01',
    ];
}

it('refuses by name what cannot be', function (array $asked, array $faults) {
    expect(Melted::faults($asked))->toBe($faults);
})->with([
    'a product nobody makes' => [['product' => 'soap'], ['product: unknown']],
    'no oil' => [['oils' => []], ['oils: too_few']],
    'an oil nobody knows' => [['oils' => [['id' => 'snake']]], ['oils.0: unknown']],
    'a wax nobody knows' => [['waxes' => ['ear-wax']], ['waxes.0: unknown']],
    'a scent nobody knows' => [['essential_oils' => [['id' => 'moonflower', 'percent' => 1]]], ['essential_oils.0: unknown']],
    'an unknown field' => [['firmnes' => 0.2], ['firmnes: unknown_field']],
    'a negative share' => [['butters' => [['id' => 'shea', 'share' => -0.1]]], ['butters.0.share: out_of_range']],
    'a share over the whole' => [['butters' => [['id' => 'shea', 'share' => 1.1]]], ['butters.0.share: out_of_range']],
    'shares that come to more than the whole' => [
        ['firmness' => 0.3, 'butters' => [['id' => 'shea', 'share' => 0.6], ['id' => 'mango-butter', 'share' => 0.6]]],
        ['butters: more_than_whole'],
    ],
    'firmness over one' => [['firmness' => 1.4], ['firmness: out_of_range']],
    'firmness below nought' => [['firmness' => -0.1], ['firmness: out_of_range']],
    'a word nobody uses' => [['firmness' => 'rubbery'], ['firmness: unknown']],
    'firmer than all wax' => [['firmness' => 0.6, 'waxes' => ['soy-wax']], ['firmness: not_so_firm']],
    'firmer already' => [['firmness' => 0.1, 'butters' => [['id' => 'cocoa-butter', 'share' => 0.5]]], ['firmness: firmer_already']],
    'more wax than the whole' => [['total' => '100 g', 'waxes' => [['id' => 'beeswax', 'amount' => '300 g']]], ['waxes: more_than_whole']],
    'a tin of no size' => [['tins' => [['ml' => 0, 'count' => 3]]], ['tins.0.ml: out_of_range']],
    'a tin below nothing' => [['tins' => [['ml' => -5, 'count' => 3]]], ['tins.0.ml: out_of_range']],
    'too large a tin' => [['tins' => [['ml' => 50000, 'count' => 3]]], ['tins.0.ml: out_of_range']],
    'no tins' => [['tins' => [['ml' => 60, 'count' => 0]]], ['tins.0.count: out_of_range']],
    'ten thousand drops' => [['essential_oils' => [['id' => 'lavender', 'drops' => 10000]]], ['essential_oils.0.drops: out_of_range']],
    'an oil twice' => [['oils' => ['olive', 'olive']], ['oils.1: twice']],
    'some by amount and some by parts' => [
        ['oils' => [['id' => 'olive', 'amount' => '1 cup'], ['id' => 'jojoba', 'parts' => 1]]],
        ['oils: unreadable'],
    ],
    'how much said twice' => [['total' => '300 g', 'oils' => [['id' => 'olive', 'amount' => '1 cup']]], ['total: said_twice']],
    'how firm said twice' => [
        ['firmness' => 0.2, 'oils' => [['id' => 'olive', 'amount' => '1 cup']], 'waxes' => [['id' => 'beeswax', 'amount' => '30 g']]],
        ['firmness: said_twice'],
    ],
    'a hair oil that is firm' => [['product' => 'hair-oil', 'firmness' => 0.2], ['firmness: not_wax']],
    'an amount nobody can read' => [['oils' => [['id' => 'olive', 'amount' => 'a bit']]], ['oils.0.amount: unreadable']],
    'a pot for a regiment' => [['oils' => [['id' => 'olive', 'amount' => '19 L']], 'firmness' => 0.4], ['total: out_of_range']],
    'tins larger than all of it' => [['total' => '20 g', 'tins' => [['ml' => 100]]], ['tins: none_filled']],
    'a batch nobody knows' => [['oils' => [['batch' => 'x']]], ['oils.0.batch: unknown']],
    'a bottle emptier than what is taken' => [
        ['oils' => [['batch' => 'b', 'amount' => '400 mL']], 'batches' => [bottled()]],
        ['oils: not_so_much'],
    ],
    'tins that want more than is in it' => [
        ['oils' => [['batch' => 'b']], 'tins' => [['ml' => 100, 'count' => 10]], 'batches' => [bottled()]],
        ['oils: not_so_much'],
    ],
    'a batch thrown away' => [['oils' => [['batch' => 'b']], 'batches' => [bottled(['discarded' => true])]], ['oils.0.batch: discarded']],
    'a batch past its day' => [
        ['oils' => [['batch' => 'b']], 'batches' => [bottled(['best_before' => '2026-11-23'])]],
        ['oils.0.batch: past'],
    ],
    'a day nobody can read' => [
        ['oils' => [['batch' => 'b']], 'batches' => [bottled(['best_before' => 'Yule'])]],
        ['batches.0.best_before: unreadable'],
    ],
]);

it('holds no water without a preservative, in any product', function (string $product) {
    foreach ((new Cupboard(Tables::shipped()))->additions() as $id => $addition) {
        if ($addition->kind !== 'water') {
            continue;
        }
        foreach ([['water' => $id], ['others' => [['id' => $id, 'share' => 0.2]]]] as $wet) {
            if ($product === 'cream') {
                expect(Melted::ask(['product' => 'cream'] + $wet)['pot'])->not->toBe([]);
                $bare = ['product' => 'cream', 'others' => [...$wet['others'] ?? [], ['id' => 'preservative', 'share' => 0]]] + $wet;
                expect(Melted::faults($bare))->toContain('others: no_preservative');
            } else {
                expect(implode(' ', Melted::faults(['product' => $product] + $wet)))->toContain('water');
            }
        }
    }
})->with(array_keys(MeltTable::of(Tables::shipped())->products()));

it('puts nothing into food that is not food', function (string $product) {
    $cupboard = new Cupboard(Tables::shipped());
    foreach ($cupboard->carriers() as $id => $carrier) {
        expect(Melted::faults(['product' => $product, 'oils' => [$id]]))->toBe(
            $carrier->food->gradeExists ? [] : ['oils.0: not_food'],
            $id,
        );
    }
    foreach (array_keys($cupboard->essentialOils()) as $id) {
        expect(Melted::faults(['product' => $product, 'essential_oils' => [['id' => $id, 'percent' => 0.1]]]))->toBe([
            'essential_oils.0: not_food',
        ]);
    }
    foreach ($cupboard->waxes() as $id => $wax) {
        if ($wax->kind === 'butter') {
            $faults = Melted::faults(['product' => $product, 'butters' => [['id' => $id, 'share' => 0.1]]]);
            expect($faults)->toBe($wax->foodGradeExists ? [] : ['butters.0: not_food'], $id);
        }
    }
    // An oil of the house only where every part of it is known to be food.
    expect(Melted::faults(['product' => $product, 'oils' => [['batch' => 'b']], 'batches' => [bottled()], 'total' => '100 g']))->toBe([
        'oils.0: not_food',
    ]);
    expect(
        Melted::faults([
            'product' => $product,
            'oils' => [['batch' => 'b']],
            'batches' => [bottled(['food_grade' => true])],
            'total' => '100 g',
        ]),
    )->toBe([]);
})->with(['dressing', 'marinade', 'finishing-oil']);

/*
 * Written out by hand from Tisserand and Young and the IFRA Standards, leave-on, per cent, both from memory: at the limit is
 * within it, a tenth over is not.
 */
it('keeps every essential oil under its own limit', function (string $oil, float $limit) {
    // A small spot bears ten in a hundred of all together, so that only the oil's own limit is asked.
    $at = fn (float $percent): array => ['product' => 'roll-on', 'essential_oils' => [['id' => $oil, 'percent' => $percent]]];
    expect(Melted::cautions($at(min($limit, 10.0))))->not->toContain('stop scent-over.'.$oil);
    expect(Melted::cautions($at($limit * 1.1)))->toContain('stop scent-over.'.$oil);
})->with([
    ['bergamot', 0.4],
    ['lime', 0.7],
    ['lemon', 2.0],
    ['grapefruit', 4.0],
    ['bitter-orange', 1.25],
    ['cinnamon-bark', 0.07],
    ['cinnamon-leaf', 0.6],
    ['clove-bud', 0.5],
    ['oregano', 1.1],
    ['thyme', 1.3],
    ['lemongrass', 0.7],
    ['ylang-ylang', 0.8],
    ['rose', 0.6],
    ['peppermint', 5.4],
    ['eucalyptus', 20.0],
    ['rosemary', 16.5],
    ['tea-tree', 15.0],
    ['geranium', 17.5],
    ['wintergreen', 2.4],
    // US over-the-counter monograph, from memory.
    ['camphor', 3.0],
]);

it('sets no limit of its own where the books have none', function (string $oil) {
    expect((new Cupboard(Tables::shipped()))->essentialOil($oil)->limitPercent)->toBeNull();
})->with(['lavender', 'roman-chamomile', 'german-chamomile', 'juniper', 'cedar', 'sweet-orange']);

// Face 1, body 3, small children 0.5, under three months none, pregnancy 1: from memory, as the sources are.
it('keeps all of them together under the ceiling of who and where', function (array $more, float $ceiling) {
    $at = fn (float $percent): array => Melted::cautions($more + ['essential_oils' => [['id' => 'lavender', 'percent' => $percent]]]);
    if ($ceiling > 0) {
        expect(array_filter($at($ceiling), fn (string $each) => str_starts_with($each, 'stop')))->toBe([]);
    }
    expect($at($ceiling + 0.1))->toContain('stop scents-over');
})->with([
    'body' => [[], 3.0],
    'face' => [['product' => 'face-oil'], 1.0],
    'lips' => [['product' => 'lip-balm'], 1.0],
    'rinsed off' => [['product' => 'scrub'], 5.0],
    'a small child' => [['for' => 'child'], 0.5],
    'pregnant' => [['for' => ['pregnancy']], 1.0],
    'a face, pregnant' => [['product' => 'face-oil', 'for' => 'pregnancy'], 1.0],
    'under three months' => [['for' => 'newborn'], 0.0],
]);

it('offers a way out of too much scent that leads out', function (array $scents, array $more) {
    $asked = $more + ['essential_oils' => $scents];
    foreach (array_filter(Melted::ask($asked)['cautions'], fn (array $each) => $each['rank'] === 'stop' && $each['ways'] !== []) as $stop) {
        $change = $stop['ways'][0]['change'];
        $after = Melted::cautions(array_filter(array_replace($asked, $change), fn (mixed $value) => $value !== null));
        expect($after)->not->toContain("stop {$stop['id']}");
    }
    expect(array_filter(Melted::cautions($asked), fn (string $each) => str_starts_with($each, 'stop')))->not->toBe([]);
})->with([
    [[['id' => 'clove-bud', 'percent' => 3]], []],
    [[['id' => 'lavender', 'percent' => 4], ['id' => 'bergamot', 'percent' => 2]], []],
    [[['id' => 'lavender', 'drops' => 400]], ['for' => 'child']],
    [[['id' => 'lavender', 'percent' => 1]], ['for' => 'newborn']],
]);

it('offers ways out of what cannot be made, and each leads out', function (array $asked, array $ways) {
    try {
        Melted::ask($asked);
        $offered = [];
    } catch (WishException $refused) {
        $offered = $refused->faults[0]['ways'] ?? [];
    }
    expect(array_column($offered, 'id'))->toBe($ways);
    foreach ($offered as $way) {
        expect(Melted::faults(array_filter(array_replace($asked, $way['change']), fn (mixed $value) => $value !== null)))->toBe([]);
    }
})->with([
    'too much butter' => [
        ['firmness' => 'soft', 'butters' => [['id' => 'cocoa-butter', 'share' => 0.4]]],
        ['as-salve', 'as-firm', 'as-stick'],
    ],
    'too soft a wax' => [['firmness' => 0.6, 'waxes' => ['soy-wax']], ['beeswax', 'candelilla', 'as-stick']],
    'honey in a salve' => [['others' => [['id' => 'honey', 'share' => 0.1]]], ['dry', 'cream']],
    'lavender in a dressing' => [['product' => 'dressing', 'essential_oils' => [['id' => 'lavender', 'percent' => 1]]], ['dry']],
    'a firm hair oil' => [['product' => 'hair-oil', 'firmness' => 0.2], ['any']],
    'how much said twice' => [['total' => '300 g', 'oils' => [['id' => 'olive', 'amount' => '1 cup']]], ['once']],
    'tins too large' => [['total' => '30 g', 'tins' => [['ml' => 100]]], ['tins-30', 'tins-15']],
    'less than is asked' => [
        ['oils' => [['batch' => 'b']], 'tins' => [['ml' => 100, 'count' => 10]], 'batches' => [bottled()]],
        ['all-of-it'],
    ],
    'what nobody knows' => [['product' => 'soap'], []],
]);

it('says for whom a scent is not', function (string $oil, string $for, string $caution) {
    $asked = ['essential_oils' => [['id' => $oil, 'percent' => 0.1]]];
    expect(Melted::cautions($asked + ['for' => $for]))->toContain('stop '.$caution);
    expect(Melted::cautions($asked))->not->toContain('stop '.$caution);
})->with([
    ['peppermint', 'child', 'scent-child'],
    ['eucalyptus', 'child', 'scent-child'],
    ['menthol', 'child', 'scent-child'],
    ['camphor', 'child', 'scent-child'],
    ['lavender', 'newborn', 'scent-newborn'],
    ['sage', 'pregnancy', 'scent-pregnancy'],
    ['wintergreen', 'pregnancy', 'scent-pregnancy'],
    ['tea-tree', 'pets', 'scent-pets'],
]);

it('tells of a product all that a hand would, in that order', function (array $asked, string $ids) {
    expect(implode(' ', array_column(Melted::ask($asked)['cautions'], 'id')))->toBe($ids);
})->with(meltedCautions());

it('says once what everybody must know', function (array $asked, array $cautions) {
    $told = Melted::cautions($asked);
    foreach ($cautions as $each) {
        expect($told)->toContain($each);
    }
})->with([
    'hot wax' => [[], ['care wax-fire', 'care hot-wax', 'care allergens']],
    'camphor' => [['essential_oils' => [['id' => 'camphor', 'percent' => 1]]], ['care never-eaten', 'care scent-vapour']],
    'a bath' => [['product' => 'bath-oil'], ['care slippery']],
    'shea' => [['product' => 'whipped-butter'], ['care grains']],
    'water' => [['product' => 'cream'], ['care water-in-it']],
    'a decoction' => [['product' => 'cream', 'water' => 'decoction'], ['care water-in-it', 'care decoction-in-it']],
    'an extract' => [
        ['product' => 'cream', 'others' => [['id' => 'glycerin-extract', 'share' => 0.05]]],
        ['care water-in-it', 'care extract-in-it'],
    ],
    'spent herb' => [['product' => 'scrub', 'others' => [['id' => 'spent-herb', 'share' => 0.6]]], ['care spent-herb', 'care wet-fingers']],
    'the plants of its oil' => [
        ['oils' => [['batch' => 'b']], 'batches' => [bottled(['herbs' => ['arnica', 'calendula']])], 'total' => '100 g'],
        ['care unbroken-skin', 'care daisy-family'],
    ],
    'an oil from the refrigerator' => [
        ['oils' => [['batch' => 'b']], 'batches' => [bottled(['cold_only' => true])], 'total' => '100 g'],
        ['care cold-only'],
    ],
    'linseed' => [['oils' => ['flaxseed']], ['care rags']],
    'asthma' => [['for' => 'asthma', 'essential_oils' => [['id' => 'lavender', 'percent' => 1]]], ['care scent-asthma']],
]);

it('carries every allergen of every part onto the label', function () {
    mt_srand(23);
    $cupboard = new Cupboard(Tables::shipped());
    for ($i = 0; $i < 120; $i++) {
        $pick = fn (array $all, int $count): array => (array) array_rand($all, $count);
        $oils = $pick($cupboard->carriers(), mt_rand(2, 4));
        $butters = $pick(array_filter($cupboard->waxes(), fn ($wax) => $wax->kind === 'butter'), 2);
        $mine = ['from the lot of '.$i];
        $inBatch = $pick($cupboard->carriers(), 2);
        $answer = Melted::ask([
            'oils' => [...array_map(fn (string $id) => ['id' => $id], $oils), ['batch' => 'b']],
            'butters' => array_map(fn (string $id) => ['id' => $id, 'share' => 0.02], $butters),
            'firmness' => 0.3,
            'batches' => [['id' => 'b', 'oils' => $inBatch, 'allergens' => $mine]],
        ]);
        $expected = [...$mine, 'bee products'];
        foreach ([...$oils, ...$inBatch] as $id) {
            $expected = [...$expected, ...$cupboard->carrier($id)->food->allergens];
        }
        foreach ($butters as $id) {
            $expected = [...$expected, ...$cupboard->wax($id)->allergens];
        }
        expect($answer['ingredients']['allergens'])->toEqualCanonicalizing(array_values(array_unique($expected)));
    }
});

// Regulation (EU) 2023/1545, from memory: over 0.001 % in what stays on, 0.01 % in what is rinsed off.
it('names the fragrance allergens that must be named, and no others', function () {
    $named = fn (array $asked): array => Melted::ask($asked + ['total' => '100 g'])['ingredients']['fragrance'];
    expect($named(['essential_oils' => [['id' => 'lemon', 'percent' => 1]]]))->toBe(['Citral', 'Geranyl Acetate', 'Limonene', 'Pinene']);
    // A hundredth of a per cent: citral is 2 % of it, 0.0002 % of the whole; limonene 68 %, 0.0068 %.
    expect($named(['essential_oils' => [['id' => 'lemon', 'percent' => 0.01]]]))->toBe(['Limonene', 'Pinene']);
    expect($named(['product' => 'scrub', 'essential_oils' => [['id' => 'lemon', 'percent' => 0.01]]]))->toBe([]);
    expect($named([]))->toBe([]);
    // Of two oils what neither has enough of alone: linalool 0.4 and 0.3 % of 0.002 % and 0.0018 %.
    expect($named(['essential_oils' => [['id' => 'vetiver', 'percent' => 2]]]))->toBe([]);
});

it('lists what is in it in falling order, through every oil that went in', function () {
    $answer = Melted::ask([
        'oils' => [['batch' => 'a', 'amount' => '60 mL'], ['batch' => 'b', 'amount' => '50 mL'], ['id' => 'jojoba', 'amount' => '20 mL']],
        'batches' => [
            bottled(['id' => 'a', 'oils' => [['id' => 'sunflower', 'parts' => 2], ['id' => 'olive', 'parts' => 1]]]),
            bottled(['oils' => ['olive'], 'herbs' => ['self-heal']]),
        ],
        'waxes' => [['id' => 'beeswax', 'amount' => '22 g']],
        'butters' => [['id' => 'shea', 'amount' => '5 g']],
    ]);
    // By hand: olive 70 mL at 0.912, sunflower 40 at 0.920, wax 22, jojoba 20 at 0.866, shea 5.
    expect(array_slice($answer['ingredients']['inci'], 0, 5))->toBe([
        'Olea Europaea Fruit Oil',
        'Helianthus Annuus Seed Oil',
        'Cera Alba',
        'Simmondsia Chinensis Seed Oil',
        'Butyrospermum Parkii Butter',
    ]);
    expect($answer['ingredients']['inci'])->toContain('Calendula officinalis Extract');
});

it('keeps as its weakest part', function (array $asked, string $until) {
    expect(Melted::ask($asked)['figures']['best_before']['value'])->toBe($until);
})->with([
    // The bottle's own day comes before wax and all.
    'the bottle' => [['oils' => [['batch' => 'b']], 'batches' => [bottled()], 'total' => '100 g'], '2027-11-01'],
    // Olive oil twelve months opened; dried-herb cap and wax are later.
    'the oil' => [['oils' => ['olive']], '2027-11-24'],
    // Grapeseed five months.
    'a weaker oil' => [['oils' => ['olive', 'grapeseed']], '2027-04-24'],
    // An ointment six months at most.
    'the product' => [['product' => 'ointment'], '2027-05-24'],
    // With a preservative in it, water no longer decides: six months at most.
    'a cream' => [['product' => 'cream'], '2027-05-24'],
    // A quarter of a month: eight days.
    'spent herb' => [['product' => 'scrub', 'others' => [['id' => 'spent-herb', 'share' => 0.6]]], '2026-12-02'],
    'a lot that is older' => [
        [
            'oils' => ['olive'],
            'house' => [
                'lots' => [
                    [
                        'kind' => 'carrier',
                        'material' => 'olive',
                        'amount' => '1 L',
                        'got_on' => '2026-01-01',
                        'best_before' => '2027-02-01',
                    ],
                ],
            ],
        ],
        '2027-02-01',
    ],
]);

it('costs what its lots cost', function () {
    $lots = [
        ['kind' => 'carrier', 'material' => 'olive', 'amount' => '1 L', 'price' => '10.00'],
        ['kind' => 'wax', 'material' => 'beeswax', 'amount' => '500 g', 'price' => '15.00'],
    ];
    $asked = [
        'oils' => [['id' => 'olive', 'amount' => '100 mL']],
        'waxes' => [['id' => 'beeswax', 'amount' => '20 g']],
        'tins' => [['ml' => 50]],
    ];
    $answer = Melted::ask($asked + ['house' => ['lots' => $lots, 'currency' => 'GBP']]);
    // 100 mL at 0.01 and 20 g at 0.03: 1.60; two tins of 47.5 mL.
    expect($answer['figures']['cost']['value'])
        ->toEqualWithDelta(1.6, 0.001)
        ->and($answer['figures']['cost_per_tin']['value'])
        ->toEqualWithDelta(1.6 / $answer['tins']['count'], 0.01)
        ->and(Melted::ask($asked)['figures'])
        ->not->toHaveKey('cost');
    // With an hour's worth of 12.00, the minutes of hands are added.
    $hands = Melted::ask($asked + ['house' => ['lots' => $lots], 'hour_rate' => 12]);
    expect($hands['figures']['cost']['value'])->toEqualWithDelta(1.6 + $hands['figures']['hands_min']['value'] / 5, 0.006);
});

it('costs what its scents and its tins cost, and keeps no longer than their lots', function () {
    $lots = [
        ['kind' => 'carrier', 'material' => 'olive', 'amount' => '1 L', 'price' => '10.00'],
        ['kind' => 'wax', 'material' => 'beeswax', 'amount' => '500 g', 'price' => '15.00', 'best_before' => '2027-01-05'],
        ['kind' => 'scent', 'material' => 'lavender', 'amount' => '10 mL', 'price' => '8.00'],
        ['kind' => 'tin', 'material' => '50 mL', 'amount' => '10', 'price' => '4.00'],
    ];
    $asked = [
        'oils' => [['id' => 'olive', 'amount' => '100 mL']],
        'waxes' => [['id' => 'beeswax', 'amount' => '20 g']],
        'essential_oils' => [['id' => 'lavender', 'drops' => 20]],
        'tins' => [['ml' => 50]],
    ];
    $answer = Melted::ask($asked + ['house' => ['lots' => $lots]]);
    // 1.60 as above, a millilitre of lavender at 0.80, and so many tins at 0.40.
    expect($answer['figures']['cost']['value'])
        ->toEqualWithDelta(1.6 + 0.8 + 0.4 * $answer['tins']['count'], 0.006)
        ->and($answer['figures']['best_before']['value'])
        ->toBe('2027-01-05');
});
