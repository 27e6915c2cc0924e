<?php

use Kettle\Diary\Availability;
use Kettle\Diary\CookerDiary;
use Kettle\Diary\CookerJob;
use Kettle\Diary\CookerPlace;
use Kettle\Diary\Event;
use Kettle\Diary\Progress;
use Kettle\Diary\Routine;
use Kettle\Diary\Task;
use Kettle\Infusion\Methods;
use Kettle\Material\Tables;
use Kettle\Vessel\Cooker;
use Kettle\Vessel\WaterBath;
use Kettle\Warmth\Band;
use Kettle\Warmth\WarmHours;

/* Where a figure stops or turns: each by hand, so that a sign or a bound the wrong way round is seen. */

/** @return array<string, mixed> a jar for a bath */
function bathJar(array $of = []): array
{
    return $of + [
        'called' => 'jar',
        'brim_ml' => 505.0,
        'height_mm' => 118.0,
        'diameter_mm' => 74.0,
        'level_mm' => 93.0,
        'bed_mm' => 70.0,
        'contents_g' => 420.0,
    ];
}

it('marks where water is topped up: an inch under full, half of the oil, a fifth of the water, whichever is higher and lower', function () {
    $deep = Cooker::measured('a', 'deep', 'round', 240, 240, 220);
    // 118 mm inside and 3 of glass above and below is 124; an inch under that 98.6. An inch lost is 73.2, half of the oil
    // (93 + 3) / 2 = 48.
    $bath = WaterBath::of($deep, [bathJar()]);
    expect($bath->fullMm)->toEqualWithDelta(98.6, 1e-9)->and($bath->lowMm)->toEqualWithDelta(73.2, 1e-9);
    // A quarter of the way up is 31: half of the oil lies above that, and so the fifth that may be lost decides, 24.8.
    $quarter = WaterBath::of($deep, [bathJar()], 'quarter');
    expect($quarter->fullMm)->toEqualWithDelta(31.0, 1e-9)->and($quarter->lowMm)->toEqualWithDelta(24.8, 1e-9);
    // In a shallow cooker the water ends 15 mm under its own rim.
    expect(WaterBath::of(Cooker::measured('b', 'shallow', 'round', 240, 240, 80), [bathJar()])->fullMm)->toEqualWithDelta(65.0, 1e-9);
});

it('bridges a gap as far as its reach and not a second more', function () {
    $band = Band::of(43, 49, 60);
    $hours = fn (int $gap, int $reach = WarmHours::REACH) => WarmHours::over([[0, 49.0], [$gap, 49.0]], $band, $reach);
    // Half an hour at the target is half an hour.
    expect($hours(1800)->hours())
        ->toEqualWithDelta(0.5, 1e-9)
        ->and($hours(1800)->gapMinutes())
        ->toBe(0.0)
        ->and($hours(1801)->hours())
        ->toBe(0.0)
        ->and($hours(1801)->gapMinutes())
        ->toEqualWithDelta(1801 / 60, 1e-9)
        ->and($hours(7200, WarmHours::REACH_SELDOM)->hours())
        ->toEqualWithDelta(2.0, 1e-9)
        ->and($hours(7201, WarmHours::REACH_SELDOM)->hours())
        ->toBe(0.0);
    // Hourly readings by eye: 1.6 times the usual gap, never under half an hour, never over two.
    $every = fn (int $gap) => WarmHours::reachOf(array_map(fn (int $i) => [$i * $gap, 49.0], range(0, 8)));
    expect($every(60))
        ->toBe(1800)
        ->and($every(3600))
        ->toBe(5760)
        ->and($every(9000))
        ->toBe(7200)
        ->and(WarmHours::reachOf([[0, 49.0]]))
        ->toBe(1800);
});

it('tells a reading over the ceiling for half the way to its neighbours, as far as the reach', function () {
    $over = fn (array $readings) => WarmHours::over($readings, Band::of(43, 49, 60))->minutesOver();
    // Alone among readings ten minutes apart: five minutes to either side.
    expect($over([[0, 49.0], [600, 61.0], [1200, 49.0]]))
        ->toEqualWithDelta(10.0, 0.1)
        // An hour apart, no more than half of the reach of half an hour to either side.
        ->and($over([[0, 49.0], [3600, 61.0], [7200, 49.0]]))
        ->toEqualWithDelta(30.0, 0.1)
        // At the ceiling is not over it.
        ->and($over([[0, 60.0], [600, 60.0]]))
        ->toBe(0.0)
        ->and($over([[0, 60.5]]))
        ->toBe(1.0);
});

it('shakes while it is warm and no longer: not before, not between, not after straining', function () {
    $at = fn (string $moment) => new DateTimeImmutable("2026-11-24T{$moment}:00Z");
    $keys = fn (string $method, array $events) => array_map(
        fn (Task $task) => $task->key(),
        Progress::follow(
            new Routine(Methods::of(Tables::shipped())->method($method), 8),
            $at('08:00'),
            Availability::between('07:00', '22:30'),
            [Event::done('fill', $at('08:00')), ...$events],
        )->tasks,
    );
    $on = Event::done('warm_on', $at('08:30'));
    $off = Event::done('warm_off', $at('12:30'));
    expect($keys('slow-cooker', []))
        ->not->toContain('shake')
        ->and($keys('slow-cooker', [$on]))
        ->toContain('shake')
        ->and($keys('slow-cooker', [$on, $off]))
        ->not->toContain('shake')
        ->and($keys('slow-cooker', [$on, Event::done('warm_off', $at('16:30')), Event::done('strain', $at('17:00'))]))
        ->not->toContain('shake')
        ->and($keys('cold', [Event::done('strain', $at('17:00'))]))
        ->toBe(['settle', 'decant', 'bottle']);
});

it('books no cooker for more than it holds, nor for two warmths, nor twice at once', function () {
    $availability = Availability::between('07:00', '22:30');
    $now = new DateTimeImmutable('2026-11-24T07:00Z');
    // Two circles of 80 stand side by side in a round of 160 and not in one of 159.
    $place = fn (float $wide) => new CookerPlace(Cooker::measured('c', 'the pot', 'round', $wide, $wide, 130), ['slow-cooker']);
    $job = fn (string $id, float $target = 49.0, float $hours = 6.0) => new CookerJob(
        $id,
        $id,
        'slow-cooker',
        $target,
        $target + 11,
        $hours,
        [80.0],
        $now,
    );
    expect(CookerDiary::plan([$job('a'), $job('b')], [$place(160.5)], $availability, $now)->runs)
        ->toHaveCount(1)
        ->and(CookerDiary::plan([$job('a'), $job('b')], [$place(159.0)], $availability, $now)->runs)
        ->toHaveCount(2);
    // Two degrees apart share a water; three do not.
    expect(CookerDiary::plan([$job('a'), $job('b', 51.0)], [$place(200)], $availability, $now)->runs)
        ->toHaveCount(1)
        ->and(CookerDiary::plan([$job('a'), $job('b', 52.0)], [$place(200)], $availability, $now)->runs)
        ->toHaveCount(2);
    $runs = CookerDiary::plan([$job('a'), $job('b', 55.0), $job('c', 38.0), $job('d', 61.0)], [$place(100)], $availability, $now)->runs;
    foreach (range(1, count($runs) - 1) as $i) {
        expect($runs[$i]->start() >= $runs[$i - 1]->end())->toBeTrue();
    }
});
