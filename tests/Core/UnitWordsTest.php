<?php

declare(strict_types=1);

use Kettle\Measure\AmountReader;
use Kettle\Measure\Kind;
use Kettle\Measure\UnitWords;
use Kettle\Share\LotLines;
use Tests\Core\Support;

// How cooks write a unit: common practice, no source. The table is written out by hand, beside the patterns.
dataset('units', [
    'metric weights' => [
        UnitWords::METRIC_MASS,
        Kind::Mass,
        ['g', 'gr', 'gm', 'gms', 'gram', 'grams', 'gramme', 'grammes', 'kg', 'kilo', 'kilos', 'kilogram', 'kilograms', 'mg'],
    ],
    'metric volumes' => [
        UnitWords::METRIC_VOLUME,
        Kind::Volume,
        ['ml', 'mls', 'cc', 'millilitre', 'milliliters', 'cl', 'centilitres', 'dl', 'deciliter', 'l', 'ltr', 'litre', 'liters'],
    ],
    'other weights' => [
        '(?:'.UnitWords::OUNCES.'|'.UnitWords::POUNDS.')',
        Kind::Mass,
        ['oz', 'ounce', 'ounces', 'lb', 'lbs', 'pound', 'pounds'],
    ],
    'fluid ounces' => [UnitWords::FLUID_OUNCES, Kind::Volume, ['fl oz', 'floz', 'fl. oz', 'fluid oz', 'fluid ounce', 'fluid ounces']],
    'spoons' => [
        UnitWords::SPOONS,
        Kind::Volume,
        ['tbsp', 'tbsps', 'tbs', 'tb', 'tablespoon', 'tablespoons', 'tsp', 'tsps', 'teaspoon', 'teaspoons'],
    ],
    'cups' => [UnitWords::CUPS, Kind::Volume, ['cup', 'cups']],
    'pints' => [UnitWords::PINTS, Kind::Volume, ['pint', 'pints', 'pt', 'pts', 'quart', 'quarts', 'qt', 'gallon', 'gallons', 'gal']],
]);

it('knows a unit however it is written, and reads it as what it is', function (string $pattern, Kind $kind, array $written) {
    $reader = new AmountReader();
    foreach ($written as $unit) {
        expect(preg_match("/^{$pattern}$/iu", $unit))->toBe(1, $unit);
        // Whole, with nothing left of it where nothing bounds it.
        expect(preg_replace('/'.UnitWords::ANY.'/iu', '', $unit, 1))->toBe('', $unit);
        expect($reader->read("3 {$unit}", $kind, '')->kind)->toBe($kind, $unit);
    }
})->with('units');

it('takes no word for a unit that is none', function (string $word) {
    expect(preg_match('/^'.UnitWords::ANY.'$/iu', $word))->toBe(0);
})->with(['c', 'f', 'part', 'drops', 'handful', 'jar', 'grammar', 'kilometre', 'minutes', 'm', 'fl', 'days']);

it('reads every unit wherever an amount may stand in a recipe', function (string $pattern, Kind $kind, array $written) {
    foreach ($written as $unit) {
        $said = $pattern === UnitWords::FLUID_OUNCES ? 'fl oz' : $unit;
        $amounts = fn (string $text): array => array_map(
            fn (array $herb) => str_replace('.', '', preg_replace('/(?<=\d)\.(?=\d)/', ',', $herb['amount'] ?? '-')),
            Support::pasted($text)->wish['herbs'],
        );
        expect($amounts("1,5 {$unit} dried calendula\n2 l olive oil"))->toBe(["1,5 {$said}"], "a decimal comma, {$unit}");
        expect($amounts("3 {$unit} each dried calendula and dried plantain\n2 l olive oil"))->toBe(
            ["3 {$said}", "3 {$said}"],
            "each, {$unit}",
        );
        expect($amounts("2 {$unit} dried calendula, 3 {$unit} dried plantain\n2 l olive oil"))->toBe(
            ["2 {$said}", "3 {$said}"],
            "a comma, {$unit}",
        );
        expect($amounts("Dried calendula 2 {$unit}, dried plantain 3 {$unit}\n2 l olive oil"))->toBe(
            ["2 {$said}", "3 {$said}"],
            "behind, {$unit}",
        );
        expect($amounts("2 {$unit} dried calendula in 2 l olive oil"))->toBe(["2 {$said}"], "in, {$unit}");
    }
})->with('units');

it('reads every unit of a sentence, before and behind, with its point or without', function (string $pattern, Kind $kind, array $written) {
    $isJar = $pattern === UnitWords::PINTS;
    foreach ($written as $unit) {
        $said = $pattern === UnitWords::FLUID_OUNCES ? 'fl oz' : $unit;
        foreach (['', '.'] as $point) {
            foreach (
                [
                    "2 {$unit}{$point} dried calendula in 5 {$unit}{$point} olive oil",
                    "dried calendula 2 {$unit}{$point}, 5 {$unit}{$point} of olive oil",
                ] as $text
            ) {
                $read = Support::sentence($text);
                // So many pints of a herb are jars of a pint.
                expect($isJar ? '' : $read['wish']['herbs'][0]['amount'] ?? null)
                    ->toBe($isJar ? '' : "2 {$said}", $text)
                    ->and($read['wish']['oil_amount'] ?? null)
                    ->toBe("5 {$said}", $text)
                    ->and($isJar ? [] : $read['unread'])
                    ->toBe([], $text);
            }
        }
    }
})->with('units');

it('reads every unit on a lid', function (string $pattern, Kind $kind, array $written) {
    $kitchen = Support::kitchen();
    $lids = new LotLines($kitchen->cupboard(), $kitchen);
    foreach ($written as $unit) {
        $said = $pattern === UnitWords::FLUID_OUNCES ? 'fl oz' : $unit;
        $lines = ["3 {$unit} olive oil, opened 3 Nov", "olive oil, 3 {$unit}", "olive oil 3 {$unit}"];
        foreach ([...$lines, "olive oil 3 {$unit}., from the market"] as $line) {
            $lot = $lids->read($line)[0]['lot'];
            expect($lot['amount'] ?? null)
                ->toBe("3 {$said}", $line)
                ->and($lot['material'] ?? null)
                ->toBe('olive', $line);
        }
    }
})->with('units');

it('reads a unit with its point, where it ends no sentence', function (string $typed, string $plain) {
    expect(UnitWords::plain($typed))->toBe($plain);
})->with([
    ['3 tbsp. calendula', '3 tbsp calendula'],
    ['½ oz. of calendula, 8 fl. oz. oil', '½ oz of calendula, 8 fl oz oil'],
    ['20 oz. Leave it', '20 oz. Leave it'],
    ['4 wks.', '4 weeks'],
    ['2 mths', '2 months'],
    ['8 fluid ounces', '8 fl oz'],
    ['in a wk. or so', 'in a wk. or so'],
    ['3 lb.', '3 lb'],
]);
