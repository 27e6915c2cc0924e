<?php

use Tests\Core\Support;

/*
 * Recipes as people write them down: what there is of each thing, and then what is done with so much of it. Common practice, no
 * source; the expected amounts are added up by hand.
 */

it('puts what is listed in once, however often its amount is told', function (string $text, array $herbs, string $oil, array $more = []) {
    $wish = Support::pasted($text)->wish;
    expect($wish['herbs'])->toBe($herbs)->and($wish['oil_amount'])->toBe($oil)->and(array_intersect_key($wish, $more))->toBe($more);
})->with([
    'in numbered steps' => [
        "Arnica oil\n30 g dried arnica flowers\n300 ml sunflower oil\n1. Put the 30 g dried arnica flowers in a clean jar.\n".
        '2. Pour over 300 ml sunflower oil.',
        [['id' => 'arnica', 'state' => 'dried', 'amount' => '30 g']],
        '300 ml',
    ],
    'a part of it, and the rest' => [
        "Ingredients\n100g fresh St John's wort flowers\n500ml olive oil\nMethod\n".
        'Pack 100g of flowers into a jar. Cover with 450 ml of the olive oil. Top up with the remaining 50 ml oil as needed.',
        [['id' => 'st-johns-wort', 'state' => 'fresh', 'amount' => '100g']],
        '500ml',
    ],
    'with the way beside it' => [
        "2 tbsp dried mullein flowers\n1/2 cup olive oil\nCombine 2 tbsp dried mullein flowers and 1/2 cup olive oil in a double boiler, ".
        'warm for 2 hours, strain.',
        [['id' => 'mullein-flower', 'state' => 'dried', 'amount' => '2 tbsp']],
        '1/2 cup',
        ['method' => 'double-boiler'],
    ],
    'in one line of prose' => [
        "Plantain oil\nPlantain leaves, wilted: 2 cups\nOlive oil: 2 cups\n".
        'Chop 2 cups of plantain leaves and put into the slow cooker with 2 cups of olive oil on low for 8 hours.',
        [['id' => 'plantain-leaf', 'state' => 'wilted', 'amount' => '2 cups']],
        '2 cups',
        ['method' => 'slow-cooker'],
    ],
    'oil by that word only' => [
        "60 g dried calendula\n400 ml olive oil\nPour 400 ml of oil over it.",
        [['id' => 'calendula', 'state' => 'dried', 'amount' => '60 g']],
        '400 ml',
    ],
    // What is told only once, in a step, goes in by it.
    'listed without an amount' => [
        "rosemary, dried\njojoba\nTake 20 g of the rosemary and cover with 200 ml of jojoba. 4 weeks.",
        [['id' => 'rosemary', 'state' => 'dried', 'amount' => '20 g']],
        '200 mL',
    ],
    'more of it' => [
        "Place 50 g dried calendula in a jar.\nPour 400 ml olive oil over it.\nAfter a week top up with 50 ml olive oil.",
        [['id' => 'calendula', 'state' => 'dried', 'amount' => '50 g']],
        '450 mL',
    ],
    'said to be more' => [
        "50 g dried calendula\n400 ml olive oil\nAdd a further 100 ml of olive oil after a week.",
        [['id' => 'calendula', 'state' => 'dried', 'amount' => '50 g']],
        '500 mL',
    ],
]);

it('puts what a product lists in once as well', function (string $text, array $parts) {
    expect(array_intersect_key(Support::product($text)->wish, $parts))->toBe($parts);
})->with([
    'steps in one line' => [
        "Calendula salve\n100 g olive oil\n20 g beeswax\nMelt 20 g beeswax in a double boiler. Add 100 g olive oil.",
        ['oils' => [['id' => 'olive', 'amount' => '100 g']], 'waxes' => [['id' => 'beeswax', 'amount' => '20 g']]],
    ],
    'drops' => [
        "1 oz beeswax\n1 cup olive oil\n10 drops lavender essential oil\nTake off the heat and add 10 drops of lavender essential oil.",
        ['essential_oils' => [['id' => 'lavender', 'drops' => 10.0]]],
    ],
    'drops are of no herb that is listed' => [
        "100 g olive oil\n20 g beeswax\n5 g peppermint leaf\nAdd 10 drops peppermint.",
        ['essential_oils' => [['id' => 'peppermint', 'drops' => 10.0]]],
    ],
    'half of it, and the rest' => [
        "100 g shea butter\n50 g cocoa butter\n50 g coconut oil\n".
        'Melt the 50 g cocoa butter and half of the coconut oil first. Whip in the 100 g shea butter, then the remaining 25 g coconut oil.',
        [
            'butters' => [['id' => 'shea', 'amount' => '100 g'], ['id' => 'cocoa-butter', 'amount' => '50 g']],
            'oils' => [['id' => 'coconut', 'amount' => '50 g']],
        ],
    ],
    'list and step in one line' => [
        'Lip balm: 10 g beeswax, 20 g shea butter, 20 g olive oil. Melt 10 g beeswax with 20 g olive oil, then stir in 20 g shea butter.',
        [
            'waxes' => [['id' => 'beeswax', 'amount' => '10 g']],
            'butters' => [['id' => 'shea', 'amount' => '20 g']],
            'oils' => [['id' => 'olive', 'amount' => '20 g']],
        ],
    ],
    'amounts in words' => [
        "1/4 cup beeswax\n1 cup olive oil\nGrate 1/4 cup of beeswax. Heat one cup of olive oil gently and add the beeswax.",
        ['waxes' => [['id' => 'beeswax', 'amount' => '1/4 cup']], 'oils' => [['id' => 'olive', 'amount' => '1 cup']]],
    ],
    'under a heading' => [
        "20 g beeswax\n100 ml olive oil\nTo make: Melt 20g of beeswax into 100ml of olive oil, pour in tins",
        ['waxes' => [['id' => 'beeswax', 'amount' => '20 g']], 'oils' => [['id' => 'olive', 'amount' => '100 ml']]],
    ],
    'told first' => [
        'Add 20 g beeswax to 100 g olive oil.',
        ['waxes' => [['id' => 'beeswax', 'amount' => '20 g']], 'oils' => [['id' => 'olive', 'amount' => '100 g']]],
    ],
]);

it('shows each line as it was written', function () {
    $lines = Support::product("20 g beeswax\n100 g olive oil\nMelt 20 g of beeswax with ½ cup of olive oil.\nWarm one cup of olive oil.")
        ->lines;
    expect(array_column($lines, 'line'))
        ->toContain('Melt 20 g of beeswax with ½ cup of olive oil.', 'Warm one cup of olive oil.')
        ->and(array_unique(array_map(fn (string $line) => preg_match('/\p{Co}/u', $line), array_column($lines, 'line'))))
        ->toBe([0]);
});

it('reads an amount that stands on a line by itself', function (string $text, array $herbs, string $oil) {
    $wish = Support::pasted($text)->wish;
    expect($wish['herbs'])->toBe($herbs)->and($wish['oil_amount'])->toBe($oil);
})->with([
    'behind its thing' => [
        "Calendula oil\ncalendula petals, dried\n60 g\nolive oil\n400 ml\nLeave for 4 weeks on a shelf.",
        [['id' => 'calendula', 'state' => 'dried', 'amount' => '60 g']],
        '400 ml',
    ],
    'before its thing' => [
        "60 g\ncalendula petals, dried\n400 ml\nolive oil\n4 weeks",
        [['id' => 'calendula', 'state' => 'dried', 'amount' => '60 g']],
        '400 ml',
    ],
    'under a title that names the thing too' => [
        "Calendula oil\n60 g\ncalendula petals, dried\n400 ml\nolive oil",
        [['id' => 'calendula', 'state' => 'dried', 'amount' => '60 g']],
        '400 ml',
    ],
    'with empty lines, and in two measures' => [
        "Comfrey oil\n\ndried comfrey leaf\n\n30 g\n\nsunflower oil\n\n2 cups (480 ml)\n\nSlow cooker for 8 hours on low",
        [['id' => 'comfrey-leaf', 'state' => 'dried', 'amount' => '30 g']],
        '480 mL',
    ],
]);

it('reads the amounts of a product as the Melt shows them', function () {
    $wish = Support::product(
        "Weigh, onto one scale\n\nOlive oil\n\n80.1 % · the scale then reads 170 g\n170 g\n\nBeeswax\n\n19.9 % · the ".
            "scale then reads 213 g\n42 g",
    )->wish;
    expect($wish['oils'])
        ->toBe([['id' => 'olive', 'amount' => '170 g']])
        ->and($wish['waxes'])
        ->toBe([['id' => 'beeswax', 'amount' => '42 g']]);
});

it('reads a card of a plan by its sentence, and leaves its days out', function () {
    $card =
        "Calendula in high-oleic sunflower oil\n1 December 2026\nA pint jar of calendula oil for the skin, flower heads or petals, dried, ".
        "one to seven, in high-oleic sunflower oil, on the cold shelf for 4 weeks, then squeezed, begun Tuesday 1 December.\n".
        "calendula, flower heads or petals, dried\n59 g\nhigh-oleic sunflower oil\n413 mL 377 g\nWeigh 59 g (2 oz) of calendula.\n".
        'Pour over it 413 mL (1¾ cups) of high-oleic sunflower oil.';
    $read = Support::pasted($card);
    expect($read->wish)
        ->toEqual([
            'herbs' => [['id' => 'calendula', 'state' => 'dried']],
            'oils' => [['id' => 'sunflower-high-oleic']],
            'jar' => '473',
            'ratio' => '1:7',
            'method' => 'cold',
            'school' => 'four-weeks',
            'way' => 'squeezed',
            'purpose' => 'skin',
        ])
        ->and($read->name)
        ->toBe('Calendula in high-oleic sunflower oil')
        ->and($read->notes)
        ->toBe([]);
    foreach (['begun Tuesday 24 November', 'ready by Thursday 31 December'] as $day) {
        expect(Support::pasted(str_replace('begun Tuesday 1 December', $day, $card))->wish)->toEqual($read->wish);
    }
    $plan = Support::plan($read->wish);
    expect(round($plan->figures['herb_mass']->number()))->toBe(59.0)->and(round($plan->figures['oil_volume']->number()))->toBe(413.0);
});
