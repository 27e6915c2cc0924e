<?php

use Kettle\Share\ForWhom;
use Tests\Core\Support;

// Whom a text is for; common practice, no source. What a child may bear is another table's, with its source.

it('plans a product for whom its name says it is', function (string $name, array $for) {
    $read = Support::product("{$name}\n100 g olive oil\n15 g beeswax");
    expect($read->wish['for'] ?? [])->toBe($for);
    foreach ($for as $id) {
        expect(implode(' ', $read->notes))->toContain(ForWhom::ofProduct($name, '')[$id]);
    }
})->with([
    ['Baby balm', ['child']],
    ['Nappy salve', ['child']],
    ['Kids’ chest rub', ['child']],
    ['Newborn cradle balm', ['newborn']],
    ['Stretch mark balm', ['pregnancy']],
    ['Asthma rub', ['asthma']],
    ['Babbling brook balm', []],
    ['Hand salve', []],
]);

it('plans it so where a line says that it is good for them, and not where it says that it is not', function (string $line, array $for) {
    $read = Support::product("Rub\n100 g olive oil\n15 g beeswax\n{$line}");
    expect($read->wish['for'] ?? [])->toBe($for);
})->with([
    ['It is gentle enough for babies.', ['child']],
    ['Safe for small children.', ['child']],
    ['Not suitable for children.', []],
    ['It isn’t safe for babies.', []],
    ['Keep away from children.', []],
]);

it('heeds a child in a sentence however it is called', function (string $text, array $heed) {
    expect(Support::sentence($text)['wish']['heed'] ?? [])->toBe($heed);
})->with([
    ['chamomile in jojoba for my baby', ['child']],
    ['arnica in olive for bruises on my toddler', ['child']],
    ['chamomile in jojoba for my 3 year old', ['child']],
    ['chamomile in jojoba for my two-year-old', ['child']],
    ['calendula in almond for our little ones', ['child']],
    ['calendula in almond, baby massage oil', ['child']],
    ['chamomile in jojoba for the grandchildren', ['child']],
    ['thyme in olive, chest rub for my 2 yr old', ['child']],
    ['calendula in olive for my 2yo', ['child']],
    ['chamomile in jojoba for our 3 y.o. , 50 g', ['child']],
    // No jar that has stood for six months.
    ['calendula in olive for a 6 month old', ['child']],
    ['calendula in olive, 6 months old', []],
    ['calendula in olive, on the shelf for 2 months', []],
    ['calendula in olive for my 30 year old sister', []],
]);

it('says of a ratio that would be more herb than oil that it is none', function () {
    expect(Support::sentence('calendula in olive 5:1')['guesses'])->toContain(
        '“5:1” would be more herb than oil. Say how much herb to how much oil: 1:5.',
    );
});

it('is begun when a jar has stood for so long, and not when somebody is so old', function () {
    expect(Support::sentence('calendula in olive for a 6 month old')['wish'])
        ->not->toHaveKey('begun')
        ->and(Support::sentence('calendula in olive, 6 months old')['wish'])
        ->toHaveKey('begun');
});

it('reads how much there is of the herb and of the oil, whatever stands about it', function (string $text, array $wish) {
    $read = Support::sentence($text)['wish'];
    $figures = array_filter([
        'herb' => $read['herbs'][0]['amount'] ?? null,
        'oil' => $read['oil_amount'] ?? null,
        'ratio' => $read['ratio'] ?? null,
        'warmth' => $read['warmth'] ?? null,
    ]);
    expect($figures)->toBe($wish);
})->with([
    ['calendula oil: 1 part flowers, 4 parts oil', ['ratio' => '1:4 v/v']],
    ['calendula (dried) 1 cup; olive oil 2 cups', ['herb' => '1 cup', 'oil' => '2 cups']],
    ['50 g lavender, 250 ml oil - what jar?', ['herb' => '50 g', 'oil' => '250 ml']],
    ['what size jar for 50 g of lavender in olive?', ['herb' => '50 g']],
    ['which jar do I need for 50 g calendula and 500 ml of olive oil', ['herb' => '50 g', 'oil' => '500 ml']],
    ['2 c. chickweed, wilted; 2 c. olive', ['herb' => '2 cups', 'oil' => '2 cups']],
    // Half a litre, it was.
    ['one and a half litres of olive with 300 g calendula', ['herb' => '300 g', 'oil' => '1 1/2 litres']],
    ['two and a half cups of olive with 1 cup calendula', ['herb' => '1 cup', 'oil' => '2 1/2 cups']],
    ['calendula in one and a half litres of olive', ['oil' => '1 1/2 litres']],
    ['500ml olive w/ 50g calendula', ['herb' => '50g', 'oil' => '500ml']],
    ['dandelion heads 2 handfuls, 500 ml sunflower', ['herb' => '2 handfuls', 'oil' => '500 ml']],
    ['garlic 3 cloves, olive 200 ml', ['herb' => '3 cloves', 'oil' => '200 ml']],
    // Of two herbs, or of oil to herb: never more herb than oil.
    ['calendula and lavender (2:1) in olive', []],
    ['calendula in olive 5:1', []],
    ['calendula 1:5 w/v in olive', ['ratio' => '1:5 w/v']],
    ['cover 1 cup dried lavender with 2 cups of grapeseed', ['herb' => '1 cup', 'oil' => '2 cups']],
    ['pour 1 cup of olive oil over 1/4 cup of dried thyme', ['herb' => '1/4 cup', 'oil' => '1 cup']],
    ['weigh out 30 g comfrey root, pour 240 ml olive over it', ['herb' => '30 g', 'oil' => '240 ml']],
    ['St. John’s wort: 70 g fresh : 350 ml olive', ['herb' => '70 g', 'oil' => '350 ml']],
    ['dandelion 60 g wilted, 300 ml sunflower', ['herb' => '60 g', 'oil' => '300 ml']],
    ['usnea 20 g ground fine, 200 ml olive', ['herb' => '20 g', 'oil' => '200 ml']],
    ['plantain in olive, want about 150 ml for itchy bites', ['oil' => '150 ml']],
    ['oil for my dog’s paws: calendula 20 g, coconut 200 g', ['herb' => '20 g', 'oil' => '200 g']],
    ['for my wife: rose 20 g, almond 300 ml', ['herb' => '20 g', 'oil' => '300 ml']],
    ['1 c. calendula in 2 c. of olive at 50 c. for 4 hours', ['herb' => '1 cup', 'oil' => '2 cups', 'warmth' => '50 C']],
]);
