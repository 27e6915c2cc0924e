<?php

use Kettle\Diary\Availability;
use Kettle\Diary\DiaryException;
use Kettle\Diary\Event;
use Kettle\Diary\Progress;
use Kettle\Diary\Routine;
use Kettle\Diary\Stage;
use Kettle\Diary\Task;
use Kettle\Infusion\Methods;
use Kettle\Infusion\Outcome;
use Kettle\Infusion\YieldException;
use Kettle\Keeping\ShelfLife;
use Kettle\Material\Tables;

function progress(string $method, float $hours, array $events): Progress
{
    return Progress::follow(
        new Routine(Methods::of(Tables::shipped())->method($method), $hours),
        new DateTimeImmutable('2026-11-24T10:00:00Z'),
        Availability::between('07:00', '22:30'),
        $events,
    );
}

function at(string $moment): DateTimeImmutable
{
    return new DateTimeImmutable($moment.':00Z');
}

/** @return array<string, string> when each open task is due */
function due(Progress $progress): array
{
    $open = array_filter($progress->tasks, fn (Task $task) => $task->open);

    return array_combine(array_map(fn (Task $t) => $t->key(), $open), array_map(fn (Task $t) => $t->dueAt->format('m-d H:i'), $open));
}

it('asks first that the jar be filled', function () {
    $progress = progress('cold', 672, []);
    expect($progress->stage)
        ->toBe(Stage::Planned)
        ->and(due($progress))
        ->toBe(['fill' => '11-24 10:00']);
});

it('moves everything with the day it was really filled', function () {
    $progress = progress('cold', 672, [Event::done('fill', at('2026-11-27 15:00'))]);
    expect($progress->stage)
        ->toBe(Stage::Steeping)
        ->and(due($progress))
        ->toBe(['top_up' => '11-27 16:00', 'shake' => '11-28 09:00', 'check' => '12-04 09:00', 'strain' => '12-25 09:00']);
});

it('asks for the next shake after the last, and not for all that were missed', function () {
    $progress = progress('cold', 672, [Event::done('fill', at('2026-11-24 10:00')), Event::done('shake', at('2026-12-02 20:00'))]);
    expect(due($progress)['shake'])->toBe('12-03 09:00');
    $skipped = progress('cold', 672, [Event::done('fill', at('2026-11-24 10:00')), Event::skipped('shake', at('2026-12-05 08:00'))]);
    expect(due($skipped)['shake'])->toBe('12-06 09:00');
});

it('puts off what is put off, until it is done', function () {
    $fill = Event::done('fill', at('2026-11-24 10:00'));
    $later = Event::putOff('strain', at('2026-12-22 09:00'), at('2026-12-24 09:00'));
    expect(due(progress('cold', 672, [$fill, $later]))['strain'])->toBe('12-24 09:00');
    $shake = [$fill, Event::putOff('shake', at('2026-11-25 09:00'), at('2026-11-28 09:00')), Event::done('shake', at('2026-11-28 10:00'))];
    expect(due(progress('cold', 672, $shake))['shake'])->toBe('11-29 09:00');
});

it('goes from the cloth to the bottle', function () {
    $events = [Event::done('fill', at('2026-11-24 10:00')), Event::done('strain', at('2026-12-22 15:00'))];
    $settling = progress('cold', 672, $events);
    expect($settling->stage)
        ->toBe(Stage::Settling)
        ->and(due($settling))
        ->toMatchArray(['decant' => '12-23 15:00']);
    $poured = progress('cold', 672, [...$events, Event::done('decant', at('2026-12-23 16:00'))]);
    expect($poured->stage)
        ->toBe(Stage::Poured)
        ->and(due($poured))
        ->toBe(['bottle' => '12-23 16:00']);
    $bottled = progress('cold', 672, [
        ...$events,
        Event::done('decant', at('2026-12-23 16:00')),
        Event::done('bottle', at('2026-12-23 17:00')),
    ]);
    expect($bottled->stage)->toBe(Stage::Bottled)->and($bottled->tasks)->toBe([]);
});

it('does not let a settled oil wait on the middle of the night', function () {
    $progress = progress('cold', 672, [Event::done('fill', at('2026-11-24 10:00')), Event::done('strain', at('2026-12-22 23:10'))]);
    expect(due($progress)['decant'])->toBe('12-24 07:00');
});

it('warms by sessions, shaking between on and off', function () {
    $fill = Event::done('fill', at('2026-11-24 10:05'));
    expect(due(progress('slow-cooker', 8, [$fill])))->toBe(['warm_on' => '11-24 10:35']);
    $on = [$fill, Event::done('warm_on', at('2026-11-24 11:00'))];
    expect(due(progress('slow-cooker', 8, $on)))->toBe([
        'top_up' => '11-24 12:00',
        'shake' => '11-24 13:00',
        'warm_off' => '11-24 19:00',
    ]);
    // Topped up once, it is not asked again; shut tight it is not opened, and half an hour is too short for it.
    $topped = [...$on, Event::done('top_up', at('2026-11-24 12:10'))];
    expect(due(progress('slow-cooker', 8, $topped)))
        ->not->toHaveKey('top_up')
        ->and(due(progress('water-bath', 5, $on)))
        ->not->toHaveKey('top_up')
        ->and(due(progress('double-boiler', 0.5, $on)))
        ->not->toHaveKey('top_up');
    $off = [...$on, Event::done('warm_off', at('2026-11-24 19:00'))];
    expect(due(progress('slow-cooker', 8, $off)))->toBe(['strain' => '11-24 19:30']);
});

it('does nothing more for what was discarded, and says what is not open', function () {
    $progress = progress('cold', 672, [Event::discarded(at('2026-11-25 10:00'))]);
    expect($progress->stage)
        ->toBe(Stage::Discarded)
        ->and($progress->tasks)
        ->toBe([])
        ->and(fn () => $progress->open('shake'))
        ->toThrow(DiaryException::class, 'nothing to shake');
});

it('refuses a day without hours', function (string $from, string $to) {
    Availability::between($from, $to);
})
    ->with([['22:00', '07:00'], ['07:00', '09:00'], ['early', '22:00'], ['25:00', '26:00']])
    ->throws(DiaryException::class);

it('tells a yield within, below and above what was expected', function () {
    $expected = ['low' => 220.0, 'value' => 260.0, 'high' => 300.0];
    expect(Outcome::of(250, 348, 70, $expected)->verdict)
        ->toBe('as expected')
        ->and(Outcome::of(180, 348, 70, $expected)->verdict)
        ->toBe('less')
        ->and(Outcome::of(330, 348, 70, $expected)->verdict)
        ->toBe('more')
        // (348 - 250) / 70 mL stayed in each gram.
        ->and(Outcome::of(250, 348, 70, $expected)->uptakeMlPerG)
        ->toEqualWithDelta(1.4, 1e-9)
        ->and(fn () => Outcome::of(360, 348, 70, $expected))
        ->toThrow(YieldException::class, 'cannot come out')
        ->and(fn () => Outcome::of(0, 348, 70, $expected))
        ->toThrow(YieldException::class);
});

it('counts months by the calendar', function () {
    $after = fn (string $day, float $months) => ShelfLife::after(new DateTimeImmutable($day), $months)->format('Y-m-d');
    expect($after('2026-08-31', 6))
        ->toBe('2027-02-28')
        ->and($after('2026-11-24', 12))
        ->toBe('2027-11-24')
        ->and($after('2026-11-24', 4.5))
        ->toBe('2027-04-08');
});

it('warms the oil first where it is poured hot, and pours it then', function () {
    expect(due(progress('poured-hot', 336, [])))->toBe(['warm_oil' => '11-24 10:00']);
    $warm = progress('poured-hot', 336, [Event::done('warm_oil', at('2026-11-24 10:20'))]);
    expect(due($warm))->toBe(['fill' => '11-24 10:00']);
    // Who has it warm already says so, and pours.
    expect(due(progress('poured-hot', 336, [Event::skipped('warm_oil', at('2026-11-24 10:20'))])))->toHaveKey('fill');
    $filled = progress('poured-hot', 336, [Event::done('warm_oil', at('2026-11-24 10:20')), Event::done('fill', at('2026-11-24 10:30'))]);
    expect(due($filled))
        ->toHaveKey('strain')
        ->not->toHaveKey('warm_oil')
        ->and(array_keys(due(progress('cold', 336, []))))
        ->toBe(['fill']);
});

it('asks for nothing to be begun after bed, before up, or too late to be done before bed', function (string $method, float $hours) {
    // By the minutes each step takes, common practice: filling and straining 20, pouring off and bottling 25 together.
    $needs = [
        'fill' => 20,
        'strain' => 20,
        'decant' => 25,
        'bottle' => 15,
        'warm_on' => 0,
        'warm_off' => 0,
        'top_up' => 0,
        'check' => 0,
        'shake' => 0,
        'moisten' => 10,
        'warm_oil' => 15,
        'settle' => 0,
    ];
    $availability = Availability::between('07:00', '22:30');
    for ($minutes = 0; $minutes < 1440; $minutes += 35) {
        $start = at('2026-11-24 00:00')->modify("+{$minutes} minutes");
        foreach (
            [[], [Event::done('fill', $start)], [Event::done('fill', $start), Event::done('strain', $start->modify('+5 hours'))]] as $events
        ) {
            $routine = new Routine(Methods::of(Tables::shipped())->method($method), $hours, warmUpMin: 30);
            foreach (Progress::follow($routine, $start, $availability, $events)->tasks as $task) {
                if ($task->step->isWaiting() || ($task->key() === 'warm_off' && ! $routine->method->tending->attended)) {
                    continue;
                }
                $from = $task->dueAt->format('H:i');
                $until = $task->dueAt->modify('+'.$needs[$task->step->value].' minutes')->format('H:i');
                expect($from >= '07:00' && $until <= '22:30' && $until >= $from)->toBeTrue(
                    "{$method} {$task->key()} {$task->dueAt->format('D H:i')}, begun {$start->format('H:i')}",
                );
            }
        }
    }
})->with([
    ['cold', 672.0],
    ['slow-cooker', 8.0],
    ['slow-cooker', 30.0],
    ['double-boiler', 2.0],
    ['incubator', 8.0],
    ['poured-hot', 336.0],
    ['gentle-pan', 0.25],
]);
