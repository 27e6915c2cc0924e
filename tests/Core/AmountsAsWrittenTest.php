<?php

declare(strict_types=1);

use Kettle\Measure\AmountException;
use Kettle\Measure\AmountReader;
use Kettle\Measure\Kind;
use Kettle\Measure\MeasureSystem;

// How people write what they weighed and measured: common practice, no source.
it('reads an amount however it is written', function (string $typed, Kind $kind, float $value) {
    $bare = ['mass' => 'g', 'volume' => 'mL', 'temperature' => '°C', 'time' => 'h'][strtolower($kind->name)];
    expect((new AmountReader(MeasureSystem::Metric))->read($typed, $kind, $bare)->value)->toEqualWithDelta($value, 1e-9);
})->with([
    ['ca. 300 g', Kind::Mass, 300],
    ['approx. 300 g', Kind::Mass, 300],
    ['roughly 300 g', Kind::Mass, 300],
    ['300 g or so', Kind::Mass, 300],
    ['300 g approx.', Kind::Mass, 300],
    ['just over 300 g', Kind::Mass, 300],
    ['a bit under 300 g', Kind::Mass, 300],
    ['100 g x 3', Kind::Mass, 300],
    ['1.5 kg × 2', Kind::Mass, 3000],
    ["1\u{202F}250 g", Kind::Mass, 1250],
    ["12\u{00A0}500 g", Kind::Mass, 12500],
    ['300 cm³', Kind::Volume, 300],
    ['300 cm3', Kind::Volume, 300],
    // A dessertspoon is two teaspoons.
    ['1 dessertspoon', Kind::Volume, 10],
    ['2 dsp.', Kind::Volume, 20],
    ['50 ℃', Kind::Temperature, 50],
    ['122 ℉', Kind::Temperature, 50],
    ['50 celcius', Kind::Temperature, 50],
    ['4h30m', Kind::Time, 4.5],
    ['480 g minus 180 g', Kind::Mass, 300],
    ['10 to 12 g', Kind::Mass, 11],
    ['10 g to 12 g', Kind::Mass, 11],
    ['100g-120g', Kind::Mass, 110],
    ['50 °C to 54 °C', Kind::Temperature, 52],
    ['900 ml to 1.1 l', Kind::Volume, 1000],
]);

it('takes no amount from more to less for a range, which may be the one taken off the other', function (string $typed, Kind $kind) {
    expect(fn () => (new AmountReader())->read($typed, $kind, 'g'))->toThrow(AmountException::class, 'minus');
})->with([['480-180', Kind::Mass], ['480 g-180 g', Kind::Mass], ['12 to 10 oz', Kind::Mass]]);

it('refuses what says no amount', function (string $typed) {
    expect(fn () => (new AmountReader())->read($typed, Kind::Mass, 'g'))->toThrow(AmountException::class);
})->with(['under 300 g', '300+ g', '1 234 g', 'or so', 'about', '1e3 g', '300 g or', '60 g to 300', 'a bit', 'x 3']);
