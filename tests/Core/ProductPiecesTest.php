<?php

use Tests\Core\Support;

// Several things in one line of a product, each with how much of it there is. All of it common practice, no source.

it('reads of each thing how much there is, whatever parts them', function (string $text, array $parts) {
    $wish = Support::product($text)->wish;
    $found = [];
    foreach (array_diff_key($wish, ['product' => 1, 'for' => 1, 'tins' => 1]) as $each) {
        $found += array_column(array_map(fn (array $one) => [$one['id'], $one['amount'] ?? "{$one['drops']} drops"], $each), 1, 0);
    }
    ksort($found);
    ksort($parts);
    expect($found)->toBe($parts);
})->with([
    // Beeswax was read as 100 g of it, and the other two as nothing.
    ["Salve\nbeeswax 30 g; 20 g shea; jojoba (100 g)", ['beeswax' => '30 g', 'shea' => '20 g', 'jojoba' => '100 g']],
    [
        "Salve\nbeeswax (30 g), shea - 20 g, jojoba: 100 g, lavender 10 drops",
        ['beeswax' => '30 g', 'shea' => '20 g', 'jojoba' => '100 g', 'lavender' => '10 drops'],
    ],
    ['salve: 100 g olive oil, wax (15 g) and shea, 20 g', ['olive' => '100 g', 'beeswax' => '15 g', 'shea' => '20 g']],
    ['Balm 30g beeswax 60g shea 90g jojoba', ['beeswax' => '30g', 'shea' => '60g', 'jojoba' => '90g']],
    ['shea butter 50 g | coconut oil 30 g | beeswax 12 g', ['shea' => '50 g', 'coconut' => '30 g', 'beeswax' => '12 g']],
    ["Salve\nshea butter: 28g/1oz\nolive oil - 100 ml (3.5 fl oz)", ['shea' => '28g', 'olive' => '100 ml']],
    ['Melt beeswax 20 g, shea 30 g and jojoba (100 ml) together. Pour.', ['beeswax' => '20 g', 'shea' => '30 g', 'jojoba' => '100 ml']],
    ["Foot balm\nolive oil 200 ml\nbeeswax pellets 2 heaped tablespoons", ['olive' => '200 ml', 'beeswax' => '2 tablespoons']],
    ["Salve\nolive oil (1/2 cup)\nBeeswax: 1/4 cup grated, or 1 oz by weight", ['olive' => '1/2 cup', 'beeswax' => '1 oz']],
    [
        "Bath melts\n100g cocoa butter, 50g shea and 20 drops lavender",
        ['cocoa-butter' => '100g', 'shea' => '50g', 'lavender' => '20 drops'],
    ],
    // How much of each there is is not said: both are left out, and not the one of them.
    ["Stick\n100 g jojoba\n20 drops of sage & lemon eo", ['jojoba' => '100 g']],
    ["Salve\n1 x 100 ml bottle of olive oil\n15 g beeswax", ['olive' => '1 x 100 ml', 'beeswax' => '15 g']],
    // Which butter is not said; it is none that is eaten.
    ["Salve\n20 g butter\n20 g beeswax\n100 g olive oil", ['beeswax' => '20 g', 'olive' => '100 g']],
    // Of 100 g: 15, 55, 10 and 20 of a hundred.
    [
        "Salve\ncocoa butter (15%), jojoba - 55 %, honey, 10% and beeswax 20%",
        ['cocoa-butter' => '15 g', 'jojoba' => '55 g', 'honey' => '10 g', 'beeswax' => '20 g'],
    ],
    ['salve: 1% lavender essential oil / shea butter, 15% / olive oil 84%', ['lavender' => '1 g', 'shea' => '15 g', 'olive' => '84 g']],
    // 60 mL of 0.92 g are 55 g; it was 60 mL of beeswax.
    ['beard balm, 60 ml: 30% beeswax 30% shea 40% jojoba', ['beeswax' => '16.5 g', 'shea' => '16.5 g', 'jojoba' => '22 g']],
    // Of 100 g in parts: 1, 2 and 4 of 7.
    ['beeswax: 1, shea: 2, jojoba: 4', ['beeswax' => '14.3 g', 'shea' => '28.6 g', 'jojoba' => '57.1 g']],
    ['1 part beeswax, 2 shea, 4 jojoba', ['beeswax' => '14.3 g', 'shea' => '28.6 g', 'jojoba' => '57.1 g']],
    // 20 g without a unit are as good as 20 parts.
    ['beeswax 20, shea 20', ['beeswax' => '50 g', 'shea' => '50 g']],
    [
        'Lotion bars - equal weights of beeswax, shea butter and jojoba. Total 180g',
        ['beeswax' => '60 g', 'shea' => '60 g', 'jojoba' => '60 g'],
    ],
    ["Solid perfume\n1 part beeswax\n1 part jojoba infused with rose, essential oils 20 %", ['beeswax' => '50 g', 'jojoba' => '50 g']],
]);

it('takes the tins of a recipe, and how much it is by them where all is in parts', function (string $text, array $tins, array $oil) {
    $wish = Support::product($text)->wish;
    expect($wish['tins'] ?? [])
        ->toEqual($tins)
        ->and($wish['oils'][0])
        ->toBe($oil);
})->with([
    // 12 of 15 mL are 180 mL, of 0.92 g are 166 g: 5 of 6.
    ['Salve for 12 tins of 15 ml: olive oil, beeswax 1:5', [['ml' => 15.0, 'count' => 12]], ['id' => 'olive', 'amount' => '138.3 g']],
    // 360 mL are 331 g: 4 of 5.
    ["Salve\nolive oil and beeswax 1:4, twelve 30 ml tins", [['ml' => 30.0, 'count' => 12]], ['id' => 'olive', 'amount' => '264.8 g']],
    // What is measured fills as many as it fills; US fluid ounces of 29.57 mL.
    ["Salve\nPour into 4 2-oz tins\n100 ml olive oil\n15 g beeswax", [['ml' => 59.0]], ['id' => 'olive', 'amount' => '100 ml']],
    ["Salve\n100 ml olive oil\n15 g beeswax\nFill three 40 ml jars.", [['ml' => 40.0]], ['id' => 'olive', 'amount' => '100 ml']],
    // The first that is named, of 118 mL.
    [
        "Salve\n100 ml olive oil\n15 g beeswax\nPour into a 4 oz tin, or two 2 oz tins.",
        [['ml' => 118.0]],
        ['id' => 'olive', 'amount' => '100 ml'],
    ],
    // What goes in is no tin.
    ["Salve\n100 ml olive oil\n15 g beeswax\n1 x 10 ml bottle of lavender oil", [], ['id' => 'olive', 'amount' => '100 ml']],
    ["Salve\n100 ml olive oil\n15 g beeswax\nMakes 3 jars", [], ['id' => 'olive', 'amount' => '100 ml']],
]);

it('says of the tins, of a heaped spoon and of a butter by no name what was made of them', function () {
    $read = Support::product("Salve\n100 ml olive oil\n2 heaped tbsp beeswax\n20 g butter\nMelt, pour in 60 ml tins.");
    expect($read->notes)
        ->toBe(['“60 ml tins” is taken as tins of 60 mL, as many as there is for.'])
        ->and(array_column($read->lines, 'says', 'line'))
        ->toMatchArray([
            '2 heaped tbsp beeswax' => 'beeswax; heaped is taken as level: weigh it.',
            '20 g butter' => 'Which butter is not said, so it is left out.',
        ])
        ->and(array_column($read->lines, 'as', 'line')['Melt, pour in 60 ml tins.'])
        ->toBe('step');
});
