<?php

use Kettle\Batch\Straining;
use Kettle\Caution\ColdStorage;
use Kettle\Diary\Availability;
use Kettle\Diary\Event;
use Kettle\Diary\Progress;
use Kettle\Diary\Routine;
use Kettle\Diary\Step;
use Kettle\Diary\Task;
use Kettle\Diary\Timetable;
use Kettle\Diary\Upkeep;
use Kettle\Infusion\Method;
use Kettle\Infusion\Methods;
use Kettle\Material\Tables;
use Kettle\Recipe\KitchenReader;
use Kettle\Recipe\WishException;
use Kettle\Time\Interval;
use Tests\Core\Support;

/** @return array<string, mixed> */
function coldWish(string $method = 'gentle-pan'): array
{
    return [
        'herb' => ['id' => 'basil', 'state' => 'fresh', 'amount' => '40 g'],
        'oils' => ['olive'],
        'purpose' => 'kitchen',
        'kept' => 'fridge',
        'method' => $method,
    ];
}

function onDay(string $moment): DateTimeImmutable
{
    return new DateTimeImmutable($moment.':00Z');
}

// FDA Food Code 2022, 3-501.16 and 3-501.19, from memory: a time/temperature controlled food has four hours in all between 5 and 57 C.
it('has four hours from the oil to the refrigerator, and four days after that', function () {
    expect(ColdStorage::MOST_WARM_H)
        ->toBe(4)
        ->and(ColdStorage::coldBy(onDay('2026-11-24T10:00')))
        ->toEqual(onDay('2026-11-24T14:00'))
        ->and(ColdStorage::goodUntil(onDay('2026-11-24T10:00'), null))
        ->toEqual(onDay('2026-11-24T14:00'))
        ->and(ColdStorage::goodUntil(onDay('2026-11-24T10:00'), onDay('2026-11-24T14:00')))
        ->toEqual(onDay('2026-11-28T10:00'))
        ->and(ColdStorage::goodUntil(onDay('2026-11-24T10:00'), onDay('2026-11-24T14:01')))
        ->toEqual(onDay('2026-11-24T14:00'))
        ->and(ColdStorage::isWarmTooLong(onDay('2026-11-24T10:00'), null, onDay('2026-11-24T14:00')))
        ->toBeFalse()
        ->and(ColdStorage::isWarmTooLong(onDay('2026-11-24T10:00'), null, onDay('2026-11-24T14:01')))
        ->toBeTrue()
        ->and(ColdStorage::isWarmTooLong(onDay('2026-11-24T10:00'), onDay('2026-11-24T13:00'), onDay('2026-12-24T10:00')))
        ->toBeFalse();
});

it('offers only ways that are watched and short for what is kept cold', function () {
    $all = Methods::of(Tables::shipped())->all();
    $quick = array_keys(array_filter($all, fn (Method $method) => $method->has(Method::CHILLED_AT_ONCE)));
    expect($quick)->toEqualCanonicalizing(['gentle-pan', 'double-boiler']);
});

it('waits for a day on which there is time for all of it, and refuses where there is none', function (array $home, ?string $filled) {
    $kitchen = KitchenReader::read(
        ['now' => '2026-11-24T10:00:00+00:00', 'time_zone' => 'UTC'],
        onDay('2026-11-24T10:00'),
        Tables::shipped(),
    );
    $availability = Availability::between('07:00', '22:30')->atHome($home);
    $times = Timetable::lay(
        new Routine(Methods::of(Tables::shipped())->method('double-boiler'), 2.0, coldWithinH: 4.0, warmUpMin: 25),
        onDay('2026-11-24T10:00'),
        $availability,
    );
    if ($filled !== null) {
        // 30 min of filling, 25 until it is warm, two hours warm, 30 min of cooling, 20 of straining.
        expect($times->fillAt->format('Y-m-d H:i'))
            ->toBe($filled)
            ->and($times->strainedBy()->getTimestamp() - $times->fillAt->getTimestamp())
            ->toBe(225 * 60);
        foreach ([$times->fillAt, $times->strainedBy()] as $moment) {
            expect($availability->nextAwake($moment))->toEqual($moment);
        }
    } else {
        $wish = ['school' => 'usual'] + coldWish('double-boiler');
        $where = new Kettle\Recipe\Kitchen($kitchen->now, $availability, $kitchen->custom, 20.0, $kitchen->jars, $kitchen->cupboard());
        try {
            Support::planning()->plan($wish, $where);
            expect(false)->toBeTrue();
        } catch (WishException $refused) {
            expect($refused->faults[0]['reason'])
                ->toBe('too_slow')
                ->and(array_column($refused->faults[0]['ways'] ?? [], 'id'))
                ->toContain('gentle-pan');
        }
    }
})->with([
    'at home all day' => [[], '2026-11-24 10:00'],
    'an hour at noon and the evening' => [[2 => '11:30-12:30, 18:00-22:30'], '2026-11-24 18:00'],
    'only the mornings, too short, until Saturday' => [
        [2 => '07:00-09:00', 3 => '07:00-09:00', 4 => '07:00-09:00', 5 => '07:00-09:00'],
        '2026-11-28 07:00',
    ],
    'never for so long at once' => [array_fill(1, 7, '07:00-10:00'), null],
]);

it('goes on without a break once it is filled, whatever the diary kept for it', function () {
    $method = Methods::of(Tables::shipped())->method('double-boiler');
    $slots = [new Interval(onDay('2026-11-24T18:00'), onDay('2026-11-24T20:00'))];
    $follow = fn (array $events, array $slots) => Progress::follow(
        new Routine($method, 2.0, coldWithinH: 4.0, warmUpMin: 25),
        onDay('2026-11-24T10:00'),
        Availability::between('07:00', '22:30'),
        $events,
        $slots,
    );
    // Not filled yet: it is filled for the place that is kept.
    expect($follow([], $slots)->timetable->fillAt)->toEqual(onDay('2026-11-24T17:30'));
    $progress = $follow([Event::done('fill', onDay('2026-11-24T10:00'))], $slots);
    $due = array_column(
        array_map(fn (Task $task) => ['key' => $task->key(), 'at' => $task->dueAt->format('H:i')], $progress->tasks),
        'at',
        'key',
    );
    expect($due['warm_on'])->toBe('10:30')->and($due['strain'])->toBe('13:25');
    // Switched on two hours late: it is strained in time all the same, with less warmth.
    $late = $follow([Event::done('fill', onDay('2026-11-24T10:00')), Event::done('warm_on', onDay('2026-11-24T12:30'))], []);
    expect($late->timetable->strainAt)
        ->toEqual(onDay('2026-11-24T13:40'))
        ->and($late->timetable->strainedBy())
        ->toEqual(onDay('2026-11-24T14:00'));
});

it('never moves a deadline later', function (string $until, array $away, string $due) {
    $availability = Availability::between('07:00', '22:30')->without([[onDay($away[0]), onDay($away[1])]]);
    $upkeep = new Upkeep(onDay($until), 7, 90, true);
    expect($upkeep->next(onDay('2026-11-24T12:00'), null, $availability))->toEqual([Step::UseUp, onDay($due)]);
})->with([
    'at home' => ['2026-11-28T10:00', ['2026-12-24T10:00', '2026-12-25T10:00'], '2026-11-28T10:00'],
    'by night: before bed' => ['2026-11-28T03:00', ['2026-12-24T10:00', '2026-12-25T10:00'], '2026-11-27T21:30'],
    'away over it: the last hour at home' => ['2026-11-28T10:00', ['2026-11-27T09:00', '2026-12-07T10:00'], '2026-11-27T08:00'],
    'away from half an hour after getting up' => ['2026-11-28T10:00', ['2026-11-27T07:30', '2026-12-07T10:00'], '2026-11-27T07:00'],
    'nobody there since it was bottled' => ['2026-11-28T10:00', ['2026-11-24T11:00', '2026-12-07T10:00'], '2026-11-28T10:00'],
]);

it('keeps a deadline before its day for whoever is there or not, seeded', function () {
    mt_srand(77);
    for ($i = 0; $i < 3000; $i++) {
        $made = onDay('2026-11-24T00:00')->modify('+'.mt_rand(0, 5000).' minutes');
        $until = $made->modify('+'.mt_rand(60, 6000).' minutes');
        $away = [];
        for ($j = mt_rand(0, 3); $j > 0; $j--) {
            $from = $made->modify('+'.mt_rand(-3000, 6000).' minutes');
            $away[] = [$from, $from->modify('+'.mt_rand(30, 9000).' minutes')];
        }
        $availability = Availability::between('07:00', '22:30')->without($away);
        $due = $availability->lastAwake($until, $made);
        expect($due <= $until && $due >= min($made, $until))->toBeTrue();
        // Where anybody is there at all between, it is a moment when somebody is.
        $there = false;
        for ($at = $made; $at <= $until && ! $there; $at = $at->modify('+20 minutes')) {
            $there =
                $availability->nextAwake($at) == $at &&
                $availability->nextAwake($at->modify('+1 minute')) == $at->modify('+1 minute') &&
                $at->modify('+1 minute') <= $until;
        }
        $there && expect($availability->nextAwake($due))->toEqual($due);
    }
});

it('says the refrigerator from the moment it counts', function () {
    $plan = Support::plan(coldWish());
    $steps = array_column(Support::planning()->document($plan, Support::kitchen())['steps'], 'says', 'id');
    foreach (['strain', 'settle', 'bottle'] as $step) {
        expect($steps[$step])->toContain('refrigerator');
    }
    expect($steps)->not->toHaveKey('stand')->and(implode(' ', $steps))->not->toContain('drain for some hours');
    $straining = array_column((new Straining(false, true, true, false, false, ColdStorage::FRIDGE, true))->steps('drained'), 'says', 'id');
    expect($straining['way'])
        ->toContain('refrigerator')
        ->and($straining['settle'])
        ->toContain('refrigerator')
        ->and(implode(' ', $straining))
        ->not->toContain('some hours');
});
