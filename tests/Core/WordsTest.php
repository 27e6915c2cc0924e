<?php

use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Measure\MeasureSystem;
use Kettle\Reason\Wording;
use Tests\Core\Support;

it('writes amounts as a scale or a jug shows them', function (float $value, Kind $kind, string $text) {
    expect(AmountWriter::plain($value, $kind))->toBe($text);
})->with([
    [69.65, Kind::Mass, '70 g'],
    [3.24, Kind::Mass, '3.2 g'],
    [0.5, Kind::Mass, '0.5 g'],
    [1250.0, Kind::Mass, '1.25 kg'],
    [348.26, Kind::Volume, '348 mL'],
    [1980.0, Kind::Volume, '1.98 L'],
    [4.93, Kind::Volume, '4.9 mL'],
    [93.4, Kind::Length, '93 mm'],
    [49.0, Kind::Temperature, '49 °C'],
    [0.5, Kind::Time, '30 min'],
    [12.0, Kind::Time, '12 h'],
    [24.0, Kind::Time, '24 h'],
    [672.0, Kind::Time, '4 weeks'],
    [240.0, Kind::Time, '10 days'],
]);

it('writes amounts as a kitchen measures them', function (float $value, Kind $kind, MeasureSystem $custom, string $text) {
    expect((new AmountWriter($custom))->kitchen($value, $kind)['text'])->toBe($text);
})->with([
    [236.6, Kind::Volume, MeasureSystem::Us, '1 cup'],
    [232.0, Kind::Volume, MeasureSystem::Us, '1 cup less 1 tsp'],
    [118.3, Kind::Volume, MeasureSystem::Us, '½ cup'],
    [354.9, Kind::Volume, MeasureSystem::Us, '1½ cups'],
    [14.8, Kind::Volume, MeasureSystem::Us, '1 tbsp'],
    [1.2, Kind::Volume, MeasureSystem::Us, '¼ tsp'],
    [44.4, Kind::Volume, MeasureSystem::Us, '3 tbsp'],
    [250.0, Kind::Volume, MeasureSystem::Metric, '1 cup'],
    [20.0, Kind::Volume, MeasureSystem::Australian, '1 tbsp'],
    [284.1, Kind::Volume, MeasureSystem::Imperial, '1 cup'],
    [70.0, Kind::Mass, MeasureSystem::Us, '2½ oz'],
    [453.6, Kind::Mass, MeasureSystem::Us, '1 lb'],
    [992.2, Kind::Mass, MeasureSystem::Us, '2 lb 3 oz'],
]);

it('says net contents in fluid ounces', function () {
    // 50 mL is 1.69 US fl oz, 100 mL 3.38 (NIST Handbook 44: 29.5735 mL).
    expect(AmountWriter::fluidOunces(50))->toBe('1.7 fl oz')->and(AmountWriter::fluidOunces(100))->toBe('3.4 fl oz');
});

it('keeps three figures in words, and whole numbers whole', function () {
    expect(array_map(Wording::number(...), [348.2574, 61.3, 5.0, 5.714, 0.9123, 0.25, 100.0, 1234.6]))->toBe([
        '348',
        '61.3',
        '5',
        '5.71',
        '0.912',
        '0.25',
        '100',
        '1235',
    ]);
});

it('says nothing of a rule the tables have no longer', function () {
    $said = (new Wording([], []))->of('nothing', ['herb_g' => 63.9], fn (string $words) => $words, fn () => '');
    expect($said)->toBe(['rule' => 'nothing', 'says' => '', 'source' => '', 'standing' => '', 'inputs' => ['herb_g' => 63.9]]);
});

it('says the plan in one sentence', function (array $wish, string $sentence) {
    expect(Support::said(Support::plan($wish)->sentenceText()))->toBe($sentence);
})->with([
    [
        [
            'jar' => '473',
            'method' => 'slow-cooker',
            'oils' => [['id' => 'sunflower', 'parts' => 2], ['id' => 'jojoba', 'parts' => 1]],
            'purpose' => 'salve',
            'ready_by' => '2026-12-12',
        ],
        'A pint jar of marshmallow root oil for a salve, dried and cut, one to five, in sunflower oil with a '.
        'third jojoba, without spirit, in the slow cooker for 12 h at 49 °C, then squeezed, ready by Saturday 12 December.',
    ],
    [
        ['herb' => ['id' => 'self-heal', 'amount' => '50'], 'ratio' => '1:6.5', 'start' => '2026-11-30'],
        '50 g of herb in a 380 mL jar: self-heal oil for the skin, thin leaf, dried and cut, 1:6.5, in sunflower '.
        'oil, on the cold shelf for 4 weeks, then squeezed, begun Monday 30 November.',
    ],
    [
        [
            'herb' => ['id' => 'linden-blossom', 'amount' => '20 g'],
            'oil_amount' => '200 mL',
            'oils' => ['olive', 'sesame'],
            'purpose' => 'massage',
        ],
        '20 g of herb and 200 mL of oil in a half-pint jar: linden blossom oil for massage, fluffy flowers, dried '.
        'whole, one to ten, in olive oil with half sesame oil, on the cold shelf for 4 weeks, then squeezed, '.
        'begun Tuesday 24 November.',
    ],
    [
        ['jar' => '946', 'ratio' => '1:5 w/w', 'method' => 'double-boiler'],
        'A quart jar of marshmallow root oil for the skin, dried and cut, one to five by weight, in sunflower '.
        'oil, in the double boiler for 2 h at 49 °C, then squeezed, begun Tuesday 24 November.',
    ],
]);

it('shows lighter what was not chosen', function () {
    $pieces = array_column(Support::plan(['ratio' => '1:6', 'purpose' => 'hair'])->sentence, 'chosen', 'slot');
    expect($pieces)->toMatchArray([
        'ratio' => true,
        'purpose' => true,
        'herb' => true,
        'oils' => true,
        'amount' => false,
        'method' => false,
        'school' => false,
        'when' => false,
        'form' => false,
    ]);
});

it('says what to watch for', function (array $wish, array $ids) {
    $notes = Support::plan($wish)->notes;
    expect(array_column($notes, 'id'))
        ->toBe($ids)
        ->and(array_column($notes, 'rank'))
        ->toBe([
            ...array_fill(0, count(array_keys(array_column($notes, 'rank'), 'care')), 'care'),
            ...array_fill(0, count(array_keys(array_column($notes, 'rank'), 'note')), 'note'),
        ]);
})->with([
    'nothing much' => [['jar' => '473'], ['rags', 'oil-takes-little', 'dry', 'skin-only']],
    'for the kitchen' => [['jar' => '473', 'purpose' => 'kitchen'], ['food-unknown', 'rags', 'oil-takes-little', 'dry']],
    'a nut' => [['jar' => '473', 'oils' => ['sweet-almond']], ['allergens', 'oil-takes-little', 'dry', 'skin-only']],
    'two allergens, and heat' => [
        ['jar' => '473', 'oils' => ['hazelnut', 'sesame'], 'method' => 'slow-cooker'],
        ['allergens', 'ceiling', 'oil-takes-little', 'dry', 'skin-only'],
    ],
    'some hard fat' => [
        ['jar' => '473', 'oils' => [['id' => 'olive', 'parts' => '3'], ['id' => 'coconut', 'parts' => '1']]],
        ['sets', 'oil-takes-little', 'dry', 'skin-only'],
    ],
    'thin cover' => [
        ['herb' => ['id' => 'linden-blossom'], 'jar' => '473', 'ratio' => '1:9'],
        ['cover', 'rags', 'press-in', 'oil-takes-little', 'dry', 'skin-only'],
    ],
    'too late' => [['jar' => '473', 'ready_by' => '2026-12-01'], ['late', 'rags', 'oil-takes-little', 'dry', 'skin-only']],
    'wilted, on the shelf' => [
        ['herb' => ['id' => 'elderflower', 'state' => 'wilted'], 'oils' => ['olive'], 'jar' => '473'],
        ['look-alike', 'wet', 'press-in', 'oil-takes-little', 'gathering', 'skin-only'],
    ],
    'fresh, and squeezed' => [
        ['herb' => ['id' => 'chickweed', 'state' => 'fresh'], 'oils' => ['olive'], 'jar' => '473', 'way' => 'squeezed'],
        ['wet-skin', 'wet', 'squeezed-wet', 'press-in', 'oil-takes-little', 'gathering', 'skin-only'],
    ],
    'wet with dry' => [
        ['herbs' => [['id' => 'chickweed', 'state' => 'fresh'], ['id' => 'nettle-leaf']], 'oils' => ['olive'], 'jar' => '473'],
        ['wet-skin', 'mixed-state', 'wet', 'press-in', 'oil-takes-little', 'gathering', 'skin-only'],
    ],
    'a plant of concern' => [
        ['herb' => ['id' => 'comfrey-leaf'], 'oils' => ['olive'], 'jar' => '473'],
        ['pyrrolizidine', 'press-in', 'oil-takes-little', 'dry', 'skin-only'],
    ],
    'little headspace' => [
        ['herb' => ['id' => 'marshmallow-root', 'amount' => '85 g'], 'jar' => '473', 'method' => 'double-boiler'],
        ['headspace', 'rags', 'ceiling', 'oil-takes-little', 'dry', 'skin-only'],
    ],
]);

it('begins with the school that suits the form', function (string $herb, string $method, string $school) {
    expect(Support::plan(['herb' => ['id' => $herb], 'method' => $method])->wish->variant->id)->toBe($school);
})->with([
    ['self-heal', 'cold', 'four-weeks'],
    ['self-heal', 'slow-cooker', 'usual'],
    ['marshmallow-root', 'slow-cooker', 'woody'],
    ['self-heal', 'double-boiler', 'usual'],
]);

it('takes powder quicker', function () {
    $plan = Support::plan(['herb' => ['id' => 'ginger-root', 'form' => 'powder'], 'method' => 'cold']);
    expect($plan->wish->variant->id)
        ->toBe('two-weeks')
        ->and(
            Support::plan(['herb' => ['id' => 'ginger-root', 'form' => 'powder'], 'method' => 'double-boiler'])->figures[
                'warm_hours'
            ]->number(),
        )
        ->toBe(0.5);
});

it('says nothing twice, and leaves no comma, brace or plural lying about', function () {
    // What a plan says in all its places, of wishes at random: a word doubled, a comma before a stop, "1 days", a hole not filled.
    mt_srand(77);
    $cupboard = Support::planning()->cupboard();
    $of = [
        'herb' => array_keys($cupboard->herbs()),
        'oil' => array_keys($cupboard->carriers()),
        'method' => array_keys(Support::planning()->methods()->all()),
        'purpose' => array_keys($cupboard->purposes()),
    ];
    $one = fn (array $from) => $from[mt_rand(0, count($from) - 1)];
    $slip =
        '/\b(\w+) \1\b|\s,|,,|\.\.|,\.|\s\.|\(\)|(?<![\d.])1 '.
        '(?:days|jars|weeks|months|hours|sessions|bottles|cups|parts)\b|  |\b[Aa] [aeio]\w*|\b[Aa]n '.
        '[bcdfgjklmnpqrstvwxyz]\w*|[{}]/u';
    $slips = [];
    for ($i = 0; $i < 500; $i++) {
        $wish = array_filter([
            'herbs' => array_map(
                fn () => ['id' => $one($of['herb']), 'state' => $one(['dried', 'dried', 'fresh', 'wilted'])],
                range(1, mt_rand(1, 2)),
            ),
            'oils' => array_map(
                fn (string $id) => ['id' => $id, 'parts' => (string) mt_rand(1, 3)],
                array_values(array_unique([$one($of['oil']), $one($of['oil'])])),
            ),
            'method' => $one($of['method']),
            'purpose' => $one($of['purpose']),
            'ready_by' => $one([null, '2026-12-12', '2027-02-01']),
            'kept' => $one([null, 'fridge']),
            'ratio' => $one([null, null, '1:5', '1:30']),
            'oil_amount' => $one([null, null, '5 mL', '1 cup', '2 L']),
        ]);
        try {
            $kitchen = Support::kitchen(['things' => ['shelf']]);
            $said = Support::planning()->answer(Support::planning()->plan($wish, $kitchen), $kitchen);
        } catch (Kettle\Recipe\WishException $refused) {
            $said = $refused->faults;
        }
        array_walk_recursive($said, function (mixed $text) use (&$slips, $slip): void {
            if (is_string($text) && preg_match($slip, $text, $m) === 1) {
                $slips[$m[0]] = $text;
            }
        });
    }
    expect($slips)->toBe([]);
});
