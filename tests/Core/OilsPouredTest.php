<?php

use Tests\Core\Support;

/*
 * Several oils in one sentence, each with an amount of its own. Reckoned by hand: 300 g of olive oil at 0.912 g/mL is 328.95 mL, 8 oz
 * of it 226.8 g and 248.68 mL; 2 oz of coconut oil at 0.9247 g/mL 61.32 mL (the densities of the tables, at 20 °C).
 */
it('adds what there is of each oil, and mixes them so', function (string $text, array $oils, string $amount) {
    $read = Support::sentence($text);
    expect($read['wish']['oils'])
        ->toBe($oils)
        ->and($read['wish']['oil_amount'])
        ->toBe($amount)
        ->and($read['unread'])
        ->toBe([])
        ->and($read['guesses'])
        ->toBe([]);
})->with([
    'behind "in"' => [
        'calendula in 300 ml olive and 50 ml castor',
        [['id' => 'olive', 'parts' => '300'], ['id' => 'castor', 'parts' => '50']],
        '350 ml',
    ],
    'in a list' => [
        '100 g calendula, 300 ml olive, 50 ml castor',
        [['id' => 'olive', 'parts' => '300'], ['id' => 'castor', 'parts' => '50']],
        '350 ml',
    ],
    'in two units' => [
        '100 g calendula to 1 litre sweet almond and 50 ml castor',
        [['id' => 'sweet-almond', 'parts' => '1000'], ['id' => 'castor', 'parts' => '50']],
        '1050 mL',
    ],
    'one weighed, one measured' => [
        '100 g calendula in 300 g olive and 50 ml castor',
        [['id' => 'olive', 'parts' => '328.95'], ['id' => 'castor', 'parts' => '50']],
        '378.9 mL',
    ],
    'both weighed' => [
        'calendula, 8 oz olive and 2 oz coconut',
        [['id' => 'olive', 'parts' => '248.68'], ['id' => 'coconut', 'parts' => '61.32']],
        '10 oz',
    ],
    'parts of one amount' => [
        'calendula in 300 ml of 2 parts olive and 1 part castor',
        [['id' => 'olive', 'parts' => '2'], ['id' => 'castor', 'parts' => '1']],
        '300 ml',
    ],
]);

it('says what it took an amount for, or makes nothing of it', function (string $text, ?string $amount, array $unread, array $guesses) {
    $read = Support::sentence($text);
    expect($read['wish']['oil_amount'] ?? null)
        ->toBe($amount)
        ->and($read['unread'])
        ->toBe($unread)
        ->and($read['guesses'])
        ->toBe($guesses);
})->with([
    'of the first only' => ['calendula in 300 ml olive and castor', '300 ml', [], ['“300 ml” is taken as how much oil there is.']],
    'of the second only' => ['calendula in olive and 50 ml castor', null, ['50 ml'], []],
    'beside what is to come out' => ['500 ml of calendula oil in 300 ml olive', null, ['300 ml'], []],
    'of one' => ['calendula in 300 ml olive', '300 ml', [], []],
    'of none that is named' => ['calendula in 500 ml', '500 ml', [], []],
]);

it('takes no herb that was dried in the sun for one that stands in it', function (string $text, bool $solar) {
    $read = Support::sentence($text);
    expect(($read['wish']['method'] ?? null) === 'solar')
        ->toBe($solar)
        ->and($read['unread'])
        ->toBe([]);
})->with([
    ['sun dried tomatoes in olive', false],
    ['sun-dried calendula in olive', false],
    ['sun-dried calendula in olive in the sun', true],
]);

it('loses no amount behind a word for doing it, and knows what stands over the herb', function (string $text, array $wish) {
    $read = Support::sentence($text);
    expect([...$read['wish'], ...$wish])
        ->toBe($read['wish'])
        ->and($read['unread'])
        ->toBe([]);
})->with([
    [
        'infuse 60g dried comfrey leaf and 40g dried plantain leaf into 1L olive oil',
        [
            'herbs' => [
                ['id' => 'comfrey-leaf', 'state' => 'dried', 'amount' => '60g'],
                ['id' => 'plantain-leaf', 'state' => 'dried', 'amount' => '40g'],
            ],
            'oil_amount' => '1L',
        ],
    ],
    // Nothing parts them but the next amount.
    [
        '50g comfrey 25g plantain 25g calendula 1L olive',
        [
            'herbs' => [
                ['id' => 'comfrey-leaf', 'amount' => '50g'],
                ['id' => 'plantain-leaf', 'amount' => '25g'],
                ['id' => 'calendula', 'amount' => '25g'],
            ],
            'oils' => [['id' => 'olive']],
            'oil_amount' => '1L',
        ],
    ],
    [
        'one cup calendula one cup yarrow two cups plantain in olive',
        [
            'herbs' => [
                ['id' => 'calendula', 'amount' => '1 cup'],
                ['id' => 'yarrow', 'amount' => '1 cup'],
                ['id' => 'plantain-leaf', 'amount' => '2 cups'],
            ],
        ],
    ],
    ['1 cup 2 tbsp calendula in olive', ['herbs' => [['id' => 'calendula', 'amount' => '1 cup 2 tbsp']]]],
    ['calendula in olive and jojoba, half and half', ['oils' => [['id' => 'olive'], ['id' => 'jojoba']]]],
    ['calendula in olive, don’t heat it', ['method' => 'cold']],
    // What was asked for is named, and reckoned.
    [
        'I have 80 g of dried lavender. How much oil do I need at 1:5?',
        ['herbs' => [['id' => 'lavender', 'state' => 'dried', 'amount' => '80 g']], 'ratio' => '1:5'],
    ],
    [
        'we’ve got a cup of rose petals, how much jojoba should we use for 1:8',
        ['herbs' => [['id' => 'rose-petal', 'amount' => '1 cup']], 'oils' => [['id' => 'jojoba']], 'ratio' => '1:8'],
    ],
    ['how much olive oil for 50 g calendula', ['herbs' => [['id' => 'calendula', 'amount' => '50 g']], 'oils' => [['id' => 'olive']]]],
    [
        'how much calendula do I need for 500 ml of olive at 1:5',
        ['herbs' => [['id' => 'calendula']], 'oils' => [['id' => 'olive']], 'oil_amount' => '500 ml', 'ratio' => '1:5'],
    ],
    ['dried st johns wort under jojoba', ['oils' => [['id' => 'jojoba']]]],
    ['chilli oil for sore muscles', ['purpose' => 'massage']],
    ['rosemary in evoo', ['oils' => [['id' => 'olive']]]],
]);
