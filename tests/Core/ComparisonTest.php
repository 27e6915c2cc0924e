<?php

use Kettle\Diary\Availability;
use Kettle\Diary\Labour;
use Kettle\Diary\Routine;
use Kettle\Diary\Timetable;
use Kettle\Infusion\Methods;
use Kettle\Material\Tables;
use Kettle\Recipe\WishException;
use Tests\Core\Support;

/** @return array<string, array<string, mixed>> methods of the Bench's answer, by id */
function compared(array $wish, array $house = []): array
{
    $kitchen = Support::kitchen($house);

    return array_column(Support::planning()->answer(Support::plan($wish, $house), $kitchen)['methods'], null, 'id');
}

/** @return array<string, mixed> the school that a method begins with */
function schoolOf(array $method): array
{
    return array_column($method['schools'], null, 'id')[$method['school']];
}

it('sets every method and school beside the one wished for', function () {
    $methods = compared(['jar' => '473']);
    $known = Methods::of(Tables::shipped())->all();
    expect(array_keys($methods))->toBe(array_keys($known));
    foreach ($known as $id => $method) {
        expect(array_column($methods[$id]['schools'], 'id'))
            ->toBe(array_map(fn ($school) => $school->id, $method->variants))
            ->and($methods[$id]['risks'])
            ->not->toBe([])
            ->and($methods[$id]['chosen'])
            ->toBe($id === 'cold');
    }
});

it('says of each method just what a plan by it says', function (array $wish) {
    foreach (compared($wish) as $id => $row) {
        foreach ($row['schools'] as $school) {
            try {
                $plan = Support::plan([...array_diff_key($wish, array_flip($row['drops'])), 'method' => $id, 'school' => $school['id']]);
            } catch (WishException $refused) {
                expect($row['refused'])->toBe($refused->faults[0]['sentence'], "{$id} {$school['id']}");

                continue;
            }
            expect($row['refused'])
                ->toBeNull()
                ->and($school['start_by'])
                ->toBe($plan->figures['start_by']->text(), "{$id} {$school['id']}")
                ->and($school['ready_on'])
                ->toBe($plan->timetable->readyDay()->format('Y-m-d'), "{$id} {$school['id']}")
                ->and($row['yield_text'])
                ->toBe(Kettle\Measure\AmountWriter::plain($plan->figures['yield_volume']->number(), Kettle\Measure\Kind::Volume))
                ->and($school['hands_on_text'])
                ->toBe(round($plan->figures['hands_on']->number()).' min')
                ->and(count($school['sessions']))
                ->toBe(count($plan->timetable->sessions));
        }
    }
})->with([
    'dried, in a jar' => [['jar' => '473']],
    'weighed' => [['herb' => ['id' => 'calendula', 'amount' => '40 g'], 'ready_by' => '2027-02-01']],
    'wanted soon' => [['jar' => '946', 'ready_by' => '2026-12-12']],
    'fresh' => [['herb' => ['id' => 'st-johns-wort', 'state' => 'fresh'], 'oils' => ['olive'], 'jar' => '473', 'method' => 'solar']],
    'solid fat' => [['oils' => ['coconut'], 'jar' => '473', 'method' => 'slow-cooker']],
    'a hard blend, three herbs' => [
        [
            'herbs' => [['id' => 'calendula'], ['id' => 'yarrow'], ['id' => 'sage']],
            'oils' => ['olive', 'jojoba', 'sesame', 'camellia'],
            'oil_amount' => '500 mL',
        ],
    ],
]);

it('says what is late, and by how much', function () {
    $methods = compared(['jar' => '473', 'ready_by' => '2026-12-12']);
    // Four weeks from 24 November is 22 December, and a day to settle: 23 December, 11 days late.
    expect(schoolOf($methods['cold'])['late_days'])
        ->toBe(11)
        ->and(schoolOf($methods['cold'])['start_text'])
        ->toBe('now')
        ->and(schoolOf($methods['slow-cooker'])['late_days'])
        ->toBe(0)
        // A woody root's 12 h and nearly one to get warm do not fit between filling it on Friday morning and straining it that day.
        ->and(schoolOf($methods['slow-cooker'])['start_text'])
        ->toBe('Thu 10 Dec');
});

it('says which ways want a thing that is not in the house', function () {
    $methods = compared(['jar' => '473'], ['things' => ['shelf', 'pan', 'thermometer']]);
    expect($methods['cold']['missing'])
        ->toBe([])
        ->and($methods['poured-hot']['missing'])
        ->toBe([])
        ->and($methods['slow-cooker']['missing'])
        ->toBe(['a slow cooker'])
        ->and($methods['water-bath']['missing'])
        ->toBe(['a deep pot'])
        ->and($methods['incubator']['missing'])
        ->toBe(['a yoghurt maker or other jar incubator'])
        ->and(compared(['jar' => '473'])['incubator']['missing'])
        ->toBe([]);
});

it('needs only things the tables know', function () {
    $things = array_map(fn ($row) => $row->text('id'), Tables::shipped()->table('things')->rows('rows'));
    foreach (Methods::of(Tables::shipped())->all() as $method) {
        expect(array_diff($method->wants->things, $things))->toBe([], $method->id);
    }
});

/*
 * Hands, by the steps' own minutes: fill 20, strain 20, pour off 10, bottle 15 are 65; on the shelf four weeks
 * a top-up of 2, 27 shakes of 1 and 4 looks of 2 make 102. In the cooker 8 h, 3 shakes and a switching on and
 * off of 5 each make 78. Two hours by the double boiler are counted as being there, not as hands.
 */
it('counts the hands a method asks for', function (string $method, string $school, float $minutes, float $by) {
    $known = Methods::of(Tables::shipped())->method($method);
    $hours = $known->variant($school)->usualH;
    $times = Timetable::lay(
        new Routine($known, $hours),
        new DateTimeImmutable('2026-11-24 09:00'),
        Availability::between('07:00', '22:30'),
    );
    $hands = Labour::of($known, $hours, $times);
    expect($hands->minutes)->toBe($minutes)->and($hands->byHours)->toBe($by);
})->with([
    ['cold', 'four-weeks', 102.0, 0.0],
    ['slow-cooker', 'usual', 78.0, 8.0],
    ['double-boiler', 'usual', 78.0, 2.0],
    ['incubator', 'overnight', 75.0, 0.0],
    ['gentle-pan', 'usual', 77.0, 0.25],
]);

it('names the very latest start for every method of the table', function (string $id) {
    $waking = Availability::between('07:00', '22:30');
    $method = Methods::of(Tables::shipped())->method($id);
    foreach ($method->variants as $school) {
        foreach (['2026-12-12', '2027-03-30', '2027-11-01'] as $day) {
            $ready = new DateTimeImmutable($day, new DateTimeZone('Europe/London'));
            $start = Timetable::latestStart(new Routine($method, $school->usualH, $school->standsH), $ready, $waking);
            $readyOn = fn (DateTimeImmutable $from) => Timetable::lay(
                new Routine($method, $school->usualH, $school->standsH),
                $waking->midMorning($from),
                $waking,
            )->readyDay();
            expect($readyOn($start) <= $ready)
                ->toBeTrue("{$school->id} {$day}")
                ->and($readyOn($start->modify('+1 day')) > $ready)
                ->toBeTrue("{$school->id} {$day}");
        }
    }
})->with([['cold'], ['double-boiler'], ['slow-cooker'], ['solar'], ['water-bath'], ['poured-hot'], ['gentle-pan'], ['incubator']]);

it('runs overnight only what holds its own warmth, and has somebody to switch it on and off', function () {
    $method = Methods::of(Tables::shipped())->method('incubator');
    $waking = Availability::between('07:00', '22:30');
    foreach (range(0, 23) as $hour) {
        $times = Timetable::lay(new Routine($method, 8.0), new DateTimeImmutable(sprintf('2026-11-24 %02d:10', $hour)), $waking);
        [$session] = $times->sessions;
        $awake = fn (DateTimeImmutable $at) => $at >= $waking->from($at) && $at <= $waking->to($at);
        expect($times->sessions)
            ->toHaveCount(1)
            ->and(($session->to->getTimestamp() - $session->from->getTimestamp()) / 3600)
            ->toBeGreaterThanOrEqual(8.0)
            ->and($awake($session->from))
            ->toBeTrue("on at {$hour}")
            ->and($awake($session->to))
            ->toBeTrue("off at {$hour}");
    }
});

it('lets the pan stand before it is strained', function () {
    $plan = Support::plan([
        'herb' => ['id' => 'chickweed', 'state' => 'fresh', 'amount' => '200 g'],
        'oils' => ['olive'],
        'method' => 'gentle-pan',
    ]);
    $off = $plan->timetable->sessions[0]->to;
    // A quarter of an hour in the pan, then five to six hours standing: common practice, no source.
    expect(($plan->timetable->strainAt->getTimestamp() - $off->getTimestamp()) / 3600)->toEqualWithDelta(6.5, 0.01);
});

it('does not sell the sun as warmer than it is', function () {
    $methods = compared(['jar' => '473', 'method' => 'solar']);
    expect($methods['solar']['risks'][0])->toContain('no better')->and(schoolOf($methods['solar'])['warm_text'])->toBeNull();
});
