<?php

use Kettle\Material\MaterialException;
use Kettle\Material\Tables;
use Kettle\Measure\AmountException;
use Kettle\Measure\AmountReader;
use Kettle\Measure\Density;
use Kettle\Measure\Kind;
use Kettle\Measure\MeasureSystem;
use Kettle\Reason\Faults;
use Kettle\Recipe\Fields;
use Kettle\Recipe\Kitchen;
use Kettle\Recipe\KitchenReader;
use Kettle\Recipe\Numbers;
use Kettle\Recipe\WishException;
use Kettle\Time\Day;

/** @return array{0: ?float, 1: ?string} what was read, or why not */
function readOr(Closure $read): array
{
    try {
        return [$read()->value, null];
    } catch (AmountException $refused) {
        return [null, $refused->reason];
    }
}

it('reads an amount however it is written', function (string $typed, Kind $kind, float $value) {
    expect((new AmountReader())->read($typed, $kind, $kind->value)->value)->toEqualWithDelta($value, abs($value) * 1e-4 + 1e-9);
})->with([
    // NIST Special Publication 811, appendix B: 1 US cup 236.5882 mL, 1 US fl oz 29.57353 mL, 1 oz 28.34952 g.
    ['1 cup', Kind::Volume, 236.5882],
    ['1c', Kind::Volume, 236.5882],
    ['1 C.', Kind::Volume, 236.5882],
    ['1½ cups', Kind::Volume, 354.8823],
    ['1 1/2 cups', Kind::Volume, 354.8823],
    ['1 ⅓ cup', Kind::Volume, 315.4509],
    ['.5 cup', Kind::Volume, 118.2941],
    ['0,5 L', Kind::Volume, 500.0],
    ['3 tbsp + 2 tsp', Kind::Volume, 54.2181],
    ['3 Tbsp and 2 tsp', Kind::Volume, 54.2181],
    ['3 tablespoons, 2 teaspoons', Kind::Volume, 54.2181],
    ['12 fl oz', Kind::Volume, 354.8824],
    ['12 fl. oz.', Kind::Volume, 354.8824],
    ['20 drops', Kind::Volume, 1.0],
    ['1 pint', Kind::Volume, 473.1765],
    ['about 2 cups', Kind::Volume, 473.1764],
    ['~2 cups', Kind::Volume, 473.1764],
    ['2 lb 3 oz', Kind::Mass, 992.2332],
    ['8oz', Kind::Mass, 226.7962],
    ['0.25 kg', Kind::Mass, 250.0],
    ['250', Kind::Mass, 250.0],
    // SP 811 too: t/C = (t/F - 32) / 1.8.
    ['120 F', Kind::Temperature, 48.8889],
    ['120°F', Kind::Temperature, 48.8889],
    ['49 C', Kind::Temperature, 49.0],
    ['-18 C', Kind::Temperature, -18.0],
    ['4-6 weeks', Kind::Time, 840.0],
    ['4 to 6 weeks', Kind::Time, 840.0],
    ['4–6 weeks', Kind::Time, 840.0],
    ['90 min', Kind::Time, 1.5],
    ['1 day 12 h', Kind::Time, 36.0],
    // As clocks and tables write it: ISO 8601 has hours and minutes of two digits behind a colon.
    ['1:30', Kind::Time, 1.5],
    ['1h30', Kind::Time, 1.5],
    ['2 h 05', Kind::Time, 2.083333],
    ['an hour and a half', Kind::Time, 1.5],
    ['a fortnight', Kind::Time, 336.0],
    // In words: common practice, no source. The sizes as above.
    ['a pint', Kind::Volume, 473.1765],
    ['an ounce', Kind::Mass, 28.34952],
    ['two cups', Kind::Volume, 473.1765],
    ['half a cup', Kind::Volume, 118.2941],
    ['a half pint', Kind::Volume, 236.5882],
    ['a quarter of a cup', Kind::Volume, 59.14706],
    ['three quarters of a cup', Kind::Volume, 177.4412],
    ['two thirds of a cup', Kind::Volume, 157.7255],
    ['1/4 of a cup', Kind::Volume, 59.14706],
    ['a cup and a half', Kind::Volume, 354.8824],
    ['two and a half cups', Kind::Volume, 591.4706],
    ['1 and 1/2 cups', Kind::Volume, 354.8824],
    ['a cup and a tablespoon', Kind::Volume, 251.375],
    ['two cups less a tbsp', Kind::Volume, 458.3897],
    ['four to six weeks', Kind::Time, 840.0],
    // So many of a size.
    ['2 x 500 mL', Kind::Volume, 1000.0],
    ['6×50 mL', Kind::Volume, 300.0],
    // Whose measure it is may be said: Weights and Measures Act 1985 (UK); a metric cup is 250 mL.
    ['1 imperial pint', Kind::Volume, 568.261],
    ['1 UK fl oz', Kind::Volume, 28.41306],
    ['2 metric cups', Kind::Volume, 500.0],
    ['1 Australian tbsp', Kind::Volume, 20.0],
    // With both signs in it there is one reading only.
    ['1,234.5 g', Kind::Mass, 1234.5],
    ['1.234,5 g', Kind::Mass, 1234.5],
    // Digits of other keyboards: the Unicode Character Database gives each its value.
    ['１００ g', Kind::Mass, 100.0],
    ['٢٠٠ ml', Kind::Volume, 200.0],
    ['١٫٥ L', Kind::Volume, 1500.0],
    ['५० g', Kind::Mass, 50.0],
]);

it('says why an amount cannot be taken', function (string $typed, Kind $kind, string $reason) {
    expect(readOr(fn () => (new AmountReader())->within($typed, $kind, $kind->value, 0.1, 10_000)))->toBe([null, $reason]);
})->with([
    ['', Kind::Mass, 'unreadable'],
    ['   ', Kind::Mass, 'unreadable'],
    ['some', Kind::Mass, 'unreadable'],
    ['a', Kind::Mass, 'unreadable'],
    ['1:30', Kind::Mass, 'unreadable'],
    ['1:75', Kind::Time, 'unreadable'],
    ['1 h 3', Kind::Time, 'unreadable'],
    ['60°', Kind::Mass, 'unreadable'],
    ['half', Kind::Volume, 'unreadable'],
    ['2 half pints', Kind::Volume, 'unreadable'],
    ['a few cups', Kind::Volume, 'unreadable'],
    ['6 x 50 mL + 20 mL', Kind::Volume, 'unreadable'],
    ['0 x 50 mL', Kind::Volume, 'not_above_zero'],
    ['1 metric pint', Kind::Volume, 'unreadable'],
    ['two hundred g', Kind::Mass, 'unreadable'],
    ['a handful', Kind::Mass, 'unreadable'],
    ['5 bananas', Kind::Mass, 'unreadable'],
    ['1/0 cup', Kind::Volume, 'unreadable'],
    ['1 2 3 g', Kind::Mass, 'unreadable'],
    ['1 g 2', Kind::Mass, 'unreadable'],
    ['1e5 g', Kind::Mass, 'unreadable'],
    ['NaN', Kind::Mass, 'unreadable'],
    ['<b>5</b> g', Kind::Mass, 'unreadable'],
    [str_repeat('1', 90), Kind::Mass, 'unreadable'],
    ['1,500 g', Kind::Mass, 'ambiguous'],
    ['1.500 g', Kind::Mass, 'ambiguous'],
    ['250 ml + 1.000 ml', Kind::Volume, 'ambiguous'],
    ['1 cup + 5 g', Kind::Volume, 'mixed_units'],
    ['5 g', Kind::Volume, 'wrong_kind'],
    ['3 days', Kind::Mass, 'wrong_kind'],
    ['-5 g', Kind::Mass, 'not_above_zero'],
    ['0 g', Kind::Mass, 'not_above_zero'],
    ['0-5 g', Kind::Mass, 'not_above_zero'],
    ['0.01 g', Kind::Mass, 'too_little'],
    ['11 kg', Kind::Mass, 'too_much'],
]);

it('turns a weight into a volume only through a density', function () {
    $oil = Density::gramsPerMl(0.92);
    expect((new AmountReader())->read('92 g', Kind::Volume, 'mL', $oil)->value)
        ->toEqualWithDelta(100.0, 1e-9)
        ->and((new AmountReader())->read('100 mL', Kind::Mass, 'g', $oil)->value)
        ->toEqualWithDelta(92.0, 1e-9)
        ->and(readOr(fn () => (new AmountReader())->read('3 days', Kind::Volume, 'mL', $oil)))
        ->toBe([null, 'wrong_kind']);
});

it('says of an ounce that it is a weight', function () {
    expect(fn () => (new AmountReader())->read('8 oz', Kind::Volume, 'mL'))->toThrow(
        AmountException::class,
        'An ounce is a weight and a fluid ounce a volume',
    );
});

it('takes degrees of no name for those of the field', function (string $typed, string $bare, float $celsius) {
    expect((new AmountReader())->read($typed, Kind::Temperature, $bare)->value)->toEqualWithDelta($celsius, 1e-4);
})->with([
    ['60°', '°C', 60.0],
    ['60 degrees', '°C', 60.0],
    ['140°', '°F', 60.0],
    ['140 deg', '°F', 60.0],
    ['140', '°F', 60.0],
    ['60 °C', '°F', 60.0],
]);

it('keeps the ends of a range', function () {
    $weeks = (new AmountReader())->read('4-6 weeks', Kind::Time, 'h');
    expect([$weeks->low, $weeks->high])->toBe([672.0, 1008.0]);
});

it('counts drops as the dropper gives them, and cups as the house has them', function () {
    expect((new AmountReader(MeasureSystem::Us, 32.0))->read('16 drops', Kind::Volume, 'mL')->value)
        ->toEqualWithDelta(0.5, 1e-9)
        ->and((new AmountReader(MeasureSystem::Metric))->read('1 cup', Kind::Volume, 'mL')->value)
        ->toEqualWithDelta(250.0, 1e-9)
        ->and((new AmountReader(MeasureSystem::Australian))->read('1 tbsp', Kind::Volume, 'mL')->value)
        ->toEqualWithDelta(20.0, 1e-9)
        // An imperial pint is 568.261 mL: Weights and Measures Act 1985 (UK), schedule 1.
        ->and((new AmountReader(MeasureSystem::Imperial))->read('1 pint', Kind::Volume, 'mL')->value)
        ->toEqualWithDelta(568.261, 1e-3);
});

it('reads a day, and no other thing for one', function () {
    $zone = new DateTimeZone('Europe/London');
    expect(Day::read('2028-02-29', $zone)?->format(DATE_ATOM))
        ->toBe('2028-02-29T00:00:00+00:00')
        ->and(Day::read('2026-07-01', $zone)?->format(DATE_ATOM))
        ->toBe('2026-07-01T00:00:00+01:00');
    foreach (
        [
            '',
            'x',
            '2026-02-29',
            '2026-13-01',
            '2026-1-1',
            '26-01-01',
            "2026-01-01\n",
            "2026-01-01\0",
            "a\0b",
            '2026-01-01T00:00',
            '01/02/2026',
            '٢٠٢٦-٠١-٠١',
            '99999-01-01',
        ] as $none
    ) {
        expect(Day::read($none, $zone))->toBeNull($none);
    }
});

it('reads fields of a document of any type as text', function () {
    $document = ['text' => '  cold ', 'whole' => 3, 'part' => 2.5, 'blank' => '  ', 'null' => null, 'list' => ['x'], 'yes' => true];
    expect(Fields::text($document, 'text'))
        ->toBe('cold')
        ->and(Fields::text($document, 'whole'))
        ->toBe('3')
        ->and(Fields::text($document, 'part'))
        ->toBe('2.5')
        ->and(Fields::text($document, 'blank'))
        ->toBeNull()
        ->and(Fields::text($document, 'null'))
        ->toBeNull()
        ->and(Fields::text($document, 'none'))
        ->toBeNull()
        ->and(fn () => Fields::text($document, 'list'))
        ->toThrow(MaterialException::class, '“list” must be written as text')
        ->and(fn () => Fields::text($document, 'yes'))
        ->toThrow(MaterialException::class)
        ->and(Fields::only($document, ['text', 'whole', 'part', 'null', 'list', 'none']))
        ->toBe(['text' => '  cold ', 'whole' => '3', 'part' => '2.5'])
        ->and(Fields::only('cold', ['text']))
        ->toBe([]);
});

it('says small numbers as words', function () {
    expect(array_map(Numbers::word(...), [1, 12, 13, 0]))
        ->toBe(['one', 'twelve', '13', '0'])
        ->and(array_map(Numbers::isWord(...), [5.0, 4.9999, 5.01, 13.0, 0.0]))
        ->toBe([true, true, false, false, false])
        ->and(Numbers::withUnit('50', 'g'))
        ->toBe('50 g')
        ->and(Numbers::withUnit('2 oz', 'g'))
        ->toBe('2 oz');
});

it('gathers faults, each beside its field', function () {
    $faults = new Faults();
    expect($faults->trying('amount', fn () => 7))->toBe(7)->and($faults->all())->toBe([]);
    expect($faults->trying('amount', fn () => throw AmountException::notAboveZero('0')))->toBeNull();
    // One that knows its own field keeps it.
    $faults->trying('amount', fn () => throw AmountException::notAboveZero('0')->about('oil_amount'));
    expect(array_column($faults->all(), 'field'))
        ->toBe(['amount', 'oil_amount'])
        ->and($faults->all()[0]['sentence'])
        ->toContain('above zero');
    $faults->trying('amount', fn () => throw new LogicException('ours'));
})->throws(LogicException::class, 'ours');

/** @return array{string, string} field and reason of what a house is refused for */
function houseFault(array $house): array
{
    try {
        KitchenReader::read($house, new DateTimeImmutable('2026-11-24T10:00:00Z'), Tables::shipped());

        return ['', ''];
    } catch (WishException $refused) {
        return [$refused->faults[0]['field'], $refused->faults[0]['reason']];
    }
}

it('reads a house, or says what is wrong with it', function (array $house, string $field, string $reason) {
    expect(houseFault($house))->toBe([$field, $reason]);
})->with([
    'nothing said' => [[], '', ''],
    'all said' => [
        [
            'time_zone' => 'Pacific/Auckland',
            'measures' => 'metric',
            'drops_per_ml' => 25,
            'room_c' => 16.5,
            'waking' => ['from' => '06:00', 'to' => '21:00'],
            'now' => '2026-11-24T22:00:00+13:00',
        ],
        '',
        '',
    ],
    'no such measures' => [['measures' => 'roman'], 'house.measures', 'unknown'],
    'measures of another type' => [['measures' => ['us']], 'house.measures', 'unknown'],
    'no such zone' => [['time_zone' => 'Atlantis/Harbour'], 'house.time_zone', 'unknown'],
    'a fire hose' => [['drops_per_ml' => 4], 'house.drops_per_ml', 'out_of_range'],
    'drops in words' => [['drops_per_ml' => 'twenty'], 'house.drops_per_ml', 'out_of_range'],
    'a frozen room' => [['room_c' => -1], 'house.room_c', 'out_of_range'],
    'a room in Fahrenheit' => [['room_c' => 68], 'house.room_c', 'out_of_range'],
    'a zone with a nul' => [['time_zone' => "a\0b"], 'house.time_zone', 'unknown'],
    'a day that is none' => [['now' => 'soon'], 'house.now', 'unreadable'],
    'a word the machine’s clock would answer' => [['now' => 'tomorrow'], 'house.now', 'unreadable'],
    'a letter that is a zone' => [['now' => "a\0b"], 'house.now', 'unreadable'],
    'no such day' => [['now' => '2026-13-45'], 'house.now', 'unreadable'],
    'a lot that is none' => [
        [
            'lots' => [
                ['kind' => 'herb', 'material' => 'calendula', 'amount' => '1 kg'],
                ['kind' => 'carrier', 'material' => 'olive', 'amount' => 'lots'],
            ],
        ],
        'house.lots.1.amount',
        'unreadable',
    ],
    'lots that are no lots' => [['lots' => ['olive']], 'house.lots.0.kind', 'unknown'],
]);

it('takes the house’s own clock and room, and its shipped jars', function () {
    $kitchen = KitchenReader::read(
        [
            'time_zone' => 'Pacific/Auckland',
            'now' => '2026-11-24T22:00:00Z',
            'lots' => [
                ['kind' => 'carrier', 'material' => 'olive', 'amount' => '1 L', 'price' => '8'],
                ['kind' => 'carrier', 'material' => 'olive', 'amount' => '500 mL'],
            ],
        ],
        new DateTimeImmutable('2020-01-01T00:00:00Z'),
        Tables::shipped(),
    );
    expect($kitchen->now->format('Y-m-d H:i'))
        ->toBe('2026-11-25 11:00')
        ->and($kitchen->roomC)
        ->toBe(Kitchen::ROOM_C)
        ->and(count($kitchen->jarsBySize()))
        ->toBeGreaterThan(5)
        ->and(array_column($kitchen->lots, 'id'))
        ->toBe(['lot-1', 'lot-2'])
        // 1 L and 500 mL are 1.5 L; 8 for a litre is 0.8 for 100 mL.
        ->and(KitchenReader::stock($kitchen->lots))
        ->toEqual(['olive' => ['ml' => 1500.0, 'price' => 0.8]]);
    $sizes = array_map(fn ($jar) => $jar->brimMl, $kitchen->jarsBySize());
    $sorted = $sizes;
    sort($sorted);
    expect($sizes)->toBe($sorted);
});
