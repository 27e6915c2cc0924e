<?php

declare(strict_types=1);

use Kettle\Decoction\Glycerite;
use Kettle\Material\Tables;

require_once dirname(__DIR__).'/Boiled.php';

// Grover and Nicol 1940, and ASTM D5032, humidity over glycerin and water at 25 C, from memory: 50 % over 80 % glycerin, 70 % over
// 64, 80 % over 51, 90 % over 33. Norrish's form comes within five hundredths of them.
it('has the water activity of glycerin and water', function (float $share, float $published) {
    $found = Glycerite::of(100, $share, null, Tables::shipped())->waterActivity();
    expect($found)->toEqualWithDelta($published, 0.055);
})->with([[0.8, 0.5], [0.64, 0.7], [0.515, 0.8], [0.33, 0.9]]);

it('brings an extract to its share, by so much off or so much water', function () {
    $of = fn (array $more) => boiledFigures('glycerin', ['total' => '100 g'] + $more);
    expect($of([]))
        ->toMatchArray(['extract_mass' => 20.0, 'glycerin_mass' => 80.0])
        ->and($of(['extract_now' => '65 g', 'ml_per_hour' => 450]))
        ->toMatchArray(['evaporate_mass' => 45.0, 'add_water' => 0.0, 'hours' => 0.1])
        ->and($of(['extract_now' => '12 g']))
        ->toMatchArray(['evaporate_mass' => 0.0, 'add_water' => 8.0])
        // Glycerin at 20 C, 1.261 g/mL: CRC Handbook and the pharmacopoeias, from memory.
        ->and($of([])['glycerin_volume'])
        ->toEqualWithDelta(80 / 1.261, 0.001)
        ->and($of(['glycerin_share' => 60])['glycerin_mass'])
        ->toEqualWithDelta(60.0, 0.001);
});

it('says when it does not keep itself', function () {
    $weak = boiled('glycerin', ['total' => '100 g', 'glycerin_share' => 0.5]);
    $full = boiled('glycerin', ['total' => '100 g']);
    expect($weak['keeps_itself'])
        ->toBeFalse()
        ->and(array_column($weak['notes'], 'rank', 'id')['glycerin-not-kept'])
        ->toBe('stop')
        ->and($weak['figures']['keeps_days']['value'])
        ->toEqual(3.0)
        ->and($full['figures']['keeps_days']['value'])
        ->toEqual(365.0)
        ->and(boiled('glycerin', ['total' => '100 g', 'glycerin_share' => 0.6])['figures']['keeps_days']['value'])
        ->toBeLessThan(365.0);
});

it('answers which solvent, and whether it should be an oil at all', function () {
    $of = fn (string $herb, ?string $use = null) => boiled('solvents', ['herb' => $herb, 'use' => $use]);
    expect($of('marshmallow-root')['oil'])
        ->toBeFalse()
        ->and($of('marshmallow-root')['solvents'][0]['id'])
        ->toBe('water')
        ->and($of('poplar-bud')['oil'])
        ->toBeTrue()
        ->and($of('self-heal')['oil'])
        ->toBeFalse()
        ->and($of('monkshood')['oil'])
        ->toBeNull()
        // Into a salve only oil goes, whatever takes more.
        ->and($of('marshmallow-root', 'salve')['solvents'][0]['id'])
        ->toBe('oil')
        ->and(boiledFaults('solvents', ['herb' => 'poplar-bud', 'use' => 'soup']))
        ->toBe(['use: unknown']);
});
