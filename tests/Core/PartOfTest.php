<?php

use Kettle\Measure\AmountException;
use Kettle\Measure\PartOf;

/* Common practice, no source: what people say of a bottle in the hand. */
it('reads a part of what is there', function (string $typed, ?float $share) {
    $read = PartOf::share($typed);
    $share === null ? expect($read)->toBeNull() : expect($read)->toEqualWithDelta($share, 1e-9);
})->with([
    ['half', 1 / 2],
    ['Half of it', 1 / 2],
    ['a half', 1 / 2],
    ['half of the bottle', 1 / 2],
    ['a third', 1 / 3],
    ['two thirds of it', 2 / 3],
    ['three-quarters', 3 / 4],
    ['a tenth of what is left', 1 / 10],
    ['10 %', 1 / 10],
    ['12,5 per cent of it', 1 / 8],
    ['all', 1.0],
    ['all of it', 1.0],
    ['the rest', 1.0],
    ['what is left', 1.0],
    // Amounts, and what is neither: read as any amount is.
    ['half a cup', null],
    ['10 mL', null],
    ['a glug', null],
    ['two halves', null],
    ['three thirds', null],
    ['0 %', null],
    ['150 %', null],
    ['', null],
]);

it('asks of what a fraction by itself is', function (string $typed) {
    expect(fn () => PartOf::share($typed))->toThrow(
        AmountException::class,
        "“{$typed}” of what? Write it like half of it, or with its unit.",
    );
})->with(['1/2', '½', '2 / 3']);
