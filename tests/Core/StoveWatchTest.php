<?php

use Kettle\Warmth\Air;
use Kettle\Warmth\Band;
use Kettle\Warmth\StoveLog;
use Kettle\Warmth\StoveWatch;

function bandOf(): Band
{
    return Band::of(43, 49, 60);
}

/** @param  list<array{int, float}>  $readings */
function logOf(array $readings, float $openM2 = 0.03, ?int $filledAt = null): StoveLog
{
    $log = StoveLog::of(bandOf(), $openM2, 1.0);
    foreach ($readings as [$at, $celsius]) {
        $log->take($at, $celsius, $filledAt);
    }

    return $log;
}

/**
 * @param  array<string, mixed>  $pot
 * @param  list<array<string, mixed>>|null  $jars
 * @return array<string, string> ranks by id
 */
function saidOf(StoveLog $log, array $pot, ?array $jars = null): array
{
    $alarms = (new StoveWatch(bandOf(), fn (float $c) => round($c).' °C'))->alarms(
        [
            ...[
                'now' => 10_000,
                'on' => true,
                'switched_at' => 0,
                'dry' => false,
                'shaken_at' => 10_000,
                'shake_every_s' => 7200,
                'by_eye' => false,
                'water_ml' => 2000.0,
                'low_ml' => 1500.0,
                'loses_ml_s' => 0.01,
            ],
            ...$pot,
        ],
        $log,
        $jars ?? [['called' => 'vanilla', 'had_h' => 2.0, 'planned_h' => 8.0, 'out' => false]],
    );
    foreach ($alarms as $alarm) {
        expect($alarm['says'])->toMatch('/[.?]$/');
    }

    return array_column($alarms, 'rank', 'id');
}

it('says of a pot what must be said, and no more', function (array $readings, array $pot, array $said) {
    expect(saidOf(logOf($readings), $pot))->toBe($said);
})->with([
    'all is well' => [[[9000, 49], [9990, 49]], [], []],
    'over the ceiling' => [[[9000, 58], [9990, 60.5]], [], ['too-warm' => 'stop']],
    'near the ceiling' => [[[9000, 55], [9990, 58]], [], ['near' => 'care']],
    'cold, and long enough on to be warm' => [[[100, 49], [9990, 40]], [], ['too-cold' => 'care']],
    'cold, but only just on' => [[[9900, 20], [9990, 21]], ['switched_at' => 9800], []],
    'cold, and off' => [[[9000, 49], [9990, 35]], ['on' => false], []],
    'silent for six minutes' => [[[9000, 49], [9640, 49]], [], ['lost' => 'stop']],
    'silent, and off' => [[[9000, 49], [9640, 49]], ['on' => false], []],
    'never heard at all' => [[], ['water_ml' => null], ['lost' => 'stop']],
    'by eye, an hour ago' => [[[5000, 49], [6000, 49]], ['by_eye' => true], ['look' => 'care']],
    'by eye, ten minutes ago' => [[[5000, 49], [9400, 49]], ['by_eye' => true], []],
    'water low' => [[[9000, 49], [9990, 49]], ['water_ml' => 1400.0], ['water-low' => 'stop']],
    'water low in twenty minutes' => [[[9000, 49], [9990, 49]], ['water_ml' => 1512.0], ['water-soon' => 'care']],
    'water low, but off' => [[[9000, 49], [9990, 49]], ['water_ml' => 1400.0, 'on' => false], []],
    'to be shaken' => [[[9000, 49], [9990, 49]], ['shaken_at' => 2000], ['shake' => 'note']],
    'never to be shaken' => [[[9000, 49], [9990, 49]], ['shaken_at' => 2000, 'shake_every_s' => null], []],
    'worst first' => [
        [[9000, 55], [9990, 61]],
        ['shaken_at' => 2000, 'water_ml' => 1512.0],
        ['too-warm' => 'stop', 'water-soon' => 'care', 'shake' => 'note'],
    ],
]);

it('tells which jar has its hours, and asks nothing for those that are out', function () {
    $log = logOf([[9000, 49], [9990, 49]]);
    expect(
        saidOf(
            $log,
            [],
            [
                ['called' => 'a', 'had_h' => 8.0, 'planned_h' => 8.0, 'out' => false],
                ['called' => 'b', 'had_h' => 1.0, 'planned_h' => 8.0, 'out' => false],
            ],
        ),
    )
        ->toBe(['done' => 'note'])
        ->and(saidOf($log, ['shaken_at' => 0], [['called' => 'a', 'had_h' => 8.0, 'planned_h' => 8.0, 'out' => true]]))
        ->toBe([]);
});

it('tells when it will be done at the warmth it has', function () {
    expect(StoveWatch::doneIn(logOf([[0, 49], [60, 49]]), 4))
        ->toEqualWithDelta(4 * 3600, 1e-6)
        // Ten degrees over the target it goes twice as fast, by the common rule.
        ->and(StoveWatch::doneIn(logOf([[0, 59], [60, 59]]), 4))
        ->toEqualWithDelta(2 * 3600, 1e-6)
        ->and(StoveWatch::doneIn(logOf([[0, 30], [60, 30]]), 4))
        ->toBeNull()
        ->and(StoveWatch::doneIn(logOf([]), 4))
        ->toBeNull()
        ->and(StoveWatch::doneIn(logOf([[0, 30], [60, 30]]), 0))
        ->toBe(0.0);
});

it('loses water as ASHRAE has it, goes on for some hours unmeasured, and begins anew when filled', function () {
    $hour = Air::evaporation(0.03, 50, 1.0) * 3600;
    $log = logOf(array_map(fn (int $i) => [$i * 600, 50.0], range(0, 6)));
    expect($log->lostSinceFill(3600))
        ->toEqualWithDelta($hour, 1e-9)
        ->and($log->rate())
        ->toEqualWithDelta($hour / 3600, 1e-12)
        ->and($log->lostSinceFill(2 * 3600))
        ->toEqualWithDelta(2 * $hour, 1e-9)
        // Nobody measured since: four hours are counted, not a night.
        ->and($log->lostSinceFill(20 * 3600))
        ->toEqualWithDelta(5 * $hour, 1e-9);
    $log->filled(2 * 3600);
    expect($log->lostSinceFill(2 * 3600))->toEqualWithDelta(0, 1e-12)->and($log->lostSinceFill(3 * 3600))->toEqualWithDelta($hour, 1e-9);
    expect(StoveLog::of(bandOf(), 0.03, 1.0)->rate())
        ->toBe(0.0)
        ->and(StoveLog::of(bandOf(), 0.03, 1.0)->lostSinceFill(5000))
        ->toBe(0.0)
        // A frozen thermometer is no boiling pot.
        ->and(logOf([[0, -10], [3600, -10]])->lostSinceFill(3600))
        ->toBe(0.0);
});

it('goes on from what it kept, filled or not, as if it had been one log', function () {
    $readings = array_map(fn (int $i) => [$i * 300, 44 + 6 * sin($i / 5)], range(0, 80));
    $whole = logOf($readings, filledAt: 6000);
    $parts = StoveLog::of(bandOf(), 0.03, 1.0);
    foreach ($readings as $reading) {
        $parts = StoveLog::of(bandOf(), 0.03, 1.0, stored: (array) json_decode((string) json_encode($parts->toArray()), true));
        $parts->take($reading[0], $reading[1], 6000);
    }
    expect($parts->toArray())
        ->toEqualWithDelta($whole->toArray(), 1e-9)
        ->and($parts->lostSinceFill(24_000))
        ->toEqualWithDelta($whole->lostSinceFill(24_000), 1e-9)
        ->and($whole->lostSinceFill(24_000))
        ->toBeLessThan(logOf($readings)->lostSinceFill(24_000));
});
