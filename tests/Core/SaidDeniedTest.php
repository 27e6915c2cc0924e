<?php

use Tests\Core\Support;

// What is said not to be is not taken for what is; common practice, no source.

it('takes nothing that is denied, and marks it', function (string $said, array $wish, array $unread) {
    $read = Support::sentence("calendula in olive, {$said}");
    expect($read['wish'])
        ->toBe(['herbs' => [['id' => 'calendula']], 'oils' => [['id' => 'olive']], ...$wish])
        ->and($read['unread'])
        ->toBe($unread);
})->with([
    ['not for eating', [], ['not for eating']],
    ['for the face, not for the kitchen', ['purpose' => 'face'], ['not for the kitchen']],
    ['not for children', [], ['not for children']],
    ['not for a salve', [], ['not for a salve']],
    ['not before 12 December', [], ['not before 12 December']],
    ['not a pint jar', [], ['not a pint jar']],
    ['not coconut', [], ['not coconut']],
    ['not fresh', [], ['not fresh']],
    // What is not to be done is not done.
    ["I don't want it in the fridge", [], ["I don't want it in the fridge"]],
    ["don't strain twice", [], ["don't strain twice"]],
    ['never put it near a slow cooker', [], ['never put it near a slow cooker']],
    ['keep out of the slow cooker', [], ['keep out of the slow cooker']],
    ["that isn't fresh", [], ['that', 'not fresh']],
    ["and I don't have jojoba", [], ['no jojoba']],
    ['but please make it strong', [], ['strong']],
    // What is said with "do not" and has a word of its own is that.
    ["don't squeeze it", ['way' => 'drained'], []],
    ['without squeezing', ['way' => 'drained'], []],
    ['do not strain it', ['strained' => 'never'], []],
    ["don't heat it", ['method' => 'cold'], []],
    ['never heated', ['method' => 'cold'], []],
    ['never squeezed', ['way' => 'drained'], []],
    // What is read with "not" stays as it was.
    ['not squeezed', ['way' => 'drained'], []],
    ['not strained', ['strained' => 'never'], []],
]);

it('takes what is not dried for fresh, and says so', function (string $said) {
    $read = Support::sentence("calendula in olive, {$said}");
    expect($read['wish']['herbs'])
        ->toBe([['id' => 'calendula', 'state' => 'fresh']])
        ->and($read['guesses'])
        ->toContain('“not dried” is taken as fresh.');
})->with(['not dried', 'undried', "isn't dried", 'is not dried']);

it('stands in the dark where it is out of the sun', function (string $said, ?string $method) {
    expect(Support::sentence("calendula in olive, {$said}")['wish']['method'] ?? null)
        ->toBe($method)
        ->and(Support::pasted("50 g calendula\n500 ml olive oil\nLeave it {$said}.")->wish['method'] ?? null)
        ->toBe($method);
})->with([
    ['4 weeks out of the sun', 'cold'],
    ["4 weeks, and don't put it in the sun", 'cold'],
    ['4 weeks, never stand it in direct sunlight', 'cold'],
    ['4 weeks away from direct sunlight', 'cold'],
    ['4 weeks, not in the sun', 'cold'],
    ['on a windowsill out of direct sun for 4 weeks', 'cold'],
    ['4 weeks in the sun', 'solar'],
    ['4 weeks in full sunlight', 'solar'],
    ['4 weeks on a sunny windowsill', 'solar'],
]);

it('is made by no way that is denied', function (string $said, ?string $method, ?string $told) {
    $read = Support::sentence("calendula in olive, {$said}");
    expect($read['wish']['method'] ?? null)->toBe($method);
    expect(implode(' ', $read['guesses']))->toContain((string) $told);
})->with([
    ['no slow cooker', null, '“no slow cooker” is heeded'],
    ['I don’t have a double boiler', null, 'double boiler” is heeded'],
    ['don’t use the slow cooker', null, '“no slow cooker” is heeded'],
    ['slow cooker instead of a double boiler', 'slow-cooker', '“instead of a double boiler” is heeded'],
    ['slow cooker', 'slow-cooker', null],
]);

it('is for no kitchen where a recipe says that it is not for eating', function (string $line, ?string $purpose) {
    expect(Support::pasted("50 g arnica\n500 ml olive oil\n{$line}")->wish['purpose'] ?? null)->toBe($purpose);
})->with([
    ['Not for eating.', null],
    ['This oil is not suitable for cooking.', null],
    ['Never for salads.', null],
    ['Good for salads.', 'kitchen'],
]);

it('takes a warmth that is held for one, and one at first for none', function (string $line, array $way) {
    $wish = Support::pasted("50 g calendula\n500 ml olive oil\n{$line}")->wish;
    expect(array_intersect_key($wish, array_flip(['method', 'hours', 'warmth', 'school'])))->toEqual($way);
})->with([
    ['Keep the water at 50 C for 4 days.', ['method' => 'double-boiler', 'hours' => '4 days', 'warmth' => '50 C']],
    ['Warm to 50 C, then leave for 4 weeks.', ['method' => 'cold', 'school' => 'four-weeks']],
    ['Incubator at 40 C for 4 days.', ['method' => 'incubator', 'hours' => '4 days', 'warmth' => '40 C']],
    ['Warm for 1 hour, then infuse for 4 weeks in the dark.', ['method' => 'cold', 'school' => 'four-weeks']],
]);

it('puts nothing in that a recipe says not to put in', function (string $line, string $as) {
    $read = Support::pasted("50 g dried calendula\n500 ml olive oil\n{$line}");
    expect($read->wish['herbs'])
        ->toBe([['id' => 'calendula', 'state' => 'dried', 'amount' => '50 g']])
        ->and([$read->wish['oils'], $read->wish['oil_amount']])
        ->toBe([[['id' => 'olive']], '500 ml'])
        ->and([$read->lines[2]['line'], $read->lines[2]['as']])
        ->toBe([$line, $as]);
})->with([
    ['Do not add 50 g of comfrey root.', 'step'],
    ['Never fill with 500 g fresh leaves.', 'unread'],
    ['Don’t use 1 cup of coconut oil.', 'step'],
    ['Avoid mixing with 100 ml of water and 20 g salt.', 'unread'],
]);

it('puts in what is not to be forgotten', function () {
    $herbs = Support::pasted("50 g dried calendula\n500 ml olive oil\nDon’t forget to add 20 g dried yarrow")->wish['herbs'];
    expect(array_column($herbs, 'id'))->toBe(['calendula', 'yarrow']);
});

it('scents no balm with what is not to be added, and makes none for whom it is not', function () {
    $product = fn (string $text) => Support::product($text)->wish;
    $wish = $product("Balm not for children\n100 g olive oil\n15 g beeswax\nDo not add 10 drops of tea tree if pregnant");
    expect($wish)->not->toHaveKey('essential_oils')->and($wish)->not->toHaveKey('for');
    expect($product("Balm for children\n100 g olive oil\n15 g beeswax")['for'] ?? null)->toBe(['child']);
});

it('notes on a lid what a thing is not', function (string $line, string $amount, string $note) {
    $lot = Support::lot($line);
    expect([$lot['amount'] ?? null, $lot['note'] ?? null])
        ->toBe([$amount, $note])
        ->and(array_intersect_key($lot, array_flip(['state', 'opened_on', 'got_where', 'food_grade'])))
        ->toBe([]);
})->with([
    ['olive oil 1 L not opened', '1 L', 'not opened'],
    ['olive oil 1 L unopened', '1 L', 'unopened'],
    ['calendula 50 g, not dried', '50 g', 'not dried'],
    ['rose petals 30 g not for eating', '30 g', 'not for eating'],
    ['jojoba 100 ml, never opened', '100 ml', 'never opened'],
]);

it('reads an essential oil that says so in brackets', function () {
    $lot = Support::lot('lavender oil 10 ml (essential)');
    expect([$lot['kind'], $lot['material'] ?? null, $lot['amount']])->toBe(['scent', 'lavender', '10 ml']);
});
