<?php

use Tests\AppCase;

/** @return array<string, string> the lines of a label, by field */
function linesOf(AppCase $test, array $wish, string $names = 'cook', array $read = []): array
{
    $batch = $test->batch($wish, $read);
    $test->fill($batch);
    $page = $test->atHouse('GET', "/batches/{$batch->uid}/label")->json();
    if ($names !== 'cook') {
        $set = [
            'version' => $page['version'],
            'size' => $page['size'],
            'start' => 1,
            'names' => $names,
            'fields' => array_column($page['fields'], 'id'),
            'words' => '',
        ];
        $page = $test
            ->atHouse('PUT', "/batches/{$batch->uid}/label", $set)
            ->assertOk()
            ->json();
    }

    return array_column($page['lines'], 'text', 'id');
}

it('names what is in it by the weight that went in, the most first', function () {
    // 200 mL, of which a tenth is castor: 0.02 L at 0.96 is 19 g, less than the 40 g of root; olive is 164 g. Regulation
    // (EU) 1169/2011, article 18 (from memory).
    $wish = [
        'herb' => ['id' => 'marshmallow-root', 'amount' => '40 g'],
        'oils' => [['id' => 'castor', 'parts' => '1'], ['id' => 'olive', 'parts' => '9']],
    ];
    expect(linesOf($this, $wish, 'inci')['herb'])->toBe(
        'Ingredients: Olea Europaea Fruit Oil, Althaea Officinalis Root Extract, Ricinus Communis Seed Oil',
    );
    // In equal volumes the heavier oil is the more: 0.961 against 0.912 at 20 °C is 51 % and 49 %.
    expect(linesOf($this, ['oils' => [['id' => 'olive', 'parts' => '1'], ['id' => 'castor', 'parts' => '1']]])['oil'])->toBe(
        'in castor oil 51 %, olive oil 49 %',
    );
});

it('says how the herb was: its part, its form, and of which grams the ratio is', function (array $wish, string $herb, string $ratio) {
    $lines = linesOf($this, $wish, read: ['medicines']);
    expect($lines['herb'])->toBe($herb)->and($lines['ratio'])->toStartWith($ratio);
})->with([
    'cut' => [['herb' => ['id' => 'marshmallow-root']], 'Marshmallow root, dried and cut (Althaea officinalis)', '1:5, cold'],
    'powder' => [
        ['herb' => ['id' => 'marshmallow-root', 'form' => 'powder']],
        'Marshmallow root, powder (Althaea officinalis)',
        '1:5, cold',
    ],
    'fresh, as it lay' => [
        ['herb' => ['id' => 'st-johns-wort', 'state' => 'fresh'], 'oils' => ['olive'], 'basis' => 'as-it-lies', 'ratio' => '1:6'],
        'St John’s wort, flowering top, fresh (Hypericum perforatum)',
        '1:6, fresh as it lay, cold',
    ],
    // 78 % water: 100 g of it hold 22 g of dry matter, as 24.4 g of herb with 10 % water do: 24 times 0.244 is 5.9.
    'fresh, as if dry' => [
        [
            'herb' => ['id' => 'st-johns-wort', 'state' => 'fresh', 'water' => '78'],
            'oils' => ['olive'],
            'basis' => 'dry',
            'ratio' => '1:24',
        ],
        'St John’s wort, flowering top, fresh (Hypericum perforatum)',
        '1:24 as if dry (1:5.9 fresh, as it lay), cold',
    ],
]);

it('says which words of one’s own make a medicine of it, and that cautions are left out', function () {
    $batch = $this->batch(['herb' => ['id' => 'self-heal']]);
    $this->fill($batch);
    $path = "/batches/{$batch->uid}/label";
    $page = $this->atHouse('GET', $path)->json();
    expect(array_column($page['lines'], 'text', 'id')['title'])->toBe('Self-heal oil')->and($page['warnings'])->toBe([]);
    $set = fn (array $fields, string $words): array => $this->atHouse('PUT', $path, [
        'version' => $this->atHouse('GET', $path)->json('version'),
        'size' => 'a4-2x4',
        'start' => 1,
        'names' => 'cook',
        'fields' => $fields,
        'words' => $words,
    ])
        ->assertOk()
        ->json('warnings');
    $all = array_column($page['fields'], 'id');
    expect($set($all, 'Heals eczema. A treat.'))
        ->toBe(['“Heals” and “eczema” say what it heals: in many places that makes a medicine of it. Say how it is used.'])
        // Not printed, it says nothing.
        ->and($set(array_values(array_diff($all, ['words'])), 'Heals eczema.'))
        ->toBe([])
        ->and($set(array_values(array_diff($all, ['cautions'])), 'for the garden'))
        ->toBe(['It leaves out “For the skin only, not to be eaten.” Who finds the bottle reads nothing of it.']);
});
