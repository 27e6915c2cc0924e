<?php

use Kettle\Measure\AmountException;
use Kettle\Measure\AmountReader;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Measure\MeasureSystem;
use Kettle\Measure\Ratio;
use Kettle\Measure\Unit;

/*
 * Every word for a unit, with what one of it is: NIST Handbook 44, appendix C (from memory), for the US customary ones;
 * the SI brochure for the metric. mL for volumes, g for masses, mm for lengths, h for times.
 */
const SAID = [
    '0.001 g' => ['mg', 'milligram', 'milligrams'],
    '1 g' => ['g', 'gr', 'gm', 'gms', 'gram', 'grams', 'gramme', 'grammes'],
    '1000 g' => ['kg', 'kgs', 'kilo', 'kilos', 'kilogram', 'kilograms'],
    '1000000 g' => ['tonne', 'tonnes', 'ton', 'tons'],
    '28.349523125 g' => ['oz', 'ounce', 'ounces', 'Oz.'],
    '453.59237 g' => ['lb', 'lbs', 'pound', 'pounds', 'LB'],
    '1 mL' => ['ml', 'mls', 'cc', 'millilitre', 'millilitres', 'milliliter', 'milliliters', 'mL.'],
    '10 mL' => ['cl', 'centilitre', 'centilitres', 'centiliter', 'centiliters'],
    '100 mL' => ['dl', 'decilitre', 'decilitres', 'deciliter', 'deciliters'],
    '1000 mL' => ['l', 'ltr', 'litre', 'litres', 'liter', 'liters'],
    '3785.411784 mL' => ['gal', 'gallon', 'gallons'],
    '946.352946 mL' => ['qt', 'qts', 'quart', 'quarts'],
    '473.176473 mL' => ['pt', 'pts', 'pint', 'pints'],
    '236.5882365 mL' => ['c', 'cup', 'cups'],
    '29.5735295625 mL' => ['fl oz', 'floz', 'fluid oz', 'fluid ounce', 'fluid ounces', 'fl. oz.'],
    '14.78676478125 mL' => ['tbsp', 'tbsps', 'tbs', 'tb', 'tablespoon', 'tablespoons', 'T'],
    '4.92892159375 mL' => ['tsp', 'tsps', 'teaspoon', 'teaspoons', 't'],
    '1 mm' => ['mm', 'millimetre', 'millimetres', 'millimeter', 'millimeters'],
    '10 mm' => ['cm', 'centimetre', 'centimetres', 'centimeter', 'centimeters'],
    '25.4 mm' => ['in', 'inch', 'inches', '"'],
    '0.016666666666667 h' => ['min', 'mins', 'minute', 'minutes'],
    '1 h' => ['h', 'hr', 'hrs', 'hour', 'hours'],
    '24 h' => ['d', 'day', 'days'],
    '168 h' => ['wk', 'wks', 'week', 'weeks'],
];

it('knows each unit by each of its words', function (string $is, array $words) {
    [$value, $base] = explode(' ', $is);
    foreach ($words as $word) {
        $unit = Unit::named($word, MeasureSystem::Us);
        expect($unit)
            ->not->toBeNull($word)
            ->and($unit->kind->value)
            ->toBe($base)
            ->and($unit->toBase(1.0))
            ->toEqualWithDelta((float) $value, 1e-9 * max(1.0, (float) $value), $word)
            ->and($unit->toBase(0.0))
            ->toEqualWithDelta(0.0, 1e-12);
    }
})->with(array_map(fn (string $is, array $words) => [$is, $words], array_keys(SAID), SAID));

it('knows the two degrees by each of their words', function () {
    foreach (['°c', 'deg c', 'degrees c', 'celsius', 'degrees celsius', 'centigrade', 'ºc'] as $word) {
        expect(Unit::named($word, MeasureSystem::Us)?->toBase(49.0))->toBe(49.0, $word);
    }
    // 32 F is 0 C, 212 F is 100 C.
    foreach (['f', '°f', 'deg f', 'degrees f', 'fahrenheit', 'degrees fahrenheit', 'ºf'] as $word) {
        expect(Unit::named($word, MeasureSystem::Us)?->toBase(32.0))
            ->toEqualWithDelta(0.0, 1e-9, $word)
            ->and(Unit::named($word, MeasureSystem::Us)?->toBase(212.0))
            ->toEqualWithDelta(100.0, 1e-9, $word);
    }
    foreach (['', 'stone', 'gills', 'grams of', 'cupful'] as $none) {
        expect(Unit::named($none, MeasureSystem::Us))->toBeNull($none);
    }
});

it('reads each vulgar fraction', function (string $sign, float $is) {
    $read = fn (string $typed) => (new AmountReader(MeasureSystem::Metric))->read($typed, Kind::Mass, 'g')->value;
    expect($read("{$sign} g"))
        ->toEqualWithDelta($is, 1e-12)
        ->and($read("2{$sign} g"))
        ->toEqualWithDelta(2 + $is, 1e-12)
        ->and($read("2 {$sign} g"))
        ->toEqualWithDelta(2 + $is, 1e-12);
})->with([
    ['¼', 0.25],
    ['½', 0.5],
    ['¾', 0.75],
    ['⅓', 1 / 3],
    ['⅔', 2 / 3],
    ['⅛', 0.125],
    ['⅜', 0.375],
    ['⅝', 0.625],
    ['⅞', 0.875],
    ['⅕', 0.2],
    ['⅖', 0.4],
    ['⅗', 0.6],
    ['⅘', 0.8],
    ['⅙', 1 / 6],
    ['⅚', 5 / 6],
]);

it('counts drops by any of their words', function () {
    foreach (['20 drop', '20 drops', '20 gtt'] as $typed) {
        expect((new AmountReader(MeasureSystem::Metric, 20.0))->read($typed, Kind::Volume, 'mL')->value)->toEqualWithDelta(1.0, 1e-9);
    }
});

it('reads what is eighty letters long, and no longer', function () {
    $reader = new AmountReader(MeasureSystem::Metric);
    expect($reader->read(str_repeat(' ', 76).'12 g', Kind::Mass, 'g')->value)
        ->toBe(12.0)
        ->and(fn () => $reader->read('1'.str_repeat('0', 78).' g', Kind::Mass, 'g'))
        ->toThrow(AmountException::class);
    try {
        $reader->read(str_repeat('x', 41), Kind::Mass, 'g');
    } catch (AmountException $refused) {
        expect($refused->sentence)->toContain('“'.str_repeat('x', 40).'…”');
    }
});

it('says a span as it is said', function (float $hours, string $said) {
    expect(AmountWriter::span($hours))->toBe($said);
})->with([
    [0.25, '15 min'],
    [0.99, '59 min'],
    [1.0, '1 h'],
    [1.26, '1.3 h'],
    [95.94, '95.9 h'],
    [96.0, '4 days'],
    [100.0, '4 days'],
    [108.1, '5 days'],
    [168.0, '1 week'],
    [336.0, '2 weeks'],
    [672.0, '4 weeks'],
    [240.0, '10 days'],
    [24.0, '24 h'],
]);

it('writes plainly, to the nearest', function () {
    expect(AmountWriter::plain(48.6, Kind::Temperature))
        ->toBe('49 °C')
        ->and(AmountWriter::plain(-0.4, Kind::Temperature))
        ->toBe('0 °C')
        ->and(AmountWriter::plain(9.96, Kind::Volume))
        ->toBe('10 mL')
        ->and(AmountWriter::plain(9.94, Kind::Volume))
        ->toBe('9.9 mL')
        ->and(AmountWriter::plain(999.6, Kind::Volume))
        ->toBe('1000 mL')
        ->and(AmountWriter::plain(1234.0, Kind::Volume))
        ->toBe('1.23 L')
        ->and(AmountWriter::plain(-0.04, Kind::Volume))
        ->toBe('0 mL')
        ->and(AmountWriter::plain(117.6, Kind::Length))
        ->toBe('118 mm');
    // One fluid ounce is 29.5735 mL: 29.4 is 0.994 of it, and told to two places.
    expect(AmountWriter::fluidOunces(29.4))
        ->toBe('0.99 fl oz')
        ->and(AmountWriter::fluidOunces(29.5))
        ->toBe('1 fl oz')
        ->and(AmountWriter::fluidOunces(50))
        ->toBe('1.7 fl oz')
        ->and(AmountWriter::fluidOunces(10))
        ->toBe('0.34 fl oz');
    expect((new AmountWriter(MeasureSystem::Us))->kitchen(8.0, Kind::Time))
        ->toBe(['text' => '8 h', 'rounding_percent' => 0.0])
        ->and((new AmountWriter(MeasureSystem::Us))->kitchen(0.0, Kind::Mass)['rounding_percent'])
        ->toBe(0.0);
});

it('reads a ratio with one part of herb or several', function () {
    expect(Ratio::read('1:5')->parts)->toBe(5.0)->and(Ratio::read('2:10')->parts)->toBe(5.0)->and(Ratio::read('2:9')->parts)->toBe(4.5);
});
