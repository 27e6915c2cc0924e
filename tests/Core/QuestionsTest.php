<?php

use Kettle\Ask\Questions;
use Kettle\Material\Tables;
use Kettle\Recipe\WishException;

/*
 * `kettle reckon MODE`: the same answers with no web and no database.
 */

/** @return array{int, mixed} exit code and answer */
function reckon(string $mode, string $document): array
{
    $process = proc_open(
        [PHP_BINARY, dirname(__DIR__, 2).'/bin/reckon.php', $mode],
        [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']],
        $pipes,
        null,
        ['PATH' => getenv('PATH')],
    );
    fwrite($pipes[0], $document);
    fclose($pipes[0]);
    $out = (string) stream_get_contents($pipes[1]);

    return [proc_close($process), json_decode($out, true)];
}

/** @param  array<string, mixed>  $document */
function asked(string $mode, array $document): array
{
    return (new Questions(Tables::shipped()))->ask($mode, $document, new DateTimeImmutable('2026-11-24T10:00:00Z'));
}

it('answers every mode from the command line', function (string $mode, array $document, callable $holds) {
    [$code, $answer] = reckon($mode, (string) json_encode($document));
    expect($code)->toBe(0)->and($holds($answer))->toBeTrue();
})->with([
    'plan' => [
        'plan',
        ['herb' => ['id' => 'self-heal', 'amount' => '50 g'], 'oils' => ['olive'], 'ratio' => '1:6'],
        fn (array $a) => $a['figures']['oil_volume']['value'] == 300,
    ],
    'figures' => [
        'figures',
        ['herbs' => [['id' => 'self-heal']], 'oils' => ['olive', 'jojoba']],
        fn (array $a) => array_keys($a) === ['figures', 'stores', 'methods', 'oils'] && count($a['methods']) === 8,
    ],
    'compare' => [
        'compare',
        ['herb' => ['id' => 'self-heal'], 'oils' => ['olive']],
        fn (array $a) => in_array('slow-cooker', array_column($a['methods'], 'id'), true),
    ],
    'oils' => [
        'oils',
        ['purpose' => 'face'],
        fn (array $a) => $a['oils'][0]['score'] >= end($a['oils'])['score'] && count($a['oils']) >= 24,
    ],
    'wilting' => [
        'wilting',
        ['fresh' => '100 g', 'now' => '65 g'],
        fn (array $a) => $a['verdict'] === 'ready' && abs($a['water'] - 69.2) < 0.05,
    ],
    'wilting, of a root' => [
        'wilting',
        ['fresh' => '100 g', 'now' => '90 g', 'form' => 'root', 'hours' => '6 h'],
        fn (array $a) => $a['verdict'] === 'not yet' && abs($a['water'] - 66.7) < 0.05,
    ],
    'check, asked' => ['check', ['kind' => 'herb'], fn (array $a) => count($a['asks']) === 4],
    'check, answered' => [
        'check',
        ['kind' => 'carrier', 'answers' => ['smell' => 'old', 'look' => 'clear', 'rim' => 'clean']],
        fn (array $a) => $a['verdict'] === 'past',
    ],
    'warm hours' => [
        'warm-hours',
        [
            'band' => ['low' => 43, 'target' => 49, 'ceiling' => 60],
            'planned_h' => 4,
            'readings' => [
                ['at' => '2026-11-24T10:00:00Z', 'c' => 49],
                ['at' => '2026-11-24T10:30:00Z', 'c' => 49.0],
                ['at' => '2026-11-24T11:00:00+00:00', 'c' => 49],
            ],
        ],
        fn (array $a) => $a['warm_h'] == 1 && $a['share'] == 0.25 && $a['says'] === '1 h at warmth.',
    ],
    'a pot' => [
        'pot',
        [
            'watts' => 120,
            'loss_w_per_k' => 1.6,
            'water_kg' => 2.5,
            'jars_j_per_k' => 1000,
            'hours' => 6,
            'band' => ['low' => 43, 'target' => 49, 'ceiling' => 60],
        ],
        fn (array $a) => $a['minutes_to_band']['hotter'] < $a['minutes_to_band']['value'] &&
            $a['settles_c']['cooler'] < $a['settles_c']['value'] &&
            count($a['path']) === 37,
    ],
    'the sun' => [
        'sun',
        ['latitude' => 59.3, 'longitude' => -2.5, 'from' => '2026-12-21', 'days' => 2],
        fn (array $a) => count($a['days']) === 2 && $a['days'][0]['length_h'] < 6.5 && $a['days'][0]['highest'] < 8,
    ],
    'a fit' => [
        'fit',
        ['looks' => [['t' => 1, 'y' => 2.7], ['t' => 5, 'y' => 10.8], ['t' => 10, 'y' => 16.8], ['t' => 20, 'y' => 21.8]]],
        fn (array $a) => $a['end'] > 22 && $a['to_come'] > 0.05 && str_contains($a['says'], 'still to come'),
    ],
    'recipe' => [
        'recipe',
        ['text' => '1 cup oil, 3 tbsp dried flowers'],
        fn (array $a) => $a['wish']['oil_amount'] === '1 cup' && $a['lines'][0]['guess'] === true,
    ],
]);

it('refuses with a sentence and its field', function (string $mode, array $document, string $fault) {
    try {
        asked($mode, $document);
    } catch (WishException $refused) {
        expect($refused->faults[0]['field'].': '.$refused->faults[0]['reason'])
            ->toBe($fault)
            ->and($refused->faults[0]['sentence'])
            ->toMatch('/[.]$/');

        return;
    }
    $this->fail('It was answered.');
})->with([
    'no such mode' => ['weather', [], ': unknown'],
    'no such purpose' => ['oils', ['purpose' => 'engine'], ': unknown'],
    'no weight' => ['wilting', ['fresh' => '100 g'], 'now: missing'],
    'no number' => ['wilting', ['fresh' => 'heavy', 'now' => '50 g'], 'fresh: unreadable'],
    'heavier than fresh' => ['wilting', ['fresh' => '100 g', 'now' => '150 g'], 'now: out_of_range'],
    'a weight for a time' => ['wilting', ['fresh' => '100 g', 'now' => '90 g', 'hours' => '5 g'], 'hours: wrong_kind'],
    'all water' => ['wilting', ['fresh' => '100 g', 'now' => '90 g', 'water' => '99'], 'water: out_of_range'],
    'no such form' => ['wilting', ['fresh' => '100 g', 'now' => '90 g', 'form' => 'foam'], 'form: unknown'],
    'nothing to check' => ['check', ['kind' => 'jar', 'answers' => []], 'answers: not_open'],
    'no kind' => ['check', [], 'kind: missing'],
    'half an answer' => ['check', ['kind' => 'herb', 'answers' => ['scent' => 'strong']], 'answers.colour: missing'],
    'no recipe' => ['recipe', ['text' => ''], 'text: missing'],
    'a list for a text' => ['recipe', ['text' => ['x']], 'text: unreadable'],
    'readings of no time' => [
        'warm-hours',
        ['band' => ['low' => 43, 'target' => 49, 'ceiling' => 60], 'readings' => [['at' => 'noon', 'c' => 49]]],
        'readings: out_of_order',
    ],
    'readings of no warmth' => [
        'warm-hours',
        ['band' => ['low' => 43, 'target' => 49, 'ceiling' => 60], 'readings' => [['at' => 0, 'c' => 'hot']]],
        'readings.0.c: unreadable',
    ],
    'no band' => ['warm-hours', ['readings' => []], 'band: missing'],
    'a pot without heat' => ['pot', ['loss_w_per_k' => 1, 'water_kg' => 1], 'watts: missing'],
    'a pot for a month' => ['pot', ['watts' => 100, 'loss_w_per_k' => 1, 'water_kg' => 1, 'hours' => 700], 'hours: out_of_range'],
    'a place off the earth' => ['sun', ['latitude' => 99, 'longitude' => 0], 'latitude: out_of_range'],
    'days without end' => ['sun', ['latitude' => 9, 'longitude' => 0, 'days' => 5000], 'days: out_of_range'],
    'two looks' => ['fit', ['looks' => [['t' => 1, 'y' => 1], ['t' => 2, 'y' => 2]]], 'looks: too_few'],
    'a house at the pole' => ['plan', ['oils' => ['olive'], 'house' => ['room_c' => -20]], 'house.room_c: out_of_range'],
]);

it('exits with 2 and the faults', function () {
    [$code, $answer] = reckon('weather', '{}');
    expect($code)->toBe(2)->and($answer['faults'][0]['sentence'])->toContain('Choose one of: plan, figures');
    [$code, $answer] = reckon('wilting', 'not json');
    expect($code)->toBe(2)->and($answer['faults'][0]['reason'])->toBe('unreadable');
});

it('reckons the stores of a house it is told of', function () {
    $answer = asked('figures', [
        'herb' => ['id' => 'self-heal', 'amount' => '50 g'],
        'oils' => ['olive'],
        'house' => [
            'currency' => 'EUR',
            'lots' => [['kind' => 'oil', 'material' => 'olive', 'amount' => '1 L', 'price' => '10']],
        ],
    ]);
    expect($answer['figures']['cost']['text'])
        ->toBe('€2.50')
        ->and(array_column($answer['oils'], 'stock_text', 'id')['olive'])
        ->toBe('1 L')
        ->and(array_column($answer['oils'], 'price_text', 'id')['olive'])
        ->toBe('€1.00');
});

it('gives every figure a reason with a source and a standing', function () {
    $answer = asked('figures', [
        'herbs' => [
            ['id' => 'chickweed', 'state' => 'wilted', 'amount' => '70 g', 'picked' => '100 g'],
            ['id' => 'plantain-leaf', 'state' => 'wilted', 'amount' => '50 g'],
        ],
        'oils' => ['olive', 'sunflower'],
        'house' => [
            'lots' => [['kind' => 'oil', 'material' => 'olive', 'amount' => '1 L', 'price' => '10']],
        ],
    ]);
    foreach ([...$answer['figures'], ...asked('wilting', ['fresh' => '100 g', 'now' => '70 g'])['figures']] as $id => $figure) {
        expect($figure['reasons'])->not->toBe([], $id);
        foreach ($figure['reasons'] as $reason) {
            expect($reason['says'])->not->toContain('{')->and($reason['source'])->not->toBe('')->and($reason['standing'])->not->toBe('');
        }
    }
});
