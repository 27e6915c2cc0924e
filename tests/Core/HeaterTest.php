<?php

use Kettle\Diary\Availability;
use Kettle\Diary\Bookings;
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
use Kettle\Warmth\Band;
use Kettle\Warmth\Heater;
use Kettle\Warmth\Load;
use Kettle\Warmth\Pot;
use Kettle\Warmth\PotRun;
use Tests\Core\Support;

/** A cooker of the tables. */
function heater(string $id, bool $water = true): Heater
{
    foreach (Tables::shipped()->table('vessels')->rows('cookers') as $row) {
        if ($row->text('id') === $id) {
            return new Heater(
                Cooker::measured(
                    $id,
                    $row->text('called'),
                    $row->text('shape'),
                    $row->number('length_mm'),
                    $row->number('width_mm'),
                    $row->number('height_mm'),
                ),
                array_map(
                    fn ($each) => ['name' => $each->text('name'), 'watts' => $each->number('watts')],
                    array_values($row->rows('settings')),
                ),
                $row->number('loss_w_per_k'),
                $row->number('vessel_j_per_k'),
                $water,
            );
        }
    }
    throw new LogicException($id);
}

it('gets warm when the finer model of the same pot does', function (
    string $cooker,
    int $jars,
    float $target,
    float $ceiling,
    ?float $poured,
) {
    $heater = heater($cooker);
    $load = Load::jars($jars, 76, 115, 90, 0.4, 0.78, pouredC: $poured);
    $said = $heater->warmUp($load, Band::about($target, $ceiling), 18.0);
    $open = max(0.1 * $heater->cooker->areaM2(), $heater->cooker->areaM2() - $load->floorM2);
    $pot = Pot::of([
        'watts' => array_column($heater->settings, 'watts', 'name')[$said['setting']],
        'loss_w_per_k' => $heater->lossWPerK,
        'vessel_j_per_k' => $heater->vesselJPerK,
        'water_kg' => $open * $load->depthMm,
        'open_m2' => $open,
        'jars_j_per_k' => $load->jPerK,
        'jars_w_per_k' => $load->wPerK,
        'room_c' => 18.0,
    ]);
    // PotRun is held to SciPy's integrator and to the closed form in its own tests.
    $fine = PotRun::of($pot, 12, $poured, oilC: 18.0)->reaches($target - 6) / 60;
    expect($said['min'])->toEqualWithDelta($fine, max(2.0, 0.1 * $fine));
})
    ->with([['round'], ['oval'], ['pot']])
    ->with([1, 3])
    ->with([[38.0, 40.0], [49.0, 60.0], [60.0, 71.0]])
    ->with([null, 45.0]);

it('takes the quickest setting that keeps the ceiling, and the gentlest that gets there where none does', function () {
    $load = Load::jars(1, 76, 115, 90, 0.4, 0.78);
    $round = heater('round');
    // On Low and High it would settle over 60 C; on Warm at about 55.
    expect($round->warmUp($load, Band::about(49, 60), 18.0)['setting'])
        ->toBe('Warm')
        ->and($round->warmUp($load, Band::about(60, 71), 18.0)['setting'])
        ->toBe('Low')
        ->and($round->warmUp($load, Band::about(38, 39), 18.0)['setting'])
        ->toBe('Warm')
        // An incubator of 15 W never gets past some 43 C.
        ->and(heater('incubator', false)->warmUp($load, Band::about(60, 71), 18.0))
        ->toBeNull()
        // A hot summer's kitchen is warm enough by itself.
        ->and($round->warmUp($load, Band::about(38, 45), 34.0)['min'])
        ->toBe(0);
});

it('takes longer for more water, more oil, a colder room and water that is poured in cold', function () {
    $min = fn (int $jars = 1, float $kg = 0.4, float $room = 18.0, ?float $poured = 45.0, float $part = 0.78) => heater('oval')->warmUp(
        Load::jars($jars, 76, 115, 90, $kg, $part, pouredC: $poured),
        Band::about(49, 54),
        $room,
    )['min'];
    expect($min(kg: 0.8))
        ->toBeGreaterThan($min())
        ->and($min(room: 10.0))
        ->toBeGreaterThan($min())
        ->and($min(poured: null))
        ->toBeGreaterThan(2 * $min())
        ->and($min(poured: null, part: 0.4))
        ->toBeLessThan($min(poured: null));
});

it('reckons jars together as one load', function () {
    $one = Load::jars(1, 76, 115, 90, 0.4, 0.78);
    $three = Load::jars(3, 76, 115, 90, 0.4, 0.78);
    $together = Load::together([$one, $one, $one]);
    expect($together->jPerK)
        ->toEqualWithDelta($three->jPerK, 1e-9)
        ->and($together->wPerK)
        ->toEqualWithDelta($three->wPerK, 1e-9)
        ->and($together->floorM2)
        ->toEqualWithDelta($three->floorM2, 1e-12)
        ->and(Load::of($one->toArray())->jPerK)
        ->toEqualWithDelta($one->jPerK, 0.01);
});

it('begins every session with getting warm, which is no hour at warmth', function () {
    $slow = Methods::of(Tables::shipped())->method('slow-cooker');
    $at = fn (string $moment) => new DateTimeImmutable("2026-11-{$moment}:00Z");
    $follow = fn (array $events) => Progress::follow(
        new Routine($slow, 8, warmUpMin: 45),
        $at('24T08:00'),
        Availability::between('07:00', '22:30'),
        [Event::done('fill', $at('24T08:00')), ...$events],
    );
    $due = fn (Progress $progress) => array_column(
        array_map(fn (Task $task) => [$task->key(), $task->dueAt->format('d H:i')], $progress->tasks),
        1,
        0,
    );
    expect($due($follow([])))
        ->toMatchArray(['warm_on' => '24 08:30', 'warm_off' => '24 17:15', 'strain' => '24 17:45'])
        ->and($due($follow([Event::done('warm_on', $at('24T09:00'))])))
        ->toMatchArray(['warm_off' => '24 17:45']);
    // Off after three quarters of an hour, nothing of the eight hours is had; after four hours, three and a quarter.
    $short = $follow([Event::done('warm_on', $at('24T09:00')), Event::done('warm_off', $at('24T09:45'))]);
    expect($short->warmed->hours())
        ->toBe(0.0)
        ->and($due($short))
        ->toMatchArray(['warm_on-2' => '24 09:45', 'warm_off-2' => '24 18:30']);
    $half = $follow([Event::done('warm_on', $at('24T09:00')), Event::done('warm_off', $at('24T13:00'))]);
    expect($half->warmed->hours())
        ->toEqualWithDelta(3.25, 1e-9)
        ->and($due($half))
        ->toMatchArray(['warm_off-2' => '24 18:30']);
    // What a thermometer counted stands as it counted it.
    expect(
        $follow([Event::done('warm_on', $at('24T09:00')), Event::warmed('warm_off', $at('24T13:00'), 3.9)])->warmed->hours(),
    )->toEqualWithDelta(3.9, 1e-9);
});

it('takes a pan that is done by its signs for done, and one taken off before for not', function () {
    $pan = Methods::of(Tables::shipped())->method('gentle-pan');
    $at = fn (string $moment) => new DateTimeImmutable("2026-11-24T{$moment}:00Z");
    $follow = fn (Event $off) => Progress::follow(
        new Routine($pan, 0.25, warmUpMin: 25),
        $at('08:00'),
        Availability::between('07:00', '22:30'),
        [Event::done('fill', $at('08:00')), Event::done('warm_on', $at('08:30')), $off],
    );
    // Ten minutes on the flame, of which by the clock none was warm.
    $signs = $follow(Event::doneBySigns('warm_off', $at('08:40')));
    $before = $follow(Event::done('warm_off', $at('08:40')));
    $open = fn (Progress $progress) => array_values(
        array_map(fn (Task $task) => $task->key(), array_filter($progress->tasks, fn (Task $task) => $task->open)),
    );
    expect($signs->warmed->hours())
        ->toBe(0.25)
        ->and($open($signs))
        ->toBe(['strain'])
        ->and($open($before))
        ->toBe(['warm_on-2']);
});

it('books each session with the time it takes to get warm, for the jars that share it', function () {
    $availability = Availability::between('07:00', '22:30');
    $now = new DateTimeImmutable('2026-11-24T08:00Z');
    $place = new CookerPlace(heater('oval')->cooker, ['slow-cooker'], heater('oval'), 18.0);
    $job = fn (string $id, float $hours, int $jars = 1) => new CookerJob(
        $id,
        $id,
        'slow-cooker',
        49.0,
        60.0,
        $hours,
        array_fill(0, $jars, 82.0),
        $now,
        load: Load::jars($jars, 76, 115, 90, 0.4, 0.78),
    );
    $alone = CookerDiary::plan([$job('a', 6.0)], [$place], $availability, $now);
    $min = $place->warmUpMin([$job('a', 6.0)]);
    expect($min)
        ->toBeGreaterThan(100)
        ->and(($alone->runs[0]->end()->getTimestamp() - $alone->runs[0]->start()->getTimestamp()) / 60)
        ->toEqualWithDelta(360 + $min, 0.01);
    $shared = CookerDiary::plan([$job('a', 6.0), $job('b', 4.0)], [$place], $availability, $now);
    expect(count($shared->runs))->toBe(1)->and($shared->runs[0]->warmUpMin)->toBe($place->warmUpMin([$job('a', 6.0), $job('b', 4.0)]));
    [$a, $b] = [$shared->runs[0]->slots($job('a', 6.0)), $shared->runs[0]->slots($job('b', 4.0))];
    expect(($a[0]->to->getTimestamp() - $b[0]->to->getTimestamp()) / 3600)->toEqualWithDelta(2.0, 0.01);
});

it('reckons how long several jars take to get warm of those whose load is known', function () {
    $place = new CookerPlace(heater('oval')->cooker, ['slow-cooker'], heater('oval'), 18.0);
    $job = fn (?Load $load) => new CookerJob(
        'a',
        'a',
        'slow-cooker',
        49.0,
        60.0,
        6.0,
        [82.0],
        new DateTimeImmutable('2026-11-24T08:00Z'),
        load: $load,
        warmUpMin: 45,
    );
    $known = $job(Load::jars(1, 76, 115, 90, 0.4, 0.78));
    expect($place->warmUpMin([$known, $job(null)]))
        ->toBe($place->warmUpMin([$known]))
        ->toBeGreaterThan(60)
        ->and($place->warmUpMin([$job(null)]))
        ->toBe(45);
});

it('says where one more jar finds its place, and whom it would move', function () {
    $availability = Availability::between('07:00', '22:30');
    $now = new DateTimeImmutable('2026-11-24T08:00Z');
    $place = new CookerPlace(heater('round')->cooker, ['slow-cooker']);
    $job = fn (string $id, float $target, float $hours, ?string $due = null) => new CookerJob(
        $id,
        $id,
        'slow-cooker',
        $target,
        $target + 11,
        $hours,
        [82.0],
        $now,
        $due === null ? null : new DateTimeImmutable($due),
        warmUpMin: 30,
    );
    $booked = [['job' => $job('mullein', 49.0, 8.0), 'from' => $now]];
    $bookings = new Bookings([$place], [['job' => $job('mullein', 49.0, 8.0), 'from' => new DateTimeImmutable('2026-11-24T08:10Z')]]);
    // Another warmth waits until the cooker is free: from 16:30, and so whole on the next day.
    $waits = $bookings->place($job('', 60.0, 6.0), $availability, $now);
    expect($waits->slots[0]->from->format('d H:i'))
        ->toBe('25 07:00')
        ->and($waits->moves)
        ->toBe([])
        ->and(Support::said($waits->says))
        ->toBeNull()
        ->and($waits->cooker)
        ->toBe('round slow cooker, 3.5 L');
    // One that is wanted today goes first, and moves the other: told with was and is.
    $first = $bookings->place($job('', 60.0, 6.0, '2026-11-24T20:00Z'), $availability, $now);
    expect($first->slots[0]->from->format('d H:i'))
        ->toBe('24 08:00')
        ->and($first->moves[0]['called'])
        ->toBe('mullein')
        ->and($first->moves[0]['is']->format('d H:i'))
        ->toBe('25 07:00');
    // Beside each other they are tried where the others leave room.
    expect(
        $bookings->place($job('', 60.0, 6.0, '2026-11-24T20:00Z'), $availability, $now, among: false)->slots[0]->from->format('d H:i'),
    )->toBe('25 07:00');
    // Of one warmth they share it.
    expect($bookings->place($job('', 49.0, 8.0), $availability, $now)->with)
        ->toBe(['mullein'])
        ->and(Support::said((new Bookings([], $booked))->place($job('', 49.0, 8.0), $availability, $now)->says))
        ->toContain('There is no cooker');
});

it('keeps a job as it was, for a diary that is asked again', function () {
    $zone = new DateTimeZone('Europe/London');
    $job = new CookerJob(
        'a',
        'mullein',
        'slow-cooker',
        49.0,
        60.0,
        7.25,
        [82.0, 82.0],
        new DateTimeImmutable('2026-11-24T08:00', $zone),
        new DateTimeImmutable('2026-11-25T08:00', $zone),
        false,
        'oval',
        new DateTimeImmutable('2026-11-24T07:00', $zone),
        Load::jars(2, 76, 115, 90, 0.4, 0.78, pouredC: 45.0),
        40,
    );
    $again = CookerJob::of(json_decode((string) json_encode($job->toArray()), true), $zone);
    expect($again->toArray())->toEqual($job->toArray())->and($again->earliest->format(DATE_ATOM))->toBe($job->earliest->format(DATE_ATOM));
});
