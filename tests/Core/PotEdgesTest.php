<?php

use Kettle\Caution\AcidSoak;
use Kettle\Caution\ColdStorage;
use Kettle\Caution\Facts;
use Kettle\Infusion\Methods;
use Kettle\Infusion\SpiritStart;
use Kettle\Infusion\UptakeSpread;
use Kettle\Infusion\YieldException;
use Kettle\Infusion\YieldHistory;
use Kettle\Material\Cupboard;
use Kettle\Material\State;
use Kettle\Material\Tables;
use Kettle\Vessel\BestFilling;
use Kettle\Vessel\Cooker;
use Kettle\Vessel\WaterBath;
use Kettle\Warmth\Band;
use Kettle\Warmth\Colour;
use Kettle\Warmth\Load;
use Kettle\Warmth\Pot;
use Kettle\Warmth\PotFit;
use Kettle\Warmth\PotRun;
use Kettle\Warmth\Readings;
use Kettle\Warmth\StoveLog;
use Kettle\Warmth\StoveWatch;
use Kettle\Warmth\WarmHours;
use Kettle\Warmth\WarmthException;
use Tests\Core\Support;

require_once dirname(__DIR__).'/Runs.php';

/* Where the models of the stove and the rules of safety begin, end and turn, each by hand. */

$dry = fn (array $of = []) => Pot::of(
    $of + [
        'watts' => 100.0,
        'loss_w_per_k' => 1.0,
        'water_kg' => 1.0,
        'vessel_j_per_k' => 0.0,
        'open_m2' => 0.0,
        'jars_j_per_k' => 0.0,
        'room_c' => 20.0,
    ],
);

it('begins a pot where it stands, and keeps a point each minute', function () use ($dry) {
    $none = PotRun::of($dry(), 0.0);
    expect($none->path)
        ->toBe([['s' => 0.0, 'water' => 20.0, 'oil' => 20.0, 'kg' => 1.0]])
        ->and($none->joules)
        ->toBe(['in' => 0.0, 'stored' => 0.0, 'lost' => 0.0, 'steam' => 0.0])
        ->and($none->at(500))
        ->toBe(20.0);
    $run = PotRun::of($dry(), 0.5);
    // 100 W into 4186 J/K that loses 1 W/K: T = 20 + 100 (1 - exp(-t / 4186)).
    $is = fn (float $s) => 20 + 100 * (1 - exp(-$s / 4186));
    expect(array_column($run->path, 's'))->toEqual(range(0, 1800, 60));
    foreach ([0, 60, 90, 600, 1799, 1800, 4000] as $s) {
        expect($run->at($s, 'water'))->toEqualWithDelta($is(min($s, 1800)), 0.05);
    }
    expect($run->reaches(40.0))
        ->toEqualWithDelta(-4186 * log(0.8), 2.0)
        ->and($run->reaches(90.0))
        ->toBeNull()
        ->and(losesBy($run, 0.001))
        ->toBeNull();
    // A run shorter than a point keeps is its beginning and nothing else.
    expect(PotRun::of($dry(), 30 / 3600)->at(30))->toBe(20.0);
});

it('keeps its heat: what comes in is stored, lost and steamed away, also at the boil', function (array $of, float $hours) use ($dry) {
    $run = PotRun::of($dry($of), $hours);
    $joules = $run->joules;
    expect($joules['stored'] + $joules['lost'] + $joules['steam'])
        ->toEqualWithDelta($joules['in'], 0.004 * $joules['in'] + 1)
        ->and($joules['in'])
        ->toEqualWithDelta($run->pot->watts * $hours * 3600, 1e-6)
        ->and($joules['lost'])
        ->toBeGreaterThan(0.0)
        ->and($run->peak())
        ->toBeLessThanOrEqual($run->pot->boilsAt() + 1e-9);
})->with([
    [['watts' => 200.0], 1.0],
    [['watts' => 1500.0, 'open_m2' => 0.03], 0.6],
    [['watts' => 800.0, 'open_m2' => 0.03, 'jars_j_per_k' => 900.0, 'jars_w_per_k' => 3.0], 1.5],
    [['watts' => 60.0, 'open_m2' => 0.02, 'vessel_j_per_k' => 2500.0], 6.0],
]);

it('loses so much water at a moment, and not before', function () use ($dry) {
    // At the boil 1500 W, less some 80 W to the room, take 0.63 g a second.
    $run = PotRun::of($dry(['watts' => 1500.0, 'open_m2' => 0.0]), 0.5);
    $boils = $run->reaches($run->pot->boilsAt() - 0.01);
    $at = losesBy($run, 0.1);
    expect($at)
        ->toEqualWithDelta($boils + (0.1 * 2_256_400) / 1420, 65.0)
        ->and(losesBy($run, 0.0))
        ->toBe(0.0)
        ->and(losesBy($run, 0.96))
        ->toBeNull();
});

it('takes readings as far as a pot goes, to the hundredth, and each second once', function () {
    $read = fn (array $rows) => Readings::read($rows, 1_795_000_000, 1_795_600_000);
    expect(
        $read([
            ['at' => 1_795_514_400, 'c' => -30],
            ['at' => 1_795_514_401, 'c' => 150],
            ['at' => '1795514402', 'c' => 48.126],
            ['at' => ' 2026-11-24 10:00:03Z ', 'f' => 120],
            ['at' => '2026-11-24T10:00:04.5+00:00', 'c' => '49,5'],
        ])['taken'],
    )->toEqual([1_795_514_400 => -30.0, 1_795_514_401 => 150.0, 1_795_514_402 => 48.13, 1_795_514_403 => 48.89, 1_795_514_404 => 49.5]);
    $no = $read([
        ['at' => 1_795_514_400, 'c' => -30.01],
        ['at' => 1_795_514_401, 'c' => 150.01],
        ['at' => '2026-11-24 10:00', 'c' => 20],
        ['at' => 1_794_999_999, 'c' => 20],
        ['at' => 1_795_700_000, 'c' => 20],
        'x',
    ]);
    expect($no['taken'])
        ->toBe([])
        ->and(array_column($no['refused'], 'row'))
        ->toBe([0, 1, 2, 3, 4, 5])
        ->and($read([['at' => 1_795_514_400, 'c' => 49], ['at' => 1_795_514_400, 'c' => 50]]))
        ->toMatchArray(['taken' => [1_795_514_400 => 49.0], 'doubled' => 1]);
});

it('goes on gathering from what was kept as if it had not stopped', function () {
    $band = Band::of(43, 49, 60);
    $readings = [[0, 44.0], [600, 49.0], [1200, 61.0], [5000, 50.0], [5600, 48.0], [9000, 47.0]];
    for ($cut = 0; $cut <= count($readings); $cut++) {
        $first = WarmHours::over(array_slice($readings, 0, $cut), $band, WarmHours::REACH_SELDOM);
        $on = WarmHours::goingOn($first->toArray(), $band, WarmHours::REACH_SELDOM);
        foreach (array_slice($readings, $cut) as [$at, $celsius]) {
            $on->take($at, $celsius);
        }
        expect($on->toArray())->toEqual(WarmHours::over($readings, $band, WarmHours::REACH_SELDOM)->toArray(), "cut at {$cut}");
    }
    expect(WarmHours::goingOn([], $band)->toArray())->toBe([
        'hours' => 0.0,
        'plain' => 0.0,
        'over_s' => 0.0,
        'gap_s' => 0.0,
        'seldom' => 0.0,
        'peak' => null,
        'from' => null,
        'last' => null,
        'last_c' => 0.0,
        'count' => 0,
    ]);
});

it('learns from a warm-up that is long, warm and cold enough at its beginning', function () use ($dry) {
    $log = fn (int $span, float $rise, int $points = 8) => array_map(
        fn (int $i) => [($i * $span) / ($points - 1), 20 + ($rise * (1 - exp((-3 * $i) / ($points - 1)))) / (1 - exp(-3.0))],
        range(0, $points - 1),
    );
    $pot = $dry(['water_kg' => 2.0]);
    $learns = fn (array $log) => PotFit::through($pot, $log)->watts > 0;
    expect($learns($log(7200, 40.0)))
        ->toBeTrue()
        ->and($learns($log(1200, 8.0)))
        ->toBeTrue()
        ->and(fn () => $learns($log(1199, 8.0)))
        ->toThrow(WarmthException::class)
        ->and(fn () => $learns($log(7200, 1.0)))
        ->toThrow(WarmthException::class)
        // Begun at any hour of the clock it is the same.
        ->and(PotFit::through($pot, array_map(fn (array $r) => [$r[0] + 5000, $r[1]], $log(7200, 40.0)))->watts)
        ->toEqualWithDelta(PotFit::through($pot, $log(7200, 40.0))->watts, 1e-6);
});

it('says water is low at the mark and not above it', function () {
    $log = StoveLog::of(Band::of(43, 49, 60), 0.03, 1.0);
    $log->take(0, 49.0, 0);
    $said = fn (float $ml) => array_column(
        (new StoveWatch(Band::of(43, 49, 60), fn (float $c) => "{$c}"))->alarms(
            [
                'now' => 60,
                'on' => true,
                'switched_at' => 0,
                'shaken_at' => 60,
                'shake_every_s' => null,
                'by_eye' => true,
                'dry' => false,
                'water_ml' => $ml,
                'low_ml' => 1500.0,
                'loses_ml_s' => 0.0,
            ],
            $log,
            [],
        ),
        'id',
    );
    expect($said(1500.0))
        ->toBe(['water-low'])
        ->and($said(1500.5))
        ->toBe([]);
    // Water over the boil is reckoned as at 99 C, the last that evaporates; at freezing none does.
    $hot = fn (float $celsius) => (function () use ($celsius): float {
        $log = StoveLog::of(Band::of(43, 49, 60), 0.03, 1.0);
        $log->take(0, $celsius, 0);
        $log->take(600, $celsius, 0);

        return $log->lostSinceFill(600);
    })();
    expect($hot(99.0))->toEqualWithDelta($hot(120.0), 1e-12)->and($hot(98.0))->toBeLessThan($hot(99.0))->and($hot(0.0))->toBe(0.0);
});

it('sees colour by the published matrix, also in the dark, and round the circle', function () {
    // White is L 100; a black of 5 in 255 lies on the straight part: Y = 5/255/12.92 = 0.00152, L = 903.3 Y = 1.37 (CIE 1976, from memory).
    expect(Colour::sRgb([5.0, 5.0, 5.0])->l)
        ->toEqualWithDelta(1.37, 0.02)
        ->and(Colour::sRgb([255.0, 255.0, 255.0])->l)
        ->toEqualWithDelta(100.0, 0.01)
        // A card that is burnt out in one channel only is a card yet; in all three it says nothing.
        ->and(Colour::sRgb([100.0, 100.0, 100.0], [255.0, 230.0, 200.0])->l)
        ->toBeGreaterThan(40.0)
        ->and(fn () => Colour::sRgb([100.0, 100.0, 100.0], [255.0, 255.0, 255.0]))
        ->toThrow(WarmthException::class);
});

it('floats a jar at nine tenths of what bears it, and draws its bed', function () {
    $deep = Cooker::measured('a', 'deep', 'round', 240, 240, 220);
    $light = [
        'called' => 'jar',
        'brim_ml' => 505.0,
        'height_mm' => 118.0,
        'diameter_mm' => 74.0,
        'level_mm' => 20.0,
        'bed_mm' => 15.0,
        'contents_g' => 60.0,
    ];
    $bath = WaterBath::of($deep, [$light]);
    // Glass and contents over 0.988 g/mL and the foot's 80 mm: g * 1000 / (0.988 * 5026.5), nine tenths of it.
    $grams = WaterBath::glassG(74.0, 118.0) + 60.0;
    expect($bath->heldByFloating)
        ->toBeTrue()
        ->and($bath->fullMm)
        ->toEqualWithDelta((0.9 * $grams * 1000) / (((0.988 * M_PI) / 4) * 80 ** 2), 1e-6)
        ->and($bath->jars[0]['bed'])
        ->toBe(18.0)
        ->and($bath->jars[0]['level'])
        ->toBe(23.0);
});

it('soaks by weight, has its hours, and keeps its days', function () {
    $cupboard = new Cupboard(Tables::shipped());
    // Garlic, 1 part to 3 of a 3 % solution: 100 g stand in 300 g, 9 g of acid and 291 of water (PNW 664).
    $soak = AcidSoak::for($cupboard->herbs()['garlic'], 100.0);
    expect($soak->acidG)
        ->toEqualWithDelta(9.0, 1e-9)
        ->and($soak->waterG)
        ->toEqualWithDelta(291.0, 1e-9)
        ->and($soak->solutionG())
        ->toEqualWithDelta(300.0, 1e-9);
    $at = fn (string $hour) => new DateTimeImmutable("2026-11-24T{$hour}Z");
    // Four hours from the oil going on, to the minute; four days where it was in time, and the four hours where it was not.
    expect(ColdStorage::isWarmTooLong($at('10:00'), $at('14:00'), $at('18:00')))
        ->toBeFalse()
        ->and(ColdStorage::isWarmTooLong($at('10:00'), $at('14:01'), $at('18:00')))
        ->toBeTrue()
        ->and(ColdStorage::goodUntil($at('10:00'), $at('14:00'))->format('d H:i'))
        ->toBe('28 10:00')
        ->and(ColdStorage::goodUntil($at('10:00'), $at('14:01'))->format('d H:i'))
        ->toBe('24 14:00')
        ->and(ColdStorage::goodUntil($at('10:00'), null)->format('d H:i'))
        ->toBe('24 14:00');
    // 15 to 30 mL of spirit for 28 g, 22 between.
    expect(SpiritStart::ml(28.0))
        ->toBe(['low' => 15.0, 'value' => 22.0, 'high' => 30.0])
        ->and(SpiritStart::LEAST_PERCENT)
        ->toBe(50);
});

it('knows a drying oil, an allergen by name, and wet herb that is', function () {
    $cupboard = new Cupboard(Tables::shipped());
    $method = Methods::of(Tables::shipped())->method('cold');
    $of = fn (?float $iodine = null, array $lots = [], array $oils = [], array $herbs = []) => Facts::of(
        'skin',
        ColdStorage::SHELF,
        $herbs,
        $oils,
        $iodine,
        $method,
        'drained',
        lots: $lots,
    );
    $lot = fn (array $allergens) => ['called' => 'x', 'food' => true, 'how' => '', 'allergens' => $allergens];
    expect($of(130.0)->has('drying-oil'))
        ->toBeFalse()
        ->and($of(130.1)->has('drying-oil'))
        ->toBeTrue()
        ->and($of()->has('drying-oil'))
        ->toBeFalse();
    $almond = ['carrier' => $cupboard->carrier('sweet-almond'), 'share' => 1.0];
    $said = fn (Facts $facts) => Kettle\Caution\Cautions::of(Tables::shipped())->all() === []
        ? ''
        : array_column(
            array_map(
                fn ($rule) => ['id' => $rule->id, 'says' => Support::said($rule->says($facts))],
                Kettle\Caution\Cautions::of(Tables::shipped())->holding($facts),
            ),
            'says',
            'id',
        )['allergens'];
    expect($said($of(null, [$lot(['tree nuts', 'soya'])], [$almond])))
        ->toStartWith('Contains almond (tree nuts) and soya.')
        ->and($said($of(null, [$lot(['tree nuts'])])))
        ->toStartWith('Contains tree nuts.');
    // One wet herb of two that share a trait makes the trait wet, whichever comes first.
    $herb = fn (string $state) => ['plant' => $cupboard->herbs()['chilli'], 'state' => State::from($state)];
    foreach ([['fresh', 'dried'], ['dried', 'fresh']] as [$a, $b]) {
        expect($of(herbs: [$herb($a), $herb($b)])->has('wet-trait:'.$cupboard->herbs()['chilli']->traits[0]))->toBeTrue();
    }
});

it('learns from four batches on what is odd, and from no figure that cannot be', function () {
    $spread = UptakeSpread::of(Tables::shipped());
    expect($spread)
        ->toBeInstanceOf(UptakeSpread::class)
        ->and(YieldHistory::uptake(100_000.0, 90_000.0, 10_000.0, 0.0))
        ->toEqualWithDelta(1.0, 1e-9)
        ->and(fn () => YieldHistory::uptake(100_000.5, 90_000.0, 10_000.0, 0.0))
        ->toThrow(YieldException::class);
});

it('keeps a load as it is, under it or not', function () {
    // A wall of 74 mm round and 50 high, and the foot of it.
    expect(Load::wetMm2(74.0, 50.0, false))
        ->toEqualWithDelta(M_PI * 74 * 50, 1e-9)
        ->and(Load::wetMm2(74.0, 50.0, true))
        ->toEqualWithDelta(M_PI * 74 * 50 + (M_PI / 4) * 74 ** 2, 1e-9)
        ->and(BestFilling::MOST_ML)
        ->toBe(20_000.0);
});
