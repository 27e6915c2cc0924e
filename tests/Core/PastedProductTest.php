<?php

use Kettle\Share\RecipeException;
use Tests\Core\Melted;
use Tests\Core\Support;

// As such recipes are written; common practice, no source.
it('reads a product written as plain lines', function (string $text, array $wish) {
    expect(Support::product($text)->wish)->toBe($wish);
})->with([
    'all in one line' => [
        '1 cup olive oil, 1/4 cup beeswax pellets, 20 drops lavender',
        [
            'product' => 'salve',
            'oils' => [['id' => 'olive', 'amount' => '1 cup']],
            'waxes' => [['id' => 'beeswax', 'amount' => '1/4 cup']],
            'essential_oils' => [['id' => 'lavender', 'drops' => 20.0]],
        ],
    ],
    'nothing between, and drops' => [
        '100 ml olive oil 15 g beeswax 10 drops lavender',
        [
            'product' => 'salve',
            'oils' => [['id' => 'olive', 'amount' => '100 ml']],
            'waxes' => [['id' => 'beeswax', 'amount' => '15 g']],
            'essential_oils' => [['id' => 'lavender', 'drops' => 10.0]],
        ],
    ],
    'a name, and plus signs' => [
        'Balm: 50g beeswax + 150g olive oil + 50g shea',
        [
            'product' => 'balm',
            'waxes' => [['id' => 'beeswax', 'amount' => '50g']],
            'oils' => [['id' => 'olive', 'amount' => '150g']],
            'butters' => [['id' => 'shea', 'amount' => '50g']],
        ],
    ],
    'equal parts, and a bar that is no cream' => [
        "Lotion bar\nEqual parts of beeswax, cocoa butter and almond oil",
        [
            'product' => 'bar',
            'waxes' => [['id' => 'beeswax', 'amount' => '33.3 g']],
            'butters' => [['id' => 'cocoa-butter', 'amount' => '33.3 g']],
            'oils' => [['id' => 'sweet-almond', 'amount' => '33.3 g']],
        ],
    ],
    'its name before a colon, and a measure written short' => [
        'Chest salve: 8 oz. sunflower oil, 1 oz. Beeswax, 10 drops peppermint',
        [
            'product' => 'salve',
            'oils' => [['id' => 'sunflower', 'amount' => '8 oz']],
            'waxes' => [['id' => 'beeswax', 'amount' => '1 oz']],
            'essential_oils' => [['id' => 'peppermint', 'drops' => 10.0]],
        ],
    ],
    'each amount behind its name' => [
        'Shea butter: 100 g, olive oil: 50 g',
        ['product' => 'salve', 'butters' => [['id' => 'shea', 'amount' => '100 g']], 'oils' => [['id' => 'olive', 'amount' => '50 g']]],
    ],
    'a lip balm' => [
        "Winter lip balm\n2 tbsp beeswax\n2 tablespoons shea butter\n1/4 cup sweet almond oil\n".
        "10 drops peppermint essential oil\nMelt gently and pour.",
        [
            'product' => 'lip-balm',
            'waxes' => [['id' => 'beeswax', 'amount' => '2 tbsp']],
            'butters' => [['id' => 'shea', 'amount' => '2 tablespoons']],
            'oils' => [['id' => 'sweet-almond', 'amount' => '1/4 cup']],
            'essential_oils' => [['id' => 'peppermint', 'drops' => 10.0]],
        ],
    ],
    'by weight' => [
        "Salve\n100 g coconut oil\n30 g candelilla wax\n5 g vitamin E\n2 mL rosemary essential oil",
        [
            'product' => 'salve',
            'oils' => [['id' => 'coconut', 'amount' => '100 g']],
            'waxes' => [['id' => 'candelilla', 'amount' => '30 g']],
            'others' => [['id' => 'vitamin-e', 'amount' => '5 g']],
            'essential_oils' => [['id' => 'rosemary', 'amount' => '2 mL']],
        ],
    ],
    // Each amount after its name is an ingredient as well as before it.
    'names first' => [
        "Lip balm\nBeeswax: 20 g\nCoconut oil – 30 g\nSweet almond oil (50 ml)\nLavender essential oil, 15 drops\nhydrosol 5 g\n".
        'Melt the wax in the oil over low heat',
        [
            'product' => 'lip-balm',
            'waxes' => [['id' => 'beeswax', 'amount' => '20 g']],
            'oils' => [['id' => 'coconut', 'amount' => '30 g'], ['id' => 'sweet-almond', 'amount' => '50 ml']],
            'essential_oils' => [['id' => 'lavender', 'drops' => 15.0]],
            'others' => [['id' => 'hydrosol', 'amount' => '5 g']],
        ],
    ],
    // 1 + 4 + 1 parts of 100 g.
    'in parts' => [
        "Winter salve\n1 part beeswax\n4 parts olive oil\n1 part shea butter",
        [
            'product' => 'salve',
            'waxes' => [['id' => 'beeswax', 'amount' => '16.7 g']],
            'oils' => [['id' => 'olive', 'amount' => '66.7 g']],
            'butters' => [['id' => 'shea', 'amount' => '16.7 g']],
        ],
    ],
    // A quarter, a quarter and a half of 200 g, and what is said to go in besides.
    'in shares' => [
        "Lip balm, 200 g batch\n25% beeswax\nshea butter: 25 %\nalmond 50%\n5 drops lavender",
        [
            'product' => 'lip-balm',
            'waxes' => [['id' => 'beeswax', 'amount' => '50 g']],
            'butters' => [['id' => 'shea', 'amount' => '50 g']],
            'oils' => [['id' => 'sweet-almond', 'amount' => '100 g']],
            'essential_oils' => [['id' => 'lavender', 'drops' => 5.0]],
        ],
    ],
    'in shares, in one line' => [
        'Salve: beeswax 19,5%, olive oil 80%, lavender essential oil 0,5%',
        [
            'product' => 'salve',
            'waxes' => [['id' => 'beeswax', 'amount' => '19.5 g']],
            'oils' => [['id' => 'olive', 'amount' => '80 g']],
            'essential_oils' => [['id' => 'lavender', 'amount' => '0.5 g']],
        ],
    ],
    'in prose' => [
        'Melt 20 g beeswax in 100 ml olive oil in a double boiler, then stir in 10 drops of lavender.',
        [
            'product' => 'salve',
            'waxes' => [['id' => 'beeswax', 'amount' => '20 g']],
            'oils' => [['id' => 'olive', 'amount' => '100 ml']],
            'essential_oils' => [['id' => 'lavender', 'drops' => 10.0]],
        ],
    ],
    // 4 and 1 parts of 100 g.
    'so many parts to so many' => [
        '4 parts olive oil to one part beeswax',
        [
            'product' => 'salve',
            'oils' => [['id' => 'olive', 'amount' => '80 g']],
            'waxes' => [['id' => 'beeswax', 'amount' => '20 g']],
        ],
    ],
    'a name, and a sentence' => [
        'Lip balm. Shea 60%, coconut 30%, beeswax 10%. Make 200 g.',
        [
            'product' => 'lip-balm',
            'butters' => [['id' => 'shea', 'amount' => '120 g']],
            'oils' => [['id' => 'coconut', 'amount' => '60 g']],
            'waxes' => [['id' => 'beeswax', 'amount' => '20 g']],
        ],
    ],
    'by what they are' => [
        "Salve\nOil: 200 ml olive\nWax: 20 g beeswax\nEssential oils: 10 drops lavender, 1 ml rosemary",
        [
            'product' => 'salve',
            'oils' => [['id' => 'olive', 'amount' => '200 ml']],
            'waxes' => [['id' => 'beeswax', 'amount' => '20 g']],
            'essential_oils' => [['id' => 'lavender', 'drops' => 10.0], ['id' => 'rosemary', 'amount' => '1 ml']],
        ],
    ],
    'oils without the word' => [
        "Salve\n60 g olive\n10 g castor\n15 g beeswax",
        [
            'product' => 'salve',
            'oils' => [['id' => 'olive', 'amount' => '60 g'], ['id' => 'castor', 'amount' => '10 g']],
            'waxes' => [['id' => 'beeswax', 'amount' => '15 g']],
        ],
    ],
    'in digits of another keyboard' => [
        "Salve\n٢٠٠ ml olive oil\n２０ g beeswax",
        [
            'product' => 'salve',
            'oils' => [['id' => 'olive', 'amount' => '200 ml']],
            'waxes' => [['id' => 'beeswax', 'amount' => '20 g']],
        ],
    ],
    'rose water is no plain water' => [
        "Cream\n1 cup rose water\n50 g olive oil",
        [
            'product' => 'cream',
            'others' => [['id' => 'hydrosol', 'amount' => '1 cup']],
            'oils' => [['id' => 'olive', 'amount' => '50 g']],
        ],
    ],
    'a scrub' => [
        "Sugar scrub\n1 cup sugar\n1/2 cup sunflower oil",
        [
            'product' => 'scrub',
            'others' => [['id' => 'sugar', 'amount' => '1 cup']],
            'oils' => [['id' => 'sunflower', 'amount' => '1/2 cup']],
        ],
    ],
]);

it('plans what was pasted, and the cup of pellets is weighed', function () {
    $wish = Support::product('1 cup olive oil, 1/4 cup beeswax pellets, 20 drops lavender')->wish;
    $answer = Melted::ask($wish);
    expect($answer['figures']['wax_mass']['value'])
        ->toEqualWithDelta(32.5, 0.1)
        ->and($answer['figures']['drops.lavender']['value'])
        ->toBe(20.0)
        ->and(array_column($answer['cautions'], 'id'))
        ->toContain('by-cup.beeswax');
});

it('asks, marks or leaves out what it does not know, and makes it into nothing else', function () {
    $read = Support::product(
        "Salve\n1 cup oil\n1/2 cup comfrey-infused olive oil\n1 oz wax\n12 drops moonflower\n2 tbsp pixie dust\n3 parts love",
    );
    $of = array_column($read->lines, null, 'line');
    expect($read->wish['oils'])
        ->toBe([['id' => 'oil', 'amount' => '1 cup'], ['id' => 'olive', 'amount' => '1/2 cup']])
        ->and($read->wish['waxes'])
        ->toBe([['id' => 'beeswax', 'amount' => '1 oz']])
        ->and($read->wish)
        ->not->toHaveKey('essential_oils')
        ->and($of['1 cup oil']['says'])
        ->toContain('choose')
        ->and($of['1/2 cup comfrey-infused olive oil']['guess'])
        ->toBeTrue()
        ->and($of['1 oz wax']['guess'])
        ->toBeTrue();
    foreach (['12 drops moonflower', '2 tbsp pixie dust', '3 parts love'] as $line) {
        expect($of[$line]['as'])->toBe('unread', $line);
    }
    // Which oil is asked for, and no oil is put in its place.
    expect(Melted::faults($read->wish))->toBe(['oils.0: which']);
});

it('refuses what is no recipe', function (string $text, string $reason) {
    try {
        Support::product($text);
        $this->fail('It was read.');
    } catch (RecipeException $refused) {
        expect($refused->reason)->toBe($reason);
    }
})->with([
    'nothing' => ["  \n ", 'missing'],
    'a letter' => ['Dear Magnus, the salve was lovely.', 'unreadable'],
    'too much' => [str_repeat('1 cup oil ', 3000), 'too_long'],
    'no text' => ["\xff\xfe1 cup", 'unreadable'],
]);

it('takes nothing that goes in for a step, though nobody said how much', function (string $line, string $as) {
    $read = Support::product("1 cup olive oil\n30 g beeswax\n{$line}");
    expect(array_column($read->lines, 'as', 'line')[$line])->toBe($as);
})->with([
    ['a bit of honey', 'unread'],
    ['camphor, a pinch', 'unread'],
    ['honey (to taste)', 'unread'],
    ['some few drops of lavender', 'unread'],
    ['A few minutes later, pour it', 'step'],
    ['Melt a little at a time', 'step'],
]);

it('names a product by its first line, and takes apart what stands in it', function (
    string $text,
    string $name,
    string $product,
    array $parts,
) {
    $read = Support::product($text);
    expect($read->name)->toBe($name)->and($read->wish['product'])->toBe($product);
    foreach ($parts as $field => $amounts) {
        $found = array_column($read->wish[$field] ?? [], $field === 'essential_oils' ? 'drops' : 'amount', 'id');
        expect($found)->toEqual($amounts, $field);
    }
})->with([
    'how many it makes' => [
        "Lip balm (makes 12 tubes)\n2 tbsp beeswax\n3 tbsp almond oil",
        'Lip balm',
        'lip-balm',
        ['waxes' => ['beeswax' => '2 tbsp'], 'oils' => ['sweet-almond' => '3 tbsp']],
    ],
    'how much it makes, before a colon' => [
        'Beard balm 60 ml: 30 g shea, 12 g beeswax, 20 ml jojoba',
        'Beard balm',
        'balm',
        ['butters' => ['shea' => '30 g'], 'waxes' => ['beeswax' => '12 g'], 'oils' => ['jojoba' => '20 ml']],
    ],
    'a dash, and strokes with no space about them' => [
        'Hand cream bars – 100 g beeswax/100 g cocoa butter/100 g almond oil',
        'Hand cream bars',
        'bar',
        ['waxes' => ['beeswax' => '100 g'], 'butters' => ['cocoa-butter' => '100 g'], 'oils' => ['sweet-almond' => '100 g']],
    ],
    'strokes between' => [
        'Salve: 60 g shea / 30 g almond oil / 10 g beeswax',
        'Salve',
        'salve',
        ['butters' => ['shea' => '60 g'], 'oils' => ['sweet-almond' => '30 g'], 'waxes' => ['beeswax' => '10 g']],
    ],
    'strokes between, and one within' => [
        'Salve: 60 g shea / 28g/1oz beeswax / 1/4 cup almond oil',
        'Salve',
        'salve',
        ['butters' => ['shea' => '60 g'], 'waxes' => ['beeswax' => '28g'], 'oils' => ['sweet-almond' => '1/4 cup']],
    ],
    'the one before and the other behind' => [
        "Balm\n2 tbsp lanolin, infused almond oil (1 tsp)\ncoconut oil (1 oz).",
        'Balm',
        'balm',
        ['butters' => ['lanolin' => '2 tbsp'], 'oils' => ['sweet-almond' => '1 tsp', 'coconut' => '1 oz']],
    ],
    'what is stirred in, with its amount behind' => [
        "Winter balm\nMelt 20 g beeswax and stir in jojoba, 100 ml.",
        'Winter balm',
        'balm',
        ['waxes' => ['beeswax' => '20 g'], 'oils' => ['jojoba' => '100 ml']],
    ],
    'equal parts, so much of each' => [
        'Lotion bar: equal parts beeswax, shea and almond oil, 30 g each; 1 ml vit. E',
        'Lotion bar',
        'bar',
        [
            'waxes' => ['beeswax' => '30 g'],
            'butters' => ['shea' => '30 g'],
            'oils' => ['sweet-almond' => '30 g'],
            'others' => ['vitamin-e' => '1 ml'],
        ],
    ],
    'a sentence behind its amounts' => [
        'Balm for eczema: almond oil 100 g, beeswax 12 g. No scent.',
        'Balm for eczema',
        'balm',
        ['oils' => ['sweet-almond' => '100 g'], 'waxes' => ['beeswax' => '12 g']],
    ],
    'a cup written short, behind the name' => [
        'Sugar scrub. 1 c sugar, 1/2 c almond oil, 8 drops orange',
        'Sugar scrub',
        'scrub',
        ['others' => ['sugar' => '1 c'], 'oils' => ['sweet-almond' => '1/2 c'], 'essential_oils' => ['sweet-orange' => 8.0]],
    ],
    'scents under a word of their own' => [
        "Cuticle balm\n10 g beeswax\n40 g almond oil\nScent: 10 drops lemon",
        'Cuticle balm',
        'balm',
        ['essential_oils' => ['lemon' => 10.0]],
    ],
    'what was weighed beside what was filled' => [
        "Rub\n1 cup olive oil\n1/4 cup (28 g) beeswax",
        'Rub',
        'salve',
        ['waxes' => ['beeswax' => '28 g'], 'oils' => ['olive' => '1 cup']],
    ],
]);

it('takes what it is put in for a step', function (string $line) {
    $read = Support::product("100 g olive oil\n15 g beeswax\n{$line}");
    expect(array_column($read->lines, 'as', 'line')[$line])->toBe('step');
})->with(['Pour into 2 oz tins.', 'Fill 4 x 30 ml jars', 'Spoon into a 100 ml jar.']);
