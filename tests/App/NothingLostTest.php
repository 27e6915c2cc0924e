<?php

/*
 * What is sent and would be left out without a word is refused by its name; and what was measured is one figure, where a wish
 * may be from one to another. Each case is written out by hand.
 */

require_once __DIR__.'/../Pots.php';
require_once __DIR__.'/../Pressed.php';

it('refuses what goes only with something else, by its name, and keeps nothing', function (string $path, array $body, string $field) {
    $batch = warmBatch($this);
    $pot = begun($this, [$batch])['id'];
    $address = str_replace(['{batch}', '{pot}'], [$batch->uid, $pot], $path);
    $before = $this->atHouse('GET', "/batches/{$batch->uid}")->json('entries');
    $this->atHouse('POST', $address, $body)->assertStatus(422)->assertJsonPath('faults.0.field', $field);
    expect($this->atHouse('GET', "/batches/{$batch->uid}")->json('entries'))->toBe($before);
})->with([
    'a day for what is done' => ['/batches/{batch}/tasks', ['task' => 'shake', 'outcome' => 'done', 'until' => '2026-12-30'], 'until'],
    'oil for what is put off' => [
        '/batches/{batch}/tasks',
        ['task' => 'shake', 'outcome' => 'later', 'until' => '2026-11-25', 'amount' => '20 mL'],
        'amount',
    ],
    'fur in what is skipped' => [
        '/batches/{batch}/tasks',
        ['task' => 'shake', 'outcome' => 'skipped', 'reason' => 'away', 'seen' => ['fur']],
        'seen',
    ],
    'a swatch for a scent' => ['/batches/{batch}/looks', ['what' => 'scent', 'score' => 4, 'swatch' => '#aa8844'], 'swatch'],
    'a scent for a colour' => ['/batches/{batch}/looks', ['what' => 'colour', 'swatch' => '#aa8844', 'score' => 4], 'score'],
    'a place in no picture' => ['/batches/{batch}/looks', ['what' => 'colour', 'swatch' => '#aa8844', 'card' => [0.1, 0.1]], 'card'],
    'water for a lid' => ['/stove/{pot}/tend', ['what' => 'lid_on', 'with' => '200 mL'], 'with'],
    'a reason for a shaking' => ['/stove/{pot}/tend', ['what' => 'shaken', 'confirmed' => 'why not'], 'confirmed'],
    'what came out, twice' => ['/batches/{batch}/strain', ['amount' => '300 mL', 'gross' => '600 g', 'tare' => '300 g'], 'gross'],
    'a jug for what was poured' => ['/batches/{batch}/strain', ['amount' => '300 mL', 'tare' => '300 g'], 'tare'],
]);

it('asks of a pot only what its kind is asked for', function (array $body, array $fields) {
    $answer = $this->atHouse('POST', '/boil', $body)->assertStatus(422);
    expect(array_column($answer->json('faults'), 'field'))->toBe($fields);
    $this->atHouse('POST', '/boil', array_diff_key($body, array_flip($fields)))->assertOk();
})->with([
    'a decoction' => [['what' => 'decoction', 'hardness' => 'soft', 'want' => '400 mL', 'hours_a_day' => '6'], ['hours_a_day']],
    'an extract' => [
        ['what' => 'glycerin', 'total' => '100 g', 'purpose' => 'skin', 'want' => '1 L', 'carrier' => 'olive'],
        ['carrier', 'want', 'purpose'],
    ],
    'a long oil' => [['what' => 'long-oil', 'stage' => 'cleanse', 'oil' => '1 L', 'share' => '80'], ['share']],
]);

it('takes one figure of what was measured, and asks which of two', function (string $path, array $body, string $field) {
    $batch = warmBatch($this);
    $pot = begun($this, [$batch])['id'];
    $lot = $this->atHouse('POST', '/lots', ['lot' => ['kind' => 'herb', 'material' => 'calendula', 'amount' => '200 g']])->json('lot.id');
    $address = str_replace(['{batch}', '{pot}', '{lot}'], [$batch->uid, $pot, $lot], $path);
    $this->atHouse('POST', $address, $body)
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', $field)
        ->assertSee('Write the one that was read');
})->with([
    'strained' => ['/batches/{batch}/strain', ['amount' => '200-220 mL', 'warmth' => 'had'], 'amount'],
    'weighed with its jug' => ['/batches/{batch}/strain', ['gross' => '500 to 520 g', 'tare' => '200 g', 'warmth' => 'had'], 'gross'],
    'the spent herb' => ['/batches/{batch}/strain', ['amount' => '200 mL', 'spent' => '80-90 g', 'warmth' => 'had'], 'spent'],
    'water topped up' => ['/stove/{pot}/tend', ['what' => 'topped_up', 'with' => '300-400 mL'], 'with'],
    'wilted' => ['/wilting', ['fresh' => '100-120 g', 'now' => '65 g'], 'fresh'],
    'counted' => ['/lots/{lot}/count', ['amount' => '100-150 g'], 'amount'],
    'a lot' => ['/lots', ['lot' => ['kind' => 'herb', 'material' => 'calendula', 'amount' => '100-150 g']], 'amount'],
    'a jar' => ['/jars', ['called' => 'crock', 'brim' => '400-420 mL', 'height' => '12 cm'], 'brim'],
    'a pot’s width' => ['/boil', ['what' => 'decoction', 'hardness' => 'soft', 'want' => '400 mL', 'width' => '20-24 cm'], 'width'],
]);

it('still plans from one amount to another, and says what it took', function () {
    $this->atHouse('POST', '/reckon', [
        'wish' => ['herb' => ['id' => 'self-heal', 'amount' => '50-60 g'], 'oils' => ['olive'], 'ratio' => '1:5'],
    ])
        ->assertOk()
        ->assertSee('55 g');
});
