<?php

use Tests\Core\Support;

// All of it common practice, no source: how people say it, and what they mean by it.

it('reads what is said shorter as if it were said in full', function (string $text, array $wish, array $unread = []) {
    $read = Support::sentence($text);
    expect($read['wish'])
        ->toBe([...$read['wish'], ...$wish])
        ->and($read['unread'])
        ->toBe($unread);
    foreach (array_diff(array_keys($read['wish']), array_keys($wish)) as $more) {
        expect($more)->toBeIn(['herbs', 'oils']);
    }
})->with([
    // An amount behind what it is of.
    [
        'dried comfrey leaf 40 g, 400 g of olive oil',
        ['herbs' => [['id' => 'comfrey-leaf', 'state' => 'dried', 'amount' => '40 g']], 'oil_amount' => '400 g'],
    ],
    ['propolis, 10 g, in 100 ml olive oil', ['herbs' => [['id' => 'propolis', 'amount' => '10 g']], 'oil_amount' => '100 ml']],
    [
        'calendula 30 g olive 300 g',
        ['herbs' => [['id' => 'calendula', 'amount' => '30 g']], 'oils' => [['id' => 'olive']], 'oil_amount' => '300 g'],
    ],
    ['arnica 1:4 w/v in sunflower, 500 ml', ['ratio' => '1:4 w/v', 'oil_amount' => '500 ml']],
    ['calendula in olive oil 300 ml', ['oils' => [['id' => 'olive']], 'oil_amount' => '300 ml']],
    // A warmth is no cup.
    ['calendula in olive, 38 C, 6 weeks', ['method' => 'cold', 'school' => 'six-weeks'], ['38 C']],
    // In brackets, or with a stroke between.
    ['calendula (dried, 50 g) in olive oil', ['herbs' => [['id' => 'calendula', 'state' => 'dried', 'amount' => '50 g']]]],
    [
        'olive oil 500 ml / calendula 50 g',
        ['herbs' => [['id' => 'calendula', 'amount' => '50 g']], 'oils' => [['id' => 'olive']], 'oil_amount' => '500 ml'],
    ],
    ['calendula oil using all my sunflower', ['herbs' => [['id' => 'calendula']], 'oils' => [['id' => 'sunflower']]]],
    ['comfrey in anything but olive', ['herbs' => [['id' => 'comfrey-leaf']], 'oils' => [['name' => 'oil']]], ['not olive']],
    ['calendula in olive 1:5 by volume', ['ratio' => '1:5 v/v']],
    ['calendula in olive 1:3, then strain twice', ['ratio' => '1:3', 'strained' => 'twice']],
    ['calendula in olive, yogurt maker, 12 hours', ['method' => 'incubator', 'hours' => '12 hours']],
    // What the herb is covered with is what it is in.
    [
        'fill my quart jar with dried plantain and cover with grapeseed',
        [
            'herbs' => [['id' => 'plantain-leaf', 'state' => 'dried']],
            'oils' => [['id' => 'grapeseed']],
            'by_jar' => ['fill' => 'full'],
            'jar' => '946',
        ],
    ],
    [
        'half a jar of lavender buds topped with jojoba',
        ['herbs' => [['id' => 'lavender']], 'oils' => [['id' => 'jojoba']], 'by_jar' => ['fill' => 'half']],
    ],
    [
        'put 50 g dried calendula in a jar, cover with sunflower oil and leave 4 weeks in the sun',
        [
            'herbs' => [['id' => 'calendula', 'state' => 'dried', 'amount' => '50 g']],
            'oils' => [['id' => 'sunflower']],
            'method' => 'solar',
            'school' => 'four-weeks',
        ],
    ],
    [
        '100 g dried comfrey leaf to 1 L sunflower',
        [
            'herbs' => [['id' => 'comfrey-leaf', 'state' => 'dried', 'amount' => '100 g']],
            'oils' => [['id' => 'sunflower']],
            'oil_amount' => '1 L',
        ],
    ],
    ['use up the last of the almond oil with chamomile', ['herbs' => [['id' => 'chamomile']], 'oils' => [['id' => 'sweet-almond']]]],
    ['300 ml of olive infused with calendula', ['oils' => [['id' => 'olive']], 'oil_amount' => '300 ml']],
    [
        'warm 200 ml olive with 40 g comfrey for 3 hours',
        [
            'herbs' => [['id' => 'comfrey-leaf', 'amount' => '40 g']],
            'oils' => [['id' => 'olive']],
            'method' => 'double-boiler',
            'hours' => '3 hours',
            'oil_amount' => '200 ml',
        ],
    ],
    ['a dozen 30 ml bottles of calendula in olive', ['finished' => ['count' => '12', 'size' => '30 ml']]],
    // Two oils, and how much of each.
    ['calendula in 70% olive 30% castor', ['oils' => [['id' => 'olive', 'parts' => '70'], ['id' => 'castor', 'parts' => '30']]]],
    [
        'half olive, half coconut with comfrey',
        ['herbs' => [['id' => 'comfrey-leaf']], 'oils' => [['id' => 'olive', 'parts' => '1'], ['id' => 'coconut', 'parts' => '1']]],
    ],
    [
        'calendula 1:5 in castor and olive 2:1',
        ['oils' => [['id' => 'castor', 'parts' => '2'], ['id' => 'olive', 'parts' => '1']], 'ratio' => '1:5'],
    ],
    [
        'calendula, 400 g olive and castor 3:1',
        ['oils' => [['id' => 'olive', 'parts' => '3'], ['id' => 'castor', 'parts' => '1']], 'oil_amount' => '400 g'],
    ],
    ['calendula in equal parts olive and castor', ['oils' => [['id' => 'olive'], ['id' => 'castor']]]],
    // Of two plants it is their own.
    ['calendula and yarrow 1:4, in olive', ['herbs' => [['id' => 'calendula'], ['id' => 'yarrow']], 'ratio' => '1:4']],
    ['calendula and olive, 1 part to 3 parts', ['ratio' => '1:3 v/v']],
    // Several herbs that nothing parts, and an oil behind them.
    [
        'rosemary garlic chilli olive oil for pizza',
        [
            'herbs' => [['id' => 'rosemary'], ['id' => 'garlic'], ['id' => 'chilli']],
            'oils' => [['id' => 'olive']],
            'purpose' => 'kitchen',
        ],
    ],
    ['7 herb hair oil: rosemary, nettle in jojoba', ['herbs' => [['id' => 'rosemary'], ['id' => 'nettle-leaf']], 'purpose' => 'hair']],
    ['cacao butter infused with vanilla', ['herbs' => [['id' => 'vanilla']], 'oils' => [['id' => 'cocoa-butter']]]],
    ['yarrow + plantain, 50/50, olive', ['herbs' => [['id' => 'yarrow'], ['id' => 'plantain-leaf']], 'oils' => [['id' => 'olive']]]],
    ['goose grass in olive', ['herbs' => [['id' => 'cleavers']]]],
    [
        'St. John’s wort, flowering tops, fresh, wilted 24h, olive, sun, 40 days',
        [
            'herbs' => [['id' => 'st-johns-wort', 'state' => 'wilted']],
            'oils' => [['id' => 'olive']],
            'method' => 'solar',
            'hours' => '40 days',
        ],
    ],
    // Neither of these is a balm.
    ['dried lemon balm in olive', ['herbs' => [['id' => 'lemon-balm', 'state' => 'dried']]]],
    ['lemon balm salve', ['herbs' => [['id' => 'lemon-balm']], 'purpose' => 'salve']],
    ['bee balm in olive', ['herbs' => [['id' => 'bergamot-herb']]]],
    // How it was wilted or dried is no time in the oil.
    [
        'lemon balm wilted for 12 hours in olive, cold 6 weeks',
        ['herbs' => [['id' => 'lemon-balm', 'state' => 'wilted']], 'method' => 'cold', 'school' => 'six-weeks'],
    ],
    ['calendula dried for two weeks in almond oil', ['herbs' => [['id' => 'calendula', 'state' => 'dried']]]],
    ['fresh lemon balm, wilted overnight, in olive', ['herbs' => [['id' => 'lemon-balm', 'state' => 'wilted']]]],
    ['St John\'s wort in olive, picked this morning', ['herbs' => [['id' => 'st-johns-wort', 'state' => 'fresh']]]],
    // For eating, however it is said.
    ['turmeric oil for eating', ['purpose' => 'kitchen']],
    ['basil oil to cook with', ['purpose' => 'kitchen']],
    ['an oil for an itchy scalp with nettle', ['herbs' => [['id' => 'nettle-leaf']], 'purpose' => 'hair']],
    ['clove in almond oil for xmas', ['ready_by' => '2026-12-25']],
    ['no heat, calendula in olive', ['method' => 'cold']],
    ['sous vide calendula in olive 60 C 4 h', ['method' => 'water-bath', 'hours' => '4 h', 'warmth' => '60 C']],
    // What is not wanted, and a place, are neither a herb nor an oil.
    ['not calendula but yarrow in olive', ['herbs' => [['id' => 'yarrow']]], ['not calendula']],
    ['calendula in the cupboard', ['oils' => [['name' => 'oil']], 'method' => 'cold']],
    ['calendula in the airing cupboard, solar', ['oils' => [['name' => 'oil']], 'method' => 'solar'], ['airing cupboard']],
    // A plant that is not known is told with its part.
    ['elder leaf in olive', ['herbs' => [['name' => 'herb']]], ['elder leaf']],
    // What is said of an oil tells it from no other, and what is raw or green may be no herb.
    ['calendula, organic sunflower oil 200 ml', ['oils' => [['id' => 'sunflower']], 'oil_amount' => '200 ml']],
    ['calendula, cold pressed sesame oil 200 ml', ['oils' => [['id' => 'sesame']], 'oil_amount' => '200 ml']],
    ['calendula 30 g, light olive oil 200 ml', ['oils' => [['id' => 'olive']], 'oil_amount' => '200 ml']],
    ['calendula, roasted sesame oil 200 ml', ['oils' => [['id' => 'sesame']], 'oil_amount' => '200 ml'], ['roasted']],
    [
        'calendula, raw coconut oil 200 ml',
        ['herbs' => [['id' => 'calendula']], 'oils' => [['id' => 'coconut']], 'oil_amount' => '200 ml'],
        ['raw'],
    ],
    ['green tea in camellia oil', ['herbs' => [['id' => 'green-tea']]]],
    ['calendula in olive, green glass jar', ['herbs' => [['id' => 'calendula']]], ['green glass']],
    ['raw nettle in olive', ['herbs' => [['id' => 'nettle-leaf', 'state' => 'fresh']]], ['raw']],
    // A name, and how much of the herb behind it, is an amount of the herb.
    [
        'basil oil: fresh basil 50 g, olive 200 ml',
        ['herbs' => [['id' => 'basil', 'state' => 'fresh', 'amount' => '50 g']], 'oil_amount' => '200 ml'],
    ],
    [
        'basil oil fresh basil 50 g olive 200 ml',
        ['herbs' => [['id' => 'basil', 'state' => 'fresh', 'amount' => '50 g']], 'oil_amount' => '200 ml'],
    ],
    ['50 g calendula, 30 g calendula in olive', ['herbs' => [['id' => 'calendula', 'amount' => '50 g']]], ['30 g calendula']],
    // To infuse says no way.
    ['infuse calendula in olive', ['herbs' => [['id' => 'calendula']]]],
    ['re-infuse calendula in olive', ['herbs' => [['id' => 'calendula']]], ['re-']],
    ['dried chillies in olive', ['herbs' => [['id' => 'chilli', 'state' => 'dried']]]],
    ['cottonwood buds in olive', ['herbs' => [['id' => 'poplar-bud']]]],
    // From so many to so many of a measure are no ratio.
    ['two to three tablespoons rosemary in olive', ['herbs' => [['id' => 'rosemary', 'amount' => '2 to 3 tablespoons']]]],
    ['1 to 5 calendula in olive', ['herbs' => [['id' => 'calendula']], 'ratio' => '1:5']],
    [
        '28g/1oz calendula in 300ml/10fl oz olive',
        ['herbs' => [['id' => 'calendula', 'amount' => '28g']], 'oils' => [['id' => 'olive']], 'oil_amount' => '300ml'],
    ],
    [
        '1 oz dried calendula for every 10 oz of olive oil',
        [
            'herbs' => [['id' => 'calendula', 'state' => 'dried', 'amount' => '1 oz']],
            'oils' => [['id' => 'olive']],
            'oil_amount' => '10 oz',
        ],
    ],
    // What is said of the herb is not said of the jar.
    ['calendula, dried, 500 ml jar, in olive', ['herbs' => [['id' => 'calendula', 'state' => 'dried']], 'jar' => '473']],
    ['calendula in olive, in the dark, pint jar', ['herbs' => [['id' => 'calendula']], 'jar' => '473', 'method' => 'cold']],
    // Parts of two herbs, or of two oils, are no ratio; of both of them to the oil it is one.
    [
        '2:1 calendula to plantain in olive',
        ['herbs' => [['id' => 'calendula', 'parts' => '2'], ['id' => 'plantain-leaf', 'parts' => '1']], 'oils' => [['id' => 'olive']]],
    ],
    [
        'calendula and plantain 2:1 in olive',
        ['herbs' => [['id' => 'calendula', 'parts' => '2'], ['id' => 'plantain-leaf', 'parts' => '1']]],
    ],
    [
        'calendula 2 parts plantain 1 part, olive',
        ['herbs' => [['id' => 'calendula', 'parts' => '2'], ['id' => 'plantain-leaf', 'parts' => '1']], 'oils' => [['id' => 'olive']]],
    ],
    ['2:1 olive to castor, calendula', ['oils' => [['id' => 'olive', 'parts' => '2'], ['id' => 'castor', 'parts' => '1']]]],
    ['calendula and plantain 1:5 in olive', ['herbs' => [['id' => 'calendula'], ['id' => 'plantain-leaf']], 'ratio' => '1:5']],
    ['calendula to olive 1:5', ['herbs' => [['id' => 'calendula']], 'oils' => [['id' => 'olive']], 'ratio' => '1:5']],
    ['one cup of calendula per pint of olive oil', ['herbs' => [['id' => 'calendula', 'amount' => '1 cup']], 'oil_amount' => '1 pint']],
    ['calendula in olive, 4 bottles at 100 ml each', ['finished' => ['count' => '4', 'size' => '100 ml']]],
    ['cayenne in olive for sore joints', ['purpose' => 'massage']],
    // A strength is so much herb to a hundred of oil; of something else, or of two things, it is none.
    ['10% calendula in olive', ['herbs' => [['id' => 'calendula']], 'ratio' => '1:10']],
    ['calendula 20% w/v in olive', ['herbs' => [['id' => 'calendula']], 'ratio' => '1:5 w/v']],
    ['15 % calendula in olive', ['herbs' => [['id' => 'calendula']], 'ratio' => '1:6.7']],
    ['calendula in olive, 10% castor', ['herbs' => [['id' => 'calendula']], 'oils' => [['id' => 'olive']]], ['10% castor']],
    ['10% calendula and 5% yarrow in olive', ['herbs' => [['id' => 'calendula'], ['id' => 'yarrow']]], ['10%', '5%']],
    ['90% calendula in olive', ['herbs' => [['id' => 'calendula']]], ['90%']],
]);

it('says what it took degrees, months and amounts for, and leaves what may be either', function (string $text, array $wish, array $told) {
    $read = Support::sentence($text);
    expect($read['wish'])
        ->toBe([...$read['wish'], ...$wish])
        ->and($read['guesses'])
        ->toBe($told);
})->with([
    [
        'chilli in olive, double boiler, 2 hours at 50 degrees',
        ['hours' => '2 hours', 'warmth' => '50 C'],
        ['“at 50 degrees” is taken as 50 °C.'],
    ],
    [
        'rosemary in olive, double boiler, 3 hours at 110 degrees',
        ['hours' => '3 hours', 'warmth' => '110 F'],
        ['“at 110 degrees” is taken as 110 °F.'],
    ],
    // 90 °C is too hot, and 90 °F is a warm shelf: nobody knows.
    ['rosemary in olive, double boiler, 3 hours at 90 degrees', ['hours' => '3 hours'], []],
    [
        'rosemary in olive at 40',
        ['warmth' => '40 C'],
        ['“at 40” is taken as 40 °C.', 'By which way is not said: double boiler is a guess.'],
    ],
    ['calendula in olive, cold, 2 months', ['hours' => '9 weeks'], ['“2 months” is taken as 9 weeks.']],
    ['calendula in olive, cold, 1 to 2 months', ['hours' => '4 to 9 weeks'], ['“1 to 2 months” is taken as 4 to 9 weeks.']],
    ['arnica in olive, 500 ml', ['oil_amount' => '500 ml'], ['“500 ml” is taken as how much oil there is.']],
    ['calendula in olive, 20 December', ['ready_by' => '2026-12-20'], ['“20 December” is taken as when it is to be ready.']],
    ['dried calendula in olive, 2 November', ['begun' => '2026-11-02'], ['“2 November” is taken as when it was begun.']],
    // A root that nobody knows was dried as likely as not.
    [
        'nettle root in olive since 2 November',
        ['herbs' => [['name' => 'nettle root', 'form' => 'root', 'state' => 'dried']], 'begun' => '2026-11-02'],
        [
            '“nettle root” is not in the list; how it is cut is a guess.',
            'Whether the nettle root was dried is not said: dried is a guess. Write “fresh” before it if it was.',
        ],
    ],
    // Behind an oil it is of the oil, by weight as well.
    ['plantain oil, 8 oz', ['oil_amount' => '8 oz'], ['“8 oz” is taken as how much oil there is.']],
    ['oil of rosemary 250 ml', ['oil_amount' => '250 ml'], ['“250 ml” is taken as how much oil there is.']],
    [
        '1 oz arnica: 5 oz oil',
        ['herbs' => [['id' => 'arnica', 'amount' => '1 oz']], 'oil_amount' => '5 oz'],
        ['“5 oz” is taken as how much oil there is.'],
    ],
    [
        'calendula in olive, double boiler, at 40-45 C for 4 hours',
        ['hours' => '4 hours', 'warmth' => '42.5 C'],
        ['“at 40-45 C” is taken as 42.5 °C, its middle.'],
    ],
    [
        'calendula in olive, double boiler, between 100 and 120F',
        ['warmth' => '110 F'],
        ['“between 100 and 120F” is taken as 110 °F, its middle.'],
    ],
    ['chilli in olive, low heat', ['method' => 'double-boiler'], ['By which way is not said: double boiler is a guess.']],
    ['cleavers in olive, warm method', ['method' => 'double-boiler'], ['By which way is not said: double boiler is a guess.']],
    ['cleavers in olive, folk method', ['method' => 'cold'], ['By which way is not said: cold, on a shelf is a guess.']],
    ['calendula in castor and olive 1:1', [], ['“1:1” is taken as parts of the oils.']],
    [
        'calendula in olive with lavender essential oil',
        ['oils' => [['id' => 'olive']]],
        ['“lavender essential oil” is no oil to infuse in. What goes in once it is strained is for the bottle, or for the Melt.'],
    ],
    [
        'calendula in vodka',
        ['oils' => [['name' => 'oil']]],
        ['“vodka” is no oil to infuse in. What goes in once it is strained is for the bottle, or for the Melt.'],
    ],
    // A butter is one, and a plant that is a water too stays the plant.
    ['calendula in shea butter', ['oils' => [['id' => 'shea']]], []],
    ['witch hazel in olive', ['herbs' => [['id' => 'witch-hazel']]], []],
]);

/*
 * A root is not a leaf: the National Institutes of Health describe stinging nettle root and leaf apart (from memory), and tomato
 * leaves have alkaloids the ripe fruit has not (from memory). What poisons by any part stays the plant it is.
 */
it('takes another part of a plant for none of its own', function (string $text, array $herb, ?string $told) {
    $read = Support::sentence("{$text} in olive");
    expect($read['wish']['herbs'])
        ->toBe([$herb])
        ->and($read['guesses'])
        ->toBe($told === null ? [] : [$told])
        ->and($read['unread'])
        ->toBe([]);
})->with([
    ['nettle root', ['name' => 'nettle root', 'form' => 'root'], '“nettle root” is not in the list; how it is cut is a guess.'],
    [
        'dried roots of the nettle 20 g',
        ['name' => 'nettle roots', 'form' => 'root', 'state' => 'dried', 'amount' => '20 g'],
        '“nettle roots” is not in the list; how it is cut is a guess.',
    ],
    ['tomato leaves', ['name' => 'tomato leaves', 'form' => 'thin-leaf'], '“tomato leaves” is not in the list; how it is cut is a guess.'],
    [
        'dandelion leaf',
        ['name' => 'dandelion leaf', 'form' => 'thin-leaf'],
        '“dandelion leaf” is not in the list; how it is cut is a guess.',
    ],
    ['comfrey flowers', ['id' => 'comfrey-leaf'], '“comfrey flowers” is not in the list: comfrey leaf stands for it, with its cautions.'],
    ['foxglove root', ['id' => 'foxglove'], '“foxglove root” is not in the list: foxglove stands for it, with its cautions.'],
    ['dandelion root', ['id' => 'dandelion-root'], null],
    ['sea buckthorn berries', ['id' => 'sea-buckthorn'], null],
    ['lavender buds', ['id' => 'lavender'], null],
    ['yarrow tops', ['id' => 'yarrow'], null],
    ['coffee beans', ['id' => 'coffee'], null],
    ['star anise seeds', ['id' => 'star-anise'], null],
    ['garlic cloves', ['id' => 'garlic'], null],
]);

it('keeps a plant that harms by every part the plant it is', function (string $text, string $id) {
    expect(Support::sentence("{$text} in olive")['wish']['herbs'][0]['id'] ?? null)->toBe($id);
})->with([
    ['coltsfoot root', 'coltsfoot'],
    ['borage root', 'borage'],
    ['butterbur root', 'butterbur'],
    ['ragwort leaves', 'groundsel-ragwort'],
    ['monkshood flowers', 'monkshood'],
    ['poke berries', 'poke-root'],
    ['yew berries', 'yew'],
    ['arnica root', 'arnica'],
    ['wormwood root', 'wormwood'],
    ['hogweed seeds', 'giant-hogweed'],
]);

it('sends to somebody qualified, and plans the rest', function (string $text, ?string $told) {
    $said = array_values(
        array_filter(
            Support::sentence($text)['guesses'],
            fn (string $each) => str_contains($each, ' is a') || str_contains($each, ' are for'),
        ),
    );
    expect($said)->toBe($told === null ? [] : [$told]);
})->with([
    ['garlic and mullein ear oil', 'Ears, eyes and wounds are for somebody qualified. It is planned for sound skin.'],
    ['comfrey root salve for a cut', 'Ears, eyes and wounds are for somebody qualified. It is planned for sound skin.'],
    ['cut comfrey root in olive', null],
    [
        'a massage oil for my pregnant sister with lavender',
        'What is safe in pregnancy or nursing is a midwife’s or a doctor’s to say. Look at the cautions, and ask.',
    ],
    [
        'St John\'s wort in olive for my mum who takes antidepressants',
        'What goes with medicines is a pharmacist’s or a doctor’s to say. Look at the cautions, and ask.',
    ],
    ['neem in coconut for the dog', 'What is safe for an animal is a vet’s to say: much that people bear makes a cat or a dog ill.'],
]);
