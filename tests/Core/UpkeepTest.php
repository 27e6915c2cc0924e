<?php

use Kettle\Diary\Availability;
use Kettle\Diary\Event;
use Kettle\Diary\Progress;
use Kettle\Diary\Routine;
use Kettle\Diary\Step;
use Kettle\Diary\Task;
use Kettle\Diary\Upkeep;
use Kettle\Infusion\Methods;
use Kettle\Material\Tables;
use Kettle\Measure\AmountException;
use Kettle\Measure\Weighing;

function upkept(string $moment): DateTimeImmutable
{
    return new DateTimeImmutable($moment, new DateTimeZone('Europe/London'));
}

it('asks for a smell a week after bottling, then by and by, and on the last day', function (?string $last, ?string $due) {
    $next = (new Upkeep(upkept('2027-05-24 20:00'), 7, 90))->next(
        upkept('2026-11-24 12:00'),
        $last === null ? null : upkept($last),
        Availability::between('07:00', '22:30'),
    );
    expect($next === null ? null : $next[1]->format('Y-m-d'))
        ->toBe($due)
        ->and($next[0] ?? Step::Smell)
        ->toBe(Step::Smell);
})->with([
    'never yet' => [null, '2026-12-01'],
    'after the first' => ['2026-12-02 18:00', '2027-03-02'],
    'near the end, the end' => ['2027-03-10 09:00', '2027-05-24'],
    'on the last day, no more' => ['2027-05-24 08:00', null],
    'long after, no more' => ['2028-01-01 08:00', null],
]);

it('has a last moment for what is kept cold, smelled or not', function () {
    $next = (new Upkeep(upkept('2026-11-28 10:00'), 7, 90, true))->next(
        upkept('2026-11-25 12:00'),
        upkept('2026-11-26 12:00'),
        Availability::between('07:00', '22:30'),
    );
    expect($next)->not->toBeNull()->and($next[0])->toBe(Step::UseUp)->and($next[1]->format('Y-m-d H:i'))->toBe('2026-11-28 10:00');
});

it('stands in the course of a batch: cold from straining on, else from bottling on', function () {
    $method = Methods::of(Tables::shipped())->method('gentle-pan');
    $at = fn (int $hour) => upkept(sprintf('2026-11-24 %02d:00', $hour));
    $events = [
        Event::done('fill', $at(9)),
        Event::done('warm_on', $at(10)),
        Event::done('warm_off', $at(11)),
        Event::done('strain', $at(17)),
    ];
    $steps = fn (array $more, ?Upkeep $upkeep) => array_map(
        fn (Task $task) => $task->step,
        Progress::follow(
            new Routine($method, 0.25),
            $at(9),
            Availability::between('07:00', '22:30'),
            [...$events, ...$more],
            upkeep: $upkeep,
        )->tasks,
    );
    $cold = new Upkeep(upkept('2026-11-28 09:00'), 7, 90, true);
    $shelf = new Upkeep(upkept('2027-05-24 20:00'), 7, 90);
    $bottled = [Event::done('decant', $at(18)), Event::done('bottle', $at(19))];
    expect($steps([], $cold))
        ->toContain(Step::UseUp)
        ->and($steps([], $shelf))
        ->not->toContain(Step::Smell)
        ->and($steps([$bottled[0]], $cold))
        ->toBe([Step::Bottle, Step::UseUp])
        ->and($steps($bottled, $cold))
        ->toBe([Step::UseUp])
        ->and($steps($bottled, $shelf))
        ->toBe([Step::Smell])
        ->and($steps($bottled, null))
        ->toBe([])
        ->and($steps([...$bottled, Event::discarded($at(20))], $shelf))
        ->toBe([]);
});

it('takes the jug off', function () {
    expect(Weighing::net(651, 412))
        ->toBe(239.0)
        ->and(Weighing::net(651, 0))
        ->toBe(651.0)
        ->and(fn () => Weighing::net(400, 412))
        ->toThrow(AmountException::class)
        ->and(fn () => Weighing::net(412, 412))
        ->toThrow(AmountException::class)
        ->and(fn () => Weighing::net(NAN, 412))
        ->toThrow(AmountException::class);
});
