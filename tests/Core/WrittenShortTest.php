<?php

use Kettle\Share\WrittenShort;
use Tests\Core\Support;

// What is written shorter than it is read, in wishes and recipes. All of it common practice, no source.

it('takes a ratio for a ratio, whatever herb stands behind it', function (string $said, string $ratio) {
    expect(Support::sentence($said)['wish']['ratio'] ?? null)->toBe($ratio);
})->with([
    // "h" and "min" are hours and minutes, hops, heather and mint are not.
    ['1:10 hops in sweet almond', '1:10'],
    ['1:5 heather in olive', '1:5'],
    ['1:5 horsetail, 300 ml olive', '1:5'],
    ['1:8 mint in sunflower', '1:8'],
    ['1:7 hawthorn in olive', '1:7'],
    ['1:10 w/w hops in sweet almond', '1:10 w/w'],
    ['1:5 w/v heather in olive', '1:5 w/v'],
    ['1:5 daisy in olive', '1:5'],
    ['1:6 weld in olive', '1:6'],
]);

it('still takes no time for a ratio', function () {
    $wish = Support::sentence('calendula in olive, 2 to 3 h at 50 C')['wish'];
    expect($wish)->not->toHaveKey('ratio')->and($wish['hours'])->toBe('2 to 3 h');
});

it('knows how much of each, and of the oil, by what is said of all', function (string $said, array $herbs, string $oil) {
    $read = Support::sentence($said);
    expect(array_column($read['wish']['herbs'], 'id'))
        ->toBe($herbs)
        ->and($read['wish']['oils'])
        ->toBe([['id' => $oil]])
        ->and($read['unread'])
        ->toBe([]);
})->with([
    // Was an oil called "equal amounts".
    ['plantain, calendula and yarrow in equal amounts, 600 ml, olive', ['plantain-leaf', 'calendula', 'yarrow'], 'olive'],
    ['equal measures of calendula and yarrow in olive', ['calendula', 'yarrow'], 'olive'],
    ['calendula and yarrow, the same of each, in olive', ['calendula', 'yarrow'], 'olive'],
    ['20 g dried chamomile, as much sunflower as it needs', ['chamomile'], 'sunflower'],
    ['20 g chamomile and as much sunflower oil as is needed', ['chamomile'], 'sunflower'],
    ['yarrow, as much olive as it takes', ['yarrow'], 'olive'],
    ['could you plan yarrow in olive', ['yarrow'], 'olive'],
]);

it('knows what it is for', function (string $said, string $purpose) {
    $read = Support::sentence($said);
    expect([$read['wish']['purpose'] ?? null, $read['unread']])->toBe([$purpose, []]);
})->with([
    ['calendula perfume oil in jojoba', 'perfume'],
    ['garlic confit', 'kitchen'],
    ['chilli confit oil in olive', 'kitchen'],
    ['dried chilli in olive for the pantry', 'kitchen'],
    ['rosemary in olive for our larder', 'kitchen'],
]);

it('counts the hours of days that are warm by day alone', function (string $said, string $hours) {
    expect(Support::sentence("poplar buds in olive, {$said}")['wish']['hours'] ?? null)
        ->toBe($hours)
        ->and(Support::pasted("Poplar oil\n200 g poplar buds\n1 litre olive oil\n{$said}")->wish['hours'] ?? null)
        ->toBe($hours);
})->with([
    // Was three days on end, and six hours in all.
    ['double boiler 6 hours a day for 3 days', '18 hours'],
    ['double boiler, 3 days of 6 hours', '18 hours'],
    ['double boiler, 3 days, 6 h a day', '18 hours'],
    ['double boiler, two days at 2.5 hours each', '5 hours'],
    ['slow cooker 8 hours a day for four days', '32 hours'],
]);

it('takes what was frozen for fresh, and what was dried by frost for dried', function (string $said, string $state) {
    expect(Support::sentence("{$said} in olive for salad")['wish']['herbs'][0]['state'] ?? null)
        ->toBe($state)
        ->and(Support::pasted("Oil for salads\n50 g {$said}\n200 ml olive oil")->wish['herbs'][0]['state'] ?? null)
        ->toBe($state);
})->with([
    // Was marked as not read, and so dried or fresh as the stores had it.
    ['frozen basil', 'fresh'],
    ['defrosted basil', 'fresh'],
    ['basil from the freezer', 'fresh'],
    ['freeze-dried basil', 'dried'],
]);

it('takes parts by weight where a recipe says so', function (string $recipe, string $ratio, string $says) {
    $read = Support::pasted($recipe);
    expect([$read->wish['ratio'] ?? null, $read->notes[0] ?? null])->toBe([$ratio, $says]);
})->with([
    // Was an oil called "by weight rapeseed oil", by volume.
    [
        "Comfrey oil\n1 part by weight dried comfrey leaf\n10 parts by weight rapeseed oil",
        '1:10 w/w',
        'Parts are taken by weight: 1 of herb to 10 of oil.',
    ],
    [
        "Calendula oil\n1 part calendula\n5 parts olive oil\n(all parts by weight)",
        '1:5 w/w',
        'Parts are taken by weight: 1 of herb to 5 of oil.',
    ],
    // What is weighed of something else says nothing of the parts.
    ["Calendula oil\n1 part calendula\n5 parts olive oil\nSold by weight.", '1:5 v/v', 'Parts are taken by volume: 1 of herb to 5 of oil.'],
]);

it('reads what stands in a recipe besides', function (string $recipe, array $has) {
    $read = Support::pasted($recipe);
    expect(array_intersect_key($read->wish + ['name' => $read->name], $has))->toBe($has);
})->with([
    // Was a herb called "jar with lid".
    [
        "Arnica rub\na pint jar with lid\n40 g dried arnica\n400 ml sunflower oil",
        ['herbs' => [['id' => 'arnica', 'state' => 'dried', 'amount' => '40 g']], 'jar' => '473'],
    ],
    // The grapeseed was lost.
    ["Sleep oil\nlavender 15 g\nfill up to 250 ml with grapeseed", ['oils' => [['id' => 'grapeseed']], 'oil_amount' => '250 ml']],
    // Was its name.
    ["Yield: 2 cups\n1 cup dried plantain leaf\n3 cups olive oil", ['name' => '']],
    ["Makes about 250 ml\n1 cup dried plantain leaf\n3 cups olive oil", ['name' => '']],
    // Was a herb called "buds", dried.
    [
        "Poplar bud oil (balm of Gilead)\n200 g buds, frozen\n1 litre olive oil",
        ['herbs' => [['id' => 'poplar-bud', 'state' => 'fresh', 'amount' => '200 g']]],
    ],
    // Was no herb at all.
    [
        "St John's wort oil\nFresh flowering tops, bruised - enough to fill a pint jar.\nOlive oil to cover by an inch.",
        [
            'herbs' => [['id' => 'st-johns-wort', 'state' => 'fresh']],
            'jar' => '473',
            'by_jar' => ['fill' => 'full', 'cover' => 'an inch'],
        ],
    ],
    // Was a double boiler.
    [
        "Quick calendula oil\n2 oz calendula\n20 oz olive oil\nCover, keep warm setting 8-12 hrs.",
        ['method' => 'slow-cooker', 'hours' => '8-12 hrs'],
    ],
]);

it('reads recipes that are put otherwise', function (string $recipe, array $has) {
    expect(array_intersect_key(Support::pasted($recipe)->wish, $has))->toEqual($has);
})->with([
    // Was a herb called "for a day".
    [
        "Comfrey ointment\nFresh comfrey leaves, wilted for a day: 200 g\nLard: 500 g",
        ['herbs' => [['id' => 'comfrey-leaf', 'state' => 'wilted', 'amount' => '200 g']], 'oil_amount' => '500 g'],
    ],
    // Was a herb called "herb".
    [
        "Infused oil: for every 30g of dried herb use 150 ml of oil. Leave on a sunny windowsill for 3 weeks.\ncalendula\nolive oil",
        ['herbs' => [['id' => 'calendula', 'state' => 'dried']], 'ratio' => '1:5 w/v'],
    ],
    // Were seven parts of the oil and none of the herb, and the herb fresh.
    [
        "Chamomile oil\n1 part chamomile : 7 parts sweet almond (w/v)\nYoghurt maker overnight\nRepeat with fresh herb the next day",
        [
            'herbs' => [['id' => 'chamomile', 'state' => 'dried', 'parts' => '1']],
            'oils' => [['id' => 'sweet-almond']],
            'ratio' => '1:7 w/v',
        ],
    ],
    // Was an oil of that name.
    [
        "Nettle hair oil / makes about 300 ml\n40 g dried nettle\n300 ml olive oil",
        ['oils' => [['id' => 'olive']], 'oil_amount' => '300 ml'],
    ],
    // The oil was lost, and then an oil called "Refill the same oil".
    [
        "Elderflower oil\nStrip the flowers into a jar.\nCover w/ 400 ml sunflower.\nRefill the same oil with fresh flowers",
        ['oils' => [['id' => 'sunflower']], 'oil_amount' => '400 ml'],
    ],
    // As it is copied from a page.
    [
        "## Calendula oil\n**40 g** calendula\n**Olive oil** 200 ml\n*Sun, 4 weeks*",
        ['herbs' => [['id' => 'calendula', 'state' => 'dried', 'amount' => '40 g']], 'oil_amount' => '200 ml', 'method' => 'solar'],
    ],
]);

it('tells of a second charge that it is planned from the jar', function (string $line) {
    $lines = array_column(Support::pasted("Oil\n40 g calendula\n200 ml olive oil\n{$line}")->lines, 'says', 'line');
    expect($lines[$line] ?? null)->toBe('A second charge of herb: plan it from the jar, once that is strained.');
})->with(['Repeat with fresh herb the next day', 'Refill the same oil with new flowers', 'Repeat for a double infusion']);

it('says by what parts are told', function (string $text, string $by) {
    expect(WrittenShort::partsBy($text))->toBe($by);
})->with([
    ['1 part calendula to 5 parts oil', 'volume'],
    ['1 part calendula to 5 parts oil, by weight', 'weight'],
    ['1 part calendula to 5 parts oil (w/w)', 'weight'],
    ['by weight: 1 part to 5 parts', 'weight'],
    ["1 oz by weight of wax\n1 part calendula", 'volume'],
]);

it('reads what a wish puts otherwise', function (string $said, array $has) {
    $read = Support::sentence($said);
    expect(array_intersect_key($read['wish'], $has + ['amount' => 0]))->toEqual($has)->and($read['unread'])->toBe([]);
})->with([
    // The olive was lost.
    [
        'nettle 50g + horsetail 20g -> 500ml olive, bain marie',
        ['herbs' => [['id' => 'nettle-leaf', 'amount' => '50g'], ['id' => 'horsetail', 'amount' => '20g']], 'oil_amount' => '500ml'],
    ],
    // Was 200 mL of yarrow, and of an oil that nobody named.
    ['200 ml of oil from dried yarrow', ['herbs' => [['id' => 'yarrow', 'state' => 'dried']], 'finished' => ['amount' => '200 ml']]],
    ['500 ml infused oil of yarrow', ['herbs' => [['id' => 'yarrow']], 'finished' => ['amount' => '500 ml']]],
    [
        'a litre of oil made from nettle and horsetail',
        ['herbs' => [['id' => 'nettle-leaf'], ['id' => 'horsetail']], 'finished' => ['amount' => '1 litre']],
    ],
    ['2 oz by weight dried plantain to 10 fl oz grapeseed', ['oil_amount' => '10 fl oz', 'oils' => [['id' => 'grapeseed']]]],
    ['lavender flowers in a 1/2 pint jar filled 3/4, almond oil', ['jar' => '237', 'by_jar' => ['fill' => 'three-quarters']]],
    ['pine needles 1 quart jar packed, sunflower', ['jar' => '946', 'by_jar' => ['fill' => 'full', 'lying' => 'packed']]],
    ['horse chestnut (conkers) chopped 200g, rapeseed 1l', ['herbs' => [['id' => 'horse-chestnut', 'amount' => '200g']]]],
    ['olive 250 ml, bay, 6 leaves, kitchen', ['purpose' => 'kitchen', 'herbs' => [['id' => 'bay-leaf', 'amount' => '6 leaves']]]],
    ['rosemary in olive, hair', ['purpose' => 'hair']],
    ['rosehips dried and crushed 60 g, olive 200 ml', ['herbs' => [['id' => 'rose-hip', 'state' => 'dried', 'amount' => '60 g']]]],
    // The calendula’s cup was how much oil there is.
    [
        'Calendula: 1 cup packed; oil: 2 cups; time: 4 weeks; place: window',
        ['herbs' => [['id' => 'calendula', 'amount' => '1 cup, packed']], 'oil_amount' => '2 cups', 'method' => 'solar'],
    ],
    [
        'herb: calendula, oil: olive 300 ml, time: 3 weeks',
        ['herbs' => [['id' => 'calendula']], 'oils' => [['id' => 'olive']], 'oil_amount' => '300 ml'],
    ],
    ['rosemary (fresh rosemary) 20 g in olive', ['herbs' => [['id' => 'rosemary', 'state' => 'fresh', 'amount' => '20 g']]]],
]);

it('makes no herb of the filter it is strained through', function () {
    $read = Support::sentence('250 ml rosemary, then strain through coffee filter, olive');
    expect(array_column($read['wish']['herbs'], 'id'))->toBe(['rosemary']);
});

it('counts no leaves of a berry', function () {
    $read = Support::sentence('bay and juniper, 10 leaves, olive 250 ml');
    expect($read['wish']['herbs'])
        ->toBe([['id' => 'bay-leaf'], ['id' => 'juniper-berry']])
        ->and($read['unread'])
        ->toBe(['10 leaves']);
});
