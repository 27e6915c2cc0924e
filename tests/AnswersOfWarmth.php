<?php

namespace Tests;

/** What is asked of warmth, of cookers and of the sun: the first half of Answers. */
final class AnswersOfWarmth
{
    /** @param  \Closure(string, list<array<mixed>>): void  $ask takes a mode and its questions */
    public static function ask(\Closure $ask): void
    {
        $band = ['low' => 43, 'target' => 49, 'ceiling' => 60];
        $line = fn (array $gapsAndWarmths, int $from = 1_795_514_400): array => array_reduce(
            $gapsAndWarmths,
            fn (array $read, array $next) => [
                ...$read,
                ['at' => ($read === [] ? $from : $read[count($read) - 1]['at']) + $next[0], 'c' => $next[1]],
            ],
            [],
        );
        $ask(
            'warm-hours',
            array_map(fn (array $readings) => ['readings' => $line($readings), 'band' => $band, 'planned_h' => 8], [
                [[0, 49]],
                [[0, 43], [600, 43]],
                [[0, 42.9], [600, 42.9]],
                [[0, 60], [600, 60]],
                [[0, 60.1], [600, 49]],
                [[0, 18], [3000, 52], [1800, 49], [1801, 49]],
                [[0, 20], [600, 44], [600, 49], [600, 55], [600, 62], [600, 47], [600, 40]],
                [[0, 49], [3600, 50], [3600, 51], [3600, 48]],
                [[0, 49], [9000, 49]],
                [[0, -30], [60, 150]],
                [[0, 35.5], [1200, 66.25]],
                [[0, 66.25], [1200, 35.5]],
            ]),
        );
        $ask('warm-hours', [
            [
                'readings' => [['at' => '2026-11-24T10:00:00Z', 'f' => 120], ['at' => ' 2026-11-24T10:10:00+00:00 ', 'f' => 121.5]],
                'band' => $band,
                'planned_h' => 1,
            ],
            [
                'readings' => [
                    ['at' => 'noon', 'c' => 49],
                    ['at' => 1_795_514_400, 'c' => 150.1],
                    ['at' => 1_795_514_401, 'c' => -30.1],
                    ['at' => 1_795_514_402, 'c' => 49],
                    ['at' => 1_795_514_402, 'c' => 50],
                ],
                'band' => $band,
                'planned_h' => 8,
            ],
            ['readings' => [], 'band' => ['low' => 60, 'target' => 49, 'ceiling' => 43], 'planned_h' => 8],
            ['readings' => $line([[0, 49], [60, 49]]), 'band' => $band, 'planned_h' => 0.0],
        ]);
        $pot = ['watts' => 80, 'loss_w_per_k' => 1.5, 'water_kg' => 2.5];
        $ask(
            'pot',
            array_map(fn (array $of) => $of + $pot + ['hours' => 4], [
                [],
                ['watts' => 0],
                ['watts' => 400, 'hours' => 3],
                ['poured_c' => 45, 'jars_j_per_k' => 900],
                ['poured_c' => 100, 'watts' => 900, 'hours' => 2],
                ['open_m2' => 0.0],
                ['open_m2' => 0.5, 'watts' => 300],
                ['room_c' => 0, 'height_m' => 3000, 'watts' => 900, 'hours' => 2],
                ['room_c' => 45, 'humidity' => 1.0],
                ['humidity' => 0.0],
                ['vessel_j_per_k' => 0, 'jars_j_per_k' => 60, 'jars_w_per_k' => 1],
                ['jars_j_per_k' => 61, 'jars_w_per_k' => 1],
                ['jars_j_per_k' => 2000, 'jars_w_per_k' => 0],
                [
                    'water_kg' => 0,
                    'open_m2' => 0,
                    'watts' => 15,
                    'loss_w_per_k' => 0.6,
                    'vessel_j_per_k' => 600,
                    'jars_j_per_k' => 500,
                    'jars_w_per_k' => 0.3,
                ],
                ['water_kg' => 0.1, 'watts' => 300],
                ['band' => ['low' => 54, 'target' => 60, 'ceiling' => 71], 'watts' => 130],
                ['watts' => 5000.1],
                ['watts' => -0.1],
                ['loss_w_per_k' => 0.04],
                ['loss_w_per_k' => 50.1],
                ['water_kg' => 50.1],
                ['open_m2' => 0.51],
                ['room_c' => 45.1],
                ['height_m' => 6001],
                ['height_m' => -501],
                ['humidity' => 1.01],
                ['hours' => 0.09],
                ['hours' => 72.1],
                ['poured_c' => 100.1],
                ['jars_w_per_k' => 200.1],
                ['jars_j_per_k' => 100_001],
                ['vessel_j_per_k' => 50_001],
            ]),
        );
        $jar = ['brim_ml' => 505, 'height_mm' => 118, 'level_mm' => 93, 'contents_g' => 400];
        $small = ['brim_ml' => 135, 'height_mm' => 65, 'level_mm' => 50, 'contents_g' => 90];
        $cooker = fn (string $shape, float $l, float $w, float $h) => [
            'shape' => $shape,
            'length_mm' => $l,
            'width_mm' => $w,
            'height_mm' => $h,
        ];
        $ask(
            'bath',
            array_map(fn (array $of) => ['cooker' => $of[0], 'jars' => $of[1]] + ($of[2] ?? []), [
                [$cooker('round', 210, 210, 130), [$jar]],
                [$cooker('round', 210, 210, 130), [$jar, $jar, $jar]],
                [$cooker('round', 210, 210, 130), [$jar, $jar, $jar, $jar]],
                [$cooker('oval', 300, 210, 140), array_fill(0, 5, $small)],
                [$cooker('oval', 300, 210, 140), [$jar, $small, $jar]],
                [$cooker('square', 250, 180, 120), [$jar, $jar, $small]],
                [$cooker('square', 164, 82, 120), [$jar, $jar]],
                [$cooker('round', 240, 240, 220), [$jar], ['school' => 'quarter']],
                [$cooker('round', 240, 240, 220), [$jar], ['school' => 'half']],
                [$cooker('round', 240, 240, 220), [$jar], ['school' => 'none']],
                [$cooker('round', 240, 240, 80), [$jar]],
                [$cooker('round', 240, 240, 220), [['contents_g' => 20, 'level_mm' => 10] + $jar]],
                [$cooker('round', 240, 240, 220), array_fill(0, 7, $small)],
                [$cooker('oval', 320, 200, 150), [$jar, $jar, $jar, $jar, $jar]],
                [$cooker('round', 60, 60, 60), [$small]],
                [$cooker('round', 59.9, 59.9, 100), [$small]],
                [$cooker('round', 600, 600, 600), [$jar]],
                [$cooker('square', 600.1, 100, 100), [$jar]],
                [$cooker('round', 200, 210, 100), [$jar]],
                [$cooker('round', 200, 200.5, 100), [$small]],
                [$cooker('tri', 200, 200, 100), [$jar]],
                [$cooker('round', 240, 240, 220), []],
                [$cooker('round', 240, 240, 220), array_fill(0, 25, $small)],
                [$cooker('round', 240, 240, 220), [['brim_ml' => 19.9] + $jar]],
                [$cooker('round', 240, 240, 220), [$jar], ['school' => 'brim']],
            ]),
        );
        $rise = fn (float $tau, float $end, int $step, int $to) => array_map(
            fn (int $s) => ['s' => $s, 'c' => round(18 + $end * (1 - exp(-$s / $tau)), 2)],
            range(0, $to, $step),
        );
        $ask('learn', [
            [
                'water_kg' => 2.2,
                'jars_j_per_k' => 900,
                'jars_w_per_k' => 2.0,
                'open_m2' => 0.02,
                'readings' => $rise(6500, 40, 600, 14_400),
                'of' => 'oil',
            ],
            ['water_kg' => 3.0, 'readings' => $rise(9000, 35, 900, 14_400), 'of' => 'water'],
            ['water_kg' => 2.2, 'readings' => $rise(6500, 40, 600, 1200), 'of' => 'oil'],
            ['water_kg' => 2.2, 'readings' => array_fill(0, 8, ['s' => 0, 'c' => 20]), 'of' => 'oil'],
        ]);
        $sun = [
            'latitude' => 50,
            'longitude' => 0,
            'from' => '2026-06-20',
            'days' => 2,
            'jar' => ['diameter_mm' => 73.8, 'level_mm' => 93, 'oil_kg' => 0.32, 'herb_kg' => 0.07, 'glass_kg' => 0.24],
            'facing' => 180,
            'cloud' => 0.2,
        ];
        $ask(
            'sun',
            array_map(fn (array $of) => $of + $sun, [
                [],
                ['latitude' => -35],
                ['latitude' => 59.25, 'from' => '2026-12-21'],
                ['latitude' => 80, 'from' => '2026-12-21'],
                ['latitude' => 80],
                ['facing' => 90],
                ['facing' => 0],
                ['cloud' => 0],
                ['cloud' => 1],
                ['bag' => true],
                ['longitude' => 25],
                ['latitude' => 90.1],
                ['days' => 0],
                ['cloud' => 1.1],
                ['facing' => 361],
            ]),
        );
        $ask(
            'fit',
            array_map(fn (array $points) => ['looks' => array_map(fn (array $p) => ['t' => $p[0], 'y' => $p[1]], $points)], [
                [[24, 4], [72, 9], [168, 15], [340, 18]],
                [[24, 4], [72, 9]],
                [[0, 0], [24, 4], [48, 8], [72, 12]],
                [[24, 12], [72, 9], [168, 5]],
                [[12, 6], [24, 9.5], [48, 12.6], [96, 13.9], [200, 14.1]],
                [[24, 4], [24, 5], [72, 9], [168, 15]],
            ]),
        );
    }
}
