<?php

use Tests\Core\Support;

/*
 * Recipes as they are written otherwise. Common practice, no source; what is expected was worked by hand.
 */

it('reads what is written otherwise', function (string $text, array $wish, ?string $name = null) {
    $read = Support::pasted($text);
    expect(array_intersect_key($read->wish, $wish))->toEqual($wish);
    $name === null || expect($read->name)->toBe($name);
})->with([
    'parts by volume' => [
        "Infused oil\nComfrey leaf (dried), 1 part\nPlantain leaf (dried), 1 part\nOlive oil, 10 parts by volume",
        [
            'herbs' => [
                ['id' => 'comfrey-leaf', 'state' => 'dried', 'parts' => '1'],
                ['id' => 'plantain-leaf', 'state' => 'dried', 'parts' => '1'],
            ],
            'oils' => [['id' => 'olive']],
            'ratio' => '2:10 v/v',
        ],
    ],
    'mixed herbs together' => [
        "Herbal oil for salves, 1:5\n90 g mixed herbs (calendula, chamomile and lavender)\n450 ml sunflower oil",
        [
            'herbs' => [
                ['id' => 'calendula', 'state' => 'dried', 'amount' => '30 g'],
                ['id' => 'chamomile', 'state' => 'dried', 'amount' => '30 g'],
                ['id' => 'lavender', 'state' => 'dried', 'amount' => '30 g'],
            ],
            'oil_amount' => '450 ml',
        ],
        'Herbal oil for salves',
    ],
    'a ratio by itself behind the title' => [
        "Calendula oil\n1:8\ndried calendula\nolive oil",
        ['ratio' => '1:8', 'herbs' => [['id' => 'calendula', 'state' => 'dried']]],
    ],
    'two herbs in a title, and all behind it' => [
        'Mullein & Garlic ear oil: 1/4 cup dried mullein flower; 3 cloves garlic, minced; 1 cup olive oil. '.
        'Warm all in a double boiler 30 min.',
        [
            'herbs' => [
                ['id' => 'mullein-flower', 'state' => 'dried', 'amount' => '1/4 cup'],
                ['id' => 'garlic', 'state' => 'fresh', 'amount' => '12 g'],
            ],
            'oils' => [['id' => 'olive']],
            'oil_amount' => '1 cup',
            'method' => 'double-boiler',
        ],
        'Mullein & Garlic ear oil',
    ],
    'the head of a table' => ["Quantity | Ingredient\n50 g | dried rosemary\n500 ml | olive oil", ['oil_amount' => '500 ml'], ''],
]);

it('takes what is moistened and blended for no time in the warmth', function () {
    $text =
        "Lavender Oil (makes approx. 250 ml)\n\nDried lavender buds 40 g\nJojoba oil 300 ml\n\n".
        'Grind the lavender lightly, moisten with 20 ml vodka and let stand for 24 hours. '.
        'Put in a blender with the jojoba and blend for 5 minutes until warm. Strain.';
    expect(Support::pasted($text)->wish)->not->toHaveKeys(['method', 'school', 'hours']);
});

it('reads a product written otherwise', function (string $text, array $parts) {
    expect(partsOf($text))->toBe($parts);
})->with([
    'a table with its unit in the head' => [
        "| Ingredient | Grams | % |\n|---|---|---|\n| Olive oil | 60 | 60 |\n| Beeswax | 20 | 20 |\n| Shea butter | 20 | 20 |",
        ['olive' => '60 g', 'beeswax' => '20 g', 'shea' => '20 g'],
    ],
    'lines under a head' => [
        "Ingredient, %\nolive oil 70\nbeeswax 15\ncocoa butter 15",
        ['olive' => '70 g', 'beeswax' => '15 g', 'cocoa-butter' => '15 g'],
    ],
    'numbers that come to a hundred' => ["Ointment\nolive oil 80\nbeeswax 20", ['olive' => '80 g', 'beeswax' => '20 g']],
    'the wax by that word' => [
        "100 ml olive oil\n12 g wax\nWarm the 100ml oil, add 12 g wax, stir.",
        ['olive' => '100 ml', 'beeswax' => '12 g'],
    ],
    'called beeswax before' => [
        "100 ml olive oil\n12 g beeswax\nWarm the 100ml oil, add 12 g wax, stir.",
        ['olive' => '100 ml', 'beeswax' => '12 g'],
    ],
    'so much of each' => [
        "Lotion bars\nEqual weights of beeswax, shea and coconut oil: 50 g of each. Melt 50 g of each together and pour.",
        ['coconut' => '50 g', 'beeswax' => '50 g', 'shea' => '50 g'],
    ],
]);

/** @return array<string, string> how much of each thing, by its id */
function partsOf(string $text): array
{
    $wish = Support::product($text)->wish;
    $all = array_merge(...array_map(fn (string $field) => $wish[$field] ?? [], ['oils', 'waxes', 'butters', 'others']));

    return array_column($all, 'amount', 'id');
}

it('makes nothing of bare numbers that come to something else', function () {
    expect(fn () => Support::product("Ointment\nolive oil 80\nbeeswax 30"))->toThrow(Kettle\Share\RecipeException::class);
});

it('reads herb and oil of a table whose head has the unit', function (string $text) {
    expect(Support::amounts($text))->toBe([['calendula' => '50 g'], '250 ml']);
})->with(["Ingredient;Amount\ndried calendula;50 g\nolive oil;250 ml", "Herb\tg\ndried calendula\t50\nolive oil 250 ml"]);
