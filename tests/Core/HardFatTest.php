<?php

use Kettle\Batch\Straining;
use Kettle\Diary\Availability;
use Kettle\Diary\Event;
use Kettle\Diary\Progress;
use Kettle\Diary\Routine;
use Kettle\Diary\Stage;
use Kettle\Diary\Task;
use Kettle\Diary\Timetable;
use Kettle\Infusion\Methods;
use Kettle\Material\Tables;
use Kettle\Recipe\HardFat;
use Kettle\Recipe\Steps;
use Tests\Core\Support;

const COCONUT = ['herb' => ['id' => 'self-heal'], 'oils' => ['coconut'], 'method' => 'slow-cooker'];

/*
 * Trade: coconut, cocoa, shea and animal fats are solid in a cool room; they need warmth all the way to straining,
 * and as they set they make a balm (common practice, no source).
 */
it('keeps what sets in the room warm to the end: no standing, no settling', function () {
    $plan = Support::plan(COCONUT, ['room_c' => 18]);
    $times = $plan->timetable;
    // Ten minutes after the heat it is strained, and twenty later it can be filled.
    expect($times->strainAt->getTimestamp() - array_slice($times->sessions, -1)[0]->to->getTimestamp())
        ->toBe(600)
        ->and($times->settledAt->getTimestamp() - $times->strainAt->getTimestamp())
        ->toBe(1200)
        ->and(Support::plan([...COCONUT, 'school' => 'overnight'], ['room_c' => 18])->wish->standsH())
        ->toBe(0.0)
        ->and(Support::plan([...COCONUT, 'oils' => ['olive'], 'school' => 'overnight'])->wish->standsH())
        ->toBe(12.0);
    // In a room of 28 it is an oil like another.
    $warm = Support::plan(COCONUT, ['room_c' => 28]);
    expect($warm->wish->sets())
        ->toBeFalse()
        ->and(($warm->timetable->settledAt->getTimestamp() - $warm->timetable->strainAt->getTimestamp()) / 3600)
        ->toBeGreaterThanOrEqual(24.0)
        ->and(array_key_exists('strain_within', $warm->figures))
        ->toBeFalse();
});

it('says when a blend sets and when it does not', function (array $oils, float $room, bool $sets) {
    expect(
        Support::plan(['herb' => ['id' => 'self-heal'], 'oils' => $oils, 'method' => 'slow-cooker'], ['room_c' => $room])->wish->sets(),
    )->toBe($sets);
})->with([
    'coconut, cool' => [['coconut'], 18.0, true],
    'coconut, warm' => [['coconut'], 26.0, false],
    'a quarter of it in olive' => [[['id' => 'olive', 'parts' => '3'], ['id' => 'coconut', 'parts' => '1']], 18.0, false],
    'more of it than of olive' => [[['id' => 'olive', 'parts' => '2'], ['id' => 'coconut', 'parts' => '3']], 18.0, true],
    'shea with as much again of jojoba' => [[['id' => 'shea', 'parts' => '1'], ['id' => 'jojoba', 'parts' => '1']], 18.0, true],
    'lard' => [['lard'], 20.0, true],
]);

it('measures it melted and weighs it hard', function () {
    $plan = Support::plan([...COCONUT, 'oil_amount' => '300 mL'], ['room_c' => 18]);
    $grams = $plan->figures['oil_mass.coconut']->number();
    // Codex 210: coconut oil has 0.908 to 0.921 of water's density at 40 C; at 34 C it is a little denser.
    expect($grams / $plan->figures['oil_melted.coconut']->number())
        ->toBeGreaterThan(0.905)
        ->toBeLessThan(0.926)
        ->and($plan->figures['oil_melted.coconut']->number())
        ->toBeGreaterThan(300.0);
    $steps = array_column(Support::said(Steps::of($plan)), 'says', 'id');
    expect($steps['melt'])
        ->toContain('of coconut oil, virgin first')
        ->and($steps['pour'])
        ->toContain('of the melted coconut oil')
        ->and($steps['settle'])
        ->toStartWith('It is not settled')
        ->and($steps['strain'])
        ->toStartWith('While it is warm, strain')
        ->and($steps['bottle'])
        ->toContain('wide-mouthed jars')
        ->not->toContain('cool');
});

it('says in how many minutes it sets, by cooling as Newton has it', function () {
    $plan = Support::plan([...COCONUT, 'oil_amount' => '350 mL', 'jar' => '473'], ['room_c' => 18]);
    /*
     * By hand: a pint jar of 74 mm inside with 350 mL and its herb: about 0.39 kg of oil and herb at 2000 J/(kg K) and
     * 0.26 kg of glass at 840 take up about 1000 J/K; side and both ends, about 0.030 m2, give 0.30 W/K to the air: an hour's time
     * constant of 55 min. From 49 to 27 in a room of 18: ln(31/9) = 1.24 of it, 68 min.
     */
    expect($plan->figures['strain_within']->number())->toEqualWithDelta(68.0, 8.0);
    $minutes = fn (float $room) => HardFat::minutesToStrain(
        Support::plan([...COCONUT, 'jar' => '473'], ['room_c' => $room])->wish,
        Support::plan([...COCONUT, 'jar' => '473'], ['room_c' => $room])->amounts,
        Support::kitchen(['room_c' => $room]),
    );
    expect($minutes(22.0))->toBeGreaterThan($minutes(14.0))->and($minutes(30.0))->toBeNull();
});

it('says how it will look', function () {
    expect(HardFat::looks(34, 18))
        ->toStartWith('hard')
        ->and(HardFat::looks(24, 18))
        ->toStartWith('firm')
        ->and(HardFat::looks(20, 18))
        ->toStartWith('soft')
        ->and(Support::said(array_column(Support::plan(COCONUT)->notes, 'says', 'id')['sets']))
        ->toContain('not settled')
        ->toContain('firm and pale');
});

it('goes from the cloth to the jar without settling', function () {
    $routine = new Routine(Methods::of(Tables::shipped())->method('slow-cooker'), 8, settles: false);
    $at = fn (string $moment) => new DateTimeImmutable("2026-11-{$moment}:00Z");
    $progress = Progress::follow($routine, $at('24T08:00'), Availability::between('07:00', '22:30'), [
        Event::done('fill', $at('24T08:00')),
        Event::done('warm_on', $at('24T08:30')),
        Event::done('warm_off', $at('24T16:30')),
        Event::done('strain', $at('24T16:45')),
    ]);
    expect($progress->stage)
        ->toBe(Stage::Poured)
        ->and(array_map(fn (Task $task) => [$task->key(), $task->open, $task->dueAt->format('d H:i')], $progress->tasks))
        ->toBe([['bottle', true, '24 17:05']]);
    expect(
        array_column((new Straining(false, false, true, true, false, settles: false))->steps('squeezed'), 'says', 'id')['settle'],
    )->toStartWith('Do not let it stand');
});

it('ends the heat while somebody is there for half an hour more, so that it does not set overnight', function () {
    $routine = new Routine(Methods::of(Tables::shipped())->method('slow-cooker'), 8, settles: false, warmUpMin: 30);
    $availability = Availability::between('07:00', '22:30');
    foreach (range(7, 22) as $hour) {
        foreach (['00', '20', '40'] as $minute) {
            $times = Timetable::lay($routine, new DateTimeImmutable("2026-11-24T{$hour}:{$minute}:00Z"), $availability);
            $over = array_slice($times->sessions, -1)[0]->to;
            expect(($times->strainAt->getTimestamp() - $over->getTimestamp()) / 60)->toEqual(10, "{$hour}:{$minute}");
        }
    }
});
