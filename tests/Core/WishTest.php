<?php

use Kettle\Recipe\Kitchen;
use Kettle\Recipe\Plan;
use Kettle\Recipe\WishException;
use Kettle\Recipe\WishReader;
use Tests\Core\Support;

it('refuses what the sides of a wish cannot be, each beside its field', function (array $wish, array $faults) {
    expect(Support::faults($wish))->toBe($faults);
})->with([
    'by the jar and by weight' => [
        ['by_jar' => ['fill' => 'half'], 'herb' => ['id' => 'self-heal', 'amount' => '20 g']],
        ['by_jar: disagree'],
    ],
    'by the jar and by what comes out' => [['by_jar' => ['fill' => 'half'], 'finished' => ['amount' => '300 mL']], ['by_jar: disagree']],
    'what comes out and what goes in' => [['finished' => ['amount' => '300 mL'], 'oil_amount' => '300 mL'], ['finished: disagree']],
    'bottles without a size' => [['finished' => ['count' => '6']], ['finished.size: missing']],
    'no bottles' => [['finished' => ['count' => '0', 'size' => '50 mL']], ['finished.count: out_of_range']],
    'bottles in words' => [['finished' => ['count' => 'six', 'size' => '50 mL']], ['finished.count: out_of_range']],
    'bottles by weight' => [['finished' => ['count' => '6', 'size' => '50 g']], ['finished.size: wrong_kind']],
    'what comes out, as a text' => [['finished' => 'plenty'], ['finished: unreadable']],
    'a jar over-full' => [['by_jar' => ['fill' => 'heaped']], ['by_jar.fill: unknown']],
    'a jar, as a text' => [['by_jar' => 'half'], ['by_jar: unreadable']],
    'a cover thinner than can be seen' => [['by_jar' => ['fill' => 'half', 'cover' => '1 mm']], ['by_jar: too_little']],
    'no such basis' => [['basis' => 'wet'], ['basis: unknown']],
    'no such way out of the jar' => [['way' => 'wrung'], ['way: unknown']],
    'no such purpose' => [['purpose' => 'floor'], ['purpose: unknown']],
    'no such method' => [['method' => 'microwave'], ['method: unknown']],
    'a school of another method' => [['method' => 'slow-cooker', 'school' => 'four-weeks'], ['school: unknown']],
    'a hundred jars' => [['jars' => '100'], ['jars: out_of_range']],
    'half a jar' => [['jars' => '0.5'], ['jars: out_of_range']],
    'a jar without a height' => [['jar' => ['brim' => '500 mL']], ['jar.inner_height: missing']],
    'water that drips' => [['herb' => ['id' => 'chickweed', 'state' => 'fresh', 'water' => '99']], ['herb.water: out_of_range']],
    'wilted heavier than picked' => [
        ['herb' => ['id' => 'chickweed', 'state' => 'wilted', 'amount' => '100 g', 'picked' => '80 g']],
        ['herb.picked: out_of_range'],
    ],
    'picked, and not weighed now' => [['herb' => ['id' => 'chickweed', 'state' => 'wilted', 'picked' => '80 g']], ['herb.amount: missing']],
    'the second of two herbs' => [['herbs' => [['id' => 'self-heal'], ['id' => 'moonwort']]], ['herbs.1: unknown']],
    'two of three weighed' => [
        ['herbs' => [['id' => 'self-heal', 'amount' => '5 g'], ['id' => 'calendula', 'amount' => '5 g'], ['id' => 'yarrow']]],
        ['herbs: disagree'],
    ],
    'oils beyond counting' => [
        [
            'oils' => [
                ...['olive', 'sesame', 'jojoba', 'sunflower', 'camellia', 'hazelnut', 'apricot-kernel'],
                ...['grapeseed', 'walnut', 'moringa', 'baobab', 'marula', 'argan'],
            ],
        ],
        ['oils: out_of_range'],
    ],
    'several at once' => [
        ['oils' => ['petrol'], 'method' => 'microwave', 'jars' => 'x', 'start' => 'soon'],
        ['oils: unknown', 'jars: out_of_range', 'method: unknown', 'start: unreadable'],
    ],
]);

it('says a plan from every side in one sentence', function (array $wish, string $begins, array $house = []) {
    expect(Support::said(Support::plan($wish, $house)->sentenceText()))->toStartWith($begins);
})->with([
    'from the jar' => [['jar' => '473'], 'A pint jar of marshmallow root oil for the skin, dried and cut, one to five, in '],
    'from several jars' => [['jar' => '473', 'jars' => '3'], 'Three pint jars of marshmallow root oil'],
    'from herb' => [['herb' => ['id' => 'marshmallow-root', 'amount' => '50 g']], '50 g of herb in a '],
    'from oil' => [['oil_amount' => '250 mL'], '250 mL of oil in a '],
    'from oil by the cup' => [['oil_amount' => '1 cup'], '1 cup of oil in a '],
    'from what comes out' => [['finished' => ['amount' => '300 mL']], 'Enough for 300 mL, in a '],
    'from bottles' => [['finished' => ['count' => '6', 'size' => '50 mL']], 'Enough for six bottles of 50 mL, in a '],
    'from one bottle' => [['finished' => ['count' => '1', 'size' => '100 mL']], 'Enough for one bottle of 100 mL, in a '],
    'by the jar' => [
        ['jar' => '473', 'by_jar' => ['fill' => 'half', 'cover' => '25 mm']],
        'A pint jar, half full and covered by 25 mm: marshmallow root oil',
    ],
]);

it('says two herbs by their parts, and not where these are equal', function (array $herbs, string $says) {
    expect(Support::said(Support::plan(['herbs' => $herbs, 'jar' => '946'])->sentenceText()))->toContain($says);
})->with([
    'alike' => [[['id' => 'self-heal'], ['id' => 'calendula']], 'of self-heal and calendula oil for'],
    'two to one' => [[['id' => 'self-heal', 'parts' => '2'], ['id' => 'calendula']], 'of self-heal and calendula (two to one) oil for'],
    'one and a half' => [[['id' => 'self-heal', 'parts' => '1 1/2'], ['id' => 'calendula']], '(1.5 to one)'],
]);

it('says a blend by its greatest oil first', function (array $oils, string $says) {
    expect(Support::said(Support::plan(['oils' => $oils, 'jar' => '473'])->sentenceText()))->toContain(", in {$says}, on the cold shelf");
})->with([
    'one' => [['olive'], 'olive oil'],
    'halves' => [['olive', 'jojoba'], 'olive oil with half jojoba'],
    'a third' => [[['id' => 'jojoba', 'parts' => '1'], ['id' => 'olive', 'parts' => '2']], 'olive oil with a third jojoba'],
    'a quarter' => [[['id' => 'olive', 'parts' => '3'], ['id' => 'jojoba', 'parts' => '1']], 'olive oil with a quarter jojoba'],
    'a fifth' => [[['id' => 'olive', 'parts' => '4'], ['id' => 'jojoba', 'parts' => '1']], 'olive oil with a fifth jojoba'],
    'no such fraction' => [[['id' => 'olive', 'parts' => '90'], ['id' => 'jojoba', 'parts' => '10']], 'olive oil with 10 % jojoba'],
    'three' => [
        [['id' => 'olive', 'parts' => '2'], ['id' => 'jojoba', 'parts' => '1'], ['id' => 'sesame', 'parts' => '1']],
        'olive oil with a quarter jojoba and a quarter sesame oil',
    ],
]);

it('keeps of a wish only what the document knows, and plans the same from it', function (array $wish) {
    $tidy = WishReader::tidy($wish + ['nonsense' => 'x', 'wax' => ['y']]);
    expect($tidy)->not->toHaveKey('nonsense')->not->toHaveKey('wax')->and(WishReader::tidy($tidy))->toBe($tidy);
    $figures = fn (Plan $plan) => array_map(fn ($figure) => $figure->value, $plan->figures);
    expect($figures(Support::planning()->plan($tidy, Support::kitchen())))->toEqual(
        $figures(Support::planning()->plan($wish, Support::kitchen())),
    );
})->with([
    'one herb' => [['herb' => ['id' => 'self-heal', 'amount' => 20], 'oils' => ['olive'], 'ratio' => '1:7']],
    'two herbs' => [
        [
            'herbs' => [['id' => 'self-heal', 'parts' => 2], ['id' => 'calendula']],
            'oils' => [['id' => 'olive', 'parts' => 3.0], 'jojoba'],
            'jar' => '946',
            'jars' => 2,
        ],
    ],
    'a jar of one’s own' => [
        [
            'herb' => ['id' => 'marshmallow-root'],
            'oils' => ['olive'],
            'jar' => ['called' => 'crock', 'brim' => '1.2 L', 'inner_height' => '18 cm', 'colour' => 'blue'],
        ],
    ],
    'bottles wanted' => [
        ['herb' => ['id' => 'calendula'], 'oils' => ['olive'], 'finished' => ['count' => 6, 'size' => '50 mL', 'sure' => 'evens']],
    ],
    'by the jar' => [
        ['herb' => ['id' => 'calendula'], 'oils' => ['olive'], 'jar' => '473', 'by_jar' => ['fill' => 'half', 'cover' => '20 mm']],
    ],
    'wet' => [
        [
            'herb' => ['id' => 'chickweed', 'state' => 'wilted', 'amount' => '100 g', 'picked' => '160 g'],
            'oils' => ['olive'],
            'method' => 'double-boiler',
        ],
    ],
]);

/**
 * A wish with a way's changes laid over it, as the Bench does.
 *
 * @param  array<string, mixed>  $wish
 * @param  array<string, mixed>  $change
 * @return array<string, mixed>
 */
function takingTheWay(array $wish, array $change): array
{
    if (array_key_exists('herbs', $change)) {
        unset($wish['herb']);
    }

    return array_filter([...$wish, ...$change], fn (mixed $value) => $value !== null);
}

/**
 * @param  array<string, mixed>  $wish
 * @return array<string, list<array{id: string, says: string, change: array<string, mixed>}>> ways out,
 *     by the reason of a refusal or the note that offers them
 */
function whatIsWrong(array $wish, Kitchen $kitchen): array
{
    try {
        $found = [];
        foreach (Support::planning()->plan($wish, $kitchen)->notes as $note) {
            $found[$note->id] = $note->toArray()['ways'];
        }

        return $found;
    } catch (WishException $refused) {
        return array_column(
            array_map(fn (array $fault) => ['reason' => $fault['reason'], 'ways' => $fault['ways'] ?? []], $refused->faults),
            'ways',
            'reason',
        );
    }
}

it('offers only ways out that can be planned and that mend what was wrong', function (array $wish, string $about, array $house = []) {
    $wish += ['oils' => ['olive']];
    $kitchen = Support::kitchen($house);
    $before = whatIsWrong($wish, $kitchen);
    expect($before)->toHaveKey($about)->and($before[$about])->not->toBe([]);
    foreach ($before[$about] as $way) {
        expect(array_keys(whatIsWrong(takingTheWay($wish, $way['change']), $kitchen)))
            ->not->toContain($about, $way['id'])
            ->and(Support::said(Support::planning()->plan(takingTheWay($wish, $way['change']), $kitchen)->sentenceText()))
            ->toEndWith('.', $way['id']);
    }
})->with([
    'herb stands out' => [['herb' => ['id' => 'linden-blossom'], 'ratio' => '1:5', 'jar' => '473'], 'herb_stands_out'],
    'herb stands out of what was weighed' => [
        ['herb' => ['id' => 'linden-blossom', 'amount' => '40 g'], 'oil_amount' => '200 mL', 'jar' => '473'],
        'herb_stands_out',
    ],
    'herb stands out at the ratio for what was weighed' => [
        ['herb' => ['id' => 'linden-blossom', 'amount' => '40 g'], 'ratio' => '1:6', 'jar' => '473'],
        'herb_stands_out',
    ],
    'too much for the jar' => [['herb' => ['id' => 'marshmallow-root', 'amount' => '400 g'], 'jar' => '473'], 'does_not_fit'],
    'far too much herb' => [['herb' => ['id' => 'marshmallow-root', 'amount' => '400 g'], 'oil_amount' => '50 mL'], 'out_of_range'],
    'far too little herb' => [['herb' => ['id' => 'marshmallow-root', 'amount' => '2 g'], 'oil_amount' => '500 mL'], 'out_of_range'],
    'little herb' => [['herb' => ['id' => 'marshmallow-root', 'amount' => '10 g'], 'oil_amount' => '300 mL'], 'lean'],
    'thin cover' => [['herb' => ['id' => 'linden-blossom'], 'jar' => '473', 'ratio' => '1:9'], 'cover'],
    'wet, and squeezed' => [['herb' => ['id' => 'chickweed', 'state' => 'fresh'], 'jar' => '473', 'way' => 'squeezed'], 'squeezed-wet'],
    'little headspace' => [
        ['herb' => ['id' => 'marshmallow-root', 'amount' => '85 g'], 'jar' => '473', 'method' => 'double-boiler'],
        'headspace',
    ],
]);

it('offers ways out of short stores that need no more than there is', function (array $lots, array $wish) {
    $kitchen = Support::kitchen(['lots' => $lots, 'currency' => 'GBP']);
    $wish += ['herb' => ['id' => 'marshmallow-root'], 'oils' => ['olive'], 'jar' => '946'];
    $short = array_filter(whatIsWrong($wish, $kitchen), fn (string $id) => str_starts_with($id, 'short'), ARRAY_FILTER_USE_KEY);
    expect($short)->not->toBe([]);
    foreach (array_merge(...array_values($short)) as $way) {
        $after = whatIsWrong(takingTheWay($wish, $way['change']), $kitchen);
        expect(array_filter(array_keys($after), fn (string $id) => str_starts_with($id, 'short')))->toBe([], $way['id']);
    }
})->with([
    'little oil, and no other' => [
        [
            ['kind' => 'carrier', 'material' => 'olive', 'amount' => '200 mL'],
            ['kind' => 'herb', 'material' => 'marshmallow-root', 'amount' => '1 kg'],
        ],
        [],
    ],
    'little oil, and another' => [
        [
            ['kind' => 'carrier', 'material' => 'olive', 'amount' => '200 mL'],
            ['kind' => 'carrier', 'material' => 'camellia', 'amount' => '2 L'],
            ['kind' => 'herb', 'material' => 'marshmallow-root', 'amount' => '1 kg'],
        ],
        [],
    ],
    'a drop of oil, and another' => [
        [
            ['kind' => 'carrier', 'material' => 'olive', 'amount' => '0.3 mL'],
            ['kind' => 'carrier', 'material' => 'camellia', 'amount' => '2 L'],
            ['kind' => 'herb', 'material' => 'marshmallow-root', 'amount' => '1 kg'],
        ],
        [],
    ],
    'little herb' => [
        [
            ['kind' => 'carrier', 'material' => 'olive', 'amount' => '2 L'],
            ['kind' => 'herb', 'material' => 'marshmallow-root', 'amount' => '40 g'],
        ],
        [],
    ],
    'little of what was weighed' => [
        [
            ['kind' => 'carrier', 'material' => 'olive', 'amount' => '150 mL'],
            ['kind' => 'herb', 'material' => 'marshmallow-root', 'amount' => '1 kg'],
        ],
        ['herb' => ['id' => 'marshmallow-root', 'amount' => '60 g'], 'oil_amount' => '330 mL'],
    ],
]);

it('offers no way that leaves things as they were, whatever is wished', function (int $seed) {
    mt_srand($seed);
    $one = fn (array $of) => $of[mt_rand(0, count($of) - 1)];
    $offered = 0;
    for ($i = 0; $i < 250; $i++) {
        $kitchen = Support::kitchen([
            'lots' => [
                ['kind' => 'carrier', 'material' => 'olive', 'amount' => $one(['90 mL', '400 mL', '3 L'])],
                ['kind' => 'carrier', 'material' => 'jojoba', 'amount' => $one(['60 mL', '1 L'])],
            ],
        ]);
        $wish = array_filter(
            [
                'herb' => array_filter([
                    'id' => $one(['self-heal', 'marshmallow-root', 'linden-blossom', 'rosemary']),
                    'amount' => $one([null, null, '8 g', '40 g', '150 g', '400 g']),
                ]),
                'oils' => $one([['olive'], ['jojoba'], [['id' => 'olive', 'parts' => '2'], ['id' => 'jojoba', 'parts' => '1']]]),
                'oil_amount' => $one([null, null, '90 mL', '300 mL', '800 mL']),
                'ratio' => $one([null, null, '1:4', '1:7', '1:15']),
                'jar' => $one([null, '237', '473', '946']),
                'jars' => $one([null, null, null, '2']),
                'method' => $one(['cold', 'slow-cooker', 'double-boiler']),
            ],
            fn (mixed $value) => $value !== null,
        );
        foreach (whatIsWrong($wish, $kitchen) as $about => $ways) {
            foreach ($ways as $way) {
                expect(whatIsWrong(takingTheWay($wish, $way['change']), $kitchen))->not->toHaveKey(
                    $about,
                    "{$way['id']} of ".json_encode($wish),
                );
                $offered++;
            }
        }
    }
    expect($offered)->toBeGreaterThan(100);
})->with([[1], [2], [3]]);
