<?php

use Tests\Core\Support;

// How products are written: what is the rest of it, what is told beside weights, and vitamin E by its units. All of it common
// practice, no source, but where one is named.

/** @return array<string, string|float|null> of each part of a product how much, by its id */
function partsOfProduct(string $text): array
{
    $wish = Support::product($text)->wish;
    $parts = [];
    foreach (['oils', 'waxes', 'butters', 'others', 'essential_oils'] as $field) {
        foreach ($wish[$field] ?? [] as $part) {
            $parts[$part['id']] = $part['amount'] ?? (isset($part['drops']) ? "{$part['drops']} drops" : "{$part['percent']} %");
        }
    }

    return $parts;
}

it('takes for the rest what is told in no share', function (string $text, array $parts) {
    expect(partsOfProduct($text))->toBe($parts);
})->with([
    // Was refused.
    [
        'Roll-on, 100 ml: jojoba to fill; lavender 2%, frankincense 1%',
        ['jojoba' => '89.2 g', 'lavender' => '1.84 g', 'frankincense' => '0.92 g'],
    ],
    ["Hand balm\n20% beeswax\n15% shea\nrest olive", ['olive' => '65 g', 'beeswax' => '20 g', 'shea' => '15 g']],
    ['Hand balm: beeswax 20 %, the rest: olive', ['olive' => '80 g', 'beeswax' => '20 g']],
    ["Lip balm 50 g\n20% beeswax\n30% cocoa butter\nolive to 100%", ['olive' => '25 g', 'beeswax' => '10 g', 'cocoa-butter' => '15 g']],
    ["Face oil 200 g\nrosehip 30%\ngeranium 0.5%\njojoba q.s. 100%", ['rosehip-seed' => '60 g', 'jojoba' => '139 g', 'geranium' => '1 g']],
    // Beside weights nobody knows of what it is the rest.
    ["Lip balm\nbeeswax 20 g\nlavender 1%\nrest olive\n60 g jojoba", ['jojoba' => '60 g', 'beeswax' => '20 g', 'lavender' => '1 %']],
    // Of two that fill it nobody knows how much of each, and over the whole there is no rest.
    ["Hand balm\n20% beeswax\n80% olive\nrest jojoba", ['olive' => '80 g', 'beeswax' => '20 g']],
]);

it('takes a scent told in per cent beside weights for so much of the whole', function (string $text, array $parts) {
    expect(partsOfProduct($text))->toBe($parts);
})->with([
    ['30 g beeswax, 70 g olive oil, lavender 1%', ['olive' => '70 g', 'beeswax' => '30 g', 'lavender' => '1 %']],
    ["30 g beeswax\n70 g olive oil\n0.5 % geranium", ['olive' => '70 g', 'beeswax' => '30 g', 'geranium' => '0.5 %']],
    // So much of it is none, and is left out and told.
    ["30 g beeswax\n70 g olive oil\npeppermint 10%", ['olive' => '70 g', 'beeswax' => '30 g']],
]);

it('weighs little to more places than much', function () {
    // Was 0.1 g of each, which is 29 % less of the one and 11 % more of the other.
    expect(partsOfProduct("Balm 28 g\n20% beeswax\n79.18% olive\n0.5% geranium\n0.32% lavender"))->toBe([
        'olive' => '22.2 g',
        'beeswax' => '5.6 g',
        'geranium' => '0.14 g',
        'lavender' => '0.09 g',
    ]);
});

/* By USP (from memory): 1 mg of d-alpha-tocopherol is 1.49 IU, so that 800 IU are 0.537 g and 500 IU 0.336 g. */
it('takes vitamin E by its units and capsules', function (string $line, string $amount) {
    $read = Support::product("100 ml olive oil\n18 g beeswax\n{$line}");
    expect($read->wish['others'] ?? null)
        ->toBe([['id' => 'vitamin-e', 'amount' => $amount]])
        ->and($read->lines[2]['guess'])
        ->toBeTrue()
        ->and($read->lines[2]['says'])
        ->toContain('d-alpha-tocopherol');
})->with([
    ['2 capsules vitamin E (400IU)', '0.54 g'],
    ['2 x 400 IU vitamin E capsules', '0.54 g'],
    ['2 vitamin E capsules, 400 IU each', '0.54 g'],
    ['vitamin E: 2 capsules (400 IU)', '0.54 g'],
    ['500 IU vitamin E', '0.34 g'],
    ['vitamin E, 500 IU', '0.34 g'],
    // Of what a capsule has where that is not said: 400 IU.
    ['1 capsule of vitamin E oil', '0.27 g'],
]);

it('still takes vitamin E as it is poured', function (string $line, string $amount) {
    expect(Support::product("100 ml olive oil\n18 g beeswax\n{$line}")->wish['others'] ?? null)->toBe([
        ['id' => 'vitamin-e', 'amount' => $amount],
    ]);
})->with([['1/4 tsp vitamin E', '1/4 tsp'], ['vitamin E 2 ml', '2 ml']]);

it('reads several things that a line puts otherwise', function (string $text, array $parts) {
    expect(partsOfProduct($text))->toBe($parts);
})->with([
    // Were refused.
    ['Scrub: 2 parts sugar 1 part olive oil', ['olive' => '33.3 g', 'sugar' => '66.7 g']],
    ['Firm salve; olive oil 4 oz (weight), beeswax 1 oz (weight)', ['olive' => '4 oz', 'beeswax' => '1 oz']],
    ['Lotion - 100ml olive oil w/ 1 g beeswax', ['olive' => '100ml', 'beeswax' => '1 g']],
    // What was weighed was thrown away for its share of a hundred grams.
    ["Beard balm\nBeeswax: 10g (20%)\nShea: 15g (30%)\nJojoba: 25g (50%)", ['jojoba' => '25g', 'beeswax' => '10g', 'shea' => '15g']],
    ['beeswax 1 oz to 1 cup olive oil', ['olive' => '1 cup', 'beeswax' => '1 oz']],
    ['shea 20 g in 100 g olive', ['olive' => '100 g', 'shea' => '20 g']],
    // Was an oil called "oil on 1 oz wax".
    ['pour 200 ml of olive oil on 1 oz beeswax and 3/4 oz of shea', ['olive' => '200 ml', 'beeswax' => '1 oz', 'shea' => '3/4 oz']],
    // What stands in each pan was lost.
    [
        "Cream\noil phase: 20 g olive oil, 5 g emulsifying wax\nwater phase: 74 g rose water\ncool down phase: preservative 1 g",
        ['olive' => '20 g', 'emulsifying-wax' => '5 g', 'hydrosol' => '74 g', 'preservative' => '1 g'],
    ],
    // Was three parts of oil alone.
    ['3 parts olive oil, 1 part beeswax by weight, 120 g total', ['olive' => '90 g', 'beeswax' => '30 g']],
    ["Hair oil blend 200 g\n50% olive\n30% sesame\n20% castor", ['olive' => '100 g', 'sesame' => '60 g', 'castor' => '40 g']],
]);

it('says that the rest is left out where nobody knows of what', function (string $line) {
    $read = array_column(Support::product("Lip balm\nbeeswax 20 g\nlavender 1%\n60 g jojoba\n{$line}")->lines, null, 'line');
    expect($read[$line]['as'] ?? null)
        ->toBe('unread')
        ->and($read[$line]['says'])
        ->toContain('left out');
})->with(['rest olive oil', 'olive oil to fill', 'the rest olive oil']);

it('knows waxes, butters and what is stirred in by their other names', function (string $name, string $id) {
    expect(partsOfProduct("100 g olive oil\n20 g {$name}"))->toEqual(['olive' => '100 g', $id => '20 g']);
})->with([
    ['wool fat', 'lanolin'],
    ['karité butter', 'shea'],
    ['cacao butter', 'cocoa-butter'],
    ['arrowroot', 'starch'],
    ['tocopherol', 'vitamin-e'],
    ['bees wax', 'beeswax'],
    ['candelilla', 'candelilla'],
]);

it('takes the tins it makes', function () {
    expect(Support::product("My recipe makes 6 (15 ml) tins:\n60 ml olive oil\n12 g beeswax")->wish['tins'] ?? null)->toBe([
        ['ml' => 15.0],
    ]);
});

it('has its name without how many there are, and asks how large they are', function () {
    $read = Support::product("Lip balm (12 tubes)\n15 g beeswax\n45 g olive oil");
    expect([$read->name, $read->lines[0]['as'], $read->lines[0]['guess']])
        ->toBe(['Lip balm', 'name', true])
        ->and($read->lines[0]['says'])
        ->toBe('How large the 12 tubes are is not said: choose them.');
});

// What is usual in a product is no part of a recipe that does not list it: common practice, no source.
it('makes of a recipe what it lists, and tells what is usual and left out', function (string $text, array $none, ?string $told) {
    $read = (new Kettle\Share\ListedProduct(Support::planning()->cupboard(), Support::kitchen()))->read($text);
    expect(array_filter($read->wish, fn (mixed $each) => $each === []))
        ->toBe($none)
        ->and(array_values(preg_grep('/^Usual in it/', $read->notes)))
        ->toBe($told === null ? [] : ["Usual in it and not listed, so it is left out: {$told}."]);
})->with([
    'a lip balm of wax and oil' => ["Lip balm\n10 g beeswax\n40 g olive oil", ['butters' => []], 'cocoa butter'],
    'a balm' => ["Gardener's balm\n20 g beeswax\n100 g olive oil", ['butters' => []], 'shea butter'],
    'one with its butter' => ["Lip balm\n10 g beeswax\n30 g olive oil\n10 g shea butter", [], null],
    'a salve, in which no butter is usual' => ["Salve\n10 g beeswax\n40 g olive oil", [], null],
    // Of one thing alone the rest is as usual.
    'an oil and no more' => ["Lip balm\n40 g olive oil", [], null],
]);

it('is planned as it is listed', function () {
    $read = (new Kettle\Share\ListedProduct(Support::planning()->cupboard(), Support::kitchen()))->read(
        "Lip balm\n10 g beeswax\n40 g olive oil",
    );
    $pot = Tests\Core\Melted::ask($read->wish)['pot'];
    expect(array_column($pot, 'name'))->toBe(['olive oil', 'beeswax']);
});
