<?php

use Tests\Core\Support;

// What a recipe says is not to be done, or not to be gone over. All of it common practice, no source.

it('is planned no warmer than a recipe lets it be', function (string $said, array $wish, ?string $told) {
    $read = Support::pasted("20 g nettle, dried\n300 g olive oil\n{$said}");
    $note = implode(' ', array_map(strval(...), (array) Support::said($read->notes)));
    expect(array_intersect_key($read->wish, ['method' => 1, 'school' => 1, 'hours' => 1, 'warmth' => 1]))->toBe($wish);
    $told === null ? expect($note)->not->toContain('go over') : expect($note)->toContain($told);
})->with([
    // The usual is held at 49 °C.
    [
        'Slow cooker for 8 hours, never above 40 °C.',
        ['method' => 'slow-cooker', 'hours' => '8 hours', 'warmth' => '40 C'],
        'is planned no warmer',
    ],
    // (104 − 32) × 5 / 9.
    [
        'Slow cooker for 8 hours. Do not let it go above 104 °F.',
        ['method' => 'slow-cooker', 'hours' => '8 hours', 'warmth' => '40 C'],
        'is planned no warmer',
    ],
    [
        "Double boiler, 2 hours. Don't let it get hotter than 45 °C.",
        ['method' => 'double-boiler', 'hours' => '2 hours', 'warmth' => '45 C'],
        'is planned no warmer',
    ],
    ['Double boiler. Max. 45 °C.', ['method' => 'double-boiler', 'warmth' => '45 C'], 'is planned no warmer'],
    // It is meant to be at 49 °C, and may go to 60 °C.
    ['Slow cooker for 8 hours, at most 50 °C.', ['method' => 'slow-cooker', 'school' => 'usual'], 'Watch it'],
    ['Slow cooker for 8 hours, never over 60 °C.', ['method' => 'slow-cooker', 'school' => 'usual'], null],
    // No limit above.
    ['Slow cooker for 8 hours, not below 40 °C.', ['method' => 'slow-cooker', 'school' => 'usual'], null],
    ['Dry it below 40 °C. Slow cooker for 8 hours.', ['method' => 'slow-cooker', 'school' => 'usual'], null],
    ['Leave in a cupboard for 4 weeks, never above 25 °C.', ['method' => 'cold', 'school' => 'four-weeks'], null],
]);

it('pours the oil hot where a recipe does, however hot that is', function (string $steps) {
    $read = Support::pasted("30 g dried chilli flakes\n{$steps}");
    expect($read->wish['method'])
        ->toBe('poured-hot')
        ->and($read->wish)
        ->not->toHaveKey('warmth')
        ->and($read->wish['oil_amount'])
        ->toBe('500 ml');
})->with([
    "Heat 500 ml rapeseed oil to 120 °C.\nPour the hot oil over the chillies.",
    "500 ml rapeseed oil\nHeat it to 100 °C and pour hot over the chillies.",
    "500 ml rapeseed oil\nPour hot oil over the chillies.",
]);

it('is left to drip where a recipe says not to squeeze', function (string $step, ?string $way) {
    $read = Support::pasted("20 g nettle\n300 g olive oil\n{$step}");
    expect($read->wish['way'] ?? null)
        ->toBe($way)
        ->and(str_contains(implode(' ', array_map(strval(...), (array) Support::said(array_column($read->lines, 'says')))), 'not squeezed'))
        ->toBe($way === 'drained');
})->with([
    ["Strain through muslin, don't squeeze.", 'drained'],
    ['Strain. Do not press the herb.', 'drained'],
    ['Let it drip through a cloth overnight without squeezing', 'drained'],
    ['Strain and squeeze well.', null],
    ['Press the herb down, so that it does not stand out.', null],
]);

it('reads an amount that is not to the gram', function (string $line, array $herb) {
    expect(Support::pasted("{$line}\n300 g olive oil")->wish['herbs'])->toBe([$herb]);
})->with([
    ['Roughly 50 g dried calendula', ['id' => 'calendula', 'state' => 'dried', 'amount' => '50 g']],
    ['Put roughly 50 g dried calendula in a bowl', ['id' => 'calendula', 'state' => 'dried', 'amount' => '50 g']],
    ['Just over 50 g dried calendula', ['id' => 'calendula', 'state' => 'dried', 'amount' => '50 g']],
    ['A good 20 g dried nettle', ['id' => 'nettle-leaf', 'state' => 'dried', 'amount' => '20 g']],
    ['Around 2 cups dried nettle', ['id' => 'nettle-leaf', 'state' => 'dried', 'amount' => '2 cups']],
    ['Roughly 2 handfuls of fresh plantain leaves', ['id' => 'plantain-leaf', 'state' => 'fresh', 'amount' => '40 g']],
]);

it('is planned no warmer than a sentence lets it be', function (string $said, array $way) {
    $read = Support::sentence("calendula in olive, {$said}");
    expect(array_diff_key($read['wish'], ['herbs' => 1, 'oils' => 1]))
        ->toBe($way)
        ->and($read['unread'])
        ->toBe([])
        ->and(implode(' ', $read['guesses']))
        ->toContain('is heeded: it is planned no warmer.');
})->with([
    // By its hours it would be the usual, at 49 °C.
    ['slow cooker 8 hours, never above 40 C', ['method' => 'slow-cooker', 'hours' => '8 h', 'warmth' => '40 C']],
    ['slow cooker 8 hours, max 104 °F', ['method' => 'slow-cooker', 'hours' => '8 h', 'warmth' => '104 F']],
    ['slow cooker 8 hours, not above 60 °C', ['method' => 'slow-cooker', 'school' => 'usual']],
    ["don't let it go above 40 C, slow cooker", ['method' => 'slow-cooker', 'warmth' => '40 C']],
    ['double boiler, keep under 45 °C', ['method' => 'double-boiler', 'warmth' => '45 C']],
    ['in a dark cupboard for 4 weeks, under 25 °C', ['method' => 'cold', 'school' => 'four-weeks']],
    ['no hotter than 50 C', ['method' => 'double-boiler', 'warmth' => '50 C']],
]);
