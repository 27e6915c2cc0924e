<?php

use Tests\Core\Support;

// What stands in one line of a recipe, and what is done with it. All of it common practice, no source.

it('reads of each herb and oil how much there is', function (string $text, array $herbs, ?string $oil) {
    expect(Support::amounts($text))->toBe([$herbs, $oil]);
})->with([
    // "75 g, grated" was a herb called "grated", and the ginger had no amount.
    ["Ginger oil\nfresh ginger root, 75 g, grated\n250 ml sesame oil", ['ginger-root' => '75 g'], '250 ml'],
    ["Nettle oil\nnettle, 50 g, dried and cut small\n400 ml rapeseed oil", ['nettle-leaf' => '50 g'], '400 ml'],
    [
        "Winter oil\ncalendula (30 g), comfrey leaf - 20 g and yarrow, 10 g\nolive: 300 ml, jojoba (50 ml)",
        ['calendula' => '30 g', 'comfrey-leaf' => '20 g', 'yarrow' => '10 g'],
        '350 mL',
    ],
    // A handful of dried leaf is 8 g in the tables, of fresh berries 20 g.
    [
        "Rub\nTake 3 handfuls of dried rosemary and one handful juniper berries, crushed.\nCover with sunflower oil (about 3/4 litre).",
        ['rosemary' => '24 g', 'juniper-berry' => '20 g'],
        '3/4 litre',
    ],
    // What is weighed goes before what so many weigh.
    ["Chive oil\n1 bunch chives (about 30 g)\n200 ml rapeseed oil", ['chive' => '30 g'], '200 ml'],
    ["Herb-infused oil base (1:4)\nHerb: dried yarrow 125 g\nOil: sunflower 500 g", ['yarrow' => '125 g'], '500 g'],
    [
        'Basic herb oil. Ratio 1 part dried herb : 5 parts oil by weight, e.g. 40 g plantain + 200 g olive.',
        ['plantain-leaf' => '40 g'],
        '200 g',
    ],
    ["Nettle oil\ndried nettle: 28g/1oz\nolive oil 250 ml", ['nettle-leaf' => '28g'], '250 ml'],
    ['Pine tip oil: pick young pine tips in May, let wilt 24 hrs. 1 c tips, 2 c olive oil.', ['pine-needle' => '1 c'], '2 c'],
    [
        "St John's Wort Oil (red oil)\nFill a 500 ml jar loosely with fresh flowers, about 100 g.\n400 ml olive oil",
        ['st-johns-wort' => '100 g'],
        '400 ml',
    ],
    ["Violet leaf oil\n~ 2 big handfuls wilted violet leaves\n~ 300 ml almond oil", ['violet-leaf' => '40 g'], '300 ml'],
    ["Juniper oil\nBerries: 80 g, crushed in a mortar\nOil: sesame, 400 g", ['juniper-berry' => '80 g'], '400 g'],
    ["Comfrey oil\n60 g comfrey root, sliced\n300g oil. 6 weeks.", ['comfrey-root' => '60 g'], '300g'],
    ["Comfrey oil\n200 g comfrey leaf\nPour in sunflower oil till leaves covered (c. 700ml).", ['comfrey-leaf' => '200 g'], '700ml'],
    ['Marshmallow root oil (cold): 50g chopped dried root, 250 ml almond oil, 2 weeks', ['marshmallow-root' => '50g'], '250 ml'],
    // A tenth of 500 g, and nine; "Batch" is no herb.
    ['Ingredients: Calendula officinalis flowers 10%, olive oil 90%. Batch 500 g. Cold, 28 days.', ['calendula' => '50 g'], '450 g'],
    // A day of wilting is no day in the oil.
    [
        'I pick about two cups of dandelion flowers and let them wilt for a day, in olive oil, two weeks.',
        ['dandelion-flower' => '2 cups'],
        null,
    ],
    ['Arnica. Put 30 g flowers into a clean dry pint jar. Cover with olive oil. Steep 4 weeks.', ['arnica' => '30 g'], null],
]);

it('reads how it is done, and takes no word of another thing for it', function (string $done, array $way) {
    $wish = Support::pasted("40 g lavender, dried\n500 ml sweet almond oil\n{$done}")->wish;
    expect(array_intersect_key($wish, ['method' => 1, 'school' => 1, 'hours' => 1, 'warmth' => 1, 'jar' => 1]))->toEqual($way);
})->with([
    [
        "Warm the oil gently in a bowl over hot water (don't let it go above 45 degrees).\n".
        "Stir in the flowers, cover and keep warm 4 hours, topping up the water.\nBottle when cold.",
        ['method' => 'double-boiler', 'hours' => '4 hours', 'warmth' => '45 C'],
    ],
    // It was the shelf, by "cold".
    ['Bottle when cold.', []],
    ['Pick on a dry sunny morning. Infuse in the dark for 5 weeks.', ['method' => 'cold', 'hours' => '5 weeks']],
    [
        'Place in a sealed jar and stand it in a pan of water. Heat to 60C & hold for 4 hours.',
        ['method' => 'water-bath', 'hours' => '4 hours', 'warmth' => '60 C'],
    ],
    ['Warm on lowest heat 30-60 mins, strain.', ['method' => 'double-boiler', 'hours' => '30-60 mins']],
    ['10 min in the microwave, strain.', []],
    ['Set on the sill for 5 weeks.', ['method' => 'solar', 'hours' => '5 weeks']],
    ['Stand on a shady sill for 5 weeks.', ['method' => 'cold', 'hours' => '5 weeks']],
    ['Crumble the herbs and put into a clean quart jar.', ['jar' => '946']],
    // What it is strained into is none.
    ['Strain into a clean quart jar.', []],
]);

it('fills a jar so far as is said, and names the first of two oils', function () {
    $filled = Support::pasted("Calendula oil\nCalendula petals to fill the jar by 3/4. Olive oil to cover by an inch.")->wish;
    $either = Support::pasted("20 g dried yarrow\nJojoba or olive - 1 1/2 cups");
    expect($filled['by_jar'])
        ->toBe(['fill' => 'three-quarters', 'cover' => 'an inch'])
        ->and($either->wish['oils'])
        ->toBe([['id' => 'jojoba']])
        ->and($either->lines[1]['guess'])
        ->toBeTrue()
        ->and($either->lines[1]['says'])
        ->toContain('The first of the two is taken.')
        ->and(Support::pasted("20 g dried yarrow\n200 ml jojoba/olive mix")->lines[1]['says'])
        ->toContain('The first of the two is taken.')
        ->and(Support::pasted("Lavender oil\ndried lavender, about a mugful\n200 ml jojoba")->lines[1]['says'])
        ->toContain('Of “a mug” nothing was made');
});

it('reads in a sentence what is turned about', function (string $text, array $wish, array $unread = []) {
    $read = Support::sentence($text);
    expect(array_intersect_key($read['wish'], $wish + ['ratio' => 1, 'oil_amount' => 1]))
        ->toEqual($wish)
        ->and($read['unread'])
        ->toBe($unread);
})->with([
    // Which oil and how much of it was lost.
    [
        'lavender 1 part, olive 4 parts',
        ['herbs' => [['id' => 'lavender', 'parts' => '1']], 'oils' => [['id' => 'olive', 'parts' => '4']], 'ratio' => '1:4 v/v'],
    ],
    // How much herb to how much oil was lost, and it was planned 1:7.
    ['1 part calendula to 5 parts oil', ['herbs' => [['id' => 'calendula', 'parts' => '1']], 'ratio' => '1:5 v/v']],
    ['2 parts calendula, 1 part yarrow in 9 parts olive', ['ratio' => '3:9 v/v']],
    ['1 part dried calendula to 4 parts olive by weight', ['oils' => [['id' => 'olive', 'parts' => '4']], 'ratio' => '1:4 w/w']],
    // Of each by themselves.
    ['3 parts calendula 1 part yarrow in 3 parts olive and 1 part jojoba', []],
    ['bay, 30 leaves in 350 ml olive', ['herbs' => [['id' => 'bay-leaf', 'amount' => '30 leaves']], 'oil_amount' => '350 ml']],
    ['garlic, 3 cloves, olive', ['herbs' => [['id' => 'garlic', 'amount' => '3 cloves']]]],
    [
        'dried hops 40 g - jojoba 200 ml - 4 weeks - cupboard',
        ['herbs' => [['id' => 'hop', 'state' => 'dried', 'amount' => '40 g']], 'school' => 'four-weeks', 'oil_amount' => '200 ml'],
    ],
    ['let calendula stand in olive till new year', ['ready_by' => '2027-01-01'], ['let stand']],
    ['calendula and I have half a litre of olive oil', ['oils' => [['id' => 'olive']], 'oil_amount' => '1/2 litre']],
    ["I've got 300 ml of jojoba and 50 g of lavender", ['herbs' => [['id' => 'lavender', 'amount' => '50 g']], 'oil_amount' => '300 ml']],
    ['arnica, 50 g flowers, 300 ml sunflower', ['herbs' => [['id' => 'arnica', 'amount' => '50 g']], 'oil_amount' => '300 ml']],
    ['balm of Gilead buds 50 g in olive', ['herbs' => [['id' => 'poplar-bud', 'amount' => '50 g']]]],
    ['comfrey root, dried, in jojoba, day 12 today', ['begun' => '2026-11-12']],
    ['dried rose petals in jojoba since a fortnight', ['begun' => '2026-11-10']],
    ['rose petals in jojoba for a fortnight', ['method' => 'cold', 'school' => 'two-weeks']],
    ['dried calendula in olive from the first of November', ['begun' => '2026-11-01']],
    // The root is not the leaf that is known.
    ['nettle, 30 g roots, in olive 200 ml', ['herbs' => [['id' => 'nettle-leaf']], 'oil_amount' => '200 ml'], ['30 g roots']],
    // 100 : 7 is 14.29; it was 7 g in 100 mL, and of the litre nothing was made.
    ['7 g lavender per 100 ml, 1 litre of olive', ['herbs' => [['id' => 'lavender']], 'ratio' => '1:14.29 w/v', 'oil_amount' => '1 litre']],
    [
        '50 g of calendula to every litre of olive, 300 ml',
        ['herbs' => [['id' => 'calendula']], 'ratio' => '1:20 w/v', 'oil_amount' => '300 ml'],
    ],
    ['calendula 25 g/100 ml, 500 ml olive', ['ratio' => '1:4 w/v', 'oil_amount' => '500 ml']],
    ['calendula in olive 1 in 5', ['ratio' => '1:5']],
    ['1:5 (w/v) calendula/olive 300 ml', ['herbs' => [['id' => 'calendula']], 'ratio' => '1:5 w/v', 'oil_amount' => '300 ml']],
    // More herb than oil is of something else.
    [
        '500 g lavender per 100 ml, 1 litre of olive',
        ['herbs' => [['id' => 'lavender', 'amount' => '500 g']], 'oil_amount' => '1 litre'],
        ['100 ml'],
    ],
    // By itself it is so much of each.
    ['20 g calendula per 100 ml olive', ['herbs' => [['id' => 'calendula', 'amount' => '20 g']], 'oil_amount' => '100 ml']],
    ['birch leaves, fresh, in almond oil, sun, strain after two weeks', ['method' => 'solar', 'hours' => '2 weeks']],
    ['dandelion blossoms wilted, jar full, olive to the top', ['by_jar' => ['fill' => 'full', 'cover' => 'brim']]],
    ['thyme on a shady sill for three weeks in olive', ['method' => 'cold', 'school' => 'three-weeks']],
]);

it('says of an amount by itself behind the oil whose it is', function () {
    expect(Support::sentence('arnica 1:10 w/w in sunflower, 500 g')['guesses'])
        ->toBe(['“500 g” is taken as how much herb there is.'])
        ->and(Support::sentence('arnica 500 g, 1:10 w/w in sunflower')['guesses'])
        ->toBe([]);
});

it('takes what was dried with a cloth for no dried herb', function (string $herb, string $state) {
    expect(Support::pasted("Basil oil (for eating)\n{$herb}\n200 ml mild olive oil")->wish)->toMatchArray([
        'herbs' => [['id' => 'basil', 'state' => $state, 'amount' => '50 g']],
        'oils' => [['id' => 'olive']],
        'purpose' => 'kitchen',
    ]);
})->with([
    // It was dried, and its water said nothing.
    ['50 g basil leaves, blanched, squeezed dry', 'fresh'],
    ['50 g basil, washed and patted dry', 'fresh'],
    ['50 g basil, rinsed, and dried', 'fresh'],
    ['50 g basil, picked dry at noon', 'fresh'],
    ['50 g fresh basil, wilt overnight', 'wilted'],
    ['50 g dried basil', 'dried'],
    ['50 g basil, dried', 'dried'],
]);

it('says of a way that is none that nothing is infused by it, and of a time of wilting nothing', function () {
    $read = Support::pasted("20 g chamomile\n100 g sunflower oil\n10 min in the microwave, strain");
    $prose = Support::sentence('dandelion flowers, let them wilt for a day, in olive oil, two weeks in the sun')['wish'];
    expect($read->lines[2]['says'])
        ->toBe('By “microwave” nothing is infused here: choose a way at the Bench.')
        ->and(Support::pasted("Cottonwood bud oil (balm of Gilead)\n20 g poplar buds\n100 g olive oil")->wish)
        ->not->toHaveKey('purpose')
        ->and($prose)
        ->toMatchArray(['hours' => '2 weeks', 'method' => 'solar', 'herbs' => [['id' => 'dandelion-flower', 'state' => 'wilted']]]);
});
