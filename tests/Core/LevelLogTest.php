<?php

declare(strict_types=1);

use Kettle\Decoction\BoilDays;
use Kettle\Decoction\BoilingPot;
use Kettle\Decoction\LevelLog;
use Kettle\Diary\Availability;

require_once dirname(__DIR__).'/Boiled.php';

// scipy.stats.linregress and the t interval of its slope at 90 %, in Python, on the same marks.
it('learns the rate by least squares as a general library does', function () {
    mt_srand(11);
    for ($round = 0; $round < 6; $round++) {
        $marks = [];
        for ($i = 0, $n = mt_rand(3, 30); $i < $n; $i++) {
            $marks[] = ['h' => $i * 0.7, 'ml' => 9600 - 430 * $i * 0.7 + mt_rand(-30, 30)];
        }
        $log = LevelLog::of($marks, BoilingPot::measured(600, 300));
        $theirs = python(
            sprintf(
                'import json; from scipy import stats; m=json.loads(\'%s\'); '.
                    'r=stats.linregress([x["h"] for x in m],[x["ml"] for x in m]); '.
                    't=stats.t.ppf(.95,len(m)-2); print(json.dumps([-r.slope,r.intercept,-r.slope-t*r.stderr,-r.slope+t*r.stderr]))',
                json_encode($marks),
            ),
        );
        $rate = $log->rate();
        expect($rate['value'])
            ->toEqualWithDelta($theirs[0], 1e-6)
            ->and($log->startMl)
            ->toEqualWithDelta($theirs[1], 1e-5)
            // The half of its range, by a table of t to a thousandth.
            ->and(($rate['high'] - $rate['low']) / ($theirs[3] - $theirs[2]))
            ->toEqualWithDelta(1.0, 0.001);
    }
});

it('foretells the end with a range that holds it nine times in ten', function () {
    mt_srand(3);
    $held = 0;
    for ($round = 0; $round < 300; $round++) {
        $marks = [];
        for ($i = 0; $i < 8; $i++) {
            // Twelve throws of a die are near enough a normal.
            $noise = array_sum(array_map(fn () => mt_rand(0, 1000) / 1000, range(1, 12))) - 6;
            $marks[] = ['h' => $i * 1.0, 'ml' => 9600 - 420 * $i + 25 * $noise];
        }
        $end = LevelLog::of($marks, BoilingPot::measured(600, 300))->end(2400);
        $held += $end['low'] <= 7200 / 420 && 7200 / 420 <= $end['high'] ? 1 : 0;
    }
    expect($held)->toBeGreaterThan(255)->toBeLessThan(290);
});

it('is longer in doubt than it is short, and has no end where the marks do not bound one', function () {
    $of = fn (array $ml) => LevelLog::of(array_map(fn (float $each, int $h) => ['h' => (float) $h, 'ml' => $each], $ml, array_keys($ml)));
    // By hand, Fieller: of 1000, 880, 820 and 700 the slope is -96, s = sqrt(360), t = 2.920 and g = 0.0666; at nothing after
    // 10.354 h, between 8.520 and 13.452.
    $end = $of([1000.0, 880.0, 820.0, 700.0])->end(0.0);
    expect($end['value'])
        ->toEqualWithDelta(10.354, 0.001)
        ->and($end['low'])
        ->toEqualWithDelta(8.52, 0.003)
        ->and($end['high'])
        ->toEqualWithDelta(13.452, 0.003)
        ->and($of([1000.0, 999.0, 700.0, 699.0])->end(0.0)['high'])
        ->toBeNull();
});

it('does not take more of a day than was said, however the day is broken', function () {
    $zone = new DateTimeZone('Europe/London');
    $day = fn (string $at) => new DateTimeImmutable($at, $zone);
    // Away from eleven to three: two stretches of the first day, and no third hour too many.
    $there = Availability::between('07:00', '21:00')->without([[$day('2026-11-25 11:00'), $day('2026-11-25 15:00')]]);
    $days = BoilDays::lay(9.0, 6.0, $day('2026-11-25 07:00'), $there);
    $said = array_map(fn ($each) => $each->from->format('j H:i').' to '.$each->to->format('H:i'), $days);
    expect($said)->toBe(['25 07:00 to 11:00', '25 15:00 to 17:00', '26 07:00 to 10:00']);
});

it('has no range of two marks, and says nothing it does not know', function () {
    $level = boiled('level', ['marks' => [['h' => 0, 'g' => 5000], ['h' => 2, 'g' => 4100]], 'end_g' => 1000]);
    expect($level['ml_per_hour'])
        ->toBe(['low' => null, 'value' => 450.0, 'high' => null])
        ->and($level['more_h']['value'])
        ->toEqualWithDelta(3100 / 450, 0.001)
        ->and($level['left_ml'])
        ->toEqualWithDelta(3100.0, 0.001);
});

// The four signs, common practice, no source: each by hand, for oil and for butterfat.
it('is done when four signs agree, and says why not', function (array $seen, string $verdict, array $why, ?string $firmness) {
    $found = boiled('done', $seen);
    expect([$found['verdict'], array_column($found['why'], 'id'), $found['firmness']])->toBe([$verdict, $why, $firmness]);
    foreach ([$found['says'], ...array_column($found['why'], 'says')] as $says) {
        expect($says)->not->toBe('');
    }
})->with([
    'all four' => [['flame' => 'quiet', 'froth' => 'stands', 'wick' => 'rolls', 'senses' => 'right'], 'done', [], 'middle'],
    'all four of butterfat' => [
        ['flame' => 'quiet', 'froth' => 'none', 'wick' => 'rolls', 'senses' => 'right', 'fat' => 'butterfat'],
        'done',
        [],
        'middle',
    ],
    'froth on butterfat' => [
        ['flame' => 'quiet', 'froth' => 'stands', 'wick' => 'rolls', 'senses' => 'right', 'fat' => 'butterfat'],
        'not-yet',
        ['froth-butterfat'],
        'middle',
    ],
    'three and nobody looked' => [['flame' => 'quiet', 'froth' => 'stands', 'wick' => 'rolls'], 'not-yet', ['look-senses'], 'middle'],
    'water in it' => [
        ['flame' => 'crackles', 'froth' => 'none', 'wick' => 'sticks', 'senses' => 'raw'],
        'not-yet',
        ['flame-crackles', 'froth-oil', 'wick-sticks', 'senses-raw'],
        null,
    ],
    'moist still' => [
        ['flame' => 'quiet', 'froth' => 'stands', 'wick' => 'breaks', 'senses' => 'right'],
        'not-yet',
        ['wick-breaks'],
        'soft',
    ],
    'crumbled' => [['flame' => 'quiet', 'froth' => 'stands', 'wick' => 'crumbles', 'senses' => 'right'], 'past', ['wick-crumbles'], 'hard'],
    'burnt' => [['flame' => 'quiet', 'froth' => 'stands', 'wick' => 'rolls', 'senses' => 'burnt'], 'past', ['senses-burnt'], 'middle'],
    'nothing looked at' => [[], 'not-yet', ['look-flame', 'look-froth', 'look-wick', 'look-senses'], null],
]);
