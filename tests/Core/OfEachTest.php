<?php

use Kettle\Share\LotLines;
use Tests\Core\Support;

// So much of each of several, as recipes have it: common practice, no source. What is expected is written out by hand.
$each = [
    'before' => ["1/2 cup each calendula, plantain and comfrey\n1 cup olive oil", '1/2 cup'],
    'with its "of"' => ["1/2 cup each of calendula, plantain, and comfrey\n1 cup olive oil", '1/2 cup'],
    'with a colon' => ["50 g each: calendula, plantain, comfrey\n1 cup olive oil", '50 g'],
    'behind' => ["calendula, plantain and comfrey, 50 g each\n1 cup olive oil", '50 g'],
    'in brackets behind, in a list' => ["- calendula, plantain & comfrey (50 g of each)\n- 1 cup olive oil", '50 g'],
];

it('takes so much of each of several herbs in a recipe', function (string $text, string $much) {
    expect(array_map(fn (array $herb) => [$herb['id'], $herb['amount']], Support::pasted($text)->wish['herbs']))->toBe([
        ['calendula', $much],
        ['plantain-leaf', $much],
        ['comfrey-leaf', $much],
    ]);
})->with($each);

it('takes what is said of the first or of the last of them for all', function () {
    $dried = Support::pasted("2 tbsp each dried rosemary and thyme\n100 ml each olive and almond oil")->wish;
    expect($dried['herbs'])
        ->toBe([
            ['id' => 'rosemary', 'state' => 'dried', 'amount' => '2 tbsp'],
            ['id' => 'thyme', 'state' => 'dried', 'amount' => '2 tbsp'],
        ])
        ->and($dried['oils'])
        ->toBe([['id' => 'olive', 'parts' => '100'], ['id' => 'sweet-almond', 'parts' => '100']])
        ->and($dried['oil_amount'])
        ->toBe('200 mL')
        ->and(Support::pasted("a handful each of rosemary and sage\n1 part each\n300 ml olive oil")->wish['herbs'])
        ->toBe([['id' => 'rosemary', 'state' => 'fresh', 'amount' => '20 g'], ['id' => 'sage', 'state' => 'fresh', 'amount' => '20 g']]);
});

it('takes so much of each in a sentence, and nothing behind them', function (string $text, array $herbs, array $oils) {
    $read = Support::sentence($text);
    expect($read['wish']['herbs'])->toBe($herbs)->and($read['wish']['oils'])->toBe($oils)->and($read['unread'])->toBe([]);
})->with([
    [
        '50 g each of calendula and plantain in 500 ml olive',
        [['id' => 'calendula', 'amount' => '50 g'], ['id' => 'plantain-leaf', 'amount' => '50 g']],
        [['id' => 'olive']],
    ],
    [
        'calendula and plantain 50 g each, 500 ml olive',
        [['id' => 'calendula', 'amount' => '50 g'], ['id' => 'plantain-leaf', 'amount' => '50 g']],
        [['id' => 'olive']],
    ],
    [
        '100 ml each olive and almond oil, rose',
        [['id' => 'rose-petal']],
        [['id' => 'olive', 'parts' => '100'], ['id' => 'sweet-almond', 'parts' => '100']],
    ],
]);

it('leaves no wax and no scent out of a product', function () {
    $read = Support::product(
        "A salve\n50 ml each olive and almond oil\n10 g each beeswax and shea butter\n5 drops each lavender and tea tree",
    );
    expect($read->wish)->toBe([
        ...$read->wish,
        'oils' => [['id' => 'olive', 'amount' => '50 ml'], ['id' => 'sweet-almond', 'amount' => '50 ml']],
        'waxes' => [['id' => 'beeswax', 'amount' => '10 g']],
        'butters' => [['id' => 'shea', 'amount' => '10 g']],
        'essential_oils' => [['id' => 'lavender', 'drops' => 5.0], ['id' => 'tea-tree', 'drops' => 5.0]],
    ]);
});

it('puts so much of each into Stores, with what is said of all', function () {
    $kitchen = Support::kitchen();
    $lots = (new LotLines($kitchen->cupboard(), $kitchen))->read('100 g each dried nettle, comfrey leaf, from Una');
    expect(array_column($lots, 'lot'))->toBe([
        ['kind' => 'herb', 'material' => 'nettle-leaf', 'amount' => '100 g', 'state' => 'dried', 'got_where' => 'Una'],
        ['kind' => 'herb', 'material' => 'comfrey-leaf', 'amount' => '100 g', 'state' => 'dried', 'got_where' => 'Una'],
    ]);
});

// Whether it is of each or of all together nobody can tell: the first has it, and of the others it is told that they have none.
it('loses none of several with one amount', function () {
    $recipe = Support::pasted("50 g rosemary, thyme and sage\n100 ml olive and almond oil");
    $product = Support::product("A salve\n100 ml olive oil\n20 g beeswax and shea butter");
    expect(array_map(fn (array $herb) => [$herb['id'], $herb['amount'] ?? ''], $recipe->wish['herbs']))
        ->toBe([['rosemary', '50 g'], ['thyme', ''], ['sage', '']])
        ->and(array_column((array) $recipe->wish['oils'], 'id'))
        ->toBe(['olive', 'sweet-almond'])
        ->and(array_column($product->lines, 'says', 'line')['shea butter'])
        ->toBe('How much of it is not said, so it is left out.')
        ->and(Support::pasted("50 g calendula, dried and chopped\n1 l olive")->wish['herbs'])
        ->toBe([['id' => 'calendula', 'state' => 'dried', 'amount' => '50 g']]);
});
