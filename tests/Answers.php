<?php

namespace Tests;

use DateTimeImmutable;
use Kettle\Ask\Questions;
use Kettle\Material\Tables;
use Kettle\Recipe\WishException;

/**
 * Questions over the whole of the core, at its bounds and between them, and what it answers now: kept in
 * tests/fixtures/answers.jsonl, so that no figure and no sentence moves unseen. Where one is meant to move, look at
 * the difference and write the file anew:
 *
 *   php tests/Answers.php > tests/fixtures/answers.jsonl
 *
 * That an answer is right is for the other tests, which hold the same figures to published values and work by hand.
 */
final class Answers
{
    private const NOW = '2026-11-24T10:00:00Z';

    /** @return array<string, array{string, array<string, mixed>}> mode and question, by name */
    public static function questions(): array
    {
        $all = [];
        $ask = function (string $mode, array $questions) use (&$all): void {
            foreach ($questions as $question) {
                $all["{$mode} ".(1 + count(array_filter($all, fn (array $each) => $each[0] === $mode)))] = [$mode, $question];
            }
        };
        AnswersOfWarmth::ask($ask);
        $made = fn (string $id, float $oil, float $out, float $dry) => ['id' => $id, 'oil_ml' => $oil, 'out_ml' => $out, 'dry_g' => $dry];
        foreach (['drained', 'squeezed', 'pressed'] as $way) {
            $all["yield {$way}"] = [
                'yield',
                [
                    'way' => $way,
                    'batches' => [
                        $made('a', 350, 260, 70),
                        $made('b', 500, 390, 100),
                        $made('c', 500, 200, 100),
                        $made('d', 410, 300, 82),
                        $made('e', 350, 262, 70),
                        $made('f', 350, 258, 70),
                    ],
                ],
            ];
        }
        $ask('yield', [
            ['way' => 'squeezed', 'batches' => []],
            ['way' => 'wrung', 'batches' => []],
            ['way' => 'drained', 'batches' => [$made('a', 350, 351, 70)]],
            ['way' => 'drained', 'batches' => [$made('a', 350, 0, 70)]],
            ['way' => 'drained', 'batches' => [$made('a', 350, 345, 70), $made('b', 350, 340, 70)]],
        ]);
        $size = fn (string $id, float $ml, ?int $stock = null, int $fixed = 0) => [
            'id' => $id,
            'capacity_ml' => $ml,
            'stock' => $stock,
            'fixed' => $fixed,
        ];
        $ask('bottle', [
            ['oil_ml' => 347, 'sizes' => [$size('x', 50, 4, 1), $size('y', 30)], 'vitamin_e' => 'd-alpha-tocopherol'],
            ['oil_ml' => 237, 'sizes' => [$size('x', 100), $size('y', 10)], 'vitamin_e' => 'dl-alpha-tocopheryl-acetate'],
            ['oil_ml' => 100, 'sizes' => [$size('x', 100)]],
            ['oil_ml' => 99.9, 'sizes' => [$size('x', 100), $size('y', 33.3)]],
            ['oil_ml' => 1000, 'sizes' => [$size('x', 30, 0), $size('y', 50, 3)]],
            ['oil_ml' => 60, 'sizes' => [$size('x', 50, null, 2)]],
            ['oil_ml' => 1000, 'sizes' => [$size('a', 7), $size('b', 11), $size('c', 13)]],
            ['oil_ml' => 0, 'sizes' => [$size('x', 50)]],
            ['oil_ml' => 100, 'sizes' => []],
            ['oil_ml' => 100, 'sizes' => [$size('x', 0.5)]],
            ['oil_ml' => 20_001, 'sizes' => [$size('x', 5000)]],
            ['oil_ml' => 500, 'sizes' => [$size('x', 100)], 'vitamin_e' => 'dl-alpha-tocopherol', 'g_per_ml' => 0.86],
        ]);
        $keep = [
            'oils' => [
                ['id' => 'sunflower', 'parts' => 3, 'opened' => '2026-08-01', 'best_before' => '2027-05-01'],
                ['id' => 'jojoba', 'parts' => 1],
            ],
            'state' => 'dried',
            'filled_on' => '2026-10-01',
            'strained_on' => '2026-10-29',
        ];
        $ask(
            'keep',
            array_map(fn (array $of) => $of + $keep, [
                [],
                ['by_rates' => true],
                ['place' => 'fridge'],
                ['place' => 'room'],
                ['place' => 'warm', 'glass' => 'clear'],
                ['antioxidant' => 'vitamin-e'],
                ['antioxidant' => 'rosemary', 'glass' => 'clear'],
                ['heat' => [['hours' => 8, 'celsius' => 49], ['hours' => 100, 'celsius' => 95]]],
                ['state' => 'fresh'],
                ['state' => 'wilted'],
                ['state' => 'fresh', 'place' => 'fridge'],
                ['state' => 'wilted', 'water' => 20],
                ['state' => 'wilted', 'water' => 55, 'place' => 'fridge'],
                ['state' => 'fresh', 'heat' => [['hours' => 1, 'celsius' => 49]]],
                ['state' => 'fresh', 'heat' => [['hours' => 0.9, 'celsius' => 95]]],
                ['state' => 'fresh', 'heat' => [['hours' => 9, 'celsius' => 49]], 'place' => 'fridge'],
                ['state' => 'fresh', 'kept' => 'fridge', 'purpose' => 'kitchen'],
                ['state' => 'fresh', 'kept' => 'soured', 'purpose' => 'kitchen'],
                ['state' => 'fresh', 'purpose' => 'kitchen'],
                ['oils' => [['id' => 'jojoba', 'parts' => 1]]],
                ['oils' => [['id' => 'jojoba', 'parts' => 1]], 'filled_on' => '2024-10-01'],
                ['oils' => [['id' => 'hemp-seed', 'parts' => 1, 'opened' => '2025-01-01']]],
                ['oils' => [['id' => 'olive', 'parts' => 1, 'best_before' => '2026-10-29']]],
                ['oils' => [['id' => 'olive', 'parts' => 1, 'best_before' => '2026-10-28']]],
                ['strained_on' => '2026-09-01'],
                ['water' => 98],
                ['water' => 0.9],
                ['place' => 'attic'],
                ['oils' => [['id' => 'sunflower', 'parts' => 1, 'opened' => '2026-10-02']]],
                ['heat' => [['hours' => -1, 'celsius' => 49]]],
            ]),
        );
        $wishes = [
            ['herb' => ['id' => 'comfrey-leaf', 'state' => 'fresh'], 'oils' => ['sweet-almond']],
            [
                'herb' => ['id' => 'basil', 'state' => 'fresh'],
                'oils' => ['olive'],
                'purpose' => 'kitchen',
                'kept' => 'fridge',
                'method' => 'gentle-pan',
            ],
            ['herb' => ['id' => 'garlic', 'state' => 'fresh'], 'oils' => ['olive'], 'purpose' => 'kitchen', 'kept' => 'soured'],
            ['herb' => ['id' => 'arnica'], 'oils' => ['flaxseed'], 'purpose' => 'kitchen'],
            ['herb' => ['id' => 'marshmallow-root', 'form' => 'powder'], 'oils' => ['olive'], 'method' => 'slow-cooker', 'spirit' => 'yes'],
            ['herb' => ['id' => 'marshmallow-root'], 'oils' => ['olive'], 'method' => 'double-boiler', 'spirit' => 'yes'],
            [
                'herbs' => [['id' => 'calendula'], ['id' => 'chickweed', 'state' => 'wilted']],
                'oils' => ['hemp-seed', 'walnut'],
                'way' => 'squeezed',
                'method' => 'double-boiler',
            ],
            ['herb' => ['name' => 'skerrywort', 'form' => 'thin-leaf'], 'oils' => ['sesame'], 'method' => 'poured-hot'],
            ['herb' => ['id' => 'chilli'], 'oils' => ['sunflower']],
            ['herb' => ['id' => 'st-johns-wort', 'state' => 'fresh'], 'oils' => ['olive'], 'method' => 'solar'],
            ['herb' => ['id' => 'rosemary'], 'oils' => ['coconut'], 'method' => 'water-bath'],
            [
                'herb' => ['id' => 'thyme', 'state' => 'fresh'],
                'oils' => ['olive'],
                'purpose' => 'kitchen',
                'kept' => 'fridge',
                'method' => 'incubator',
            ],
        ];
        foreach (['bench', 'stove', 'press', 'label', 'melt'] as $place) {
            $all += array_combine(
                array_map(fn (int $i) => "cautions {$place} {$i}", array_keys($wishes)),
                array_map(fn (array $wish) => ['cautions', $wish + ['place' => $place]], $wishes),
            );
        }
        $ask(
            'faults',
            array_map(fn (string $sign) => ['signs' => [$sign], 'facts' => []], [
                'cloudy',
                'beads',
                'rancid',
                'mould',
                'fizz',
                'weak',
                'fried',
                'set',
                'cracked',
                'sediment',
                'sour',
                'nonsense',
            ]),
        );
        $ask('faults', [
            ['signs' => ['cloudy', 'beads'], 'facts' => ['wet-herb' => ['state' => 'fresh'], 'squeezed-wet' => ['way' => 'squeezed']]],
            ['signs' => [], 'facts' => []],
        ]);
        $ask('wilting', [
            ['fresh' => '200 g', 'now' => '120 g', 'form' => 'thin-leaf'],
            ['fresh' => '200 g', 'now' => '200 g', 'form' => 'flower-heads', 'hours' => 6],
            ['fresh' => '100 g', 'now' => '20 g', 'water' => '78'],
            ['fresh' => '100 g', 'now' => '101 g', 'form' => 'root'],
            ['fresh' => '100 g', 'now' => '60 g', 'form' => 'root', 'hours' => 24],
        ]);
        $amounts = [
            '60 g',
            '2 oz',
            '1/2 cup',
            '1 1/2 cups',
            '2 lb 3 oz',
            '1-1/2 cups',
            '3 tbsp',
            '1 cup + 2 tbsp',
            '12 drops',
            '0.5 kg',
            '1 quart',
            '750 mL',
            '1,5 L',
            '2.5 fl oz',
            '0 g',
            '-3 g',
            '1e9 g',
            'a handful',
            '5',
            '12 bags',
            '1 pint',
            '1/3 cup',
            '2 teaspoons',
            '1 gill',
            '99 kg',
            '1.0001 oz',
        ];
        foreach (['us', 'metric', 'australian', 'imperial'] as $measures) {
            foreach ($amounts as $amount) {
                $all["herb {$measures} {$amount}"] = [
                    'plan',
                    [
                        'herb' => ['id' => 'marshmallow-root', 'amount' => $amount],
                        'oils' => ['sunflower'],
                        'house' => ['measures' => $measures],
                    ],
                ];
                $measures === 'us' &&
                    ($all["oil {$amount}"] = [
                        'plan',
                        [
                            'herb' => ['id' => 'calendula'],
                            'oils' => [['id' => 'olive', 'parts' => '2'], ['id' => 'jojoba', 'parts' => '1']],
                            'oil_amount' => $amount,
                        ],
                    ]);
            }
        }
        $ratios = [
            '1:5',
            '1:1',
            '1:60',
            '1:0.9',
            '1:61',
            '1 to 7',
            '1:5 w/w',
            '1:2 v/v',
            '1:5.55',
            '5:1',
            '2:10',
            'one to nine',
            '1:5:5',
            'half',
        ];
        foreach ($ratios as $ratio) {
            $all["ratio {$ratio}"] = [
                'plan',
                ['herb' => ['id' => 'self-heal', 'amount' => '30 g'], 'oils' => ['olive'], 'ratio' => $ratio],
            ];
        }
        foreach (['cold', 'solar', 'double-boiler', 'slow-cooker', 'water-bath', 'poured-hot', 'incubator', 'gentle-pan'] as $method) {
            foreach (['dried', 'wilted', 'fresh'] as $state) {
                $all["{$method} {$state}"] = [
                    'plan',
                    [
                        'herb' => ['id' => 'self-heal', 'state' => $state],
                        'oils' => ['olive'],
                        'method' => $method,
                        'ready_by' => '2027-03-01',
                    ],
                ];
            }
        }
        foreach (
            [
                ['finished' => ['amount' => '200 mL']],
                ['finished' => ['count' => '6', 'size' => '50 mL', 'sure' => 'yes']],
                ['by_jar' => ['fill' => 'half', 'cover' => '1 in'], 'jar' => '473'],
                ['by_jar' => ['fill' => 'full', 'cover' => '25 mm'], 'jar' => '473'],
                ['jar' => '946', 'jars' => '3'],
                ['oils' => ['coconut'], 'method' => 'slow-cooker'],
                ['oils' => ['shea', 'olive'], 'method' => 'water-bath'],
                ['herb' => ['id' => 'self-heal', 'state' => 'wilted', 'picked' => '100 g', 'amount' => '60 g']],
                ['herb' => ['id' => 'self-heal', 'state' => 'fresh', 'water' => '78', 'amount' => '100 g'], 'basis' => 'as-it-lies'],
                ['way' => 'pressed'],
                ['way' => 'drained'],
                ['herb' => ['id' => 'marshmallow-root', 'form' => 'powder']],
                ['jar' => ['brim' => '1 L', 'inner_height' => '150 mm']],
                ['jar' => ['brim' => '1 mL', 'inner_height' => '150 mm']],
                ['jar' => ['brim' => '1 L', 'inner_height' => '700 mm']],
            ] as $i => $of
        ) {
            $all["side {$i}"] = ['plan', $of + ['herb' => ['id' => 'self-heal'], 'oils' => ['olive']]];
        }

        return $all;
    }

    /** @return array<mixed> what is answered, or each fault; of a plan its figures, its jar, its days and what is to be heeded */
    public static function answer(Questions $questions, string $mode, array $question): array
    {
        try {
            $said = $questions->ask($mode, $question, new DateTimeImmutable(self::NOW));
        } catch (WishException $refused) {
            return ['faults' => array_map(fn (array $fault) => [$fault['field'], $fault['reason'], $fault['sentence']], $refused->faults)];
        }
        if ($mode === 'pot') {
            $said['path'] = array_slice($said['path'], 0, 40, true)[1] ?? [];
        }
        $said =
            $mode !== 'plan'
                ? $said
                : [
                    'sentence' => $said['sentence_text'],
                    'figures' => array_map(
                        fn (array $figure) => [$figure['value'], $figure['low'], $figure['high'], $figure['kitchen']['text'] ?? ''],
                        $said['figures'],
                    ),
                    'jar' => array_diff_key($said['jar'], ['marks' => 0]),
                    'days' => $said['schedule'],
                    'notes' => array_column($said['notes'], 'rank', 'id'),
                    'handling' => $said['method']['handling'],
                    'picture' => $said['picture'],
                ];

        // As it reads back; a last digit may be another on another machine.
        return (array) json_decode((string) json_encode(self::rounded($said)), true);
    }

    private static function rounded(mixed $value): mixed
    {
        return match (true) {
            is_array($value) => array_map(self::rounded(...), $value),
            is_float($value) => $value === 0.0 ? 0.0 : round($value, 6 - (int) floor(log10(abs($value)))),
            default => $value,
        };
    }
}

if (realpath($_SERVER['SCRIPT_FILENAME'] ?? '') === __FILE__) {
    require dirname(__DIR__).'/vendor/autoload.php';
    $questions = new Questions(Tables::shipped());
    foreach (Answers::questions() as $name => [$mode, $question]) {
        echo json_encode([$name, Answers::answer($questions, $mode, $question)], JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES), "\n";
    }
}
