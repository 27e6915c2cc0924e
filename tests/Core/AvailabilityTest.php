<?php

use Kettle\Diary\Availability;
use Kettle\Diary\DiaryException;
use Kettle\Diary\Timetable;
use Kettle\Time\Interval;

/** @return list<string> whiles of a day, as "07:00-22:30" */
function whilesOn(Availability $availability, string $day, string $zone = 'UTC'): array
{
    return array_map(
        fn (Interval $while) => $while->from->format('H:i').'-'.$while->to->format('H:i'),
        $availability->on(new DateTimeImmutable($day, new DateTimeZone($zone))),
    );
}

/** @param  list<array{string, string}>  $away */
function awayFrom(Availability $availability, array $away, string $zone = 'UTC'): Availability
{
    return $availability->without(
        array_map(
            fn (array $each) => [
                new DateTimeImmutable($each[0], new DateTimeZone($zone)),
                new DateTimeImmutable($each[1], new DateTimeZone($zone)),
            ],
            $away,
        ),
    );
}

it('is there all day unless the week says otherwise', function () {
    $availability = Availability::between('07:00', '22:30')->atHome([
        '2' => '07:00-08:30, 17:00 to 22:30',
        '4' => '',
        '6' => '06:00–23:30',
    ]);
    expect(whilesOn($availability, '2026-11-23'))
        ->toBe(['07:00-22:30'])
        ->and(whilesOn($availability, '2026-11-24'))
        ->toBe(['07:00-08:30', '17:00-22:30'])
        ->and(whilesOn($availability, '2026-11-26'))
        ->toBe([])
        // Nobody is at the stove before getting up, whatever the week says.
        ->and(whilesOn($availability, '2026-11-28'))
        ->toBe(['07:00-22:30']);
});

it('cuts out what overlaps it, however absences overlap each other', function (array $away, array $left) {
    expect(whilesOn(awayFrom(Availability::between('07:00', '22:30'), $away), '2026-11-24'))->toBe($left);
})->with([
    'none of it' => [[['2026-11-25 09:00', '2026-11-25 10:00']], ['07:00-22:30']],
    'a while of it' => [[['2026-11-24 09:00', '2026-11-24 10:30']], ['07:00-09:00', '10:30-22:30']],
    'its morning' => [[['2026-11-23 20:00', '2026-11-24 12:00']], ['12:00-22:30']],
    'its evening' => [[['2026-11-24 18:00', '2026-11-26 12:00']], ['07:00-18:00']],
    'all of it' => [[['2026-11-20 00:00', '2026-11-30 00:00']], []],
    'two that meet' => [
        [['2026-11-24 09:00', '2026-11-24 10:00'], ['2026-11-24 10:00', '2026-11-24 11:00']],
        ['07:00-09:00', '11:00-22:30'],
    ],
    'one within another, out of order' => [
        [['2026-11-24 10:00', '2026-11-24 10:30'], ['2026-11-24 09:00', '2026-11-24 12:00']],
        ['07:00-09:00', '12:00-22:30'],
    ],
    'one that ends before it begins' => [[['2026-11-24 12:00', '2026-11-24 09:00']], ['07:00-22:30']],
    'at its edges' => [[['2026-11-24 05:00', '2026-11-24 07:00'], ['2026-11-24 22:30', '2026-11-24 23:00']], ['07:00-22:30']],
]);

it('tells who is there minute by minute, as a list of minutes would', function () {
    mt_srand(77);
    for ($i = 0; $i < 30; $i++) {
        $away = [];
        for ($n = mt_rand(0, 5); $n > 0; $n--) {
            $from = (new DateTimeImmutable('2026-11-24T00:00Z'))->modify('+'.mt_rand(-600, 3000).' minutes');
            $away[] = [$from, $from->modify('+'.mt_rand(1, 900).' minutes')];
        }
        $split = mt_rand(0, 1) === 1;
        $availability = Availability::between('07:00', '22:30')
            ->atHome($split ? ['2' => '08:00-12:00, 13:00-20:00'] : [])
            ->without($away);
        for ($minute = 5; $minute < 1440; $minute += 37) {
            $at = (new DateTimeImmutable('2026-11-24T00:00Z'))->modify("+{$minute} minutes");
            $home = array_filter($availability->on($at), fn (Interval $while) => $at >= $while->from && $at < $while->to) !== [];
            $gone = array_filter($away, fn (array $each) => $at >= $each[0] && $at < $each[1]) !== [];
            $hour = $minute / 60;
            $week = $split ? ($hour >= 8 && $hour < 12) || ($hour >= 13 && $hour < 20) : $hour >= 7 && $hour < 22.5;
            expect($home)->toBe($week && ! $gone, "{$i}: {$at->format('H:i')}");
        }
    }
});

it('finds the next while there is somebody, or says there is none for a year and more', function () {
    $availability = awayFrom(Availability::between('07:00', '22:30'), [['2026-11-24 08:00', '2026-12-20 12:00']]);
    $next = $availability->whileFrom(new DateTimeImmutable('2026-11-24T09:00Z'));
    expect($next->from->format('m-d H:i'))
        ->toBe('12-20 12:00')
        ->and($next->to->format('H:i'))
        ->toBe('22:30')
        ->and($availability->nextAwake(new DateTimeImmutable('2026-11-24T07:30Z'))->format('m-d H:i'))
        ->toBe('11-24 07:30')
        ->and($availability->midMorning(new DateTimeImmutable('2026-11-24T00:00Z'))->format('m-d H:i'))
        ->toBe('12-20 12:00')
        ->and(
            awayFrom(Availability::between('07:00', '22:30'), [['2026-01-01', '2029-01-01']])->whileFrom(
                new DateTimeImmutable('2026-11-24T09:00Z'),
            ),
        )
        ->toBeNull();
    // Ten minutes before bed is no while to come to the stove for.
    expect(Availability::between('07:00', '22:30')->whileFrom(new DateTimeImmutable('2026-11-24T22:20Z'))->from->format('d H:i'))->toBe(
        '25 07:00',
    );
});

it('answers alike by its short way and its long', function () {
    $plain = Availability::between('06:30', '21:15');
    // The same hours, said day by day, go the long way.
    $said = Availability::between('06:30', '21:15')->atHome(array_fill_keys(range(1, 7), '06:30-21:15'));
    for ($i = 0; $i < 400; $i++) {
        $at = (new DateTimeImmutable('2026-10-24T00:00', new DateTimeZone('Europe/London')))->modify('+'.$i * 29 .' minutes');
        expect($plain->whileFrom($at))
            ->toEqual($said->whileFrom($at))
            ->and($plain->nextAwake($at))
            ->toEqual($said->nextAwake($at))
            ->and($plain->on($at))
            ->toEqual($said->on($at));
    }
});

it('keeps its hours by the clock on the wall when the clocks change', function () {
    $availability = Availability::between('07:00', '22:30');
    foreach (['2026-03-29', '2026-10-25'] as $day) {
        expect(whilesOn($availability, $day, 'Europe/London'))->toBe(['07:00-22:30']);
    }
    // Overnight warmth of eight hours is eight hours, though the clock says seven or nine.
    $zone = new DateTimeZone('Europe/London');
    foreach (['2026-03-28 22:00', '2026-10-24 22:00'] as $from) {
        $night = Timetable::unattended(8, new DateTimeImmutable($from, $zone), $availability);
        expect($night->to->getTimestamp() - $night->from->getTimestamp())
            ->toBeGreaterThanOrEqual(8 * 3600)
            ->and($night->to->format('H:i'))
            ->toBeGreaterThanOrEqual('07:00');
    }
});

it('refuses hours that cannot be read', function (array $week) {
    Availability::between('07:00', '22:30')->atHome($week);
})
    ->with([
        'words' => [['1' => 'mornings']],
        'backwards' => [['1' => '12:00-08:00']],
        'too short' => [['1' => '12:00-12:05']],
        'overlapping' => [['1' => '08:00-12:00, 11:00-13:00']],
        'no such hour' => [['1' => '08:00-25:00']],
        'no such day' => [['8' => '08:00-12:00']],
        'a nul' => [['1' => "08:00-12:00\0"]],
    ])
    ->throws(DiaryException::class);

it('splits long warmth over the whiles there are, and loses no minute of it', function () {
    mt_srand(5);
    for ($i = 0; $i < 60; $i++) {
        $hours = mt_rand(2, 300) / 10;
        $availability = awayFrom(
            Availability::between('07:00', '22:30')->atHome(['1' => '17:00-22:00', '3' => '07:00-09:00, 12:00-14:00, 18:00-22:30']),
            mt_rand(0, 1) ? [['2026-11-25 10:00', '2026-11-26 18:00']] : [],
        );
        $from = (new DateTimeImmutable('2026-11-23T06:00Z'))->modify('+'.mt_rand(0, 5000).' minutes');
        $sessions = Timetable::sessions($hours, $from, $availability);
        $had = 0;
        foreach ($sessions as $n => $session) {
            $had += $session->to->getTimestamp() - $session->from->getTimestamp();
            $within = array_filter(
                $availability->on($session->from),
                fn (Interval $w) => $session->from >= $w->from && $session->to <= $w->to,
            );
            expect($within)->not->toBe([])->and($session->from)->toBeGreaterThanOrEqual($from);
            $n > 0 && expect($session->from)->toBeGreaterThanOrEqual($sessions[$n - 1]->to);
        }
        expect($had / 60)->toEqualWithDelta(round($hours * 60), 0.5);
    }
});

it('ends warmth that needs nobody while somebody is there to take it out', function () {
    foreach (range(0, 23) as $hour) {
        $night = Timetable::unattended(
            8,
            new DateTimeImmutable(sprintf('2026-11-24T%02d:15Z', $hour)),
            Availability::between('07:00', '22:30'),
        );
        foreach (['from', 'to'] as $end) {
            expect($night->{$end}->format('H:i'))
                ->toBeGreaterThanOrEqual('07:00')
                ->toBeLessThanOrEqual('22:30');
        }
    }
});
