<?php

use Kettle\Material\Cupboard;
use Kettle\Material\Tables;
use Tests\Core\Support;

/*
 * Plants that have another's name in theirs, and are another. Written out by hand; which plant goes by which name is of common
 * floras, from memory, and that people take the one for the other is common practice, no source. Beside each what it must not be.
 */
dataset('namesakes', [
    // Those that harm, and are in the tables as what they are.
    ['fool’s parsley', 'fools-parsley'],
    ["fool's parsley", 'fools-parsley'],
    ['Japanese star anise', 'japanese-star-anise'],
    ['Christmas rose', 'hellebore'],
    ['savin juniper', 'savin'],
    ['rose bay', 'oleander'],
    ['yellow jasmine', 'yellow-jessamine'],
    ['marsh marigold', 'marsh-marigold'],
    ['bog rosemary', 'bog-rosemary'],
    ['wild ginger', 'wild-ginger'],
    ['poison ivy', 'poison-ivy'],
    ['lesser celandine', 'lesser-celandine'],
    ['horse nettle', 'horse-nettle'],
    ['hemp agrimony', 'hemp-agrimony'],
    ['hedge hyssop', 'hedge-hyssop'],
    ['Syrian rue', 'syrian-rue'],
    ['cow parsley', 'cow-parsley'],
    ['wild carrot root', 'wild-carrot'],
    ['clary sage', 'clary-sage'],
    ['Roman chamomile', 'roman-chamomile'],
    // The same plant by another name.
    ['bog myrtle', 'sweet-gale'],
    ['curry plant', 'helichrysum'],
    ['Jamaica pepper', 'allspice'],
    ['false saffron', 'safflower-petal'],
    ['white willow bark', 'willow-bark'],
    ['lemon balm', 'lemon-balm'],
    ['German chamomile', 'chamomile'],
    ['pot marigold', 'calendula'],
    // Those of which no table knows anything.
    ['garlic mustard', null],
    ['anise hyssop', null],
    ['red dead-nettle', null],
    ['French marigold petals', null],
    ['Russian sage', null],
    ['rock rose', null],
    ['water mint', null],
    ['cotton lavender', null],
    ['monk’s pepper', null],
    ['banana plantain', null],
]);

it('takes no plant for another in a sentence', function (string $typed, ?string $id) {
    $read = Support::sentence("50 g dried {$typed} in olive");
    expect($read['wish']['herbs'])
        ->toHaveCount(1)
        ->and($read['wish']['herbs'][0]['id'] ?? null)
        ->toBe($id)
        ->and($read['wish']['herbs'][0]['amount'])
        ->toBe('50 g')
        ->and($read['unread'])
        ->toBe([]);
    if ($id === null) {
        $name = (string) preg_replace('/ petals$/', '', $typed);
        expect($read['wish']['herbs'][0]['name'])
            ->toBe($name)
            ->and($read['guesses'])
            ->toBe(["“{$name}” is not in the list; how it is cut is a guess."]);
    }
})->with('namesakes');

it('takes no plant for another in a recipe', function (string $typed, ?string $id) {
    $herbs = Support::pasted("An oil\n50 g dried {$typed}\n500 ml olive oil")->wish['herbs'];
    expect($herbs)
        ->toHaveCount(1)
        ->and($herbs[0]['id'] ?? null)
        ->toBe($id)
        ->and($herbs[0]['name'] ?? null)
        ->toBe($id === null ? (string) preg_replace('/ petals$/', '', $typed) : null)
        ->and($herbs[0]['amount'])
        ->toBe('50 g');
})->with('namesakes');

// "Rose water" is a water, and "water mint" a mint.
it('takes water for no herb, and no herb for water', function (string $line, ?string $id) {
    $read = Support::pasted("An oil\n{$line}\n500 ml olive oil");
    expect($read->wish['herbs'][0]['id'] ?? null)
        ->toBe($id)
        ->and($read->lines[1]['says'] === 'Water: not taken into the oil.')
        ->toBe($id === null);
})->with([['1 cup rose water', null], ['30 g witch hazel water', null], ['250 g water', null], ['50 g water hemlock', 'water-dropwort']]);

it('takes “an oil” at the head of a recipe for its name, and so much of one for an oil', function (string $line, bool $is) {
    $read = Support::pasted("{$line}\n50 g dried calendula\n500 ml olive oil");
    expect($read->lines[0]['as'] === 'name')
        ->toBe($is)
        ->and(count($read->wish['oils']))
        ->toBe($is ? 1 : 2);
})->with([['An oil', true], ['A lovely oil for hands', true], ['A cup of jojoba oil', false], ['A part of castor oil', false]]);

it('takes no plant for another on a lid', function (string $typed, ?string $id) {
    $lot = Support::lot("{$typed} 50 g");
    expect($lot['material'] ?? null)
        ->toBe($id)
        ->and($lot['called'] ?? null)
        ->toBe($id === null ? $typed : null);
})->with('namesakes');

it('knows a plant that the house has entered as its own', function () {
    $own = ['own' => [['id' => 'own-water-mint', 'kind' => 'plant', 'name' => 'water mint', 'form' => 'thin-leaf']]];
    $herbs = Support::pasted("An oil\n50 g dried water mint\n500 ml olive oil", $own)->wish['herbs'];
    expect($herbs[0]['id'] ?? null)->toBe('own-water-mint');
});

it('has no name for two plants of which one is to be told from the other', function () {
    $cupboard = new Cupboard(Tables::shipped());
    foreach ($cupboard->namesakes() as $name) {
        expect($cupboard->herbNamed($name))->toBeNull($name);
    }
});

it('still hears the feast where no rose is', function () {
    expect(Support::sentence('rose petals in jojoba for Christmas')['wish'])
        ->toMatchArray(['herbs' => [['id' => 'rose-petal']], 'ready_by' => '2026-12-25'])
        ->and(Support::sentence('Christmas rose in olive')['wish'])
        ->not->toHaveKey('ready_by');
});
