<?php

use Kettle\Share\AmountTwice;
use Kettle\Share\RecipeWords;
use Tests\Core\Support;

// Amounts as recipes have them; common practice, no source.
it('reads an amount in words, about, or in a table', function (string $text, ?string $herb, ?string $oil) {
    $wish = Support::pasted($text)->wish;
    expect($wish['herbs'][0]['amount'] ?? null)
        ->toBe($herb)
        ->and($wish['herbs'][0]['id'] ?? null)
        ->toBe('calendula')
        ->and($wish['oils'])
        ->toBe([['id' => 'olive']])
        ->and($wish['oil_amount'] ?? null)
        ->toBe($oil);
})->with([
    'half litre' => ["50 g calendula\nhalf litre of olive oil", '50 g', '1/2 litre'],
    'half cup first' => ["half cup calendula\na cup and a half of olive oil", '1/2 cup', '1 1/2 cup'],
    'three quarters of one' => ["three quarters of a cup of calendula\ntwo and a half cups olive oil", '3/4 cup', '2 1/2 cups'],
    'one and its fraction' => ["1/2 oz calendula\n1 & 1/2 cups olive oil", '1/2 oz', '1 1/2 cups'],
    'a couple' => ["couple of tablespoons calendula\n1 cup olive oil", '2 tablespoons', '1 cup'],
    'scant and generous' => ["a scant cup calendula\n2 generous cups olive oil", '1 cup', '2 cups'],
    'heaped and level' => ["heaped tablespoon calendula\n1 level cup olive oil", '1 tablespoon', '1 cup'],
    'millilitres before the cups beside them' => ["50 g (2 oz) calendula\n125 ml (1/2 cup) olive oil", '50 g', '125 ml'],
    'cups with millilitres beside them' => ["50 g calendula\n1/2 cup (125 ml) olive oil", '50 g', '125 mL'],
    'a comma for a point' => ["12,5 g calendula\n1,5 l olive oil", '12.5 g', '1.5 l'],
    'a comma in the midst of a line' => ['0,5 kg calendula, 2,25 l olive oil', '0.5 kg', '2.25 l'],
    // 28 g are 0.99 oz, 300 mL 10.1 US fl oz: NIST Handbook 44, Appendix C.
    'two that are one' => ["28g/1oz calendula\n1 1/4 cups/300ml olive oil", '28g', '300 mL'],
    'the first of what may be' => ["50g (dried weight) calendula or plantain\n300ml olive or sunflower oil", '50g', '300ml'],
    'handfuls of flowers' => ["3 handfuls calendula flowers\n1 cup olive oil", '60 g', '1 cup'],
    'so much for so much' => ['1 oz dried calendula for every 10 oz of olive oil', '1 oz', '10 oz'],
    'so much per so much' => ['50 g calendula per 500 ml olive oil', '50 g', '500 ml'],
    'by what they are' => ["Herbs: 50 g calendula\nOil: 500 ml olive", '50 g', '500 ml'],
    'behind a heading' => ["Ingredients: 30g dried calendula, 300ml olive oil.\nMethod: Bain-marie, 2 hours.", '30g', '300ml'],
    'a state in brackets, and a dash' => ["Calendula (dried) - 2 Tbsp\nOlive oil - 1 cup", '2 Tbsp', '1 cup'],
    'for every so much' => ["For every 100 g of olive oil use 20 g of dried calendula.\nI usually make 500 g.", '20 g', '100 g'],
    'sentences of one line' => ['Calendula oil. 1/2 cup calendula petals. 1 cup olive oil. 3 weeks dark.', '1/2 cup', '1 cup'],
    'with strokes between' => ['calendula 50 g / olive oil 300 ml', '50 g', '300 ml'],
    'a table' => ["| Herb | Amount |\n|---|---|\n| calendula | 50 g |\n| olive oil | 300 ml |", '50 g', '300 ml'],
    'an oil without the word' => ["50 g calendula\n1 cup olive", '50 g', '1 cup'],
]);

it('says that about so much is a guess', function () {
    $read = Support::pasted("a scant cup dried calendula\n1 generous cup olive oil\n1 cup almond");
    expect(Support::takenAs($read))
        ->toBe(['herb*', 'oil*', 'oil*'])
        ->and($read->lines[1]['says'])
        ->toEndWith('; how much is a guess.');
});

it('takes the jar that is named, and none that it is strained into', function (string $text, array $wish) {
    $read = Support::pasted($text)->wish;
    expect(array_intersect_key($read, ['jar' => 0, 'jars' => 0, 'by_jar' => 0]))
        ->toEqual($wish)
        ->and(array_column((array) $read['herbs'], 'id'))
        ->toHaveCount(1);
})->with([
    [
        'Take a quart jar. Fill it two thirds with dried lemon balm. Top up with almond oil.',
        ['jar' => '946', 'by_jar' => ['fill' => 'two-thirds']],
    ],
    ['Half fill a 500 ml jar with dried calendula and cover with olive oil', ['jar' => '473', 'by_jar' => ['fill' => 'half']]],
    ["3 x 250 ml jars\n60 g calendula\n600 ml olive", ['jar' => '237', 'jars' => '3']],
    ["50 g calendula\n300 ml olive\nPlace herbs in a clean, dry pint jar.\nStrain into a quart jar.", ['jar' => '473']],
    ["50 g calendula\n300 ml olive\nStrain into a quart jar.", []],
]);

it('takes the middle of a warmth, and no degrees for cups', function () {
    $read = Support::pasted("50 g calendula\n300 ml olive oil\n50-55 C for 2 hours");
    $between = Support::pasted("50 g calendula\n300 ml olive oil\nKeep between 40 and 45 °C for 8 hours.");
    expect($read->wish['warmth'])->toBe('52.5 C')->and($between->wish['warmth'])->toBe('42.5 C')->and($read->wish['herbs'])->toHaveCount(1);
});

it('reads as a sentence what says all there is in one line', function (string $text, array $wish) {
    $read = Support::pasted($text);
    expect([...$read->wish, ...$wish])
        ->toBe($read->wish)
        ->and(array_slice($read->lines, -1)[0])
        ->toMatchArray(['as' => 'step', 'says' => 'Read as one sentence.', 'guess' => true])
        ->and($read->name)
        ->toBe(str_contains($text, "\n") ? 'My marigold oil' : '');
})->with([
    [
        'Dandelion oil: 2 handfuls dandelion flowers (wilted), sweet almond oil to cover, 2-3 weeks',
        [
            'herbs' => [['id' => 'dandelion-flower', 'state' => 'wilted', 'amount' => '2 handfuls']],
            'oils' => [['id' => 'sweet-almond']],
            'hours' => '2-3 weeks',
        ],
    ],
    [
        'Hypericum oil – fill a 500 ml jar with fresh flowers, cover with olive oil (roughly 450 ml). 40 days in the sun.',
        [
            'herbs' => [['id' => 'st-johns-wort', 'state' => 'fresh']],
            'oils' => [['id' => 'olive']],
            'by_jar' => ['fill' => 'full'],
            'jar' => '473',
        ],
    ],
    'prose' => [
        "My marigold oil\nPick a basketful of marigold heads and pack them into a litre jar, cover with about 800 ml of sunflower oil, ".
        'and leave on the windowsill for three weeks.',
        ['herbs' => [['id' => 'calendula']], 'oils' => [['id' => 'sunflower']], 'jar' => '946', 'oil_amount' => '800 ml'],
    ],
]);

it('says what else it may be, and takes the state of what it is', function () {
    $read = Support::pasted("2 oz dried nettle (or 4 oz fresh)\n300 ml olive or sunflower oil");
    expect($read->wish['herbs'])
        ->toBe([['id' => 'nettle-leaf', 'state' => 'dried', 'amount' => '2 oz']])
        ->and($read->lines[0]['says'])
        ->toEndWith('. Of “(or 4 oz fresh)” nothing was made.')
        ->and($read->lines[1]['says'])
        ->toEndWith('. The first of the two is taken.')
        ->and(Support::takenAs($read))
        ->toBe(['herb*', 'oil*']);
});

it('takes the metric one of two amounts that are the same', function (string $text, string $one) {
    $kitchen = Support::kitchen();
    expect((new AmountTwice(new RecipeWords($kitchen->cupboard(), $kitchen)))->once($text))->toBe($one);
})->with([
    ['28g/1oz calendula in 300ml/10fl oz olive', '28g calendula in 300ml olive'],
    ['2 oz (57 g) nettle in 1 cup (240 ml) olive', '57 g nettle in 240 ml olive'],
    // Neither are these the same, nor is a cup of herb so many grams.
    ['28g/3oz calendula', '28g/3oz calendula'],
    ['1 cup (20 g) calendula', '1 cup (20 g) calendula'],
    ['ratio 1/5, 50 g', 'ratio 1/5, 50 g'],
]);

it('says of a jar that no jar is so large', function () {
    $read = Support::pasted("50 g calendula\n1 l olive oil\nPlace herbs in a clean, dry gallon jar.");
    expect($read->lines[2]['says'])
        ->toBe('No jar of “gallon” is in the list: which jar it is stays open.')
        ->and($read->wish)
        ->not->toHaveKey('jar');
});

it('takes the first line for its name, however much it makes', function (string $line, string $name) {
    expect(Support::pasted("{$line}\n50 g calendula\n300 ml olive oil")->name)->toBe($name);
})->with([
    ['Calendula infused oil - makes 2 cups', 'Calendula infused oil'],
    ['Three herb oil (makes 500 ml)', 'Three herb oil'],
    ['half cup of comfrey', ''],
    ['Take a quart jar.', ''],
]);

// A figure that is wrong by a thousand is worse than one that is asked for.
it('asks for an amount that can be read two ways, keeps of what it is, and makes nothing of it', function (
    string $text,
    array $herb,
    array $oil,
    int $line,
    string $asks,
) {
    $read = Support::pasted($text);
    expect(array_intersect_key($read->wish['herbs'][0], ['id' => 1, 'amount' => 1]))
        ->toBe($herb)
        ->and($read->wish['oils'])
        ->toBe([['id' => 'olive']])
        ->and(array_intersect_key($read->wish, ['oil_amount' => 1]))
        ->toBe($oil)
        ->and($read->lines[$line]['says'])
        ->toContain($asks)
        ->and($read->lines[$line]['guess'])
        ->toBeTrue();
})->with([
    'a thousand of herb' => ["1,500 g calendula\n15 l olive oil", ['id' => 'calendula'], ['oil_amount' => '15 l'], 0, 'two ways'],
    'behind its name' => ["calendula 1,500 g\n15 l olive oil", ['id' => 'calendula'], ['oil_amount' => '15 l'], 0, 'two ways'],
    'in brackets' => ["calendula (1,500 g)\n15 l olive oil", ['id' => 'calendula'], ['oil_amount' => '15 l'], 0, 'two ways'],
    'of oil' => ["300 g calendula\n1,500 ml olive oil", ['id' => 'calendula', 'amount' => '300 g'], [], 1, 'two ways'],
    'of oil, with a point' => ["300 g calendula\n1.500 ml of olive oil", ['id' => 'calendula', 'amount' => '300 g'], [], 1, 'two ways'],
    'of oil, behind it' => ["300 g calendula\nolive oil - 15,500 ml", ['id' => 'calendula', 'amount' => '300 g'], [], 1, 'two ways'],
    'from more to less' => ["300-200 g calendula\n3 l olive oil", ['id' => 'calendula'], ['oil_amount' => '3 l'], 0, 'from more to less'],
]);

it('asks the same of a product, and leaves the thing out by name', function (string $line, string $asks) {
    $read = Support::product("100 g shea butter\n{$line}");
    expect($read->wish['waxes'] ?? [])
        ->toBe([])
        ->and($read->lines[1]['as'])
        ->toBe('unread')
        ->and($read->lines[1]['says'])
        ->toContain($asks);
})->with([['1,500 g beeswax', 'two ways'], ['beeswax 1,500 g', 'two ways'], ['30-20 g beeswax', 'from more to less']]);

it('asks the same of a sentence', function (string $text, array $wish, string $unread, string $asks) {
    $read = Support::sentence($text);
    expect($read['wish'])
        ->toEqual($wish)
        ->and($read['unread'])
        ->toBe([$unread])
        ->and(implode(' ', $read['guesses']))
        ->toContain($asks);
})->with([
    ['calendula in 1,500 ml olive', ['herbs' => [['id' => 'calendula']], 'oils' => [['id' => 'olive']]], '1,500 ml', 'two ways'],
    [
        '1.500 g calendula in 15 l olive',
        ['herbs' => [['id' => 'calendula']], 'oils' => [['id' => 'olive']], 'oil_amount' => '15 l'],
        '1.500 g',
        'two ways',
    ],
    ['200-100 g calendula in olive', ['herbs' => [['id' => 'calendula']], 'oils' => [['id' => 'olive']]], '200-100 g', 'from more to less'],
]);

it('takes a range with its unit twice for one', function (string $text, string $herb, string $oil) {
    $wish = Support::sentence($text)['wish'];
    expect([$wish['herbs'][0]['amount'], $wish['oil_amount']])->toBe([$herb, $oil]);
})->with([
    ['30 g to 40 g calendula in 300 ml to 400 ml olive', '30-40 g', '300-400 ml'],
    ['30g-40g calendula in 300-400 ml olive', '30-40g', '300-400 ml'],
    // The one to the other.
    ['20 g calendula to 200 g olive', '20 g', '200 g'],
]);

it('takes the state that is not said from what is done, and no other', function (string $text, string $state, ?string $says) {
    $read = Support::pasted($text);
    expect($read->wish['herbs'][0]['state'])->toBe($state);
    $of = array_values(array_filter($read->lines, fn (array $line) => $line['as'] === 'herb'))[0];
    expect($of['says'])->toContain($says ?? '');
})->with([
    'wilted' => ["50 g comfrey leaf\n300 ml olive oil\nLet the leaves wilt overnight", 'wilted', 'by “Let the leaves wilt overnight”'],
    'picked, and wilted' => ["Pick dandelion blossoms on a dry day. Wilt 24 h.\n200 ml olive oil", 'wilted', 'by “Wilt 24 h”'],
    'picked' => ["Gather the violets early.\n50 g violet leaf\n300 ml olive oil", 'fresh', 'by “Gather the violets early”'],
    'picked, and dried' => ["50 g calendula\n300 ml olive oil\nPick in July.\nDry the flowers for a week.", 'dried', 'by “Dry the flowers'],
    'picked over' => ["50 g calendula\n300 ml olive oil\nPick over and remove the stems", 'dried', 'a guess'],
    'said to be dried' => ["50 g dried comfrey leaf\n300 ml olive oil\nWilt the leaves", 'dried', null],
    'a jar that is dried' => ["50 g calendula\n300 ml olive oil\nDry the jar", 'dried', 'a guess'],
    'picked and dried in one breath' => [
        "50 g calendula\n300 ml olive oil\nPick the heads in July and dry them for a week",
        'dried',
        'by “Pick',
    ],
    'picked and wilted in one breath' => ["Pick dandelion blossoms and wilt overnight.\n200 ml olive oil", 'wilted', 'by “Pick'],
    // Dry to the touch is not dried.
    'washed and dried' => ["Pick the basil\n3 sprigs of basil\n200 ml olive oil\nWash and dry the leaves", 'fresh', 'by “Pick the basil”'],
    'washed, and dried with a cloth' => ["20 g garlic\n200 ml olive oil\nDry the cloves with a towel", 'fresh', 'a guess'],
    'so many of them' => ["Gather them\n3 sprigs of rosemary\n200 ml olive oil", 'fresh', 'by “Gather them”'],
]);

it('reads a plant with its amount and its part behind it, a handful that is taken, and a title with its size', function (
    string $text,
    array $herbs,
    ?string $oil,
) {
    expect(Support::amounts($text))->toBe([$herbs, $oil]);
})->with([
    ["Mullein: 30 g dried flowers\nOlive oil: 300 ml", ['mullein-flower' => '30 g'], '300 ml'],
    ["Comfrey - 30 g root\n300 ml olive oil", ['comfrey-root' => '30 g'], '300 ml'],
    ['Lavender: 100 g dried buds, Oil: 1 litre sunflower, Time: 3 weeks', ['lavender' => '100 g'], '1 litre'],
    ["Take one handful of each: plantain, chickweed.\n500 ml sunflower oil", ['plantain-leaf' => '20 g', 'chickweed' => '20 g'], '500 ml'],
    ["Chilli & ginger oil (100 ml)\n10 g dried ginger root\n100 ml rapeseed oil", ['ginger-root' => '10 g'], '100 ml'],
    ["Olive oil (100 ml)\n10 g calendula", ['calendula' => '10 g'], '100 ml'],
    ['fresh lemon balm: 2 g'."\nolive oil, 300 ml", ['lemon-balm' => '2 g'], '300 ml'],
    ["calendula, 2-3 tbsp\nolive oil, 300 ml", ['calendula' => '2-3 tbsp'], '300 ml'],
]);

it('reads a short recipe as one sentence, where its lines lose the herb', function (string $text, string $herb, array $more) {
    $wish = Support::pasted($text)->wish;
    expect($wish['herbs'][0]['id'])->toBe($herb)->and(array_intersect_key($wish, $more))->toEqual($more);
})->with([
    [
        "St. John’s Wort Oil\nFill a jar 2/3 full with fresh flowering tops, wilted overnight. Cover with olive oil by 1 inch.",
        'st-johns-wort',
        ['by_jar' => ['fill' => 'two-thirds', 'cover' => '1 inch'], 'oils' => [['id' => 'olive']]],
    ],
    ["Usnea oil\n1:5 dried usnea in jojoba, 5 days, yoghurt maker", 'usnea', ['ratio' => '1:5', 'oils' => [['id' => 'jojoba']]]],
]);
