<?php

use Kettle\Measure\AmountReader;
use Kettle\Measure\Density;
use Kettle\Measure\Kind;
use Kettle\Reason\RefusedException;
use Kettle\Stores\Counting;
use Kettle\Stores\Stock;

// Of so much that came in, so much should be there.
function countedOf(?Kind $measure, float $got, float $left, string $typed): float|string
{
    try {
        return (new Counting(
            new AmountReader(),
            $measure,
            $measure === Kind::Volume ? Density::gramsPerMl(0.92) : null,
            new Stock($got, $left),
        ))->read($typed);
    } catch (RefusedException $refused) {
        return $refused->reason.': '.$refused->sentence;
    }
}

it('reads what is left as it is said', function (?Kind $measure, float $got, float $left, string $typed, float $is) {
    expect(countedOf($measure, $got, $left, $typed))->toEqualWithDelta($is, 0.01);
})->with([
    [Kind::Mass, 250, 250, '120 g', 120],
    [Kind::Mass, 250, 250, '120', 120],
    [Kind::Mass, 250, 250, '4 oz', 113.4],
    [Kind::Volume, 1000, 800, '460 g', 500],
    ...array_map(fn (string $none) => [Kind::Mass, 250, 100, $none, 0], [
        '0',
        '0 g',
        '0.0',
        '0,0 kg',
        'nothing',
        'None',
        'empty',
        'gone',
        'all gone',
        'used up',
        'nothing left',
    ]),
    // Nobody took from it: a part is of what came in.
    ...array_map(fn (string $half) => [Kind::Mass, 250, 250, $half, 125], [
        'half',
        'about half',
        'half of it',
        'half the bag',
        'half a packet',
        'half left',
        'half full',
        'one half',
        '50 %',
    ]),
    [Kind::Mass, 300, 300, 'a third', 100],
    [Kind::Mass, 300, 300, 'two thirds of the jar left', 200],
    [Kind::Mass, 300, 300, 'three quarters full', 225],
    [Kind::Mass, 300, 300, 'full', 300],
    [Kind::Mass, 300, 300, 'all of it', 300],
    // A packet may hold somewhat more than it says.
    [Kind::Mass, 250, 250, '262 g', 262],
    [null, 12, 12, '7', 7],
    [null, 12, 12, '7 jars', 7],
    [null, 12, 4, '0', 0],
    [null, 12, 4, 'none', 0],
    // Nobody has half a jar.
    [null, 11, 11, 'half', 5],
]);

it('asks where a part may be of two things, and where there is far more than came in', function (
    ?Kind $measure,
    float $got,
    float $left,
    string $typed,
    string $says,
) {
    expect(countedOf($measure, $got, $left, $typed))->toBe($says);
})->with([
    [
        Kind::Mass,
        500,
        100,
        'half',
        'ambiguous: “half” is 250 g of the 500 g that came in, and 50 g of the 100 g there should be. Write which amount is left.',
    ],
    [
        null,
        12,
        6,
        'half of it',
        'ambiguous: “half of it” is 6 of the 12 that came in, and 3 of the 6 there should be. Write which amount is left.',
    ],
    // Ounces for grams, or a nought too many.
    [
        Kind::Mass,
        250,
        250,
        '120 oz',
        'out_of_range: “120 oz” is far more than the 250 g that came in. '.
        'Write what is left; or if more came in, change how much there was first.',
    ],
    [
        null,
        12,
        12,
        '120',
        'out_of_range: “120” is far more than the 12 that came in. '.
        'Write what is left; or if more came in, change how much there was first.',
    ],
    [Kind::Mass, 250, 250, '½', 'ambiguous: “½” of what? Write it like half of it, or with its unit.'],
    [null, 12, 12, '7.5', 'unreadable: “7.5” is not a number of pieces. Write a whole number from 0 to 10000.'],
    [null, 9000, 9000, '10001', 'unreadable: “10001” is not a number of pieces. Write a whole number from 0 to 10000.'],
    [null, 12, 12, '7 spoons', 'unreadable: “7 spoons” is not a number of pieces. Write a whole number from 0 to 10000.'],
    [Kind::Mass, 250, 250, 'some', 'unreadable: “some” cannot be read as a weight. Write it like 70 g or 2 1/2 oz.'],
    [Kind::Mass, 250, 250, '-5 g', 'not_above_zero: “-5 g” is not more than nothing. Give an amount above zero.'],
]);
