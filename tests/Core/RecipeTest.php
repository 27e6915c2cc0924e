<?php

use Kettle\Recipe\WishException;
use Kettle\Share\RecipeException;
use Tests\Core\Support;

it('reads plain lines into a wish', function (string $text, array $wish, array $as) {
    $read = Support::pasted($text);
    expect($read->wish)->toEqual($wish)->and(Support::takenAs($read))->toBe($as);
})->with([
    'the shortest' => [
        '1 cup oil, 3 tbsp dried flowers',
        [
            'herbs' => [['name' => 'flowers', 'form' => 'flower-heads', 'state' => 'dried', 'amount' => '3 tbsp']],
            'oils' => [['name' => 'oil']],
            'oil_amount' => '1 cup',
        ],
        ['oil*', 'herb*'],
    ],
    'by weight, all said' => [
        "50 g dried calendula\n250 ml sunflower oil",
        [
            'herbs' => [['id' => 'calendula', 'state' => 'dried', 'amount' => '50 g']],
            'oils' => [['id' => 'sunflower']],
            'oil_amount' => '250 ml',
        ],
        ['herb', 'oil'],
    ],
    'with bullets and a name' => [
        "Fair salve oil\n- 2 oz dried self-heal\n- 1 1/2 cups olive oil",
        [
            'herbs' => [['id' => 'self-heal', 'state' => 'dried', 'amount' => '2 oz']],
            'oils' => [['id' => 'olive']],
            'oil_amount' => '1 1/2 cups',
            'purpose' => 'salve',
        ],
        ['name*', 'herb', 'oil'],
    ],
    'numbered, with fractions' => [
        "1. ½ cup dried rosemary leaves\n2. 1½ cups of jojoba oil",
        [
            'herbs' => [['id' => 'rosemary', 'state' => 'dried', 'amount' => '½ cup']],
            'oils' => [['id' => 'jojoba']],
            'oil_amount' => '1½ cups',
        ],
        ['herb*', 'oil'],
    ],
    'a botanical name' => [
        "30 g Althaea officinalis, dried\n1 cup sesame oil",
        [
            'herbs' => [['id' => 'marshmallow-root', 'state' => 'dried', 'amount' => '30 g']],
            'oils' => [['id' => 'sesame']],
            'oil_amount' => '1 cup',
        ],
        ['herb', 'oil'],
    ],
    'fresh' => [
        "100 g fresh St John's wort flowers\n400 ml olive oil",
        [
            'herbs' => [['id' => 'st-johns-wort', 'state' => 'fresh', 'amount' => '100 g']],
            'oils' => [['id' => 'olive']],
            'oil_amount' => '400 ml',
        ],
        ['herb', 'oil'],
    ],
    'powder' => [
        "2 tbsp ginger root powder, dried\n1 cup olive oil",
        [
            'herbs' => [['id' => 'ginger-root', 'form' => 'powder', 'state' => 'dried', 'amount' => '2 tbsp']],
            'oils' => [['id' => 'olive']],
            'oil_amount' => '1 cup',
        ],
        ['herb*', 'oil'],
    ],
    'two oils become parts' => [
        "40 g dried calendula\n300 ml olive oil\n100 ml jojoba",
        [
            'herbs' => [['id' => 'calendula', 'state' => 'dried', 'amount' => '40 g']],
            'oils' => [['id' => 'olive', 'parts' => '300'], ['id' => 'jojoba', 'parts' => '100']],
            'oil_amount' => '400 mL',
        ],
        ['herb', 'oil', 'oil'],
    ],
    'oil by weight' => [
        "40 g dried calendula\n92 g sunflower oil",
        [
            'herbs' => [['id' => 'calendula', 'state' => 'dried', 'amount' => '40 g']],
            'oils' => [['id' => 'sunflower']],
            'oil_amount' => '92 g',
        ],
        ['herb', 'oil'],
    ],
    'a brackets’ worth that agrees' => [
        "40 g dried calendula\n1 cup (240 ml) olive oil",
        [
            'herbs' => [['id' => 'calendula', 'state' => 'dried', 'amount' => '40 g']],
            'oils' => [['id' => 'olive']],
            'oil_amount' => '240 mL',
        ],
        ['herb', 'oil'],
    ],
    'wax and drops are not the infusion' => [
        "40 g dried calendula\n1 cup olive oil\n1 oz beeswax\n10 drops lavender essential oil",
        [
            'herbs' => [['id' => 'calendula', 'state' => 'dried', 'amount' => '40 g']],
            'oils' => [['id' => 'olive']],
            'oil_amount' => '1 cup',
        ],
        ['herb', 'oil', 'unread', 'unread'],
    ],
    'weeks in the dark' => [
        "40 g dried calendula\n1 cup olive oil\nLeave in a dark cupboard for 4 weeks, shaking daily.",
        [
            'herbs' => [['id' => 'calendula', 'state' => 'dried', 'amount' => '40 g']],
            'oils' => [['id' => 'olive']],
            'oil_amount' => '1 cup',
            'method' => 'cold',
            'school' => 'four-weeks',
        ],
        ['herb', 'oil', 'method*'],
    ],
    'hours in the slow cooker' => [
        "40 g dried calendula\n1 cup olive oil\nWarm in a slow cooker for 8 hours.",
        [
            'herbs' => [['id' => 'calendula', 'state' => 'dried', 'amount' => '40 g']],
            'oils' => [['id' => 'olive']],
            'oil_amount' => '1 cup',
            'method' => 'slow-cooker',
            'school' => 'usual',
        ],
        ['herb', 'oil', 'method*'],
    ],
    'the sunny sill' => [
        "40 g dried calendula\n1 cup olive oil\nSet on a sunny windowsill 4-6 weeks",
        [
            'herbs' => [['id' => 'calendula', 'state' => 'dried', 'amount' => '40 g']],
            'oils' => [['id' => 'olive']],
            'oil_amount' => '1 cup',
            'method' => 'solar',
            'hours' => '4-6 weeks',
        ],
        ['herb', 'oil', 'method*'],
    ],
    'two herbs' => [
        "20 g dried calendula\n20 g dried self-heal\n1 cup olive oil",
        [
            'herbs' => [
                ['id' => 'calendula', 'state' => 'dried', 'amount' => '20 g'],
                ['id' => 'self-heal', 'state' => 'dried', 'amount' => '20 g'],
            ],
            'oils' => [['id' => 'olive']],
            'oil_amount' => '1 cup',
        ],
        ['herb', 'herb', 'oil'],
    ],
    'no amounts at all' => [
        "calendula\nolive oil",
        ['herbs' => [['id' => 'calendula', 'state' => 'dried']], 'oils' => [['id' => 'olive']]],
        ['herb*', 'oil*'],
    ],
]);

it('takes the first bare line for a name only where it is one', function () {
    expect(Support::pasted("Grandmother's jar\n40 g dried yarrow\n1 cup olive oil")->name)
        ->toBe('Grandmother\'s jar')
        ->and(Support::pasted("40 g dried yarrow\n1 cup olive oil")->name)
        ->toBe('')
        ->and(Support::pasted("Leave-in hair oil\n40 g dried yarrow\n1 cup olive oil")->name)
        ->toBe('Leave-in hair oil')
        ->and(Support::pasted("Fill a jar with dried yarrow\n1 cup olive oil")->name)
        ->toBe('')
        ->and(Support::pasted("Steep in the dark\n40 g dried yarrow\n1 cup olive oil")->name)
        ->toBe('');
});

it('marks two systems of measures, and two amounts that disagree', function () {
    $two = Support::pasted("1 cup olive oil\n40 g dried yarrow");
    expect($two->notes[0])->toContain('two systems')->toContain('237 mL');
    expect(Support::pasted("1 cup olive oil\n40 g dried yarrow", ['measures' => 'metric'])->notes[0])->toContain('250 mL');
    expect(Support::pasted("250 ml olive oil\n40 g dried yarrow")->notes)
        ->toBe([])
        ->and(Support::pasted("1 cup olive oil\n2 oz dried yarrow")->notes)
        ->toBe([]);
    $brackets = Support::pasted("2 cups (300 ml) olive oil\n40 g dried yarrow");
    expect($brackets->lines[0]['guess'])
        ->toBeTrue()
        ->and($brackets->lines[0]['says'])
        ->toContain('not the same')
        ->and($brackets->wish['oil_amount'])
        ->toBe('300 mL');
});

it('says which are guesses, and why', function (string $line, string $why) {
    $read = Support::pasted($line."\n1 L olive oil\n1 kg dried calendula");
    expect($read->lines[0]['guess'])->toBeTrue()->and($read->lines[0]['says'])->toContain($why);
})->with([
    ['1 cup oil', 'Which oil is not said'],
    ['1 cup emu oil', 'None is taken for it'],
    ['4 cloves of garlic', 'about 16 g, between 12 g and 28 g'],
    ['20 g yarrow', 'dried is a guess'],
    ['1 cup dried yarrow', 'weighed by how it usually lies'],
    ['20 g dried dragonwort', 'not in the list'],
    ['20-30 g dried yarrow', 'middle of what is written'],
    ['1-2 cups sunflower oil', 'middle of what is written'],
]);

it('makes a wish of what it read that the Bench can plan', function (string $text) {
    $plan = Support::plan(Support::pasted($text)->wish);
    expect($plan->figures['yield_volume']->number())->toBeGreaterThan(0);
})->with([
    ["1 cup olive oil\n1/4 cup dried calendula"],
    ["Ginger oil\n3 tbsp dried ginger root powder\n1 cup sesame oil\nDouble boiler, 30 minutes"],
    ['1 quart sunflower oil; 6 oz dried marshmallow root; slow cooker 12 h'],
    ["200 g fresh plantain leaves\n800 ml olive oil"],
    ["2 parts dried linden\n1 part dried mullein flowers\n4 parts rice bran oil\nin the sun 6 weeks"],
    ["Fill a pint jar 3/4 with dried calendula\nCover with sunflower oil by an inch\nSteep for a month"],
    ["40 g dried calendula\n1 cup olive oil\nslow cooker at 45 C for 20 hours"],
    ["2 handfuls of something\n500 ml camellia seed oil\n40 g dried linden blossom"],
]);

it('refuses what it cannot read', function (string $text, string $says) {
    expect(fn () => Support::pasted($text))->toThrow(RecipeException::class, $says);
})->with([
    'nothing' => ['', 'nothing to read'],
    'blanks' => [" \n\t ", 'nothing to read'],
    'a poem' => ["The sea is grey\nthe wind is long\nand nobody comes by", 'Neither a herb nor an oil'],
    'a book' => [str_repeat('calendula ', 3000), 'too long'],
    'not text' => ["1 cup olive oil \xC3\x28", 'UTF-8'],
    'half JSON' => ['{"format":"warm-kettle-recipe",', 'bracket'],
    'other JSON' => ['{"@type":"Person","name":"Isa"}', 'neither a recipe of ours nor a schema.org Recipe (it says “Person”)'],
    'a list of nothing' => ['[1,2,3]', 'neither a recipe of ours'],
    'of a newer kettle' => ['{"format":"warm-kettle-recipe","version":9,"name":"x","note":"","wish":{"oils":["olive"]}}', 'version 9'],
    'ours, without a wish' => ['{"format":"warm-kettle-recipe","version":1,"name":"x","note":""}', 'cannot be read'],
]);

it('reads or refuses anything, seeded', function () {
    mt_srand(5);
    $bits = [
        '1',
        '2 ',
        '½',
        '1/2',
        ' cup',
        ' g',
        ' oz',
        ' ml',
        ' of',
        ' dried',
        ' fresh',
        ' calendula',
        ' olive oil',
        ' oil',
        ' (',
        ')',
        ',',
        ';',
        "\n",
        ' and ',
        ' 4 weeks',
        ' slow cooker',
        ' - ',
        '{',
        '}',
        '"',
        '<b>',
        "\0",
        '🫖',
        ' wax',
        str_repeat('9', 30),
        ' to ',
        '10)',
        "\r",
    ];
    $read = 0;
    for ($i = 0; $i < 1500; $i++) {
        $text = implode('', array_map(fn () => $bits[mt_rand(0, count($bits) - 1)], range(1, mt_rand(1, 14))));
        try {
            $answer = Support::pasted($text);
            expect($answer->wish['oils'])->not->toBe([])->and($answer->wish['herbs'])->not->toBe([]);
            try {
                Support::plan($answer->wish);
            } catch (WishException $refused) {
                expect($refused->faults[0]['sentence'])->toMatch('/[.)]$/');
            }
            $read++;
        } catch (RecipeException $refused) {
            expect($refused->sentence)->toMatch('/[.)]$/');
        }
    }
    expect($read)->toBeGreaterThan(200);
});

it('takes the way and the weeks from the steps', function () {
    $read = Support::pasted(
        (string) json_encode([
            '@type' => 'Recipe',
            'name' => 'x',
            'recipeIngredient' => ['50 g dried calendula', '300 ml olive oil'],
            'recipeInstructions' => [['@type' => 'HowToStep', 'text' => 'Warm in a double boiler for 2 hours.']],
        ]),
    );
    expect($read->wish['method'])->toBe('double-boiler')->and($read->wish['school'])->toBe('usual');
});

it('reads as a cautious person would', function (array $case) {
    $read = Support::pasted($case['text']);
    expect($read->wish['herbs'])
        ->toEqual($case['herbs'])
        ->and(array_map(fn (array $oil) => array_diff_key($oil, ['parts' => 1]), $read->wish['oils']))
        ->toEqual($case['oils'])
        ->and(Support::takenAs($read))
        ->toBe($case['as'])
        ->and($read->wish['purpose'] ?? null)
        ->toBe($case['purpose'] ?? null);
    isset($case['school']) && expect($read->wish['school'])->toBe($case['school']);
    isset($case['oil_ml']) &&
        expect(Support::kitchen()->reader()->read($read->wish['oil_amount'], Kettle\Measure\Kind::Volume, 'mL')->value)->toEqualWithDelta(
            $case['oil_ml'],
            0.01,
        );
    isset($case['allergens']) &&
        expect(
            Support::planning()
                ->cupboard()
                ->carrier($read->wish['oils'][0]['id'])->food->allergens,
        )->toBe($case['allergens']);
    // What is not known is asked for by name.
    if (isset($case['oils'][0]['name'])) {
        expect(Support::faults($read->wish))->toBe(['oils.0: unknown']);
    }
})->with(
    array_map(
        fn (string $line) => [json_decode($line, true, 16, JSON_THROW_ON_ERROR)],
        (array) file(dirname(__DIR__).'/fixtures/worked-recipes.jsonl', FILE_IGNORE_NEW_LINES),
    ),
);

it('says of every line what was made of it', function (string $text) {
    $said = array_column(Support::pasted($text)->lines, 'line');
    foreach (array_filter(array_map('trim', explode("\n", $text))) as $line) {
        expect(implode(' | ', $said))->toContain(trim($line, '-• '));
    }
})->with([
    "Ingredients:\n40 g dried thyme\n1 cup olive oil\nMethod\nDo it well\nServe with love",
    "Fair oil\n- 40 g dried thyme\n- 1 cup olive oil\n\nThat is all",
]);
