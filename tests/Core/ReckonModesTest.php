<?php

use Kettle\Ask\Questions;
use Kettle\Material\Tables;
use Kettle\Recipe\WishException;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;

/** What a mode answers, both sides held against docs/formats/reckon.schema.json. */
function answered(string $mode, array $asked): array
{
    $validator = new Validator();
    foreach (['reckon', 'wish'] as $format) {
        $validator
            ->resolver()
            ?->registerFile("kettle://formats/{$format}.schema.json", dirname(__DIR__, 2)."/docs/formats/{$format}.schema.json");
    }
    $answer = (new Questions(Tables::shipped()))->ask($mode, $asked, new DateTimeImmutable('2026-11-24T10:00:00Z'));
    foreach (['asks' => $asked, 'answers' => $answer] as $side => $document) {
        $result = $validator->validate(
            json_decode((string) json_encode($document)),
            (object) ['$ref' => "kettle://formats/reckon.schema.json#/\$defs/{$mode}/{$side}"],
        );
        expect($result->isValid())->toBeTrue(
            "{$mode} {$side}: ".($result->error() === null ? '' : json_encode((new ErrorFormatter())->format($result->error(), false))),
        );
    }

    return $answer;
}

/** @return array<string, array<string, mixed>> something every mode can answer */
function modesAsked(): array
{
    $warmUp = [];
    for ($s = 0; $s <= 14400; $s += 600) {
        $warmUp[] = ['s' => $s, 'c' => round(18 + 40 * (1 - exp(-$s / 6500)), 2)];
    }

    return [
        'warm-hours' => [
            'readings' => [['at' => '2026-11-24T10:00:00Z', 'c' => 49], ['at' => '2026-11-24T10:20:00Z', 'c' => 49.0]],
            'band' => ['low' => 43, 'target' => 49, 'ceiling' => 60],
            'planned_h' => 8,
        ],
        'pot' => ['watts' => 80, 'loss_w_per_k' => 1.5, 'water_kg' => 2.5, 'poured_c' => 45, 'jars_j_per_k' => 900, 'hours' => 6],
        'bath' => [
            'cooker' => ['shape' => 'oval', 'length_mm' => 300, 'width_mm' => 210, 'height_mm' => 140],
            'jars' => array_fill(0, 3, ['brim_ml' => 505, 'height_mm' => 118, 'level_mm' => 93, 'contents_g' => 400]),
        ],
        'learn' => [
            'water_kg' => 2.2,
            'jars_j_per_k' => 900,
            'jars_w_per_k' => 2.0,
            'open_m2' => 0.02,
            'readings' => $warmUp,
            'of' => 'oil',
        ],
        'decoction' => [
            'herbs' => [['id' => 'oak-bark'], ['id' => 'nettle-leaf']],
            'want' => '1 L',
            'pot' => ['diameter_mm' => 260, 'height_mm' => 237],
        ],
        'long-oil' => [
            'stage' => 'whole',
            'oil' => '2.4 L',
            'hours_a_day' => 8,
            'decoct' => ['hardness' => 'very-hard'],
            'pot' => ['diameter_mm' => 360, 'height_mm' => 300],
        ],
        'level' => [
            'marks' => [['h' => 0, 'mm' => 190], ['h' => 2, 'mm' => 175.5], ['h' => 5, 'mm' => 148]],
            'pot' => ['diameter_mm' => 260, 'height_mm' => 237],
            'end_mm' => 44,
        ],
        'glycerin' => ['total' => '100 g', 'extract_now' => '65 g'],
        'done' => ['flame' => 'quiet', 'froth' => 'stands', 'wick' => 'breaks'],
        'solvents' => ['herb' => 'marshmallow-root', 'use' => 'salve'],
        'sun' => [
            'latitude' => 50,
            'longitude' => 0,
            'from' => '2026-06-20',
            'days' => 3,
            'jar' => ['diameter_mm' => 73.8, 'level_mm' => 93, 'oil_kg' => 0.32, 'herb_kg' => 0.07, 'glass_kg' => 0.24],
            'facing' => 180,
            'cloud' => 0.2,
        ],
        'fit' => ['looks' => [['t' => 24, 'y' => 4], ['t' => 72, 'y' => 9], ['t' => 168, 'y' => 15], ['t' => 340, 'y' => 18]]],
        'yield' => [
            'way' => 'squeezed',
            'batches' => [
                ['id' => 'a', 'oil_ml' => 350, 'out_ml' => 260, 'dry_g' => 70],
                ['id' => 'b', 'oil_ml' => 500, 'out_ml' => 390, 'dry_g' => 100],
            ],
        ],
        'bottle' => [
            'oil_ml' => 347,
            'sizes' => [
                ['id' => 'x', 'capacity_ml' => 50, 'stock' => 4, 'fixed' => 1],
                ['id' => 'y', 'capacity_ml' => 30, 'stock' => null],
            ],
            'vitamin_e' => 'd-alpha-tocopherol',
        ],
        'keep' => [
            'oils' => [
                ['id' => 'sunflower', 'parts' => 3, 'opened' => '2026-08-01', 'best_before' => '2027-05-01'],
                ['id' => 'jojoba', 'parts' => 1],
            ],
            'state' => 'dried',
            'filled_on' => '2026-10-01',
            'strained_on' => '2026-10-29',
            'heat' => [['hours' => 8, 'celsius' => 49]],
            'place' => 'room',
            'glass' => 'clear',
            'antioxidant' => 'vitamin-e',
        ],
        'cautions' => ['herb' => ['id' => 'comfrey-leaf', 'state' => 'fresh'], 'oils' => ['sweet-almond'], 'place' => 'bench'],
        'melt' => [
            'product' => 'salve',
            'oils' => [['batch' => 'b', 'parts' => 2], ['id' => 'jojoba', 'parts' => 1]],
            'waxes' => ['beeswax'],
            'butters' => [['id' => 'shea', 'share' => 0.1]],
            'others' => [['id' => 'vitamin-e', 'share' => 0.005]],
            'essential_oils' => [['id' => 'clove-bud', 'percent' => 2], ['id' => 'camphor', 'percent' => 1]],
            'firmness' => 'salve',
            'bears_c' => 28,
            'tins' => [['ml' => 60, 'count' => 6], ['ml' => 15, 'count' => 2]],
            'for' => ['asthma'],
            'verdicts' => [['firmness' => 0.16, 'verdict' => 'too-soft', 'by' => 'a-little', 'room_c' => 18]],
            'batches' => [
                ['id' => 'b', 'oils' => ['sunflower'], 'herbs' => ['calendula'], 'left_ml' => 500, 'best_before' => '2027-06-01'],
            ],
        ],
        'trace' => [
            'of' => 'lot-1',
            'lots' => [['id' => 'lot-1'], ['id' => 'lot-2']],
            'batches' => [['id' => 'b-1', 'lots' => ['lot-1', 'lot-2']]],
            'bottles' => [['id' => 'b-1/1', 'batch' => 'b-1'], ['id' => 'b-1/2', 'batch' => 'b-1', 'state' => 'given', 'to' => 'Eilidh']],
            'products' => [['id' => 'p-1', 'from' => ['b-1/1', 'lot-2']]],
            'tins' => [['id' => 'p-1/1', 'product' => 'p-1', 'state' => 'given', 'to' => 'Eilidh'], ['id' => 'p-1/2', 'product' => 'p-1']],
        ],
        'mend' => ['mass' => '322 g', 'spoon' => '3 g', 'share' => 0.17, 'to' => 'firm', 'room_ml' => 5],
        'faults' => [
            'signs' => ['cloudy', 'beads'],
            'facts' => ['wet-herb' => ['state' => 'fresh'], 'squeezed-wet' => ['way' => 'squeezed']],
        ],
        'diary' => [
            'jobs' => [
                ['id' => 'a', 'called' => 'vanilla', 'target_c' => 49, 'ceiling_c' => 60, 'hours' => 8, 'jars_mm' => [79.8, 79.8]],
                ['id' => 'b', 'target_c' => 38, 'ceiling_c' => 40, 'hours' => 24, 'jars_mm' => [67.3], 'due_by' => '2026-11-25T12:00'],
            ],
            'cookers' => [['id' => 'round', 'length_mm' => 210, 'height_mm' => 130, 'methods' => ['slow-cooker']]],
            'home' => ['2' => '07:00-09:00, 17:00-22:30'],
            'away' => [['from' => '2026-11-26T00:00', 'to' => '2026-11-27T00:00']],
        ],
    ];
}

it('answers each mode by its schema', function (string $mode) {
    expect(answered($mode, modesAsked()[$mode]))->not->toBe([]);
})->with(array_keys(modesAsked()));

it('goes by the same arithmetic from the pipe as at the Stove', function () {
    // Twenty minutes at the target are twenty minutes at warmth.
    expect(answered('warm-hours', modesAsked()['warm-hours'])['warm_h'])
        ->toEqualWithDelta(1 / 3, 1e-4)
        ->and(answered('bath', modesAsked()['bath'])['jars'])
        ->toHaveCount(3)
        ->and(answered('diary', modesAsked()['diary'])['jobs'][1]['says'])
        ->toContain('soonest');
    // Poured hand-hot, it is in the band sooner than from cold.
    $cold = modesAsked()['pot'];
    unset($cold['poured_c']);
    expect(answered('pot', modesAsked()['pot'])['minutes_to_band']['value'])->toBeLessThan(
        answered('pot', $cold)['minutes_to_band']['value'],
    );
});

it('answers or refuses whatever a mode is asked', function (string $mode) {
    mt_srand(crc32($mode));
    $odd = [null, true, 'x', "a\0b", -1, 0, 1e300, INF, NAN, [], [[]], ['a' => []], '2026-13-40T99:99', str_repeat('9', 400), 0.001, 99999];
    $refused = 0;
    $questions = new Questions(Tables::shipped());
    for ($i = 0, $times = $mode === 'learn' ? 30 : 250; $i < $times; $i++) {
        $asked = modesAsked()[$mode];
        // One place of it, however deep, holds something else.
        $at = &$asked;
        while (is_array($at) && $at !== []) {
            $key = array_keys($at)[mt_rand(0, count($at) - 1)];
            if (! is_array($at[$key]) || mt_rand(0, 2) === 0) {
                $at[$key] = $odd[mt_rand(0, count($odd) - 1)];
                break;
            }
            $at = &$at[$key];
        }
        unset($at);
        try {
            expect(json_encode($questions->ask($mode, $asked, new DateTimeImmutable('2026-11-24T10:00:00Z'))))->toBeString();
        } catch (WishException $no) {
            $refused++;
            expect($no->faults[0]['sentence'])->toMatch('/[.?]$/');
        }
    }
    expect($refused)->toBeGreaterThan(5);
})->with(array_keys(modesAsked()));
