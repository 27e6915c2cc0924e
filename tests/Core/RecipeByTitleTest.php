<?php

use Kettle\Share\RecipeReader;
use Tests\Core\Support;

// What a recipe leaves to its title, or to the words around an amount; common practice, no source.

it('takes a part by itself for the plant that the title names, and says so', function (string $title, string $line, array $herb) {
    $read = Support::pasted("{$title}\n{$line}\n500 ml olive oil");
    expect($read->wish['herbs'])
        ->toBe([$herb])
        ->and($read->lines[1]['line'])
        ->toBe($line)
        ->and($read->lines[1]['says'])
        ->toContain('By the name of the recipe it is')
        ->and($read->lines[1]['guess'])
        ->toBeTrue();
})->with([
    ['Calendula oil', '1 cup petals', ['id' => 'calendula', 'state' => 'dried', 'amount' => '1 cup']],
    ['Comfrey Oil', '100 g fresh leaves, chopped', ['id' => 'comfrey-leaf', 'state' => 'fresh', 'amount' => '100 g']],
    ['Comfrey Oil', '50 g dried root', ['id' => 'comfrey-root', 'state' => 'dried', 'amount' => '50 g']],
    ['Mullein oil', '30 g dried leaf', ['id' => 'mullein-leaf', 'state' => 'dried', 'amount' => '30 g']],
    ['Rose Oil', '40 g dried petals', ['id' => 'rose-petal', 'state' => 'dried', 'amount' => '40 g']],
    ['Arnica oil', '20 g of the dried flower heads', ['id' => 'arnica', 'state' => 'dried', 'amount' => '20 g']],
    ['St John’s Wort Oil 1:4', 'Fresh flowering tops 250 g', ['id' => 'st-johns-wort', 'state' => 'fresh', 'amount' => '250 g']],
    ['Nettle oil', 'dried herb: 40 g', ['id' => 'nettle-leaf', 'state' => 'dried', 'amount' => '40 g']],
]);

it('leaves a part as it is written where the title names no plant, or two', function (string $text, string $name) {
    expect(Support::pasted($text)->wish['herbs'][0]['name'] ?? null)->toBe($name);
})->with([
    ["Yarrow and plantain oil\n50 g dried leaves\n500 ml olive oil", 'leaves'],
    ["Garden oil\n50 g dried petals\n500 ml olive oil", 'petals'],
]);

it('knows the plant by the name of a recipe that is a file', function () {
    $file = json_encode([
        '@context' => 'https://schema.org',
        '@type' => 'Recipe',
        'name' => 'Comfrey oil',
        'recipeIngredient' => ['100 g dried leaves', '500 ml olive oil'],
    ]);
    $read = (new RecipeReader(Support::planning()->methods()))->read((string) $file, Support::kitchen());
    expect($read->wish['herbs'])->toBe([['id' => 'comfrey-leaf', 'state' => 'dried', 'amount' => '100 g']]);
});

it('reads how much herb to how much oil it is', function (string $text, ?string $ratio, ?string $name) {
    $read = Support::pasted($text);
    expect($read->wish['ratio'] ?? null)
        ->toBe($ratio)
        ->and($read->name)
        ->toBe($name)
        ->and($read->wish['oils'])
        ->toBe([['id' => 'olive']]);
})->with([
    'in its title' => ["CALENDULA OIL 1:5\ndried calendula\nolive oil 500 ml", '1:5', 'CALENDULA OIL'],
    'in brackets' => ["Calendula oil (1:5 w/v)\ndried calendula\nolive oil 500 ml", '1:5 w/v', 'Calendula oil'],
    'in a line' => ["Calendula oil\nRatio: 1:8 (by weight)\ndried calendula\nolive oil 500 ml", '1:8 w/w', 'Calendula oil'],
    'herb to oil' => ["Calendula oil\nHerb to oil ratio 1:10\ndried calendula 50 g\nolive oil", '1:10', 'Calendula oil'],
    'both amounts are there' => ["Calendula oil 1:5\ndried calendula 50 g\nolive oil 300 ml", null, 'Calendula oil'],
]);

it('takes the time of the infusing, and not of the work beside it', function (
    string $lines,
    ?string $hours,
    ?string $school,
    ?string $way,
) {
    $wish = Support::pasted("50 g calendula\n500 ml olive oil\n{$lines}")->wish;
    expect([$wish['hours'] ?? null, $wish['school'] ?? null, $wish['method'] ?? null])->toBe([$hours, $school, $way]);
})->with([
    ['Prep: 10 min | Infuse: 4 weeks', null, 'four-weeks', 'cold'],
    ['Wilt for 12 hours, then infuse for 4 weeks.', null, 'four-weeks', 'cold'],
    ['Dry for 3 days, infuse 2 weeks in the dark.', null, 'two-weeks', 'cold'],
    ['Infuse in a double boiler for 3 hours, cool for 30 minutes.', '3 hours', null, 'double-boiler'],
    ['Macerate 21 d in the dark.', null, 'three-weeks', 'cold'],
    ['Active time 20 min', null, null, null],
    ['Put it in the slow cooker overnight.', null, 'overnight', 'slow-cooker'],
    // By its hours alone it is not the hottest that is meant.
    ['Slow cooker for 6 hours.', '6 hours', null, 'slow-cooker'],
    ['Slow cooker for 8 hours.', null, 'usual', 'slow-cooker'],
    ['Slow cooker for 24 hours.', null, 'gentle', 'slow-cooker'],
    ['Slow cooker for 6 hours at 60 C.', null, 'hot', 'slow-cooker'],
    ['Double boiler for 2 hours strain. keep in the fridge 2 weeks', null, 'usual', 'double-boiler'],
    ['Step 1: Let sit in a warm window 5 weeks', '5 weeks', null, 'solar'],
    // For weeks nothing is held at 60 °C without a cooker.
    ['Warm the oil to 60 C, take it off the heat, and leave for 2 weeks.', null, 'two-weeks', 'cold'],
    ['Slow cooker at 40 C for 4 days.', '4 days', null, 'slow-cooker'],
]);

it('reads an amount behind brackets, a row of points and a verb', function (string $text) {
    $wish = Support::pasted($text)->wish;
    expect([$wish['herbs'][0]['amount'] ?? null, $wish['herbs'][0]['state'] ?? null, $wish['oil_amount'] ?? null])->toBe([
        '50 g',
        'dried',
        '500 ml',
    ]);
})->with([
    ["Calendula flowers (dried, whole) - 50 g\nOlive oil (extra virgin) - 500 ml"],
    ["Calendula flowers (dried, whole) 50 g\nOlive oil (extra virgin) 500 ml"],
    ["Calendula flowers (dried, whole): 50 g\nOlive oil (extra virgin): 500 ml"],
    ["Dried calendula ........ 50 g\nOlive oil (extra virgin) ..... 500 ml"],
    ["Crumble 50 g dried calendula into a jar\nWarm 500 ml olive oil"],
    ["Dried calendula - 50 g (about 2 cups)\nOlive oil, 500 ml (2 cups)"],
    ["| Ingredient | Metric | US |\n|---|---|---|\n| Dried calendula | 50 g | 2 cups |\n| Olive oil | 500 ml | 2 cups |"],
    ['Dried calendula x 50 g, olive oil x 500 ml'],
    ["Chop 50 g dried calendula\nHeat 500 ml olive oil"],
    ["✔️ 50 g calendula flowers, dried for at least 3 days\n✔️ 500 ml olive oil"],
    ["🌼 50 g dried calendula\n🫒 500 ml olive oil"],
    ['For this recipe you’ll need about 50 g of dried calendula and 500 ml of olive oil'],
]);

it('adds up one oil that is poured in twice, and keeps a herb once', function () {
    $read = Support::pasted(
        "200 g fresh yarrow\nCrush in 100 ml of olive oil.\nAdd a further 400 ml of oil.\nFill a jar half full with the yarrow.",
    );
    expect($read->wish['oils'])
        ->toBe([['id' => 'olive']])
        ->and($read->wish['oil_amount'])
        ->toBe('500 mL')
        ->and($read->wish['herbs'])
        ->toBe([['id' => 'yarrow', 'state' => 'fresh', 'amount' => '200 g']])
        ->and($read->lines[3]['says'])
        ->toContain('Taken as more of the same oil.')
        ->and($read->lines[3]['guess'])
        ->toBeTrue();
    // A cup of oil may be of any.
    expect(Support::pasted("20 g dried yarrow\n1 cup oil\n20 ml sunflower oil")->wish['oils'])->toEqual([
        ['name' => 'oil', 'parts' => '236.59'],
        ['id' => 'sunflower', 'parts' => '20'],
    ]);
});

it('leaves out the oil that is made, where it goes into something', function () {
    $read = Support::pasted("50 g dried calendula\n500 ml olive oil\nFor the salve:\n1 cup calendula oil\n30 g beeswax");
    expect($read->wish['oils'])
        ->toBe([['id' => 'olive']])
        ->and($read->wish['oil_amount'])
        ->toBe('500 ml')
        ->and($read->lines[3]['as'])
        ->toBe('unread');
});

it('is called by a title that says how it is made, and made so', function (string $title, ?string $method) {
    $read = Support::pasted("{$title}\n50 g dried rosemary\n500 ml olive oil");
    expect($read->name)
        ->toBe($title)
        ->and($read->wish['method'] ?? null)
        ->toBe($method);
})->with([['Slow cooker rosemary oil', 'slow-cooker'], ['Solar infused rosemary oil', 'solar'], ['Cold infused rosemary oil', null]]);

it('reads from so much to so much and a half behind its oil', function () {
    expect(Support::pasted("50 g dried calendula\nOlive oil, 1 to 2 cups")->wish['oil_amount'])->toBe('354.9 mL');
});

it('tells of an amount where none is looked for', function () {
    $line = Support::pasted("I had 50 g calendula\n500 ml olive oil")->lines[0];
    expect($line['says'])->toContain('of “50 g” nothing was made')->and($line['guess'])->toBeTrue();
});

it('takes cloves by themselves for garlic, and whole ones for the spice', function (string $line, string $herb) {
    expect(Support::pasted("{$line}\n1 cup olive oil")->wish['herbs'][0]['id'] ?? null)->toBe($herb);
})->with([
    ['5 cloves, peeled', 'garlic'],
    ['5 fat cloves (crushed)', 'garlic'],
    ['5 cloves', 'garlic'],
    ['5 whole cloves', 'clove'],
    ['5 dried cloves', 'clove'],
]);

it('reads what tells what to do as that, and peel by what it is of', function () {
    $read = Support::pasted("Zest of 4 unwaxed lemons\n500 ml olive oil\nPoke with a chopstick to let out the air.\nTap the jar.");
    expect(array_column($read->wish['herbs'], 'id'))
        ->toBe(['lemon-peel'])
        ->and(Support::takenAs($read))
        ->toBe(['herb*', 'oil', 'step', 'step']);
    // A herb goes into the jar it is made in; what is strained goes into another.
    expect(Support::pasted("50 g calendula\n300 ml olive oil\nCrumble the herbs into a clean, dry pint jar.")->wish['jar'] ?? null)
        ->toBe('473')
        ->and(Support::pasted("50 g calendula\n300 ml olive oil\nStrain the herbs into a pint jar.")->wish['jar'] ?? null)
        ->toBeNull();
    expect(Support::pasted("A handful of fresh mugwort tops (let them wilt overnight)\n180 ml jojoba")->wish['herbs'][0]['state'])->toBe(
        'wilted',
    );
});

it('takes no hours alone for the hottest way, in a sentence either', function (string $text, array $way) {
    $wish = Support::sentence("calendula in olive, {$text}")['wish'];
    expect(array_intersect_key($wish, array_flip(['hours', 'warmth', 'school'])))->toBe($way);
})->with([
    ['slow cooker 6 hours', ['hours' => '6 hours']],
    ['slow cooker 6 hours at 60 C', ['school' => 'hot']],
    ['slow cooker 8 hours', ['school' => 'usual']],
    ['slow cooker overnight', ['school' => 'overnight']],
    ['double boiler 2 hours', ['school' => 'usual']],
]);
