<?php

use Kettle\Trace\Graph;
use Kettle\Trace\TraceException;
use Tests\Core\Melted;

/** Skerry House in small: a lot of sunflower oil in two batches, one of them in a salve, of which somebody has a tin. */
function skerry(array $more = []): array
{
    return $more + [
        'lots' => [['id' => 'sunflower'], ['id' => 'mullein'], ['id' => 'heather'], ['id' => 'beeswax']],
        'batches' => [['id' => '26-001', 'lots' => ['sunflower', 'heather']], ['id' => '26-002', 'lots' => ['mullein', 'sunflower']]],
        'bottles' => [
            ['id' => '26-001/1', 'batch' => '26-001'],
            ['id' => '26-001/2', 'batch' => '26-001', 'state' => 'given', 'to' => 'Eilidh'],
            ['id' => '26-002/1', 'batch' => '26-002', 'state' => 'used'],
        ],
        'products' => [['id' => 'salve', 'from' => ['26-001/1', 'beeswax']], ['id' => 'stick', 'from' => ['salve', 'beeswax']]],
        'tins' => [
            ['id' => 'salve/1', 'product' => 'salve', 'state' => 'given', 'to' => 'Magnus'],
            ['id' => 'salve/2', 'product' => 'salve'],
            ['id' => 'stick/1', 'product' => 'stick', 'state' => 'given', 'to' => 'Eilidh'],
        ],
    ];
}

it('follows a lot that turned to everybody who has something of it', function () {
    $told = Melted::ask(skerry(['of' => 'heather']), 'trace');
    expect($told['back'])
        ->toBe([])
        ->and(array_column($told['forward'], 'id'))
        ->toEqualCanonicalizing(['26-001', '26-001/1', '26-001/2', 'salve', 'stick', 'salve/1', 'salve/2', 'stick/1', 'Eilidh', 'Magnus'])
        ->and(array_column($told['recall'], 'do', 'id'))
        ->toEqualCanonicalizing([
            'heather' => 'throw-away',
            '26-001' => 'throw-away',
            '26-001/1' => 'throw-away',
            '26-001/2' => 'tell',
            'salve' => 'throw-away',
            'stick' => 'throw-away',
            'salve/1' => 'tell',
            'salve/2' => 'throw-away',
            'stick/1' => 'tell',
        ])
        ->and($told['people'])
        ->toBe([['person' => 'Eilidh', 'holds' => ['26-001/2', 'stick/1']], ['person' => 'Magnus', 'holds' => ['salve/1']]]);
    // What is used up is told of, and nothing can be done about it.
    expect(array_column(Melted::ask(skerry(['of' => 'mullein']), 'trace')['recall'], 'do', 'id')['26-002/1'])->toBe('nothing');
});

it('follows a tin back to every lot behind it, and a person to all they have', function () {
    $back = fn (array $of): array => array_column(Melted::ask(skerry($of), 'trace')['back'], 'id');
    expect($back(['of' => 'stick/1']))
        ->toEqualCanonicalizing(['stick', 'salve', 'beeswax', '26-001/1', '26-001', 'sunflower', 'heather'])
        ->and($back(['of_person' => 'Magnus']))
        ->toContain('salve/1', 'sunflower')
        ->not->toContain('26-002')
        ->and($back(['of' => 'beeswax']))
        ->toBe([]);
});

it('knows a person by their name in whatever capitals and spaces, and says of what nobody’s was written', function () {
    $house = skerry([
        'of' => 'heather',
        'bottles' => [
            ['id' => '26-001/1', 'batch' => '26-001', 'state' => 'given'],
            ['id' => '26-001/2', 'batch' => '26-001', 'state' => 'given', 'to' => 'EILIDH'],
        ],
    ]);
    $told = Melted::ask($house, 'trace');
    expect($told['people'])
        ->toBe([
            ['person' => 'EILIDH', 'holds' => ['26-001/2', 'stick/1']],
            ['person' => 'Magnus', 'holds' => ['salve/1']],
            ['person' => '', 'holds' => ['26-001/1']],
        ])
        ->and(array_column($told['forward'], 'kind', 'id'))
        ->toHaveKey('EILIDH')
        ->not->toHaveKey('Eilidh')
        ->and(array_column(Melted::ask(['of_person' => ' eilidh '] + array_diff_key($house, ['of' => 1]), 'trace')['back'], 'id'))
        ->toContain('26-001/2', 'stick/1');
});

it('draws every arrow between what is touched, and no other', function () {
    $told = Melted::ask(skerry(['of' => 'salve']), 'trace');
    $touched = [...array_column($told['back'], 'id'), 'salve', ...array_column($told['forward'], 'id')];
    foreach ($told['arrows'] as $arrow) {
        expect($touched)->toContain($arrow['from'], $arrow['into']);
    }
    expect($told['arrows'])
        ->toContain(['from' => 'beeswax', 'into' => 'salve'], ['from' => 'salve', 'into' => 'stick'])
        ->and(array_filter($told['arrows'], fn (array $arrow) => $arrow['from'] === 'mullein'))
        ->toBe([]);
});

it('refuses what cannot be, by name', function (array $more, string $fault) {
    expect(Melted::faults(skerry($more), 'trace'))->toBe([$fault]);
})->with([
    'nothing to follow' => [[], 'of: unknown'],
    'a thing nobody knows' => [['of' => 'marigold'], 'of: unknown'],
    'a person nobody knows' => [['of_person' => 'Nobody'], 'of_person: unknown'],
    'a lot nobody knows' => [['of' => 'salve', 'batches' => [['id' => '26-001', 'lots' => ['clover']]]], 'batches.0.lots.0: unknown'],
    'a bottle of no batch' => [
        ['of' => '26-001', 'bottles' => [['id' => 'x', 'batch' => '99-001']], 'products' => [], 'tins' => []],
        'bottles.0.batch: unknown',
    ],
    'a salve of itself' => [
        ['of' => 'salve', 'products' => [['id' => 'salve', 'from' => ['salve']]], 'tins' => []],
        'products.0.from.0: backwards',
    ],
    'two salves of each other' => [
        ['of' => 'a', 'products' => [['id' => 'a', 'from' => ['b']], ['id' => 'b', 'from' => ['a']]], 'tins' => []],
        'products.1.from.0: backwards',
    ],
    'a batch made of a bottle' => [
        ['of' => 'salve', 'batches' => [['id' => '26-001', 'lots' => ['26-001/1']]]],
        'batches.0.lots.0: backwards',
    ],
    'one id for two things' => [['of' => 'salve', 'tins' => [['id' => 'salve', 'product' => 'salve']]], 'tins.0.id: twice'],
    'a state nobody knows' => [['of' => 'salve', 'tins' => [['id' => 't', 'state' => 'lost']]], 'tins.0.state: unknown'],
]);

/*
 * Held against the transitive closure by Warshall's algorithm, of any text on graphs, on random houses; ids are numbers as text
 * now and then, as people number their jars.
 */
it('follows an oil that went on fresh herb once more, and never round', function () {
    $house = [
        'lots' => [['id' => 'clover'], ['id' => 'plantain']],
        'batches' => [['id' => '26-001', 'lots' => ['clover']], ['id' => '26-002', 'lots' => ['plantain'], 'in_oil' => ['26-001/1']]],
        'bottles' => [['id' => '26-001/1', 'batch' => '26-001'], ['id' => '26-002/1', 'batch' => '26-002', 'to' => 'Torin']],
    ];
    $ids = fn (string $of, string $way) => array_column(Melted::ask($house + ['of' => $of], 'trace')[$way], 'id');
    expect($ids('clover', 'forward'))
        ->toEqualCanonicalizing(['26-001', '26-001/1', '26-002', '26-002/1', 'Torin'])
        ->and($ids('26-002/1', 'back'))
        ->toEqualCanonicalizing(['26-002', 'plantain', '26-001/1', '26-001', 'clover'])
        ->and($ids('plantain', 'forward'))
        ->not->toContain('26-001');
    $house['batches'][0]['in_oil'] = ['26-002'];
    expect(Melted::faults($house + ['of' => 'clover'], 'trace'))->not->toBe([]);
});

it('follows a pot through another pot and a bottled oil, and refuses one that comes back on itself', function () {
    $house = [
        'lots' => [['id' => 'root'], ['id' => 'sesame']],
        'pots' => [['id' => 'D1', 'from' => ['root']], ['id' => 'D2', 'from' => ['sesame']], ['id' => 'D3', 'from' => ['D1', 'D2']]],
        'batches' => [['id' => '26-001', 'pots' => ['D3']]],
        'products' => [['id' => 'cream', 'from' => ['D1', '26-001']]],
        'tins' => [['id' => 'cream 1', 'product' => 'cream', 'to' => 'Torin', 'state' => 'given']],
    ];
    $ids = fn (string $of, string $way) => array_column(Melted::ask($house + ['of' => $of], 'trace')[$way], 'id');
    expect($ids('root', 'forward'))
        ->toEqualCanonicalizing(['D1', 'D3', '26-001', 'cream', 'cream 1', 'Torin'])
        ->and($ids('cream 1', 'back'))
        ->toEqualCanonicalizing(['cream', '26-001', 'D3', 'D2', 'D1', 'sesame', 'root'])
        ->and($ids('D2', 'forward'))
        ->not->toContain('D1');
    $house['pots'][0]['from'] = ['D3'];
    expect(Melted::faults($house + ['of' => 'root'], 'trace'))->not->toBe([]);
});

it('finds what a matrix finds, both ways', function () {
    mt_srand(5);
    for ($round = 0; $round < 60; $round++) {
        $graph = new Graph();
        $ids = $kinds = [];
        for ($i = 0; $i < 28; $i++) {
            $ids[$i] = mt_rand(0, 1) === 0 ? (string) $i : "thing {$i}";
            $kinds[$i] = Graph::KINDS[intdiv($i, 4)];
            $graph->thing($kinds[$i], $ids[$i]);
        }
        $reach = array_fill(0, 28, array_fill(0, 28, false));
        for ($n = 0; $n < 30; $n++) {
            [$a, $b] = [mt_rand(0, 27), mt_rand(0, 27)];
            try {
                $graph->joins($ids[$a], $ids[$b]);
                $reach[$a][$b] = true;
            } catch (TraceException $refused) {
                expect($refused->reason)->toBe('backwards');
            }
        }
        for ($k = 0; $k < 28; $k++) {
            for ($i = 0; $i < 28; $i++) {
                for ($j = 0; $j < 28; $j++) {
                    $reach[$i][$j] = $reach[$i][$j] || ($reach[$i][$k] && $reach[$k][$j]);
                }
            }
        }
        for ($i = 0; $i < 28; $i++) {
            $to = array_values(array_filter(range(0, 27), fn (int $j) => $reach[$i][$j]));
            $from = array_values(array_filter(range(0, 27), fn (int $j) => $reach[$j][$i]));
            expect($graph->forward($ids[$i]))->toEqualCanonicalizing(array_map(fn (int $j) => $ids[$j], $to));
            expect($graph->back($ids[$i]))->toEqualCanonicalizing(array_map(fn (int $j) => $ids[$j], $from));
            expect($reach[$i][$i])->toBeFalse();
        }
    }
});

it('sets two side by side, the largest difference first', function (array $one, array $other, array $found) {
    expect(Kettle\Trace\Beside::of($one, $other))->toEqual($found);
})->with([
    'nothing differs' => [['a' => 1.0, 'b' => 'x'], ['a' => 1.004, 'b' => 'x'], []],
    'a tenth, and a quarter' => [
        ['a' => 90.0, 'b' => 75.0],
        ['a' => 100.0, 'b' => 100.0],
        [['id' => 'b', 'by' => 0.25], ['id' => 'a', 'by' => 0.1]],
    ],
    'words differ wholly, as does what one has not' => [
        ['a' => 90.0, 'b' => 'olive'],
        ['a' => 100.0, 'b' => 'sunflower', 'c' => 3.0],
        [['id' => 'b', 'by' => 1.0], ['id' => 'c', 'by' => 1.0], ['id' => 'a', 'by' => 0.1]],
    ],
    'nought and nought' => [['a' => 0.0], ['a' => 0.0], []],
    'of another sign' => [['a' => -1.0], ['a' => 1.0], [['id' => 'a', 'by' => 1.0]]],
]);
