<?php

declare(strict_types=1);

namespace Tests\Core;

use Kettle\Ask\Questions;
use Kettle\Material\Tables;
use Kettle\Melt\House;
use Kettle\Melt\Melting;
use Kettle\Recipe\Kitchen;
use Kettle\Recipe\WishException;
use Kettle\Share\ForAnyHouse;
use Kettle\Share\WishSentence;

/** Spoons, packets and schools of a house's own: written like any other, held to the same bounds. */
const HOUSE_WITH_ITS_OWN = [
    'own' => [
        ['kind' => 'measure', 'name' => 'blue scoop', 'also' => ['scoop'], 'holds_ml' => 42],
        ['kind' => 'measure', 'name' => 'packet', 'weighs_g' => '50'],
        ['kind' => 'school', 'name' => 'low and slow', 'method' => 'slow-cooker', 'hours' => '6 to 8 h', 'warmth' => '38 °C'],
        ['kind' => 'school', 'name' => 'ten days', 'method' => 'cold', 'hours' => '10 days'],
        ['kind' => 'plant', 'name' => 'wild fuchsia', 'form' => 'flower-heads', 'concerns' => []],
        ['kind' => 'oil', 'name' => 'gorse seed oil', 'like' => 'sunflower'],
    ],
];

/** @return list<string> */
function ownThingFaults(array $own): array
{
    try {
        (new Questions(Tables::shipped()))->ask(
            'own',
            ['own' => $own, 'house' => HOUSE_WITH_ITS_OWN],
            new \DateTimeImmutable('2026-11-24'),
        );
    } catch (WishException $refused) {
        return array_map(fn (array $fault) => $fault['field'].' '.$fault['reason'], $refused->faults);
    }

    return [];
}

it('reads amounts in the house’s own measures', function (string $typed, float $grams) {
    $plan = Support::plan(['herb' => ['id' => 'calendula', 'amount' => $typed], 'oils' => ['olive']], HOUSE_WITH_ITS_OWN);
    expect($plan->figures['herb_mass']->number())->toEqualWithDelta($grams, 0.01);
})->with([
    // Petals at 0.10 g/mL, pressed 0.15.
    ['3 blue scoops', 12.6],
    ['3 Blue Scoops', 12.6],
    ['1 blue scoop', 4.2],
    ['2 of the blue scoop', 8.4],
    ['3 scoops, packed', 18.9],
    ['1 1/2 packets', 75.0],
    ['1 packet + 10 g', 60.0],
    ['½ packet', 25.0],
]);

it('measures oil in them too', function () {
    $plan = Support::plan(['herb' => ['id' => 'calendula'], 'oils' => ['olive'], 'oil_amount' => '10 scoops'], HOUSE_WITH_ITS_OWN);
    expect($plan->figures['oil_volume']->number())->toEqualWithDelta(420.0, 1e-6);
});

it('does not know another house’s spoon', function () {
    expect(Support::faults(['herb' => ['id' => 'calendula', 'amount' => '3 blue scoops']]))->toBe(['herb.amount: unreadable']);
});

it('takes a measure that can be read back, and no other', function (array $own, array $faults) {
    expect(ownThingFaults(['kind' => 'measure', ...$own]))->toBe($faults);
})->with([
    'a mug' => [['name' => 'the chipped mug', 'holds_ml' => '310'], []],
    'of other letters' => [['name' => 'ложка', 'holds_ml' => '14,5'], []],
    'of nothing' => [['name' => 'mug'], ['own.holds_ml missing']],
    'of both' => [['name' => 'mug', 'holds_ml' => 300, 'weighs_g' => 50], ['own.weighs_g missing']],
    'impossibly large' => [['name' => 'mug', 'holds_ml' => 50000], ['own.holds_ml out_of_range']],
    'less than a drop' => [['name' => 'mug', 'holds_ml' => 0], ['own.holds_ml out_of_range']],
    'a cup' => [['name' => 'cup', 'holds_ml' => 300], ['own.name twice']],
    'a drop' => [['name' => 'drops', 'holds_ml' => 0.06], ['own.name twice']],
    'also a cup' => [['name' => 'mug', 'also' => ['cups'], 'holds_ml' => 300], ['own.also twice']],
    'there already' => [['name' => 'Scoop', 'holds_ml' => 30], ['own.name twice']],
    'with a figure' => [['name' => 'size 2 jug', 'holds_ml' => 300], ['own.name format']],
    'parting a line' => [['name' => 'cup and saucer', 'holds_ml' => 300], ['own.name format']],
    'a picture' => [['name' => '🫙', 'holds_ml' => 300], ['own.name format']],
    'of two hundred letters' => [['name' => str_repeat('m', 200), 'holds_ml' => 300], ['own.name too_long']],
    'with a density' => [['name' => 'mug', 'holds_ml' => 300, 'density' => 1], ['own.density unknown_field']],
]);

it('goes by a school of the house’s own', function () {
    $plan = Support::plan(
        ['herb' => ['id' => 'calendula'], 'oils' => ['olive'], 'method' => 'slow-cooker', 'school' => 'own-low-and-slow'],
        HOUSE_WITH_ITS_OWN,
    );
    $kitchen = Support::kitchen(HOUSE_WITH_ITS_OWN);
    $told = Support::planning()->document($plan, $kitchen);
    expect($plan->wish->variant)
        ->toHaveProperties(['id' => 'own-low-and-slow', 'leastH' => 6.0, 'usualH' => 7.0, 'mostH' => 8.0, 'targetC' => 38.0])
        ->and($told['method']['school_name'])
        ->toBe('low and slow')
        ->and(implode('', array_column($told['sentence'], 'text')))
        ->toContain('for 7 h at 38 °C, by “low and slow”,')
        ->and(array_column($told['notes'], 'id'))
        ->toContain('short-hours');
});

it('lists a school of the house’s own among those of its method, and of no other', function () {
    $ways = array_column(
        Support::planning()->ways(['herb' => ['id' => 'calendula'], 'oils' => ['olive']], Support::kitchen(HOUSE_WITH_ITS_OWN)),
        null,
        'id',
    );
    expect(array_column($ways['slow-cooker']['schools'], 'name'))
        ->toContain('low and slow')
        ->not->toContain('ten days')
        ->and(array_column($ways['cold']['schools'], 'name'))
        ->toContain('ten days')
        ->and(array_column($ways['solar']['schools'], 'name'))
        ->not->toContain('ten days', 'low and slow');
});

it('refuses a school of another way, one that is away, and one nobody has', function (array $wish) {
    $refused = [];
    try {
        Support::plan(['herb' => ['id' => 'calendula'], 'oils' => ['olive'], ...$wish], HOUSE_WITH_ITS_OWN);
    } catch (WishException $wrong) {
        $refused = array_column($wrong->faults, 'field');
    }
    expect($refused)->toBe(['school']);
})->with([[['method' => 'cold', 'school' => 'own-low-and-slow']], [['method' => 'slow-cooker', 'school' => 'own-nobody-has-it']]]);

/*
 * By hand, from the schools of the tables: the slow cooker's hottest is held at 71 °C at the most and 60 °C for 8 h; nothing
 * warms a shelf; half a year on one is the most.
 */
it('keeps a school only within what is safe, and in words that mean one thing', function (array $own, array $faults) {
    expect(ownThingFaults(['kind' => 'school', 'name' => 'ours', ...$own]))->toBe($faults);
})->with([
    'as it is done' => [['method' => 'slow-cooker', 'hours' => '6 to 8 h', 'warmth' => '100 °F'], []],
    'a month' => [['method' => 'solar', 'hours' => '30 days'], []],
    'too hot' => [['method' => 'slow-cooker', 'hours' => '2 h', 'warmth' => '90 °C'], ['own.warmth too_hot']],
    'too long at that' => [['method' => 'slow-cooker', 'hours' => '9 h', 'warmth' => '65 °C'], ['own.hours out_of_range']],
    'a year on a shelf' => [['method' => 'cold', 'hours' => '52 weeks'], ['own.hours out_of_range']],
    'a warm shelf' => [['method' => 'cold', 'hours' => '10 days', 'warmth' => '38 °C'], ['own.warmth unfit']],
    'no hours' => [['method' => 'cold'], ['own.hours missing']],
    'no method' => [['hours' => '10 days'], ['own.method missing']],
    'a method nobody knows' => [['method' => 'microwave', 'hours' => '1 h'], ['own.method unknown']],
    'ten of what' => [['method' => 'cold', 'hours' => '10'], ['own.hours unreadable']],
    'thirty-eight of what' => [['method' => 'slow-cooker', 'hours' => '6 h', 'warmth' => '38'], ['own.warmth unreadable']],
]);

it('writes a recipe as any house can read it', function () {
    $wish = [
        'herbs' => [['id' => 'own-wild-fuchsia', 'amount' => '3 blue scoops, packed'], ['id' => 'calendula', 'amount' => '1 packet']],
        'oils' => [['id' => 'own-gorse-seed-oil', 'amount' => '10 scoops'], ['id' => 'olive', 'amount' => '1 cup']],
        'method' => 'slow-cooker',
        'school' => 'own-low-and-slow',
    ];
    $file = (new ForAnyHouse(Support::kitchen(HOUSE_WITH_ITS_OWN)))->of($wish);
    expect($file['herbs'])
        ->toBe([
            ['name' => 'wild fuchsia', 'form' => 'flower-heads', 'amount' => '126 mL, packed'],
            ['id' => 'calendula', 'amount' => '50 g'],
        ])
        ->and($file['oils'])
        ->toBe([['name' => 'gorse seed oil', 'amount' => '420 mL'], ['id' => 'olive', 'amount' => '1 cup']])
        ->and($file)
        ->toMatchArray(['hours' => '6 to 8 h', 'warmth' => '38 °C'])
        ->not->toHaveKey('school')
        // Elsewhere it is asked about, and taken for no other oil.
        ->and(Support::faults($file))
        ->toBe(['oils.0: unknown'])
        ->and(Support::faults(['oils' => ['olive']] + $file))
        ->toBe([]);
});

it('writes a recipe of a product as any house can read it', function () {
    $house = [
        'own' => [
            ...HOUSE_WITH_ITS_OWN['own'],
            ['kind' => 'wax', 'name' => 'heather wax', 'like' => 'beeswax'],
            ['kind' => 'scent', 'name' => 'bog myrtle', 'like' => 'lavender'],
        ],
    ];
    $wish = [
        'product' => 'salve',
        'oils' => [
            ['id' => 'own-gorse-seed-oil', 'amount' => '2 scoops'],
            [
                'infuse' => [
                    'herbs' => [['id' => 'own-wild-fuchsia']],
                    'oils' => [['id' => 'own-gorse-seed-oil']],
                    'method' => 'slow-cooker',
                    'school' => 'own-low-and-slow',
                ],
                'amount' => '100 mL',
            ],
        ],
        'waxes' => [['id' => 'own-heather-wax', 'amount' => '1 packet']],
        'essential_oils' => [['id' => 'own-bog-myrtle', 'drops' => 8]],
        'leaf' => ['id' => 'own-wild-fuchsia', 'amount' => '1 scoop'],
        'total' => '4 packets',
    ];
    $kitchen = Support::kitchen($house);
    $file = (new ForAnyHouse($kitchen))->of($wish);
    expect($file)->toBe([
        'product' => 'salve',
        'oils' => [
            ['id' => 'gorse seed oil', 'amount' => '84 mL'],
            [
                'infuse' => [
                    'herbs' => [['name' => 'wild fuchsia', 'form' => 'flower-heads']],
                    'oils' => [['name' => 'gorse seed oil']],
                    'method' => 'slow-cooker',
                    'hours' => '6 to 8 h',
                    'warmth' => '38 °C',
                ],
                'amount' => '100 mL',
            ],
        ],
        'waxes' => [['id' => 'heather wax', 'amount' => '50 g']],
        'essential_oils' => [['id' => 'bog myrtle', 'drops' => 8]],
        'leaf' => ['name' => 'wild fuchsia', 'form' => 'flower-heads', 'amount' => '42 mL'],
        'total' => '200 g',
    ]);
    $faults = function (array $wish, Kitchen $kitchen): array {
        try {
            (new Melting(Tables::shipped()))->plan($wish, new House($kitchen));
        } catch (WishException $refused) {
            return array_map(fn (array $fault) => "{$fault['field']}: {$fault['reason']}", $refused->faults);
        }

        return [];
    };
    $less = ['oils' => [['id' => 'gorse seed oil', 'amount' => '84 mL']], 'waxes' => [['id' => 'heather wax', 'amount' => '20 g']]];
    $plain = array_diff_key([...$file, ...$less], ['leaf' => 1, 'total' => 1]);
    // Elsewhere each is asked about by its name; where there is one called so, it is that one.
    expect($faults($plain, Support::kitchen()))
        ->toBe(['oils.0: unknown', 'waxes.0: unknown', 'essential_oils.0: unknown'])
        ->and($faults($plain, $kitchen))
        ->toBe([]);
});

it('leaves a recipe of a product of what everybody has as it was written', function () {
    $wish = [
        'product' => 'salve',
        'oils' => ['olive', ['id' => 'own-of-nobody', 'parts' => 2]],
        'waxes' => ['beeswax'],
        'total' => '200 g',
    ];
    expect((new ForAnyHouse(Support::kitchen(HOUSE_WITH_ITS_OWN)))->of($wish))->toBe($wish);
});

it('leaves a recipe of what everybody has as it was written', function () {
    $wish = [
        'herbs' => [['id' => 'garlic', 'state' => 'fresh', 'amount' => '8 cloves']],
        'oils' => ['olive'],
        'oil_amount' => '1 1/2 cups',
    ];
    expect((new ForAnyHouse(Support::kitchen(HOUSE_WITH_ITS_OWN)))->of($wish))->toBe($wish);
});

it('reads its own measures, plants and schools in a wish that is typed', function (string $text, array $wish, array $unread = []) {
    $kitchen = Support::kitchen(HOUSE_WITH_ITS_OWN);
    $read = (new WishSentence($kitchen->cupboard(), $kitchen->methods(), $kitchen))->read($text);
    expect($read['wish'])->toEqual($wish)->and($read['unread'])->toBe($unread);
})->with([
    [
        '3 blue scoops of calendula in olive, slow cooker, low and slow',
        [
            'herbs' => [['id' => 'calendula', 'amount' => '3 blue scoops']],
            'oils' => [['id' => 'olive']],
            'method' => 'slow-cooker',
            'school' => 'own-low-and-slow',
        ],
    ],
    [
        '2 packets of wild fuchsia in 10 scoops of olive oil, by “ten days”',
        [
            'herbs' => [['id' => 'own-wild-fuchsia', 'amount' => '2 packets']],
            'oils' => [['id' => 'olive']],
            'oil_amount' => '10 scoops',
            'method' => 'cold',
            'school' => 'own-ten-days',
        ],
    ],
    ['2 cups packed calendula in olive', ['herbs' => [['id' => 'calendula', 'amount' => '2 cups, packed']], 'oils' => [['id' => 'olive']]]],
    // Of which of the two nobody knows.
    [
        '2 cups calendula and 1 cup yarrow, packed, in olive',
        [
            'herbs' => [['id' => 'calendula', 'amount' => '2 cups'], ['id' => 'yarrow', 'amount' => '1 cup']],
            'oils' => [['id' => 'olive']],
        ],
        ['packed'],
    ],
    // A school of another way than the one that is said is left out, and said.
    [
        'calendula in olive, on the cold shelf, low and slow',
        ['herbs' => [['id' => 'calendula']], 'oils' => [['id' => 'olive']], 'method' => 'cold'],
        ['low', 'slow'],
    ],
]);

it('says how a school’s hours and warmth were understood', function (array $school, array $read) {
    $answer = (new Questions(Tables::shipped()))->ask(
        'own',
        ['own' => ['kind' => 'school', 'name' => 'by the moon', ...$school]],
        new \DateTimeImmutable('2026-11-24'),
    );
    expect($answer['read'])->toBe($read);
})->with([
    'backwards' => [
        ['method' => 'slow-cooker', 'hours' => '8 to 6 h', 'warmth' => '100 F'],
        ['It is left for 6 h to 8 h, mostly 7 h.', 'It is held at 38 °C.'],
    ],
    'a bare number of a warm way is hours' => [
        ['method' => 'slow-cooker', 'hours' => '10', 'warmth' => '38 C'],
        ['It is left for 10 h.', 'It is held at 38 °C.'],
    ],
    'on the shelf' => [['method' => 'cold', 'hours' => '6 weeks'], ['It is left for 6 weeks.']],
]);
