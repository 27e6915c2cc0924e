<?php

declare(strict_types=1);

namespace Tests\Core;

use Kettle\Batch\Entry;
use Kettle\Batch\Line\Line;
use Kettle\Batch\Logbook;
use Kettle\Boiling\BoilState;
use Kettle\Boiling\FrozenBoil;
use Kettle\Boiling\Hand;
use Kettle\Boiling\Level;
use Kettle\Boiling\Line\Covered;
use Kettle\Boiling\Line\Lit;
use Kettle\Boiling\Line\Moved;
use Kettle\Boiling\Lines;
use Kettle\Boiling\SharedStove;
use Kettle\Boiling\Stage;
use Kettle\Diary\Availability;
use Kettle\Diary\Burners;
use Kettle\Material\Tables;
use Kettle\Reason\RefusedException;
use Kettle\Time\Interval;

function stoveAt(string $at): \DateTimeImmutable
{
    return new \DateTimeImmutable("2026-11-{$at}", new \DateTimeZone('Europe/London'));
}

function stoveWhile(string $from, string $to): Interval
{
    return new Interval(stoveAt($from), stoveAt($to));
}

/** @param  list<array{string, Line}>  $lines */
function onTheStove(array $lines, string $now, float $gone = 4000.0): BoilState
{
    $plan = FrozenBoil::of([
        'kind' => 'cleanse',
        'of' => [['oil' => 'sesame']],
        'starts_ml' => 1200.0 + $gone,
        'ends_ml' => 1200.0,
        'made' => 1000.0,
        'rate' => ['low' => 360.0, 'value' => 450.0, 'high' => 540.0],
        'hours_a_day' => 8.0,
        'signs' => true,
        'under_oil' => true,
        'fat' => 'oil',
    ]);
    $entries = array_map(fn (int $i) => new Entry((string) $i, stoveAt($lines[$i][0]), 'Isa', $lines[$i][1], null), array_keys($lines));

    return BoilState::of($plan, new Logbook($entries), stoveAt($now));
}

/** @return list<string> */
function flames(Level $level): array
{
    return array_map(fn (Interval $on) => $on->from->format('d H:i').'-'.$on->to->format('H:i'), $level->sessions);
}

function stoveOf(?int $burners, string $now, array $others = []): SharedStove
{
    return new SharedStove($burners, $others, stoveAt($now), Availability::between('08:00', '22:00'));
}

it('tells when every burner is taken', function (array $taken, int $burners, array $all) {
    $taken = array_map(fn (array $each) => stoveWhile(...$each), $taken);
    expect(array_map(fn (Interval $i) => [$i->from->format('d H:i'), $i->to->format('d H:i')], Burners::allTaken($taken, $burners)))->toBe(
        $all,
    );
})->with([
    'none' => [[], 1, []],
    'one of two' => [[['24 09:00', '24 11:00']], 2, []],
    'two of two, where they are both on' => [[['24 09:00', '24 11:00'], ['24 10:00', '24 13:00']], 2, [['24 10:00', '24 11:00']]],
    'one after another on one' => [[['24 09:00', '24 11:00'], ['24 11:00', '24 13:00']], 1, [['24 09:00', '24 13:00']]],
    'three on two, in any order' => [
        [['24 12:00', '24 15:00'], ['24 09:00', '24 13:00'], ['24 10:00', '24 14:00']],
        2,
        [['24 10:00', '24 14:00']],
    ],
    'an empty while' => [[['24 09:00', '24 09:00']], 1, []],
    'more than there are' => [[['24 09:00', '24 12:00'], ['24 09:00', '24 12:00']], 1, [['24 09:00', '24 12:00']]],
]);

it('has the second pot wait for the burner of the first', function () {
    // 4 L at 450 mL an hour: 8 h 53 min 20 s; eight hours a day while somebody is by, from 8:00 to 22:00.
    $now = '24 08:00';
    $both = [1 => onTheStove([], $now), 2 => onTheStove([], $now)];
    $levels = stoveOf(1, $now)->lay($both);
    expect(flames($levels[1]))
        ->toBe(['24 08:00-16:00', '25 08:00-08:54'])
        ->and(flames($levels[2]))
        ->toBe(['24 16:00-22:00', '25 08:54-11:48'])
        ->and($levels[1]->waits)
        ->toBeFalse()
        ->and($levels[2]->waits)
        ->toBeTrue();
    // Two burners, or none counted: nobody waits.
    foreach ([2, null] as $burners) {
        $levels = stoveOf($burners, $now)->lay($both);
        expect(flames($levels[2]))->toBe(flames($levels[1]))->and($levels[2]->waits)->toBeFalse();
    }
});

it('leaves its burner to what is lit, whoever was begun first', function () {
    $now = '24 09:00';
    $levels = stoveOf(1, $now)->lay([
        1 => onTheStove([], $now),
        2 => onTheStove([['24 08:00', new Lit()]], $now),
        3 => onTheStove([['23 10:00', new Lit()], ['23 12:00', new Covered()]], $now),
    ]);
    // Lit at 8:00 with one hour behind it; then what has been over the flame; then what has not.
    expect(flames($levels[2])[0])
        ->toBe('24 09:00-16:00')
        ->and(flames($levels[3])[0])
        ->toBe('24 16:00-22:00')
        ->and($levels[1]->sessions[0]->from >= stoveAt('25 08:00'))
        ->toBeTrue()
        ->and($levels[2]->waits)
        ->toBeFalse();
});

it('counts a water bath on the stove, and says when one more has a burner', function () {
    $now = '24 08:00';
    $bath = [stoveWhile('24 09:00', '24 13:00')];
    $levels = stoveOf(1, $now, $bath)->lay([1 => onTheStove([], $now, 900.0)]);
    expect(flames($levels[1]))->toBe(['24 08:00-09:00', '24 13:00-14:00']);
    $free = stoveOf(1, $now, $bath)->free($levels);
    expect($free->whileFrom(stoveAt('24 08:00'))?->from)->toEqual(stoveAt('24 14:00'));
});

it('never has more over a flame than there are burners', function () {
    mt_srand(20261128);
    for ($i = 0; $i < 60; $i++) {
        $burners = mt_rand(1, 3);
        $others = [];
        for ($k = mt_rand(0, 3); $k > 0; $k--) {
            $from = stoveAt('24 08:00')->modify('+'.mt_rand(0, 4000).' minutes');
            $others[] = new Interval($from, $from->modify('+'.mt_rand(30, 600).' minutes'));
        }
        $states = [];
        for ($k = mt_rand(1, 5); $k > 0; $k--) {
            $states[$k] = onTheStove([], '24 08:00', (float) mt_rand(500, 20000));
        }
        $levels = stoveOf($burners, '24 08:00', $others)->lay($states);
        $all = array_merge($others, ...array_map(fn (Level $level) => $level->sessions, $levels));
        foreach ($levels as $key => $level) {
            foreach ($level->sessions as $on) {
                // As many as begin no later and end later are on with it as it begins: counted here one by one.
                $with = array_filter($all, fn (Interval $each) => $each->from <= $on->from && $each->to > $on->from);
                expect(count($with))->toBeLessThanOrEqual(
                    max($burners, count(array_filter($others, fn (Interval $each) => $each->has($on->from)))),
                    "{$i} {$key}",
                );
            }
            // Nothing of its hours is lost.
            $minutes = array_sum(array_map(fn (Interval $on) => $on->minutes(), $level->sessions));
            expect((float) $minutes)->toEqualWithDelta((($states[$key]->plan->startsMl - 1200.0) / 450.0) * 60, 1.0);
        }
    }
});

it('is moved by hand, until it is lit', function () {
    $now = '24 10:00';
    $moved = onTheStove([['24 09:00', new Moved(stoveAt('26 14:00'))]], $now);
    expect(flames(stoveOf(null, $now)->lay([$moved])[0]))
        ->toBe(['26 14:00-22:00', '27 08:00-08:54'])
        ->and($moved->notBefore)
        ->toEqual(stoveAt('26 14:00'));
    // Moved once more: the last one stands. Lit, it is moved no more, and a day gone by moves nothing.
    $again = onTheStove([['24 09:00', new Moved(stoveAt('26 14:00'))], ['24 09:30', new Moved(stoveAt('25 08:00'))]], $now);
    expect(flames(stoveOf(null, $now)->lay([$again])[0])[0])->toBe('25 08:00-16:00');
    $lit = onTheStove([['24 09:00', new Moved(stoveAt('26 14:00'))], ['24 09:30', new Lit()], ['24 09:50', new Covered()]], $now);
    expect($lit->notBefore)
        ->toBeNull()
        ->and(flames(stoveOf(null, $now)->lay([$lit])[0])[0])
        ->toStartWith('24 10:00');
    $past = onTheStove([['24 09:00', new Moved(stoveAt('24 09:30'))]], $now);
    expect(flames(stoveOf(null, $now)->lay([$past])[0])[0])->toBe('24 10:00-18:00');
});

it('has its eight hours on the day it is moved to, whatever it had today', function () {
    $now = '24 18:00';
    $state = onTheStove([['24 09:00', new Lit()], ['24 17:00', new Covered()], ['24 17:30', new Moved(stoveAt('25 09:00'))]], $now, 8000.0);
    expect(flames(stoveOf(null, $now)->lay([$state])[0])[0])->toBe('25 09:00-17:00');
});

it('refuses a move that cannot be', function (array $lines, string $until, ?string $good, string $says) {
    $now = '24 10:00';
    $state = onTheStove($lines, $now);
    $hand = new Hand($state, Tables::shipped(), fn (float $ml): string => '', fn (string $code): string => '');
    $until = new \DateTimeImmutable($until, new \DateTimeZone('Europe/London'));
    expect(fn () => $hand->move($until, stoveAt($now), $good))->toThrow(
        fn (RefusedException $e) => expect($e->getMessage())->toContain($says),
    );
})->with([
    'over the flame' => [[['24 09:00', new Lit()]], '2026-11-26 09:00', null, 'take it off before it is moved'],
    'gone by' => [[], '2026-11-24 10:00', null, 'after Tue 24 Nov, 10:00'],
    'next year' => [[], '2027-11-24 10:00', null, 'within 90 days'],
    'past the day of the decoction in it' => [[], '2026-11-28 09:00', '2026-11-27', 'is good until 27 November 2026'],
]);

it('moves to the very day of what is in it, and is stored and read back', function () {
    $hand = new Hand(onTheStove([], '24 10:00'), Tables::shipped(), fn (float $ml): string => '', fn (string $code): string => '');
    $line = $hand->move(stoveAt('27 09:00'), stoveAt('24 10:00'), '2026-11-27');
    expect($line->data())->toBe(['until' => '2026-11-27T09:00:00+00:00']);
    $read = Lines::read($line->kind(), $line->data());
    expect($read instanceof Moved && $read->until == stoveAt('27 09:00'))
        ->toBeTrue()
        ->and(onTheStove([], '24 10:00')->stage)
        ->toBe(Stage::Planned);
});
