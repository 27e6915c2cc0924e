<?php

use Tests\Core\Support;

// Two that are said in one breath; common practice, no source.

it('reads two parts of one plant as the two herbs that they are', function (string $text, array $herbs, array $unread) {
    $read = Support::sentence($text);
    expect(array_map(fn (array $herb) => $herb['id'] ?? $herb['name'], $read['wish']['herbs']))
        ->toBe($herbs)
        ->and($read['unread'])
        ->toBe($unread);
})->with([
    ['comfrey root & leaf in olive', ['comfrey-root', 'comfrey-leaf'], []],
    ['50 g dried comfrey leaf and root in olive', ['comfrey-leaf', 'comfrey-root'], []],
    // The leaf of the elder is in no list, and is not lost with its flowers.
    ['elder flower and leaf in olive', ['elderflower'], ['elder leaf']],
    // What is ground is a powder, and ground ivy a plant.
    ['ground ivy in olive', ['ground-ivy'], []],
    ['20 g ground ginger in olive', ['ginger-root'], []],
]);

it('tells of the second of two parts in a recipe that its amount was not said', function (string $text, array $as) {
    expect(array_column(Support::pasted($text)->lines, 'as', 'line'))->toBe($as);
})->with([
    [
        "50 g comfrey root and leaf\n500 ml olive oil",
        ['50 g comfrey root' => 'herb', 'comfrey leaf' => 'herb', '500 ml olive oil' => 'oil'],
    ],
    [
        "50 g elder flowers and leaves\n500 ml olive oil",
        ['50 g elder flowers' => 'herb', 'elder leaves' => 'unread', '500 ml olive oil' => 'oil'],
    ],
    [
        "Comfrey root and leaf oil\n50 g comfrey leaf\n500 ml olive oil\nStrain the comfrey leaf and root through muslin",
        [
            'Comfrey root and leaf oil' => 'name',
            '50 g comfrey leaf' => 'herb',
            '500 ml olive oil' => 'oil',
            'Strain the comfrey leaf and root through muslin' => 'step',
        ],
    ],
    [
        '50 g comfrey root and leaf in 500 ml olive oil',
        ['50 g comfrey root' => 'herb', 'comfrey leaf' => 'herb', '500 ml olive oil' => 'oil'],
    ],
    [
        "Comfrey root and leaf oil (500 ml)\n50 g comfrey root\n500 ml olive oil",
        ['Comfrey root and leaf oil (500 ml)' => 'name', '50 g comfrey root' => 'herb', '500 ml olive oil' => 'oil'],
    ],
    // The amount behind both is of the first, as it is before them.
    [
        "plantain and yarrow, 10-12 cups\nolive oil, 300 ml",
        ['10-12 cups plantain' => 'herb', 'yarrow' => 'herb', 'olive oil, 300 ml' => 'oil'],
    ],
    // Of one plant in the tables, whose part both are.
    ["50 g violet flowers and leaves\n500 ml olive oil", ['50 g violet flowers and leaves' => 'herb', '500 ml olive oil' => 'oil']],
]);

it('knows what is ground from the plants that are called so', function (string $line, ?string $form, string $state) {
    $herb = Support::pasted("{$line}\n300 ml olive oil")->wish['herbs'][0];
    expect($herb['form'] ?? null)
        ->toBe($form)
        ->and($herb['state'])
        ->toBe($state);
})->with([['30 g ground ivy', null, 'dried'], ['30 g fresh ground ivy', null, 'fresh'], ['20 g ground ginger', 'powder', 'dried']]);

it('halves an amount of two oils', function (string $line, array $oils, string $amount) {
    $wish = Support::pasted("30 g dried calendula\n{$line}")->wish;
    expect(array_column($wish['oils'], 'id'))->toBe($oils)->and($wish['oil_amount'])->toBe($amount);
    expect(count(array_unique(array_column($wish['oils'], 'parts'))))->toBe(1);
})->with([
    ['500 ml half olive and half sunflower oil', ['olive', 'sunflower'], '500 mL'],
    ['1 l half olive oil, half sunflower oil', ['olive', 'sunflower'], '1000 mL'],
    ['400 ml of half olive half sweet almond', ['olive', 'sweet-almond'], '400 mL'],
]);

it('takes pints of an oil for so much of it, and pints of a herb for jars', function (string $text, array $wish) {
    expect(array_intersect_key(Support::sentence($text)['wish'], ['jar' => 1, 'jars' => 1, 'oil_amount' => 1]))->toBe($wish);
})->with([
    ['calendula in 2 pints olive', ['oil_amount' => '2 pints']],
    ['1/4 lb dried calendula to 2 pints olive', ['oil_amount' => '2 pints']],
    ['calendula to a pint of sunflower', ['oil_amount' => '1 pint']],
    ['calendula, 2 quarts olive oil', ['oil_amount' => '2 quarts']],
    ['30 g calendula in 1 pint half olive half almond', ['oil_amount' => '1 pint']],
    ['a pint of calendula in olive', ['jar' => '473']],
    ['two pints of calendula in olive', ['jar' => '473', 'jars' => '2']],
    ['calendula in pint jars, olive', ['jar' => '473']],
]);

it('keeps a recipe read line by line where its lines name a herb and an oil, known or not', function () {
    $read = Support::pasted("Calendula and bletherweed oil\n30 g bletherweed\n300 ml olive oil");
    expect($read->wish['herbs'])
        ->toHaveCount(1)
        ->and($read->wish['herbs'][0]['name'])
        ->toBe('bletherweed')
        ->and(array_column($read->lines, 'as'))
        ->toBe(['name', 'herb', 'oil']);
});

it('takes apart two things, the one with its amount before it and the other behind', function (string $text, array $herbs, ?string $oil) {
    expect(Support::amounts($text))->toBe([$herbs, $oil]);
})->with([
    ["50 g calendula, comfrey leaf - 20 g\n500 ml olive oil", ['calendula' => '50 g', 'comfrey-leaf' => '20 g'], '500 ml'],
    ['50 g calendula, olive oil (300 ml)', ['calendula' => '50 g'], '300 ml'],
    // The same amount by another measure, or how it is kept, is no other thing.
    ["50 g calendula, about 2 cups\n500 ml olive oil", ['calendula' => '50 g'], '500 ml'],
    ["50 g dried calendula, 2 cups\n500 ml olive oil", ['calendula' => '50 g'], '500 ml'],
]);
