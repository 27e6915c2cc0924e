<?php

declare(strict_types=1);

use Kettle\Batch\Stored;
use Kettle\Making\Pot;
use Kettle\Making\PotPart;
use Kettle\Making\Takes;

require_once dirname(__DIR__).'/Boiled.php';

/** A cream of 100 g in all, by weight of what is given. */
function waterCream(array $others, array $more = []): array
{
    return [
        'product' => 'cream',
        'total' => '100 g',
        'oils' => ['olive'],
        'others' => [...$others, ['id' => 'emulsifying-wax', 'percent' => 6], ['id' => 'preservative', 'percent' => 1]],
        'boils' => [
            ['id' => 'D1', 'called' => 'marshmallow decoction', 'as' => 'decoction', 'herbs' => ['marshmallow-root'], 'left_g' => 60],
            [
                'id' => 'G1',
                'called' => 'comfrey extract',
                'as' => 'glycerin-extract',
                'herbs' => ['comfrey-leaf'],
                'best_before' => '2026-11-26',
            ],
        ],
        ...$more,
    ];
}

it('takes a decoction as water and an extract by its weight, each with the plants it was made of', function () {
    $plan = boiled('melt', waterCream([['boil' => 'D1', 'amount' => '50 g'], ['boil' => 'G1', 'percent' => 5]]));
    $pot = array_column($plan['pot'], 'grams', 'id');
    expect($pot['boil.D1'])
        ->toEqualWithDelta(50.0, 0.01)
        ->and($pot['boil.G1'])
        ->toEqualWithDelta(5.0, 0.01)
        // Glycerin extract of 80 % takes 1.2 g to the mL (data/additions.json, from memory).
        ->and(array_column($plan['pot'], 'ml', 'id')['boil.G1'])
        ->toEqualWithDelta(5.0 / 1.2, 0.01)
        ->and($plan['ingredients']['cook'])
        ->toContain('marshmallow root, in its water', 'comfrey leaf, in its water')
        ->and($plan['ingredients']['inci'])
        ->toContain('Althaea officinalis Extract')
        // Comfrey carries pyrrolizidine alkaloids into water as into oil (EMA/HMPC public statement on their use, 2014).
        ->and(array_column($plan['cautions'], 'id'))
        ->toContain('decoction-in-it', 'pyrrolizidine');
});

it('refuses more than is left, what is over, what is unknown and what is said twice, each at its field', function () {
    $faults = fn (array $others, array $more = []): array => boiledFaults('melt', waterCream($others, $more));
    expect($faults([['boil' => 'D1', 'amount' => '60.5 g']]))
        ->toBe(['others: not_so_much'])
        ->and($faults([['boil' => 'D1', 'amount' => '60.2 g']]))
        ->toBe([])
        ->and($faults([['boil' => 'D2']]))
        ->toBe(['others.0.boil: unknown'])
        ->and($faults([['boil' => 'D1', 'id' => 'water']]))
        ->toBe(['others.0.boil: said_twice'])
        ->and($faults([['boil' => 'D1', 'percent' => 20], ['boil' => 'D1', 'percent' => 20]]))
        ->toBe(['others.1: twice'])
        ->and($faults([['boil' => 'G1', 'percent' => 5]], ['ready_by' => '2026-11-26']))
        ->toBe([])
        ->and($faults([['boil' => 'G1', 'percent' => 5]], ['ready_by' => '2026-11-29']))
        ->toBe(['ready_by: over_by']);
    $past = waterCream([['boil' => 'G1', 'percent' => 5]]);
    $past['boils'][1]['best_before'] = '2026-11-23';
    expect(boiledFaults('melt', $past))->toBe(['others.0.boil: past']);
});

it('takes of its pot what was weighed, and what was planned where nothing was yet', function () {
    $part = PotPart::read(
        new Stored([
            'id' => 'boil.D1',
            'kind' => 'water',
            'said' => [],
            'grams' => 50,
            'g_per_ml' => 1.25,
            'boil' => ['id' => 'D1', 'amount' => 40],
        ]),
    );
    $takes = fn (array $weighed): array => Takes::of(new Pot([$part]), $weighed, [], null, false)->boils;
    expect($takes([]))
        ->toBe(['D1' => 40.0])
        ->and($takes(['boil.D1' => 25.0]))
        ->toBe(['D1' => 20.0])
        ->and(PotPart::read(new Stored($part->kept()))->boil)
        ->toBe(['id' => 'D1', 'amount' => 40.0]);
});
