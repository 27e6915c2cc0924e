<?php

use Kettle\Vessel\Cooker;
use Kettle\Vessel\CookerException;
use Kettle\Vessel\Packing;
use Kettle\Vessel\WaterBath;

function roundPot(float $mm, float $height = 140): Cooker
{
    return Cooker::measured('pot', 'the pot', 'round', $mm, $mm, $height);
}

function ovalCooker(): Cooker
{
    return Cooker::measured('oval', 'the oval cooker', 'oval', 300, 210, 140);
}

/** @param  array<string, float>  $more */
function pintOf(array $more = []): array
{
    return [
        ...[
            'called' => 'pint jar',
            'brim_ml' => 505.0,
            'height_mm' => 118.0,
            'diameter_mm' => 73.8,
            'level_mm' => 93.0,
            'bed_mm' => 40.0,
            'contents_g' => 400.0,
        ],
        ...$more,
    ];
}

it('stands as many equal jars in a round pot as the published best packings', function (int $count, float $ratio) {
    // R/r of the densest known packings of equal circles in a circle: Graham, Lubachevsky, Nurmela and
    // Ostergard 1998 (Discrete Mathematics 181); the first of them are textbook geometry. Figures from memory.
    $jar = 70.0;
    expect(Packing::most(roundPot($jar * $ratio * 1.012), $jar, $count + 2))
        ->toBeGreaterThanOrEqual($count)
        ->and(Packing::most(roundPot($jar * $ratio * 0.985), $jar, $count + 2))
        ->toBeLessThan($count);
})->with([[1, 1.0], [2, 2.0], [3, 2.1547], [4, 2.4142], [5, 2.7013], [7, 3.0], [8, 3.3048], [10, 3.813]]);

it('lets no jar stand in another, nor in the wall', function () {
    mt_srand(41);
    for ($i = 0; $i < 60; $i++) {
        $shape = Cooker::SHAPES[$i % 3];
        $length = mt_rand(150, 340);
        $cooker = Cooker::measured('c', 'it', $shape, $length, $shape === 'round' ? $length : mt_rand(140, $length), 140);
        $jars = array_map(fn () => (float) mt_rand(50, 110), range(1, mt_rand(1, 6)));
        $placed = Packing::place($cooker, $jars) ?? [];
        foreach ($placed as $a => $one) {
            expect($cooker->outside($one['x'], $one['y'], $one['d'] / 2)[0])->toBeLessThan(0.8);
            foreach ($placed as $b => $two) {
                $a === $b ||
                    expect(hypot($one['x'] - $two['x'], $one['y'] - $two['y']))->toBeGreaterThan(($one['d'] + $two['d']) / 2 - 0.5);
            }
        }
    }
});

it('never stands more jars for being wider', function () {
    $before = 99;
    foreach ([40, 55, 70, 85, 100, 140] as $width) {
        $now = Packing::most(ovalCooker(), (float) $width);
        expect($now)->toBeLessThanOrEqual($before);
        $before = $now;
    }
    // Two rows of three pint jars, by drawing it: the outermost point of a corner jar is at 0.94 of the wall.
    expect(Packing::most(ovalCooker(), 79.8))->toBe(6);
});

it('pours what stands round the jars, no more', function () {
    $bath = WaterBath::of(roundPot(210, 130), [pintOf(), pintOf()]);
    // The floor of 210 mm less two circles of 79.8 mm, by hand: (34636 - 2 x 5001.5) mm² to a height.
    expect($bath->waterMl(50))
        ->toEqualWithDelta((((M_PI / 4) * 210 ** 2 - ((2 * M_PI) / 4) * 79.8 ** 2) * 50) / 1000, 0.01)
        ->and($bath->heightOf($bath->waterMl(50)))
        ->toEqualWithDelta(50, 0.001)
        ->and($bath->openM2())
        ->toEqualWithDelta(((M_PI / 4) * 210 ** 2 - ((2 * M_PI) / 4) * 79.8 ** 2) / 1e6, 1e-9)
        // An inch below a rim of 124 mm.
        ->and($bath->fullMm)
        ->toEqualWithDelta(124 - 25.4, 0.01)
        ->and($bath->lowMm)
        ->toBeLessThan($bath->fullMm);
    expect(WaterBath::of(roundPot(210, 130), [pintOf()], 'quarter')->fullMm)->toEqualWithDelta(31, 0.01);
});

it('holds the water below where a jar would float, by Archimedes', function () {
    $light = WaterBath::of(roundPot(240), [pintOf(['contents_g' => 60.0])]);
    $jar = $light->jars[0];
    $grams = WaterBath::glassG(73.8, 118) + 60;
    // A pint jar of 3 mm glass weighs about a quarter of a kilogram: common practice, no source.
    expect(WaterBath::glassG(73.8, 118))
        ->toBeBetween(200, 290)
        ->and($light->heldByFloating)
        ->toBeTrue()
        ->and($jar['floats_at'])
        ->toEqualWithDelta(($grams / 0.988 / ((M_PI / 4) * 7.98 ** 2)) * 10, 0.01)
        ->and($light->fullMm)
        ->toBeLessThan($jar['floats_at']);
    expect(WaterBath::of(roundPot(240), [pintOf(['contents_g' => 460.0])])->heldByFloating)->toBeFalse();
});

it('says how many do stand when not all do', function () {
    expect(fn () => WaterBath::of(roundPot(210), array_fill(0, 6, pintOf())))
        ->toThrow(CookerException::class, 'only 4 can')
        ->and(fn () => WaterBath::of(roundPot(70), [pintOf()]))
        ->toThrow(CookerException::class, 'none can')
        ->and(fn () => WaterBath::of(roundPot(210), []))
        ->toThrow(CookerException::class, 'which jars');
});

it('refuses a cooker that cannot be', function (string $shape, float $length, float $width, float $height, string $field) {
    try {
        Cooker::measured('x', 'it', $shape, $length, $width, $height);
        $this->fail('taken');
    } catch (CookerException $refused) {
        expect($refused->field)->toBe($field);
    }
})->with([
    ['heart', 200, 200, 130, 'shape'],
    ['round', 20, 20, 130, 'length'],
    ['round', 200, 150, 130, 'width'],
    ['oval', 300, 900, 130, 'width'],
    ['oval', 300, 200, NAN, 'height'],
]);
