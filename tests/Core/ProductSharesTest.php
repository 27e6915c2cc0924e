<?php

use Tests\Core\Support;

// What is told in parts, in shares, and by so little; common practice, no source.

it('takes a rule for no amount, and says of what goes in to scent that it is left out', function () {
    $read = Support::product("Salve\n1 tablespoon beeswax per 60 ml oil\n240 ml olive oil\npeppermint oil to scent");
    expect($read->wish)
        ->toBe(['product' => 'salve', 'oils' => [['id' => 'olive', 'amount' => '240 ml']]])
        ->and(array_column($read->lines, 'says', 'line'))
        ->toMatchArray([
            '1 tablespoon beeswax per 60 ml oil' => 'So much for so much: write how much it is in all. It is left out.',
            'peppermint oil to scent' => 'How much of what was not understood, so it is left out.',
        ]);
});

it('takes shares that are not of all for no weight, and says what they come to', function () {
    $some = Support::product("Salve\n100 ml olive oil\n15% beeswax");
    expect($some->wish)
        ->not->toHaveKey('waxes')
        ->and($some->lines[2]['says'])
        ->toBe('Of how much it is a share is not said: write its weight. It is left out.')
        ->and(Support::product("Salve\n15% beeswax\n75% olive oil")->notes)
        ->toBe(['The shares come to 90 %, and not to 100: they are taken as parts by weight, 100 g of them in all.']);
});

it('says what was taken in parts, how many by a guess, and what was left out', function () {
    $read = Support::product("Salve\n1 part beeswax\n5 parts olive oil\nAdd a few drops of lavender\nsome drops of moonlight");
    expect($read->notes)
        ->toBe(['Parts are taken by weight, 100 g of them in all: change the amounts for more or less.'])
        ->and(array_map(fn (array $line) => [$line['line'], $line['as'], $line['guess']], $read->lines))
        ->toBe([
            ['Salve', 'name', false],
            ['1 part beeswax', 'wax', false],
            ['5 parts olive oil', 'oil', false],
            ['Add a few drops of lavender', 'scent', true],
            ['some drops of moonlight', 'unread', false],
        ])
        ->and($read->lines[3]['says'])
        ->toContain('a guess');
});

it('keeps a share its share, whatever of the rest was not understood', function (
    string $text,
    array $oils,
    array $scents,
    ?string $unread,
) {
    $read = Support::product($text);
    expect(array_column($read->wish['oils'], 'amount', 'id'))
        ->toBe($oils)
        ->and(array_column($read->wish['essential_oils'] ?? [], 'amount', 'id'))
        ->toBe($scents)
        ->and($unread === null ? 'unread' : array_column($read->lines, 'as', 'line')[$unread])
        ->toBe('unread');
})->with([
    // So little of a plant by name is its essential oil, by a guess; 30 % of one is not.
    'a scent' => ["Balm:\n- 60% olive oil\n- 39% beeswax\n- 1% lavender\nTotal 200 g", ['olive' => '120 g'], ['lavender' => '2 g'], null],
    'no scent' => ["50% olive oil\n30% rosemary\n20% beeswax", ['olive' => '50 g'], [], '30% rosemary'],
    'a powder' => ["78% olive oil\n20% beeswax\n2% turmeric", ['olive' => '78 g'], [], '2% turmeric'],
    'beside parts' => [
        'Massage oil: 2 parts almond oil, 1 part jojoba, 1% lavender',
        ['sweet-almond' => '66.7 g', 'jojoba' => '33.3 g'],
        [],
        '1% lavender',
    ],
]);

it('takes so little that is poured for the essential oil, and a spoon of a herb for none', function (
    string $line,
    array $scents,
    string $as,
) {
    $read = Support::product("100 ml olive oil\n10 g beeswax\n{$line}");
    expect($read->wish['essential_oils'] ?? [])
        ->toBe($scents)
        ->and($read->lines[2]['as'])
        ->toBe($as);
})->with([
    ['2 ml lavender', [['id' => 'lavender', 'amount' => '2 ml']], 'scent'],
    ['1/2 tsp cedarwood', [['id' => 'cedar', 'amount' => '1/2 tsp']], 'scent'],
    // It may be of the buds, or be rosemary by another name.
    ['1 tsp lavender', [], 'unread'],
    ['2 ml rosemary extract', [], 'addition'],
    ['20 ml lavender', [], 'unread'],
]);

it('reads one part to so many with a colon between', function (string $text) {
    $wish = Support::product($text)->wish;
    expect([$wish['waxes'], $wish['oils']])->toBe([[['id' => 'beeswax', 'amount' => '20 g']], [['id' => 'olive', 'amount' => '80 g']]]);
})->with([['1 part beeswax : 4 parts olive oil'], ['Basic ratio: 1 part beeswax: 4 parts olive oil (by weight)']]);

it('reads shares and parts in brackets, behind a name too', function (string $text, string $name, array $wish) {
    $read = Support::product($text);
    expect($read->name)->toBe($name)->and(array_intersect_key($read->wish, $wish))->toEqual($wish);
})->with([
    [
        "olive oil (60 %)\nvitamin E (20 %)\nbeeswax (20%)",
        '',
        [
            'oils' => [['id' => 'olive', 'amount' => '60 g']],
            'waxes' => [['id' => 'beeswax', 'amount' => '20 g']],
            'others' => [['id' => 'vitamin-e', 'amount' => '20 g']],
        ],
    ],
    [
        'Balm: coconut oil (2 parts), beeswax: 3 parts',
        'Balm',
        ['oils' => [['id' => 'coconut', 'amount' => '40 g']], 'waxes' => [['id' => 'beeswax', 'amount' => '60 g']]],
    ],
    [
        "Balm: olive oil (80 %)\nbeeswax (20 %)\nMakes 200 g",
        'Balm',
        ['oils' => [['id' => 'olive', 'amount' => '160 g']], 'waxes' => [['id' => 'beeswax', 'amount' => '40 g']]],
    ],
]);

it('reads a spoon behind its name, and tells of what is named with no amount', function (string $line, string $as, array $made) {
    $read = Support::product("Salve\n100 g olive oil\n{$line}");
    expect($read->lines[2]['as'])->toBe($as)->and(array_diff_key($read->wish, ['product' => 1, 'oils' => 1]))->toBe($made);
})->with([
    ['shea butter, a heaped tbsp', 'butter', ['butters' => [['id' => 'shea', 'amount' => '1 tbsp']]]],
    ['beeswax: a tablespoon', 'wax', ['waxes' => [['id' => 'beeswax', 'amount' => '1 tablespoon']]]],
    ['cocoa butter - a knob', 'unread', []],
    ['shea butter: a generous spoonful', 'unread', []],
    ['Melt the wax - a minute is enough', 'step', []],
]);
