<?php

use Tests\Core\Support;

// As recipes are written, with their steps, in parts and by the jar; common practice, no source.
it('reads a recipe with its prose into a wish', function (string $text, array $wish, array $as) {
    $read = Support::pasted($text);
    expect($read->wish)->toEqual($wish)->and(Support::takenAs($read))->toBe($as);
})->with([
    // What is done with the oil is no second oil, and a time of other work is not how long it infuses.
    'with its steps' => [
        "Ingredients\n40 g dried calendula\n1 cup olive oil\nMethod\nWilt the flowers for 12 hours.\nWarm the oil for 10 minutes.\n".
        "Pour the oil over the herbs.\nShake every 2 days for 5 weeks. Cool for 20 min. Strain the oil through muslin. Keeps for 1 year.",
        [
            'herbs' => [['id' => 'calendula', 'state' => 'dried', 'amount' => '40 g']],
            'oils' => [['id' => 'olive']],
            'oil_amount' => '1 cup',
            'method' => 'cold',
            'hours' => '5 weeks',
        ],
        ['step', 'herb', 'oil', 'step', 'step', 'step', 'step', 'method*', 'step', 'step', 'unread'],
    ],
    'the hours of the way, and a warmth that is no limit' => [
        "40 g dried calendula\n1 cup olive oil\nNever let it get over 60 C\nDouble boiler at 45 C for 3 hours\nlow heat 10 min first",
        [
            'herbs' => [['id' => 'calendula', 'state' => 'dried', 'amount' => '40 g']],
            'oils' => [['id' => 'olive']],
            'oil_amount' => '1 cup',
            'method' => 'double-boiler',
            'hours' => '3 hours',
            'warmth' => '45 C',
        ],
        ['herb', 'oil', 'step', 'method*', 'step'],
    ],
    // Nothing infuses on a shelf in two hours, whatever else is said of a cupboard.
    'on low heat' => [
        "50 g dried calendula\n1/2 cup olive oil\nSteep on low heat 2 hours, keeps 6 months in the cupboard",
        [
            'herbs' => [['id' => 'calendula', 'state' => 'dried', 'amount' => '50 g']],
            'oils' => [['id' => 'olive']],
            'oil_amount' => '1/2 cup',
            'method' => 'double-boiler',
            'school' => 'usual',
        ],
        ['herb', 'oil', 'method*'],
    ],
    'no time of infusing at all' => [
        "40 g dried calendula\n1 cup olive oil\nCool for 20 min.\nPreparation: 10 min",
        [
            'herbs' => [['id' => 'calendula', 'state' => 'dried', 'amount' => '40 g']],
            'oils' => [['id' => 'olive']],
            'oil_amount' => '1 cup',
        ],
        ['herb', 'oil', 'step', 'step'],
    ],
    'in parts' => [
        "2 parts dried linden\n1 part dried mullein flowers\n4 parts rice bran oil\n1 part jojoba",
        [
            'herbs' => [
                ['id' => 'linden-blossom', 'state' => 'dried', 'parts' => '2'],
                ['id' => 'mullein-flower', 'state' => 'dried', 'parts' => '1'],
            ],
            'oils' => [['id' => 'rice-bran', 'parts' => '4'], ['id' => 'jojoba', 'parts' => '1']],
            'ratio' => '3:5 v/v',
        ],
        ['herb', 'herb', 'oil', 'oil'],
    ],
    'by the jar' => [
        "Fill a pint jar 3/4 with dried calendula\nCover with sunflower oil by 1 inch\nSteep in the dark for a month",
        [
            'herbs' => [['id' => 'calendula', 'state' => 'dried']],
            'oils' => [['id' => 'sunflower']],
            'jar' => '473',
            'by_jar' => ['fill' => 'three-quarters', 'cover' => '1 inch'],
            'method' => 'cold',
            'school' => 'four-weeks',
        ],
        ['herb', 'oil', 'method*'],
    ],
    'two by the jar, and a spoon full of a third' => [
        "½ jar of dried rose petals\n1/4 jar of dried lavender\na spoon full of dried yarrow\nolive oil",
        [
            'herbs' => [
                ['id' => 'rose-petal', 'state' => 'dried'],
                ['id' => 'lavender', 'state' => 'dried'],
                ['id' => 'yarrow', 'state' => 'dried'],
            ],
            'oils' => [['id' => 'olive']],
            'by_jar' => ['fill' => 'half'],
        ],
        ['herb', 'herb*', 'herb*', 'oil*'],
    ],
    'half a jar, and to the brim' => [
        "½ jar of dried rose petals\nolive oil to the brim",
        [
            'herbs' => [['id' => 'rose-petal', 'state' => 'dried']],
            'oils' => [['id' => 'olive']],
            'by_jar' => ['fill' => 'half', 'cover' => 'brim'],
        ],
        ['herb', 'oil'],
    ],
    'each amount after its name, and two in a line' => [
        "Olive oil: 250 ml\nYarrow, dried – 30 g\nAdd 40 g dried rosemary to 50 ml jojoba\nEnough olive oil to cover",
        [
            'herbs' => [
                ['id' => 'yarrow', 'state' => 'dried', 'amount' => '30 g'],
                ['id' => 'rosemary', 'state' => 'dried', 'amount' => '40 g'],
            ],
            'oils' => [['id' => 'olive', 'parts' => '250'], ['id' => 'jojoba', 'parts' => '50']],
            'oil_amount' => '300 mL',
        ],
        ['oil', 'herb', 'herb', 'oil', 'step'],
    ],
    'drops of a plant are no herb, and an oil with no amount that nobody knows is no part' => [
        "40 g dried calendula\n100 ml jojoba\n5 drops tea tree\nVitamin E oil\nEmu oil",
        [
            'herbs' => [['id' => 'calendula', 'state' => 'dried', 'amount' => '40 g']],
            'oils' => [['id' => 'jojoba']],
            'oil_amount' => '100 ml',
        ],
        ['herb', 'oil', 'unread', 'unread', 'unread'],
    ],
    // No plant is taken for one that is not named.
    'no herb at all' => [
        "1 cup olive oil\nWarm it well",
        ['herbs' => [['name' => 'herb']], 'oils' => [['id' => 'olive']], 'oil_amount' => '1 cup'],
        ['oil', 'step'],
    ],
    'in digits of another keyboard' => [
        "٢٠٠ ml olive oil\n５０ g dried calendula",
        [
            'herbs' => [['id' => 'calendula', 'state' => 'dried', 'amount' => '50 g']],
            'oils' => [['id' => 'olive']],
            'oil_amount' => '200 ml',
        ],
        ['oil', 'herb'],
    ],
]);

it('names the herb of which nobody said how much, where others are weighed', function () {
    $read = Support::pasted("250 ml olive oil\n30 g dried linden\nrosemary\n10 g dried mullein flowers");
    expect(array_column($read->wish['herbs'], 'id'))
        ->toBe(['linden-blossom', 'mullein-flower'])
        ->and($read->notes)
        ->toContain('How much rosemary there is was not said, and others have an amount: left out. Weigh it, and add it at the Bench.');
});

it('reads how much where it stands in brackets behind', function () {
    $read = Support::pasted("dandelion flowers, enough to loosely fill a jar (about 2 cups)\nsweet almond oil (about 1 1/2 cups)");
    expect($read->wish['herbs'][0]['amount'] ?? null)
        ->toBe('2 cups')
        ->and($read->wish['oil_amount'] ?? null)
        ->toBe('1 1/2 cups');
});

it('makes no herb of what is poured and nobody knows', function () {
    $read = Support::pasted("50 g dried calendula\n250 ml huile d'olive");
    expect(array_column($read->wish['herbs'], 'id'))
        ->toBe(['calendula'])
        ->and($read->lines[1])
        ->toMatchArray(['as' => 'unread', 'says' => '“huile d\'olive” is in no list, and nothing was made of it: choose it at the Bench.']);
});

it('sends ears, eyes and wounds to somebody qualified', function (string $text, bool $says) {
    $notes = Support::pasted($text)->notes;
    expect(in_array('Ears, eyes and wounds are for somebody qualified. It is planned for sound skin.', $notes, true))->toBe($says);
})->with([
    ["Mullein ear oil\n20 g dried mullein flowers\n100 ml olive oil", true],
    ["Mullein oil\n20 g dried mullein flowers\n100 ml olive oil\nstir for a year", false],
    ["St John's wort oil for burns\n20 g dried st john's wort\n100 ml olive oil", true],
    ["Calendula oil\n20 g dried calendula\n100 ml olive oil\nGood on a minor burn, on cuts and on burns.", true],
    ["St John's wort oil burn salve\n20 g dried st john's wort\n100 ml olive oil", true],
    ["Calendula oil\n20 g dried calendula\n100 ml olive oil\nKeep it low and do not let it burn: an oil that burns is spoiled.", false],
    ["Calendula oil\n20 g dried calendula\n100 ml olive oil\nThe herb doesn’t burn. Never let the oil burn, or it will burn.", false],
]);

// As people write for themselves; common practice, no source.
it('loses nothing of what stands in one line', function (string $text, array $wish) {
    $read = Support::pasted($text);
    expect([...$read->wish, ...$wish])->toBe($read->wish);
})->with([
    'several amounts, and nothing between' => [
        '50g comfrey 25g plantain 25g calendula 1L olive',
        [
            'herbs' => [
                ['id' => 'comfrey-leaf', 'state' => 'dried', 'amount' => '50g'],
                ['id' => 'plantain-leaf', 'state' => 'dried', 'amount' => '25g'],
                ['id' => 'calendula', 'state' => 'dried', 'amount' => '25g'],
            ],
            'oils' => [['id' => 'olive']],
            'oil_amount' => '1L',
        ],
    ],
    'with a plus' => [
        "X\n50 g dried nettle leaf + 20 g dried rosemary + 10 g dried horsetail\n400 ml jojoba",
        [
            'herbs' => [
                ['id' => 'nettle-leaf', 'state' => 'dried', 'amount' => '50 g'],
                ['id' => 'rosemary', 'state' => 'dried', 'amount' => '20 g'],
                ['id' => 'horsetail', 'state' => 'dried', 'amount' => '10 g'],
            ],
        ],
    ],
    'an oil in parts, that is a plant as well' => [
        "X\n50 g dried nettle leaf\n1 part castor, 3 parts jojoba",
        ['oils' => [['id' => 'castor', 'parts' => '1'], ['id' => 'jojoba', 'parts' => '3']]],
    ],
    'equal parts of what is dried' => [
        "X\nEqual parts dried rosemary and nettle\n500 ml jojoba",
        [
            'herbs' => [
                ['id' => 'rosemary', 'state' => 'dried', 'parts' => '1'],
                ['id' => 'nettle-leaf', 'state' => 'dried', 'parts' => '1'],
            ],
        ],
    ],
    'the way beside the oil' => ["X\n30 g dried comfrey leaf\n1L olive oil, slow cooker 6 hours", ['method' => 'slow-cooker']],
    'the way behind the jar' => [
        'Fill a jar with dried mullein, top up with olive oil, stand on a sunny windowsill 6 weeks',
        ['herbs' => [['id' => 'mullein-flower', 'state' => 'dried']], 'oils' => [['id' => 'olive']], 'method' => 'solar'],
    ],
    'herb and oil in one breath' => [
        'fill a jar two thirds with dried mullein and cover in olive oil',
        [
            'herbs' => [['id' => 'mullein-flower', 'state' => 'dried']],
            'oils' => [['id' => 'olive']],
            'by_jar' => ['fill' => 'two-thirds'],
        ],
    ],
    'picked, and put into the jar' => [
        "Dandelion oil\nPick dandelion heads on a dry day.\nFill pint jar 2/3 full with dandelions\nFill with sweet almond oil",
        ['herbs' => [['id' => 'dandelion-flower', 'state' => 'dried']], 'by_jar' => ['fill' => 'two-thirds']],
    ],
]);

it('marks what it did not add to what is told in parts', function () {
    expect(Support::pasted("X\n50 g dried nettle\n1 part castor, 3 parts jojoba (400 ml in all)")->lines[3])->toMatchArray([
        'says' => 'Jojoba, 3 parts. Of “(400 ml in all)” nothing was made.',
        'guess' => true,
    ]);
});

// As recipes are printed; common practice, no source.
it('reads measures that are written short, how a herb lies, and a plant by its part', function (string $text, array $wish) {
    $read = Support::pasted($text);
    expect([...$read->wish, ...$wish])->toBe($read->wish);
})->with([
    'a point behind a measure ends no sentence' => [
        "CALENDULA INFUSED OIL:\n• ½ oz. Dried Calendula\n• 8 fl. oz. Olive oil\nLet sit in a warm sunny windowsill for 4-6 weeks.",
        [
            'herbs' => [['id' => 'calendula', 'state' => 'dried', 'amount' => '½ oz']],
            'oils' => [['id' => 'olive']],
            'oil_amount' => '8 fl oz',
            'method' => 'solar',
            'hours' => '4-6 weeks',
        ],
    ],
    'and before what is done it does' => [
        "Plantain oil\n2 oz. dried plantain\nOlive oil 16 fl oz. Pour it over and wait.",
        ['herbs' => [['id' => 'plantain-leaf', 'state' => 'dried', 'amount' => '2 oz']], 'oil_amount' => '16 fl oz'],
    ],
    'packed, behind' => [
        "X oil\nCalendula flowers (dried), 1 cup, tightly packed\nOlive oil, extra virgin, 2 cups",
        ['herbs' => [['id' => 'calendula', 'state' => 'dried', 'amount' => '1 cup, stuffed']], 'oil_amount' => '2 cups'],
    ],
    'loose, between' => [
        "X oil\n1 cup loosely packed dried calendula flowers\n2 cups olive oil",
        ['herbs' => [['id' => 'calendula', 'state' => 'dried', 'amount' => '1 cup, loose']]],
    ],
    'in one line, each amount behind its name' => [
        'calendula: 30 g, dried, olive oil: 300 ml, 4 weeks',
        [
            'herbs' => [['id' => 'calendula', 'state' => 'dried', 'amount' => '30 g']],
            'oils' => [['id' => 'olive']],
            'oil_amount' => '300 ml',
            'method' => 'cold',
            'school' => 'four-weeks',
        ],
    ],
    'and with what is done behind' => [
        'rosemary 20 g (dried), thyme 10 g dried and sunflower oil 250 ml. Slow cooker 3 hours.',
        [
            'herbs' => [
                ['id' => 'rosemary', 'state' => 'dried', 'amount' => '20 g'],
                ['id' => 'thyme', 'state' => 'dried', 'amount' => '10 g'],
            ],
            'oils' => [['id' => 'sunflower']],
            'oil_amount' => '250 ml',
            'method' => 'slow-cooker',
            'hours' => '3 hours',
        ],
    ],
    'how much and how it is, in brackets' => [
        "Calendula (30 g, dried)\nOlive oil (300 ml)",
        ['herbs' => [['id' => 'calendula', 'state' => 'dried', 'amount' => '30 g']], 'oil_amount' => '300 ml'],
    ],
    'a name with its parts behind a colon, and an oil called for short' => [
        'Chest oil: 20 g dried eucalyptus leaf, 200 ml olive',
        [
            'herbs' => [['id' => 'eucalyptus', 'state' => 'dried', 'amount' => '20 g']],
            'oils' => [['id' => 'olive']],
            'oil_amount' => '200 ml',
        ],
    ],
    'an oil before its amount is no name' => [
        'Olive oil: 250 ml, calendula: 30 g dried',
        [
            'herbs' => [['id' => 'calendula', 'state' => 'dried', 'amount' => '30 g']],
            'oils' => [['id' => 'olive']],
            'oil_amount' => '250 ml',
        ],
    ],
    'a point that belongs to the name' => [
        "St. John's Wort Oil\nFresh St. John's wort flowering tops, enough to fill a pint jar loosely\nOlive oil to cover\n".
        'In full sun for 6 weeks.',
        [
            'herbs' => [['id' => 'st-johns-wort', 'state' => 'fresh']],
            'oils' => [['id' => 'olive']],
            'jar' => '473',
            'by_jar' => ['fill' => 'full'],
            'method' => 'solar',
        ],
    ],
    'a root of what is known by its leaf' => [
        "Nettle root hair oil\n50 g dried nettle root\n500 ml olive oil",
        ['herbs' => [['name' => 'nettle root', 'form' => 'root', 'state' => 'dried', 'amount' => '50 g']], 'purpose' => 'hair'],
    ],
    'flowers and leaves, of which one is known' => [
        "Violet oil\nFill a jar with fresh violet flowers and leaves, then top up with grapeseed oil.",
        ['herbs' => [['id' => 'violet-leaf', 'state' => 'fresh']], 'oils' => [['id' => 'grapeseed']], 'by_jar' => ['fill' => 'full']],
    ],
    'a title with a part in it, and degrees of which nobody says what they are' => [
        "Comfrey leaf oil\n30 g dried comfrey leaf\n300 ml sunflower oil\nDouble boiler for 3 hours at 45 degrees",
        ['oils' => [['id' => 'sunflower']], 'oil_amount' => '300 ml', 'hours' => '3 hours', 'warmth' => '45 C'],
    ],
]);

it('takes what stands before a colon for the name', function (string $text, string $name) {
    expect(Support::pasted($text)->name)->toBe($name);
})->with([
    ['Chest oil: 20 g dried eucalyptus leaf, 200 ml olive oil', 'Chest oil'],
    ['Calendula oil: 30 g dried calendula, 300 ml olive oil', 'Calendula oil'],
    ['Olive oil: 250 ml, calendula: 30 g', ''],
    ['Calendula: 30 g dried, 300 ml olive oil', ''],
]);

it('takes degrees for no cups', function () {
    $told = Support::pasted("50 g calendula\n300 ml olive oil\nInfuse for 3 hours at 50 C.")->notes;
    expect(implode(' ', $told))
        ->not->toContain('two systems')
        ->and(implode(' ', Support::pasted("50 g calendula\n2 c. olive oil")->notes))
        ->toContain('two systems');
});

it('takes lemon balm for no balm, and a salve of it for one', function () {
    expect(Support::pasted("Lemon balm oil\n1 cup dried lemon balm\n2 cups olive oil")->wish['purpose'] ?? null)
        ->toBeNull()
        ->and(Support::pasted("Lemon balm salve\n1 cup dried lemon balm\n2 cups olive oil")->wish['purpose'] ?? null)
        ->toBe('salve');
});
