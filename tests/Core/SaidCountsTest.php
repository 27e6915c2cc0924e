<?php

use Tests\Core\Support;

// All of it common practice, no source: how people count, share out and wait.

it('reads what is counted, and of what', function (string $text, array $herb, ?string $oil, array $unread = []) {
    $read = Support::sentence($text);
    expect($read['wish']['herbs'])
        ->toBe([$herb])
        ->and($read['wish']['oil_amount'] ?? null)
        ->toBe($oil)
        ->and($read['unread'])
        ->toBe($unread);
})->with([
    ['6 bay leaves in 200 ml olive', ['id' => 'bay-leaf', 'amount' => '6 leaves'], '200 ml'],
    ['6 fresh bay leaves in olive', ['id' => 'bay-leaf', 'state' => 'fresh', 'amount' => '6 leaves'], null],
    ['5 vanilla pods in 500 ml jojoba', ['id' => 'vanilla', 'amount' => '5 pods'], '500 ml'],
    ['garlic cloves 5 in 200 ml olive', ['id' => 'garlic', 'amount' => '5 cloves'], '200 ml'],
    ['rosemary sprigs 4 in olive', ['id' => 'rosemary', 'amount' => '4 sprigs'], null],
    ['rosemary 3 sprigs 250 ml olive', ['id' => 'rosemary', 'amount' => '3 sprigs'], '250 ml'],
    ['garlic 5 cloves 1 cup olive', ['id' => 'garlic', 'amount' => '5 cloves'], '1 cup'],
    // What so many weigh is in no table: the herb is known all the same.
    ['3 chillies in 200 ml olive', ['id' => 'chilli'], '200 ml', ['3']],
]);

it('takes a proportion in brackets for that of two herbs, or of two oils', function (string $text, array $wish) {
    expect(array_intersect_key(Support::sentence($text)['wish'], ['herbs' => 1, 'oils' => 1, 'ratio' => 1]))->toEqual($wish);
})->with([
    [
        'calendula and lavender (2:1) in sunflower oil',
        ['herbs' => [['id' => 'calendula', 'parts' => '2'], ['id' => 'lavender', 'parts' => '1']], 'oils' => [['id' => 'sunflower']]],
    ],
    [
        'calendula in olive and jojoba (3:1)',
        ['herbs' => [['id' => 'calendula']], 'oils' => [['id' => 'olive', 'parts' => '3'], ['id' => 'jojoba', 'parts' => '1']]],
    ],
    // So much of both to so much of oil.
    [
        'calendula and lavender (1:5) in sunflower oil',
        ['herbs' => [['id' => 'calendula'], ['id' => 'lavender']], 'oils' => [['id' => 'sunflower']], 'ratio' => '1:5'],
    ],
]);

it('reads a year, where it is one in the oil', function (string $said, ?string $hours, array $unread = []) {
    $read = Support::sentence("calendula in olive, {$said}");
    expect($read['wish']['hours'] ?? null)
        ->toBe($hours)
        ->and($read['unread'])
        ->toBe($unread);
})->with([
    // 12 × 365.25 / 12 / 7, and half of it.
    ['for a year', '52 weeks'],
    ['for one year', '52 weeks'],
    ['for a whole year', '52 weeks'],
    ['for half a year', '26 weeks'],
    ['good for a year', null, ['good year']],
    ['for a 1 year old', null],
]);
