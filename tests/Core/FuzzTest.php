<?php

use Kettle\Measure\AmountException;
use Kettle\Measure\AmountReader;
use Kettle\Measure\Kind;
use Kettle\Measure\MeasureSystem;
use Kettle\Measure\Ratio;
use Kettle\Measure\RatioException;
use Kettle\Recipe\WishException;
use Tests\Core\Support;

/*
 * Whatever is written, the core either plans or refuses with a sentence. Chance is seeded, so that a
 * failure comes again.
 */

/** @return list<mixed> things somebody or something might send where a text is wanted */
function odd(): array
{
    return [
        null,
        '',
        ' ',
        '0',
        '-1',
        '1',
        '5',
        '1e9',
        '1e-9',
        'NaN',
        'INF',
        '∞',
        '½',
        '1½ c',
        '1/0',
        '1/2/3',
        '12 fl oz',
        '3 oz',
        '2 lb 3 oz',
        '70 g',
        '350 mL',
        '4-6 weeks',
        '140F',
        '1,000',
        '1.000,5',
        '٣',
        '１２',
        'one',
        'cup',
        ';--',
        '<b>',
        "\0",
        "a\u{202E}b",
        '🫖',
        str_repeat('9', 79),
        str_repeat('x', 500),
        '1:5',
        '1:0',
        '0:1',
        '1:5 w/w',
        '1:2 v/v',
        '1:',
        '2026-12-12',
        '2026-02-30',
        '1999-01-01',
        '9999-12-31',
        '2026-12-12T10:00',
        'tomorrow',
        0,
        1,
        -1,
        5,
        3.7,
        1e308,
        true,
        false,
        [],
        [[]],
        ['a' => 'b'],
        ['brim' => '1 L', 'inner_height' => '20 cm'],
        ['brim' => '1 L'],
        '473',
        '946',
        'cold',
        'slow-cooker',
        'double-boiler',
        'usual',
        'long',
        'four-weeks',
        'kitchen',
        'salve',
        'olive',
        'coconut',
        'self-heal',
        'linden-blossom',
        'powder',
        'root',
        'dried',
        'fresh',
    ];
}

it('plans or refuses, whatever the wish', function (int $seed) {
    mt_srand($seed);
    $odd = odd();
    $pick = fn (array $usual) => mt_rand(0, 9) > 0 ? $usual[mt_rand(0, count($usual) - 1)] : $odd[mt_rand(0, count($odd) - 1)];
    $planned = 0;
    for ($i = 0; $i < 600; $i++) {
        $wish = [
            'herb' => mt_rand(0, 20) === 0
                    ? $pick([null])
                    : [
                        'id' => $pick(['self-heal', 'marshmallow-root', 'linden-blossom', 'juniper-berry']),
                        'form' => $pick([null, null, 'powder', 'twig']),
                        'amount' => $pick([null, null, '20 g', '70 g', '2 oz', '1 cup']),
                    ],
            'oils' => mt_rand(0, 20) === 0
                    ? $pick([[]])
                    : [
                        ['id' => $pick(['olive', 'sunflower', 'jojoba']), 'parts' => $pick(['1', '2', '1/2'])],
                        ...mt_rand(0, 1) === 1 ? [$pick(['sesame', 'coconut'])] : [],
                    ],
            'oil_amount' => $pick([null, null, null, '250 mL', '1 cup', '300 g']),
            'ratio' => $pick([null, null, '1:5', '1:9']),
            'jar' => $pick([null, null, '473', '946']),
            'method' => $pick(['cold', 'slow-cooker', 'double-boiler']),
            'school' => $pick([null, null, 'usual']),
            'start' => $pick([null, null, '2026-12-01']),
            'ready_by' => $pick([null, null, '2027-02-01']),
            'purpose' => $pick(['skin', 'salve', 'kitchen']),
            'way' => $pick([null, null, 'drained', 'pressed']),
            'basis' => $pick([null, null, 'dry', 'as-it-lies']),
            'jars' => $pick([null, null, null, '2', 3]),
            'finished' => mt_rand(0, 5) === 0
                    ? $pick([
                        ['amount' => '200 mL'],
                        ['count' => '3', 'size' => '50 mL'],
                        ['count' => 2],
                        ['sure' => 'evens', 'amount' => 1],
                    ])
                    : null,
            'by_jar' => mt_rand(0, 5) === 0
                    ? $pick([['fill' => 'half'], ['fill' => 'full', 'cover' => '1 in'], ['fill' => 'quarter', 'cover' => 'x']])
                    : null,
        ];
        if (mt_rand(0, 1) === 1) {
            $wish['herbs'] = array_map(
                fn () => mt_rand(0, 30) === 0
                    ? $pick([null])
                    : [
                        'id' => $pick(['self-heal', 'calendula', 'chickweed', 'turmeric', 'linden-blossom']),
                        'state' => $pick([null, null, 'wilted', 'fresh']),
                        'parts' => $pick([null, null, '2', '1/2']),
                        'amount' => $pick([null, null, null, '20 g']),
                        'water' => $pick([null, null, null, '60']),
                        'picked' => $pick([null, null, null, '90 g']),
                        'lot' => $pick([null]),
                    ],
                range(1, mt_rand(1, 4)),
            );
        }
        try {
            $plan = Support::planning()->plan($wish, Support::kitchen());
            $document = Support::planning()->document($plan, Support::kitchen());
            expect(json_encode($document))->toBeString();
            foreach ($plan->figures as $figure) {
                expect(is_string($figure->value) || is_finite($figure->value))->toBeTrue($figure->id);
            }
            expect($plan->amounts->levels->coverMm())->toBeGreaterThan(0);
            $planned++;
        } catch (WishException $refused) {
            foreach ($refused->faults as $fault) {
                expect($fault['sentence'])->toMatch('/[.]$/')->and(mb_strlen($fault['sentence']))->toBeLessThan(400);
            }
        }
    }
    expect($planned)->toBeGreaterThan(5);
})->with([[1], [2], [3], [5], [8]]);

it('reads or refuses any text as an amount', function () {
    mt_srand(13);
    $bits = [
        '1',
        '2',
        '½',
        '1/2',
        '.5',
        '0',
        '-',
        '+',
        ' ',
        ' and ',
        'to',
        'cup',
        'c',
        'T',
        'tsp',
        'oz',
        'fl oz',
        'lb',
        'g',
        'mL',
        'F',
        '°C',
        'weeks',
        'h',
        'drops',
        '"',
        ',',
        '/',
        ':',
        'é',
        '٣',
        "\t",
    ];
    $read = 0;
    for ($i = 0; $i < 6000; $i++) {
        $text = implode('', array_map(fn () => $bits[mt_rand(0, count($bits) - 1)], range(1, mt_rand(1, 6))));
        foreach (Kind::cases() as $kind) {
            try {
                $amount = (new AmountReader(MeasureSystem::cases()[$i % 4]))->read(
                    $text,
                    $kind,
                    $kind === Kind::Temperature ? '°C' : ($kind === Kind::Time ? 'h' : $kind->value),
                );
                expect(is_finite($amount->value))
                    ->toBeTrue($text)
                    ->and($amount->low <= $amount->value && $amount->value <= $amount->high)
                    ->toBeTrue($text);
                $read++;
            } catch (AmountException $refused) {
                expect($refused->sentence)->toMatch('/[.]$/');
            }
        }
        try {
            expect(Ratio::read($text)->parts)->toBeGreaterThanOrEqual(1.0)->toBeLessThanOrEqual(60.0);
        } catch (RatioException) {
        }
    }
    expect($read)->toBeGreaterThan(500);
});

it('refuses a house it cannot reckon in', function (array $house, string $field) {
    try {
        Support::kitchen($house);
    } catch (WishException $refused) {
        expect($refused->faults[0]['field'])->toBe($field);

        return;
    }
    $this->fail('It was taken.');
})->with([
    [['time_zone' => 'Mars/Base'], 'house.time_zone'],
    [['measures' => 'cubits'], 'house.measures'],
    [['measures' => 5], 'house.measures'],
    [['drops_per_ml' => 0], 'house.drops_per_ml'],
    [['drops_per_ml' => 'x'], 'house.drops_per_ml'],
    [['drops_per_ml' => 1000], 'house.drops_per_ml'],
    [['waking' => ['from' => '22:00', 'to' => '07:00']], 'house'],
    [['waking' => ['from' => 'dawn']], 'house'],
    [['now' => 'whenever'], 'house.now'],
]);
