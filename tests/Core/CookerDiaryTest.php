<?php

use Kettle\Diary\Availability;
use Kettle\Diary\CookerDiary;
use Kettle\Diary\CookerJob;
use Kettle\Diary\CookerPlace;
use Kettle\Diary\CookerRun;
use Kettle\Diary\Timetable;
use Kettle\Time\Interval;
use Kettle\Vessel\Cooker;
use Kettle\Vessel\Packing;
use Tests\Core\Support;

function cookerPlaces(int $many = 1): array
{
    $all = [
        new CookerPlace(Cooker::measured('round', 'the round cooker', 'round', 210, 210, 130), ['slow-cooker']),
        new CookerPlace(Cooker::measured('oval', 'the oval cooker', 'oval', 300, 210, 140), ['slow-cooker']),
        new CookerPlace(Cooker::measured('pot', 'the stove pot', 'round', 240, 240, 140), ['water-bath', 'slow-cooker']),
    ];

    return array_slice($all, 0, $many);
}

/** @param  array<string, mixed>  $more */
function job(string $id, float $hours = 8, string $earliest = '2026-11-24 09:00', array $more = []): CookerJob
{
    return new CookerJob(
        ...[
            ...[
                'id' => $id,
                'called' => $id,
                'kind' => 'slow-cooker',
                'targetC' => 49.0,
                'ceilingC' => 60.0,
                'hours' => $hours,
                'widths' => [79.8],
                'earliest' => new DateTimeImmutable($earliest),
            ],
            ...$more,
        ],
    );
}

function usualPresence(): Availability
{
    return Availability::between('07:00', '22:30');
}

function noon(): DateTimeImmutable
{
    return new DateTimeImmutable('2026-11-24 08:00');
}

/**
 * An independent look at a diary: asks only what was given and what came out.
 *
 * @param  list<CookerJob>  $jobs
 * @param  list<CookerPlace>  $places
 * @return list<string> what is wrong
 */
function diaryFaults(CookerDiary $diary, array $jobs, array $places, Availability $availability): array
{
    $wrong = [];
    foreach ($diary->runs as $i => $run) {
        foreach (array_slice($diary->runs, $i + 1) as $other) {
            if ($other->place === $run->place && $other->start() < $run->end() && $run->start() < $other->end()) {
                $wrong[] = "{$run->place} is booked twice";
            }
        }
        $place = array_values(array_filter($places, fn (CookerPlace $p) => $p->cooker->id === $run->place))[0];
        $widths = array_merge(...array_map(fn (CookerJob $j) => $j->widths, $run->jobs));
        Packing::place($place->cooker, $widths) === null && ($wrong[] = "{$run->place} holds too many");
        foreach ($run->jobs as $job) {
            in_array($job->kind, $place->kinds, true) || ($wrong[] = "{$job->id} is in the wrong kind of cooker");
            abs($job->targetC - $run->jobs[0]->targetC) > 2 && ($wrong[] = "{$job->id} is with others of another warmth");
            $had = array_sum(array_map(fn (Interval $s) => $s->to->getTimestamp() - $s->from->getTimestamp(), $run->slots($job))) / 3600;
            abs($had - $job->hours) > 0.02 && ($wrong[] = "{$job->id} has {$had} h, not {$job->hours}");
            $run->start() < $job->earliest && ($wrong[] = "{$job->id} begins before it can");
        }
        foreach ($run->sessions as $session) {
            $by = false;
            foreach ($availability->on($session->from) as $while) {
                $by = $by || ($session->from >= $while->from && $session->to <= $while->to);
            }
            $by ||
                ! $run->jobs[0]->attended ||
                ($wrong[] = "{$run->place} is hot with nobody by from {$session->from->format('D H:i')} to {$session->to->format(
                    'D H:i',
                )}");
        }
    }
    foreach ($jobs as $job) {
        ($diary->runOf($job->id) === null) === isset($diary->without[$job->id]) || ($wrong[] = "{$job->id} is neither placed nor told why");
    }

    return $wrong;
}

it('puts jars of one warmth in one cooker, once', function () {
    $jobs = [job('a'), job('b'), job('c', 6)];
    $diary = CookerDiary::plan($jobs, cookerPlaces(2), usualPresence(), noon());
    expect(diaryFaults($diary, $jobs, cookerPlaces(2), usualPresence()))
        ->toBe([])
        ->and($diary->runs)
        ->toHaveCount(1)
        ->and($diary->sessions())
        ->toBe(1)
        ->and($diary->runs[0]->ends($jobs[2])->format('H:i'))
        ->toBe('15:00');
});

it('keeps other warmths apart, one after the other in one cooker', function () {
    $jobs = [job('a'), job('b', 24, more: ['targetC' => 38.0, 'ceilingC' => 40.0])];
    $diary = CookerDiary::plan($jobs, cookerPlaces(1), usualPresence(), noon());
    expect(diaryFaults($diary, $jobs, cookerPlaces(1), usualPresence()))->toBe([])->and($diary->runs)->toHaveCount(2);
});

it('says why when nothing fits', function (CookerJob $job, array $places, Availability $availability, string $says) {
    $diary = CookerDiary::plan([$job], $places, $availability, noon());
    expect(Support::said($diary->says($job)))->toContain($says);
})->with([
    'no such cooker' => [
        fn () => job('vanilla', more: ['kind' => 'incubator']),
        fn () => cookerPlaces(3),
        fn () => usualPresence(),
        'no cooker in the house',
    ],
    'no room' => [
        fn () => job('vanilla', more: ['widths' => [120.0, 120.0, 120.0]]),
        fn () => cookerPlaces(1),
        fn () => usualPresence(),
        'do not stand in the round cooker',
    ],
    'nobody home' => [
        fn () => job('vanilla'),
        fn () => cookerPlaces(1),
        fn () => usualPresence()->without([[new DateTimeImmutable('2026-11-01'), new DateTimeImmutable('2027-11-01')]]),
        'nobody is at home',
    ],
    'too late' => [
        fn () => job('vanilla', more: ['dueBy' => new DateTimeImmutable('2026-11-24 12:00')]),
        fn () => cookerPlaces(1),
        fn () => usualPresence(),
        'the soonest is Tue 24 Nov, 17:00',
    ],
]);

it('leaves jars where they stand, and what is on, on', function () {
    $on = job('a', 8, more: ['standsIn' => 'round', 'onSince' => new DateTimeImmutable('2026-11-24 07:30')]);
    $next = job('b', 8);
    $diary = CookerDiary::plan([$next, $on], cookerPlaces(1), usualPresence(), noon());
    expect($diary->runOf('a')?->end()->format('d H:i'))
        ->toBe('24 15:30')
        ->and($diary->runOf('b')?->start())
        ->toBeGreaterThanOrEqual($diary->runOf('a')->end());
    // Paused for the night, it goes on where it is and is not joined by another.
    $paused = job('a', 5, '2026-11-24 08:00', ['standsIn' => 'round']);
    $diary = CookerDiary::plan([$next, $paused], cookerPlaces(1), usualPresence(), noon());
    expect($diary->runOf('a')?->start()->format('d H:i'))
        ->toBe('24 08:00')
        ->and($diary->runOf('b')?->jobs)
        ->toHaveCount(1);
});

it('goes round what somebody has to do elsewhere', function () {
    $availability = usualPresence()
        ->atHome(['2' => '07:00-08:30, 17:00-22:30', '3' => '18:00-21:00'])
        ->without([[new DateTimeImmutable('2026-11-24 18:00'), new DateTimeImmutable('2026-11-24 19:30')]]);
    $jobs = [job('a', 6)];
    $diary = CookerDiary::plan($jobs, cookerPlaces(1), $availability, noon());
    expect(diaryFaults($diary, $jobs, cookerPlaces(1), $availability))
        ->toBe([])
        ->and(array_map(fn (Interval $s) => $s->from->format('D H:i').' '.$s->to->format('H:i'), $diary->runs[0]->sessions))
        ->toBe(['Tue 17:00 18:00', 'Tue 19:30 22:30', 'Wed 18:00 20:00']);
});

/** @return array{list<CookerJob>, list<CookerPlace>, Availability} some house, the same for the same seed */
function someHouse(int $seed, int $most = 9): array
{
    mt_srand($seed);
    $pick = fn (array $from) => $from[mt_rand(0, count($from) - 1)];
    $jobs = [];
    for ($i = 0, $n = mt_rand(1, $most); $i < $n; $i++) {
        [$target, $ceiling] = $pick([[49.0, 60.0], [49.0, 60.0], [38.0, 40.0], [60.0, 71.0]]);
        $jobs[] = job("j{$i}", $pick([2.0, 6.0, 8.0, 12.0, 24.0]), sprintf('2026-11-%02d %02d:00', mt_rand(24, 27), mt_rand(7, 20)), [
            'targetC' => $target,
            'ceilingC' => $ceiling,
            'widths' => array_fill(0, mt_rand(1, 2), $pick([67.3, 79.8, 94.4])),
            'kind' => $pick(['slow-cooker', 'slow-cooker', 'water-bath']),
            'dueBy' => $pick([null, null, new DateTimeImmutable('2026-12-02 18:00')]),
        ]);
    }
    $availability = usualPresence();
    if (mt_rand(0, 1) === 1) {
        $availability = $availability->atHome(['1' => '17:00-22:00', '2' => '07:00-08:30, 17:00-22:30', '4' => '']);
    }
    if (mt_rand(0, 1) === 1) {
        $availability = $availability->without([[new DateTimeImmutable('2026-11-26 12:00'), new DateTimeImmutable('2026-11-28 12:00')]]);
    }

    return [$jobs, cookerPlaces(mt_rand(1, 3)), $availability];
}

it('never books twice, works at night, overfills or cheats a jar of its hours, in any house', function () {
    for ($seed = 1; $seed <= 120; $seed++) {
        [$jobs, $places, $availability] = someHouse($seed);
        $diary = CookerDiary::plan($jobs, $places, $availability, noon());
        expect(diaryFaults($diary, $jobs, $places, $availability))->toBe([], "seed {$seed}");
    }
});

it('begins the last placed as early as can be, by trying every quarter of an hour', function () {
    for ($seed = 200; $seed <= 230; $seed++) {
        [$jobs, $places, $availability] = someHouse($seed, 4);
        // Ordered as the diary takes them, so that the last is the last; the rest are as they were without it.
        $far = noon()->modify('+10 years');
        usort(
            $jobs,
            fn ($a, $b) => [$a->dueBy ?? $far, $a->earliest, -$a->hours, $a->id] <=> [$b->dueBy ?? $far, $b->earliest, -$b->hours, $b->id],
        );
        $last = $jobs[count($jobs) - 1];
        $others = CookerDiary::plan(array_slice($jobs, 0, -1), $places, $availability, noon())->runs;
        $got = CookerDiary::plan($jobs, $places, $availability, noon())->runOf($last->id);
        if ($got === null) {
            continue;
        }
        for ($try = max($last->earliest, noon()); $try < $got->start(); $try = $try->modify('+15 minutes')) {
            foreach ($places as $place) {
                if (! in_array($last->kind, $place->kinds, true) || Packing::place($place->cooker, $last->widths) === null) {
                    continue;
                }
                $sessions = Timetable::sessions($last->hours, $try, $availability);
                $clear =
                    array_filter(
                        $others,
                        fn (CookerRun $run) => $run->place === $place->cooker->id &&
                            $sessions[0]->from < $run->end() &&
                            end($sessions)->to > $run->start(),
                    ) === [];
                expect($clear && $sessions[0]->from < $got->start())->toBeFalse(
                    "seed {$seed}: {$last->id} could begin {$sessions[0]->from->format('D H:i')} in {$place->cooker->id}",
                );
            }
        }
    }
});

it('heats a pot no oftener than the best of all ways of sharing', function () {
    // Jars of one size and warmth, all ready at once, in one cooker: every way of dividing them is tried.
    foreach ([[[8, 8, 8], 4], [[8, 24, 8, 24], 2], [[6, 12, 8, 24, 6], 2], [[24, 24, 8], 4]] as [$hours, $holds]) {
        $place = new CookerPlace(Cooker::measured('c', 'it', 'round', $holds === 4 ? 210 : 165, $holds === 4 ? 210 : 165, 130), [
            'slow-cooker',
        ]);
        expect(Packing::most($place->cooker, 79.8))->toBe($holds);
        $jobs = array_map(fn (int $h, int $i) => job("j{$i}", (float) $h, '2026-11-24 07:00'), $hours, array_keys($hours));
        $found = CookerDiary::plan($jobs, [$place], usualPresence(), new DateTimeImmutable('2026-11-24 07:00'))->sessions();
        $sessionsOf = fn (array $group) => count(
            Timetable::sessions(max($group), new DateTimeImmutable('2026-11-24 07:00'), usualPresence()),
        );
        $least = PHP_INT_MAX;
        $divide = function (array $left, array $groups) use (&$divide, &$least, $holds, $sessionsOf): void {
            if ($left === []) {
                $least = min($least, array_sum(array_map($sessionsOf, $groups)));

                return;
            }
            $next = array_shift($left);
            foreach (array_keys($groups) as $g) {
                if (count($groups[$g]) < $holds) {
                    $with = $groups;
                    $with[$g][] = $next;
                    $divide($left, $with);
                }
            }
            $divide($left, [...$groups, [$next]]);
        };
        $divide($hours, []);
        expect($found)->toBe($least);
    }
});

it('keeps its hours over the change of the clocks', function () {
    $zone = new DateTimeZone('Europe/London');
    $jobs = [job('a', 20, more: ['earliest' => new DateTimeImmutable('2026-10-24 19:00', $zone)])];
    $diary = CookerDiary::plan($jobs, cookerPlaces(1), usualPresence(), new DateTimeImmutable('2026-10-24 09:00', $zone));
    expect(diaryFaults($diary, $jobs, cookerPlaces(1), usualPresence()))->toBe([]);
});
