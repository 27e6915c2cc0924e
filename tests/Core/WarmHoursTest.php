<?php

use Kettle\Warmth\Band;
use Kettle\Warmth\WarmHours;
use Kettle\Warmth\WarmthException;

/** Readings each so many seconds. @param  list<float>  $celsius @return list<array{int, float}> */
function readings(array $celsius, int $every = 600): array
{
    return array_map(fn (int $i, float $c) => [1_700_000_000 + $i * $every, $c], array_keys($celsius), $celsius);
}

it('counts an hour at the target as an hour', function () {
    $hours = WarmHours::over(readings(array_fill(0, 13, 49.0)), Band::about(49, 60));
    expect($hours->hours())
        ->toEqualWithDelta(2.0, 1e-9)
        ->and($hours->plainHours())
        ->toEqualWithDelta(2.0, 1e-9)
        ->and($hours->peak())
        ->toBe(49.0)
        ->and($hours->minutesOver())
        ->toBe(0.0);
});

/*
 * Q10 = 2 about the target (common rule): an hour at 59 counts for two, one at 44 for 2^-0.5 = 0.7071; below
 * the band it counts for nothing.
 */
it('weighs warmth by ten degrees doubling the rate', function (float $celsius, float $hours) {
    expect(WarmHours::over(readings(array_fill(0, 7, $celsius)), Band::of(43, 49, 60))->hours())->toEqualWithDelta($hours, 1e-4);
})->with([[59.0, 2.0], [49.0, 1.0], [44.0, 0.7071], [42.9, 0.0], [20.0, 0.0], [61.0, 0.0]]);

it('counts a rise through the band by its integral, as SciPy does', function () {
    $theirs = python(
        'import json; from scipy.integrate import quad; print(json.dumps(quad(lambda s: 2**((20+40*s/3600-49)/10) '.
            'if 43 <= 20+40*s/3600 <= 60 else 0, 0, 3600, points=[2070], limit=200)[0]/3600))',
    );
    // From 20 to 60 C in an hour, straight: warm from 43 C on.
    expect(WarmHours::over([[0, 20.0], [1800, 40.0], [3600, 60.0]], Band::of(43, 49, 60), 3600)->hours())->toEqualWithDelta($theirs, 1e-6);
});

it('counts the minutes over the ceiling, and the peak', function () {
    // From 55 to 65 in ten minutes passes 60 half way; ten minutes at 65; down again.
    $hours = WarmHours::over(readings([55.0, 65.0, 65.0, 55.0]), Band::of(43, 49, 60));
    expect($hours->minutesOver())->toEqualWithDelta(20.0, 1e-9)->and($hours->peak())->toBe(65.0);
});

it('counts no gap as warm', function () {
    $hours = WarmHours::over([[0, 49.0], [600, 49.0], [20_000, 49.0], [20_600, 49.0]], Band::about(49, 60));
    expect($hours->hours())
        ->toEqualWithDelta(1200 / 3600, 1e-9)
        ->and($hours->gapMinutes())
        ->toEqualWithDelta(19_400 / 60, 1e-9);
});

it('comes to the same however the log is cut', function () {
    mt_srand(2);
    $all = array_map(fn (int $i) => [$i * 60, 49 + 10 * sin($i / 40) + mt_rand(-10, 10) / 10], range(0, 600));
    $whole = WarmHours::over($all, Band::of(43, 49, 60));
    $one = WarmHours::over(array_slice($all, 0, 301), Band::of(43, 49, 60));
    $two = WarmHours::over(array_slice($all, 300), Band::of(43, 49, 60));
    expect($one->hours() + $two->hours())
        ->toEqualWithDelta($whole->hours(), 1e-9)
        ->and($one->minutesOver() + $two->minutesOver())
        ->toEqualWithDelta($whole->minutesOver(), 1e-9);
});

it('takes a log of any length in a little memory', function () {
    $log = (function () {
        for ($i = 0; $i < 200_000; $i++) {
            yield [$i * 10, 49.0 + ($i % 7) / 10];
        }
    })();
    $before = memory_get_usage();
    expect(WarmHours::over($log, Band::about(49, 60))->count())
        ->toBe(200_000)
        ->and(memory_get_usage() - $before)
        ->toBeLessThan(1_000_000);
});

it('refuses a log that cannot be', function (array $readings, string $says) {
    expect(fn () => WarmHours::over($readings, Band::about(49, 60)))->toThrow(WarmthException::class, $says);
})->with([
    'backwards' => [[[600, 49.0], [0, 49.0]], 'in the order of their times'],
    'doubled' => [[[600, 49.0], [600, 49.0]], 'each once'],
    '900 degrees' => [[[0, 900.0]], 'Fahrenheit'],
    'Fahrenheit' => [[[0, 160.0]], 'Fahrenheit'],
    'no number' => [[[0, NAN]], 'not of this pot'],
]);

it('refuses a band that is none', function (float $low, float $target, float $ceiling) {
    expect(fn () => Band::of($low, $target, $ceiling))->toThrow(WarmthException::class);
})->with([[50.0, 49.0, 60.0], [43.0, 61.0, 60.0], [-5.0, 10.0, 20.0], [43.0, 49.0, 500.0], [NAN, 49.0, 60.0]]);

// Worked by hand, of a band with its ceiling at 60 C; a reading stands for half the way to each neighbour at the least.
it('tells every reading over the ceiling, however far apart they are', function (array $readings, float $minutes) {
    $hours = Kettle\Warmth\WarmHours::over(
        array_map(fn (array $r) => [$r[0] * 60, (float) $r[1]], $readings),
        Kettle\Warmth\Band::of(43, 49, 60),
        5400,
    );
    expect($hours->minutesOver())->toEqualWithDelta($minutes, 1e-6);
})->with([
    'a peak between two, a quarter of an hour each way' => [[[0, 50], [15, 61], [30, 50]], 15.0],
    'alone, hours from any other: three quarters of an hour each way' => [[[0, 50], [300, 70], [600, 50]], 90.0],
    'the only one there is' => [[[0, 70]], 1.0],
    'all of an hour' => [[[0, 65], [30, 65], [60, 65]], 60.0],
    'none' => [[[0, 60], [30, 60]], 0.0],
]);

it('gives an hourly cook her hours, with a wider range, and breaks where she stopped', function () {
    $hourly = array_map(fn (int $i) => [$i * 3600, 49.0], range(0, 8));
    $reach = Kettle\Warmth\WarmHours::reachOf($hourly);
    $hours = Kettle\Warmth\WarmHours::over($hourly, Kettle\Warmth\Band::of(43, 49, 60), $reach);
    expect($reach)
        ->toBe(5760)
        ->and($hours->hours())
        ->toEqualWithDelta(8.0, 1e-9)
        ->and($hours->range())
        ->toBe(['low' => 4.0, 'high' => 10.0]);
    $minutely = array_map(fn (int $i) => [$i * 60, 49.0], range(0, 60));
    expect(Kettle\Warmth\WarmHours::reachOf($minutely))->toBe(1800);
    $dense = Kettle\Warmth\WarmHours::over($minutely, Kettle\Warmth\Band::of(43, 49, 60));
    expect($dense->range()['low'])->toBe($dense->hours());
    // Two hours without a word in an hourly log are a gap.
    $gap = [...$hourly, [8 * 3600 + 3 * 3600, 49.0]];
    expect(
        Kettle\Warmth\WarmHours::over($gap, Kettle\Warmth\Band::of(43, 49, 60), Kettle\Warmth\WarmHours::reachOf($gap))->gapMinutes(),
    )->toBe(180.0);
});
