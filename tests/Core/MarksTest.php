<?php

declare(strict_types=1);

namespace Tests\Core;

use Kettle\Measure\AmountReader;
use Kettle\Vessel\Jar;
use Kettle\Vessel\Marks;

/** A jar with shoulders: so wide up to them, narrower above. */
function shouldered(): Jar
{
    // 400 mL in the lower 100 mm, and 60 mL in the neck of 30 mm.
    return Jar::measured('', 'shouldered jar', 460.0, 130.0, Jar::JAR, Marks::read('400 mL at 100 mm', new AmountReader()));
}

it('stands as high as the jar is wide there, by plain geometry', function (float $ml, float $mm) {
    $jar = shouldered();
    expect($jar->heightOf($ml))->toEqualWithDelta($mm, 1e-9)->and($jar->volumeTo($mm))->toEqualWithDelta($ml, 1e-9);
})->with([
    'nothing' => [0.0, 0.0],
    // 4 mL for each mm below the shoulder, 2 above it.
    'below the shoulder' => [200.0, 50.0],
    'at the shoulder' => [400.0, 100.0],
    'in the neck' => [430.0, 115.0],
    'at the brim' => [460.0, 130.0],
    'over it' => [480.0, 140.0],
]);

it('is as wide as its widest part, where jars stand beside one another', function () {
    // 4 mL for each mm is 4000 mm² across: a circle of 71.4 mm.
    expect(shouldered()->diameterMm())
        ->toEqualWithDelta(2 * sqrt(4000 / M_PI), 1e-9)
        ->and(Jar::measured('', 'jar', 460.0, 130.0)->diameterMm())
        ->toEqualWithDelta(2 * sqrt(460_000 / 130 / M_PI), 1e-9);
});

it('is no other jar than before where it has no marks', function () {
    $plain = Jar::measured('', 'jar', 505.0, 118.0);
    foreach ([0.0, 1.0, 200.0, 505.0, 600.0] as $ml) {
        expect($plain->heightOf($ml))
            ->toEqualWithDelta(($ml * 118) / 505, 1e-9)
            ->and($plain->volumeTo($plain->heightOf($ml)))
            ->toEqualWithDelta($ml, 1e-9);
    }
});

it('fills a jar by its height and covers it by its shape', function () {
    $jar = ['called' => 'shouldered jar', 'brim' => '460 mL', 'inner_height' => '130 mm', 'marks' => '400 mL at 100 mm'];
    $plan = Support::plan([
        'herb' => ['id' => 'calendula'],
        'oils' => ['olive'],
        'jar' => $jar,
        'by_jar' => ['fill' => 'half', 'cover' => '30 mm'],
    ]);
    // Half of 130 mm holds 260 mL of petals at 0.10 g/mL; settled at 0.15 they are 173 mL, which stand 43 mm high.
    expect($plan->figures['herb_mass']->number())
        ->toEqualWithDelta(26.0, 0.01)
        ->and($plan->figures['bed_height']->number())
        ->toEqualWithDelta(26 / 0.15 / 4, 0.01)
        ->and($plan->figures['level_height']->number())
        ->toEqualWithDelta(26 / 0.15 / 4 + 30, 0.01);
    // The petals reach 65 mm, all below the shoulder at 4 mL for each mm: 4000 mm² across, and not the mean of the whole jar.
    expect($plan->figures['dry_fill_height']->reasons[0]->inputs['area_mm2'])->toBe(4000.0);
});

it('reads marks as they are written', function (string $typed, array $marks) {
    expect(Marks::read($typed, new AmountReader())->marks)->toEqualWithDelta($marks, 1e-6);
})->with([
    ['', []],
    ['100 mL at 32 mm', [['ml' => 100.0, 'mm' => 32.0]]],
    ['100 at 32; 300 at 8 cm', [['ml' => 100.0, 'mm' => 32.0], ['ml' => 300.0, 'mm' => 80.0]]],
    ["0.25 L = 5 cm\n", [['ml' => 250.0, 'mm' => 50.0]]],
]);

it('refuses marks of no jar', function (string $typed, string $reason) {
    expect(fn () => Jar::measured('', 'jar', 460.0, 130.0, Jar::JAR, Marks::read($typed, new AmountReader())))->toThrow(
        fn (\Kettle\Reason\RefusedException $refused) => expect($refused->reason)->toBe($reason),
    );
})->with([
    'over the brim' => ['500 mL at 100 mm', 'disagree'],
    'higher than it is' => ['400 mL at 140 mm', 'disagree'],
    'sinking' => ['200 mL at 60 mm, 100 mL at 80 mm', 'disagree'],
    'twice' => ['200 mL at 60 mm, 200 mL at 60 mm', 'disagree'],
    'as wide as a barrel' => ['300 mL at 10 mm', 'disagree'],
    'no mark' => ['up to the line', 'unreadable'],
    'of a weight' => ['100 g at 32 mm', 'wrong_kind'],
    'one too many' => [implode(', ', array_map(fn (int $i) => 30 * $i.' mL at '. 9 * $i.' mm', range(1, 13))), 'too_much'],
]);
