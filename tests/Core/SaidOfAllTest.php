<?php

use Tests\Core\Support;

/*
 * What people say of a whole blend at once. Common practice, no source; worked by hand.
 */

it('reads what share each oil has', function (string $text, array $oils, array $unread = []) {
    $read = Support::sentence($text);
    expect($read['wish']['oils'])->toBe($oils)->and($read['unread'])->toBe($unread);
})->with([
    ['calendula in 60% olive and 40% sunflower', [['id' => 'olive', 'parts' => '60'], ['id' => 'sunflower', 'parts' => '40']]],
    ['calendula in olive with 40 % sunflower', [['id' => 'olive', 'parts' => '60'], ['id' => 'sunflower', 'parts' => '40']]],
    ['calendula in olive oil with half sunflower oil', [['id' => 'olive', 'parts' => '50'], ['id' => 'sunflower', 'parts' => '50']]],
    ['calendula in olive with a third coconut', [['id' => 'olive', 'parts' => '66.67'], ['id' => 'coconut', 'parts' => '33.33']]],
    [
        'calendula in two thirds olive and one third coconut',
        [['id' => 'olive', 'parts' => '66.67'], ['id' => 'coconut', 'parts' => '33.33']],
    ],
    ['calendula in 3/4 olive and 1/4 castor', [['id' => 'olive', 'parts' => '75'], ['id' => 'castor', 'parts' => '25']]],
    [
        'calendula in olive with a quarter castor and a quarter jojoba',
        [['id' => 'olive', 'parts' => '50'], ['id' => 'castor', 'parts' => '25'], ['id' => 'jojoba', 'parts' => '25']],
    ],
    ['60/40 olive and coconut with rosemary', [['id' => 'olive', 'parts' => '60'], ['id' => 'coconut', 'parts' => '40']]],
    ['15% arnica in a blend of 70% sunflower, 30% jojoba', [['id' => 'sunflower', 'parts' => '70'], ['id' => 'jojoba', 'parts' => '30']]],
    ['60% olive, 40% sunflower, calendula', [['id' => 'olive', 'parts' => '60'], ['id' => 'sunflower', 'parts' => '40']]],
    // What does not come to a whole, or stands beside an amount of one of them, is left out and told.
    ['calendula in 60% olive and 60% sunflower', [['id' => 'olive'], ['id' => 'sunflower']], ['60%', '60%']],
    ['calendula in 20% olive and sunflower and castor', [['id' => 'olive'], ['id' => 'sunflower'], ['id' => 'castor']], ['20%']],
]);

it('keeps the amount of an oil beside the share of another, and tells the share', function () {
    $read = Support::sentence('calendula in 300 ml olive with 20% castor');
    expect($read['wish']['oil_amount'])
        ->toBe('300 ml')
        ->and($read['unread'])
        ->toBe(['20%']);
});

it('reads how much there is of all herbs, and in which parts', function (string $text, array $herbs, array $more = [], array $told = []) {
    $read = Support::sentence($text);
    expect($read['wish']['herbs'])
        ->toEqual($herbs)
        ->and(array_intersect_key($read['wish'], ['oil_amount' => 0, 'ratio' => 0]))
        ->toBe($more)
        ->and($read['guesses'])
        ->toBe($told)
        ->and($read['unread'])
        ->toBe([]);
})->with([
    [
        '20 g of herb and 300 ml of oil in a pint jar: calendula in olive',
        [['id' => 'calendula', 'amount' => '20 g']],
        ['oil_amount' => '300 ml'],
    ],
    [
        '60 g of dried herbs in a pint jar: calendula and yarrow in olive',
        [['id' => 'calendula', 'state' => 'dried', 'amount' => '30 g'], ['id' => 'yarrow', 'state' => 'dried', 'amount' => '30 g']],
        [],
        ['“60 g” is taken as so much of all herbs together, as much of each.'],
    ],
    [
        '60 g of herb in a pint jar: calendula and yarrow (2 to 1), 1:8, in olive',
        [['id' => 'calendula', 'amount' => '40 g'], ['id' => 'yarrow', 'amount' => '20 g']],
        ['ratio' => '1:8'],
        ['“60 g” is taken as so much of all herbs together.'],
    ],
    [
        'comfrey leaf and comfrey root (equal weight), 80 g together, in 400 ml olive',
        [['id' => 'comfrey-leaf', 'amount' => '40 g'], ['id' => 'comfrey-root', 'amount' => '40 g']],
        ['oil_amount' => '400 ml'],
        ['“80 g” is taken as so much of all herbs together, as much of each.'],
    ],
    [
        'calendula, lavender and rose (2 to 1 to 1) in olive',
        [['id' => 'calendula', 'parts' => '2'], ['id' => 'lavender', 'parts' => '1'], ['id' => 'rose-petal', 'parts' => '1']],
    ],
    // Two numbers behind two herbs are herb to oil, where nothing else is.
    ['calendula and yarrow (1 to 5) in olive', [['id' => 'calendula'], ['id' => 'yarrow']], ['ratio' => '1:5']],
    ['calendula (1 to 5) in olive', [['id' => 'calendula']], ['ratio' => '1:5']],
    ['1 cup of oil in a pint jar: calendula in olive', [['id' => 'calendula']], ['oil_amount' => '1 cup']],
]);

it('reads of which weight a ratio is, and what the herb is by it', function (string $text, array $wish) {
    $read = Support::sentence($text);
    expect($read['wish'])
        ->toEqual($wish + ['oils' => [['id' => 'olive']]])
        ->and($read['unread'])
        ->toBe([]);
})->with([
    [
        'St John’s wort 1:3 by fresh weight in olive',
        ['herbs' => [['id' => 'st-johns-wort', 'state' => 'fresh']], 'ratio' => '1:3', 'basis' => 'as-it-lies'],
    ],
    [
        'comfrey leaf, wilted, 1:4 as it lies, in olive',
        ['herbs' => [['id' => 'comfrey-leaf', 'state' => 'wilted']], 'ratio' => '1:4', 'basis' => 'as-it-lies'],
    ],
    [
        'fresh comfrey leaf, 1:13 by dry weight, in olive',
        ['herbs' => [['id' => 'comfrey-leaf', 'state' => 'fresh']], 'ratio' => '1:13', 'basis' => 'dry'],
    ],
    [
        'fresh comfrey leaf 1:13 (dry weight) in olive',
        ['herbs' => [['id' => 'comfrey-leaf', 'state' => 'fresh']], 'ratio' => '1:13', 'basis' => 'dry'],
    ],
    // A weight of the herb itself is of it as it lies anyhow.
    ['100 g fresh comfrey leaf in olive', ['herbs' => [['id' => 'comfrey-leaf', 'state' => 'fresh', 'amount' => '100 g']]]],
]);

// No longer than four days and no warmer than 4 °C: National Center for Home Food Preservation, from memory.
it('reads how an oil for the kitchen is kept, and lets no word make it keep longer', function (
    string $text,
    ?string $kept,
    array $told = [],
) {
    $read = Support::sentence($text);
    expect($read['wish']['kept'] ?? null)
        ->toBe($kept)
        ->and(array_values(preg_grep('/kept cold/', $read['guesses'])))
        ->toBe($told)
        ->and($read['wish'])
        ->not->toHaveKeys(['hours']);
})->with([
    ['fresh garlic in olive for the kitchen, kept in the fridge', 'fridge'],
    ['fresh garlic in olive for the kitchen, keep refrigerated', 'fridge'],
    ['fresh basil in olive for salads, to keep in the fridge for 4 days', 'fridge'],
    [
        'fresh basil in olive for salads, kept in the fridge for 3 weeks',
        'fridge',
        ['“kept in the fridge for 3 weeks” is taken as kept cold for four days, and no longer.'],
    ],
    [
        'fresh basil in olive for salads, kept in the fridge for 10 days',
        'fridge',
        ['“kept in the fridge for 10 days” is taken as kept cold for four days, and no longer.'],
    ],
    ['garlic in olive for the kitchen, soured first', 'soured'],
    ['garlic in olive for the kitchen, acidified', 'soured'],
    // By vinegar or lemon is by no way that is tested.
    ['garlic in olive for the kitchen, with lemon juice', null],
    ['calendula in olive for the skin, kept in the fridge', null],
]);

it('reads bowls and pans by what they are called', function (string $text, string $vessel) {
    $read = Support::sentence($text);
    expect($read['wish']['jar'])->toBe($vessel)->and($read['unread'])->toBe([]);
})->with([
    ['calendula in olive, in a 750 mL glass bowl, double boiler', 'bowl-750'],
    ['a 1.5 L glass bowl of moringa leaf oil in olive, double boiler', 'bowl-1500'],
    ['calendula in olive, in a 24 cm wide pan', 'pan-24'],
    ['six 50 ml bottles of calendula in olive, from a quart jar', '946'],
]);

it('reads of each herb how it is, where that is said behind', function (string $text, array $states) {
    $read = Support::sentence($text);
    expect(array_map(fn (array $herb) => $herb['state'] ?? null, $read['wish']['herbs']))->toBe($states)->and($read['unread'])->toBe([]);
})->with([
    ['calendula and yarrow in olive, yarrow fresh', [null, 'fresh']],
    ['calendula and yarrow, the calendula wilted and the yarrow dried, in olive', ['wilted', 'dried']],
    ['dried calendula and fresh yarrow in olive', ['dried', 'fresh']],
    ['calendula, yarrow and rose in olive, all dried', ['dried', 'dried', 'dried']],
    ['calendula and yarrow, both wilted, in olive', ['wilted', 'wilted']],
    // Of one herb the last is what became of it.
    ['thyme oil with 1 bunch of fresh thyme, in olive', ['fresh']],
]);
