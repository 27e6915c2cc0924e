<?php

use Kettle\Measure\AmountException;
use Kettle\Measure\AmountReader;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Density;
use Kettle\Measure\Kind;
use Kettle\Measure\MeasureSystem;
use Kettle\Measure\Ratio;
use Kettle\Measure\RatioException;
use Kettle\Measure\Unit;

// NIST Handbook 44, Appendix C (exact or as printed there), quoted from memory.
it('holds NIST Handbook 44 figures', function (string $unit, float $value) {
    expect(Unit::make($unit)->factor)->toEqualWithDelta($value, 1e-9 * $value);
})->with([
    ['in', 25.4],
    ['oz', 28.349523125],
    ['lb', 453.59237],
    ['gal', 3785.411784],
    ['quart', 946.352946],
    ['pint', 473.176473],
    ['cup', 236.5882365],
    ['fl oz', 29.5735295625],
    ['tbsp', 14.78676478125],
    ['tsp', 4.92892159375],
]);

// Against GNU units (Debian's package `units`), whose definitions are its own.
it('agrees with the units program', function (string $ours, MeasureSystem $custom, string $theirs, string $base) {
    $answer = shell_exec(sprintf('units -1 --compact -d 15 %s %s', escapeshellarg($theirs), escapeshellarg($base)));
    expect(is_numeric(trim((string) $answer)))->toBeTrue();
    expect(Unit::make($ours, $custom)->factor)->toEqualWithDelta((float) $answer, 1e-9 * (float) $answer);
})->with([
    ['oz', MeasureSystem::Us, 'oz', 'g'],
    ['lb', MeasureSystem::Us, 'lb', 'g'],
    ['kg', MeasureSystem::Us, 'kg', 'g'],
    ['gal', MeasureSystem::Us, 'usgallon', 'ml'],
    ['quart', MeasureSystem::Us, 'usquart', 'ml'],
    ['pint', MeasureSystem::Us, 'uspint', 'ml'],
    ['cup', MeasureSystem::Us, 'uscup', 'ml'],
    ['fl oz', MeasureSystem::Us, 'usfloz', 'ml'],
    ['tbsp', MeasureSystem::Us, 'ustablespoon', 'ml'],
    ['tsp', MeasureSystem::Us, 'usteaspoon', 'ml'],
    ['gal', MeasureSystem::Imperial, 'brgallon', 'ml'],
    ['pint', MeasureSystem::Imperial, 'brpint', 'ml'],
    ['fl oz', MeasureSystem::Imperial, 'brfloz', 'ml'],
    ['cup', MeasureSystem::Metric, '250 ml', 'ml'],
    ['tbsp', MeasureSystem::Australian, 'australiatablespoon', 'ml'],
    ['tsp', MeasureSystem::Metric, '5 ml', 'ml'],
    ['in', MeasureSystem::Us, 'inch', 'mm'],
    ['week', MeasureSystem::Us, 'week', 'hour'],
    ['mg', MeasureSystem::Metric, 'mg', 'g'],
    ['tonne', MeasureSystem::Metric, 'tonne', 'g'],
    ['mL', MeasureSystem::Metric, 'cc', 'ml'],
    ['cL', MeasureSystem::Metric, 'centiliter', 'ml'],
    ['dL', MeasureSystem::Metric, 'deciliter', 'ml'],
    ['L', MeasureSystem::Metric, 'liter', 'ml'],
    ['quart', MeasureSystem::Imperial, 'brquart', 'ml'],
    ['cup', MeasureSystem::Imperial, 'brcup', 'ml'],
    ['tbsp', MeasureSystem::Metric, '15 ml', 'ml'],
    ['tsp', MeasureSystem::Imperial, 'brteaspoon', 'ml'],
    ['cup', MeasureSystem::Australian, 'metriccup', 'ml'],
    ['cm', MeasureSystem::Metric, 'cm', 'mm'],
    ['min', MeasureSystem::Us, 'minute', 'hour'],
    ['d', MeasureSystem::Us, 'day', 'hour'],
]);

/*
 * Every measure a kitchen in the United States, Britain or on the metric system has, as it is written:
 * read by us, and reckoned by the units program.
 */
it('reads every kitchen measure as the units program reckons it', function (
    MeasureSystem $custom,
    string $typed,
    string $theirs,
    Kind $kind,
) {
    $base = ['mL' => 'ml', 'g' => 'g', 'mm' => 'mm', 'h' => 'hour'][$kind->value];
    $answer = (float) shell_exec(sprintf('units -1 --compact -d 15 %s %s', escapeshellarg($theirs), escapeshellarg($base)));
    expect($answer)
        ->toBeGreaterThan(0)
        ->and((new AmountReader($custom))->read($typed, $kind, $kind->value)->value)
        ->toEqualWithDelta($answer, 1e-9 * $answer);
})->with([
    [MeasureSystem::Us, '1/4 tsp', '0.25 usteaspoon', Kind::Volume],
    [MeasureSystem::Us, '1½ teaspoons', '1.5 usteaspoon', Kind::Volume],
    [MeasureSystem::Us, '1 T', 'ustablespoon', Kind::Volume],
    [MeasureSystem::Us, '3 tbsp + 2 tsp', '3 ustablespoon + 2 usteaspoon', Kind::Volume],
    [MeasureSystem::Us, '⅓ cup', 'uscup / 3', Kind::Volume],
    [MeasureSystem::Us, '2 2/3 cups', '8|3 uscup', Kind::Volume],
    [MeasureSystem::Us, '1 cup and 1 tbsp', 'uscup + ustablespoon', Kind::Volume],
    [MeasureSystem::Us, '12 fl oz', '12 usfloz', Kind::Volume],
    [MeasureSystem::Us, '1 pint', 'uspint', Kind::Volume],
    [MeasureSystem::Us, '2 qt', '2 usquart', Kind::Volume],
    [MeasureSystem::Us, '1/2 gallon', '0.5 usgallon', Kind::Volume],
    [MeasureSystem::Us, '4 oz', '4 oz', Kind::Mass],
    [MeasureSystem::Us, '2 lb 3 oz', '2 lb + 3 oz', Kind::Mass],
    [MeasureSystem::Us, '1/2 pound', '0.5 lb', Kind::Mass],
    [MeasureSystem::Us, '1 in', 'inch', Kind::Length],
    [MeasureSystem::Us, '2 1/2 inches', '2.5 inch', Kind::Length],
    [MeasureSystem::Imperial, '1 pint', 'brpint', Kind::Volume],
    [MeasureSystem::Imperial, '½ pint', '0.5 brpint', Kind::Volume],
    [MeasureSystem::Imperial, '10 fl oz', '10 brfloz', Kind::Volume],
    [MeasureSystem::Imperial, '1 quart', 'brquart', Kind::Volume],
    [MeasureSystem::Imperial, '1 gallon', 'brgallon', Kind::Volume],
    [MeasureSystem::Imperial, '1 cup', 'brcup', Kind::Volume],
    [MeasureSystem::Imperial, '2 lb 3 oz', '2 lb + 3 oz', Kind::Mass],
    [MeasureSystem::Metric, '1 cup', 'metriccup', Kind::Volume],
    [MeasureSystem::Metric, '2 tbsp', '30 ml', Kind::Volume],
    [MeasureSystem::Metric, '3 tsp', '15 ml', Kind::Volume],
    [MeasureSystem::Metric, '2.5 dl', '2.5 deciliter', Kind::Volume],
    [MeasureSystem::Metric, '70 cl', '70 centiliter', Kind::Volume],
    [MeasureSystem::Metric, '0.75 litre', '0.75 liter', Kind::Volume],
    [MeasureSystem::Metric, '1,5 kg', '1.5 kg', Kind::Mass],
    [MeasureSystem::Metric, '250 g', '250 g', Kind::Mass],
    [MeasureSystem::Metric, '500 mg', '500 mg', Kind::Mass],
    [MeasureSystem::Metric, '2.5 cm', '2.5 cm', Kind::Length],
    [MeasureSystem::Australian, '2 tbsp', '2 australiatablespoon', Kind::Volume],
    [MeasureSystem::Australian, '1 cup', 'metriccup', Kind::Volume],
    [MeasureSystem::Australian, '1 tsp', 'brteaspoon', Kind::Volume],
    [MeasureSystem::Us, '90 min', '90 minute', Kind::Time],
    [MeasureSystem::Us, '2 days', '2 day', Kind::Time],
    [MeasureSystem::Us, '6 weeks', '6 week', Kind::Time],
]);

it('turns temperatures as the units program does', function (string $typed, string $theirs) {
    $answer = (float) shell_exec('units -1 --compact -d 12 '.escapeshellarg($theirs).' tempC');
    expect((new AmountReader())->read($typed, Kind::Temperature, '°C')->value)->toEqualWithDelta($answer, 1e-9);
})->with([['140F', 'tempF(140)'], ['160 °F', 'tempF(160)'], ['100 F', 'tempF(100)'], ['-40 F', 'tempF(-40)']]);

it('reads amounts as people write them', function (string $typed, Kind $kind, float $value) {
    expect((new AmountReader())->read($typed, $kind, $kind === Kind::Temperature ? '°C' : $kind->value)->value)->toEqualWithDelta(
        $value,
        1e-9,
    );
})->with([
    ['1 1/2 cups', Kind::Volume, 354.88235475],
    ['1½ c', Kind::Volume, 354.88235475],
    ['1-1/2 cups', Kind::Volume, 354.88235475],
    ['2-1/4 cups', Kind::Volume, 532.323532125],
    ['1 cup + 2 tbsp', Kind::Volume, 266.1617660625],
    ['1 cup plus 2 tbsp', Kind::Volume, 266.1617660625],
    ['1 2/3 cups less 1 tbsp', Kind::Volume, 379.52696271875],
    ['1⅔ cups less 1 tbsp', Kind::Volume, 379.52696271875],
    ['1 lb 3 oz', Kind::Mass, 538.640939375],
    ['3 tbsp + 2 tsp', Kind::Volume, 54.21813753125],
    ['12 fl oz', Kind::Volume, 354.88235475],
    ['0.5 L', Kind::Volume, 500.0],
    ['2 lb 3 oz', Kind::Mass, 992.233309375],
    ['140F', Kind::Temperature, 60.0],
    ['4-6 weeks', Kind::Time, 840.0],
    ['4 to 6 weeks', Kind::Time, 840.0],
    ['70', Kind::Mass, 70.0],
    ['1,5 kg', Kind::Mass, 1500.0],
    ['0,915 kg', Kind::Mass, 915.0],
    ['20 drops', Kind::Volume, 1.0],
    ['about ¾ cup', Kind::Volume, 177.441177375],
    ['2 cups and 3 tbsp', Kind::Volume, 517.53676734375],
    ['2 T', Kind::Volume, 29.5735295625],
    ['2 t', Kind::Volume, 9.8578431875],
    ['.5 oz', Kind::Mass, 14.1747615625],
    ['60 C', Kind::Temperature, 60.0],
    ['1 in', Kind::Length, 25.4],
]);

it('keeps both ends of a range', function () {
    $amount = (new AmountReader())->read('4–6 weeks', Kind::Time, 'd');
    expect([$amount->low, $amount->high])->toBe([672.0, 1008.0]);
});

it('lets the house say what a cup and a drop are', function () {
    expect((new AmountReader(MeasureSystem::Australian))->read('1 tbsp', Kind::Volume, 'mL')->value)
        ->toBe(20.0)
        ->and((new AmountReader(MeasureSystem::Imperial))->read('1 pint', Kind::Volume, 'mL')->value)
        ->toEqualWithDelta(568.26125, 1e-9)
        ->and((new AmountReader(dropsPerMl: 32))->read('32 drops', Kind::Volume, 'mL')->value)
        ->toEqualWithDelta(1.0, 1e-12);
});

it('never turns an ounce into a fluid ounce without a density', function () {
    $reader = new AmountReader();
    expect(fn () => $reader->read('3 oz', Kind::Volume, 'mL'))->toThrow(AmountException::class, 'only through the density');
    $ml = $reader->read('3 oz', Kind::Volume, 'mL', Density::gramsPerMl(0.92));
    expect($ml->value)
        ->toEqualWithDelta((3 * 28.349523125) / 0.92, 1e-9)
        ->and($ml->throughDensity)
        ->toBeTrue();
});

it('refuses what cannot be meant, and says what would be right', function (string $typed, string $reason) {
    try {
        (new AmountReader())->within($typed, Kind::Mass, 'g', 0.1, 10_000);
    } catch (AmountException $refused) {
        expect($refused->reason)->toBe($reason)->and($refused->sentence)->toMatch('/\.$/');

        return;
    }
    $this->fail("“{$typed}” was taken.");
})->with([
    ['-3 g', 'not_above_zero'],
    ['0 g', 'not_above_zero'],
    ['1 tonne', 'too_much'],
    ['abc', 'unreadable'],
    ['', 'unreadable'],
    ['1/0 g', 'unreadable'],
    ['3 oz + 2 cups', 'mixed_units'],
    ['1,000 g', 'ambiguous'],
    ['2 cups', 'wrong_kind'],
    ['0.01 g', 'too_little'],
    ['5 5 5', 'unreadable'],
    ["7\u{202E}0 g!", 'unreadable'],
    [str_repeat('9', 60).' g', 'too_much'],
]);

it('shows kitchen measures that read back to what they say they cost', function (float $ml) {
    $shown = (new AmountWriter())->kitchen($ml, Kind::Volume);
    $text = str_replace([' less ', ' + '], [' - ', ' + '], $shown['text']);
    $read = 0.0;
    foreach (preg_split('/ (?=[+-] )/', $text) ?: [] as $part) {
        $sign = str_starts_with($part, '- ') ? -1 : 1;
        $read += $sign * (new AmountReader())->read(ltrim($part, '+- '), Kind::Volume, 'mL')->value;
    }
    expect((($read - $ml) / $ml) * 100)
        ->toEqualWithDelta($shown['rounding_percent'], 0.06)
        ->and(abs($shown['rounding_percent']))
        ->toBeLessThan($ml < 15 ? 26.0 : 7.0);
})->with(
    fn () => array_map(fn (int $ml) => [(float) $ml], [
        3,
        7,
        15,
        22,
        31,
        40,
        59,
        70,
        100,
        116,
        150,
        232,
        237,
        348,
        400,
        500,
        777,
        1000,
        1980,
    ]),
);

it('reads ratios by every convention', function () {
    $oil = Density::gramsPerMl(0.92);
    $herb = Density::gramsPerMl(0.1);
    expect(Ratio::read('1:5')->mlPerGram($oil, $herb))
        ->toBe(5.0)
        ->and(Ratio::read('2 to 11')->mlPerGram($oil, $herb))
        ->toBe(5.5)
        ->and(Ratio::read('1:5 w/w')->mlPerGram($oil, $herb))
        ->toEqualWithDelta(5 / 0.92, 1e-12)
        // One volume of herb at 0.1 g/mL weighs 0.1 g a mL, so two volumes of oil are 20 mL a gram.
        ->and(Ratio::read('1:2 v/v')->mlPerGram($oil, $herb))
        ->toEqualWithDelta(20.0, 1e-9);
    foreach (['five', '1:0.2', '1:77', '0:5', '', '1:5 x/y'] as $bad) {
        expect(fn () => Ratio::read($bad))->toThrow(RatioException::class);
    }
});
