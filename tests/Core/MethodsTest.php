<?php

use Kettle\Diary\Availability;
use Kettle\Diary\DiaryException;
use Kettle\Diary\Event;
use Kettle\Diary\Progress;
use Kettle\Diary\Routine;
use Kettle\Diary\Stage;
use Kettle\Diary\Task;
use Kettle\Diary\Warmed;
use Kettle\Infusion\Method;
use Kettle\Infusion\MethodException;
use Kettle\Infusion\Methods;
use Kettle\Infusion\SpiritStart;
use Kettle\Material\HerbMix;
use Kettle\Material\Tables;
use Kettle\Recipe\Comparison;
use Kettle\Recipe\Practice;
use Kettle\Recipe\WishException;
use Kettle\Time\Interval;
use Tests\Core\Support;

function methodNamed(string $id): Method
{
    return Methods::of(Tables::shipped())->method($id);
}

function mixOf(array $herb): HerbMix
{
    return Support::plan(['herb' => $herb, 'method' => 'slow-cooker', 'purpose' => 'skin'])->wish->mix;
}

// Common practice, no source: how long each method takes, and how warm, as people do it.
it('knows the methods as people practise them', function (
    string $id,
    string $school,
    float $least,
    float $most,
    ?float $target,
    ?float $ceiling,
) {
    $found = methodNamed($id)->variant($school);
    expect($found->leastH)
        ->toBeGreaterThanOrEqual($least)
        ->and($found->mostH)
        ->toBeLessThanOrEqual($most)
        ->and($found->usualH)
        ->toBeGreaterThanOrEqual($found->leastH)
        ->toBeLessThanOrEqual($found->mostH)
        ->and($found->targetC)
        ->toBe($target)
        ->and($found->ceilingC)
        ->toBe($ceiling);
})->with([
    'cold: a fortnight for powders' => ['cold', 'two-weeks', 336, 504, null, null],
    'cold: four to six weeks' => ['cold', 'six-weeks', 672, 1008, null, null],
    'sun: two to four weeks where it is hot' => ['solar', 'hot-sun', 336, 672, null, null],
    'sun: six to eight in a mixed spring' => ['solar', 'mixed-spring', 1008, 1344, null, null],
    'double boiler: half an hour for powders, under 60 C' => ['double-boiler', 'quick', 0.5, 1, 49.0, 60.0],
    'double boiler: one to three hours' => ['double-boiler', 'usual', 1, 3, 49.0, 60.0],
    'double boiler: a day or two in all' => ['double-boiler', 'long', 24, 48, 49.0, 60.0],
    'slow cooker: 38 C and no more' => ['slow-cooker', 'gentle', 12, 48, 38.0, 40.0],
    'slow cooker: 49 to 60 C, six to twelve hours' => ['slow-cooker', 'usual', 6, 12, 49.0, 60.0],
    'slow cooker: twelve hours or more for woody herb' => ['slow-cooker', 'woody', 8, 24, 49.0, 60.0],
    'slow cooker: 71 C the ceiling nobody should reach' => ['slow-cooker', 'hot', 2, 8, 60.0, 71.0],
    'slow cooker: by day, off by night' => ['slow-cooker', 'by-day', 24, 48, 43.0, 55.0],
    'slow cooker: overnight, then standing' => ['slow-cooker', 'overnight', 7, 10, 43.0, 60.0],
    'water bath: four to six hours' => ['water-bath', 'usual', 4, 6, 49.0, 60.0],
    'water bath: powder in a bag' => ['water-bath', 'bag', 1.5, 2, 49.0, 60.0],
    'poured hot: about two weeks' => ['poured-hot', 'usual', 336, 504, null, null],
    'gentle pan: a quarter of an hour' => ['gentle-pan', 'usual', 0.1, 0.5, 95.0, 105.0],
    'incubator: overnight at 42 to 45 C' => ['incubator', 'overnight', 6, 10, 43.0, 45.0],
]);

it('says of the lid what the herb’s water asks', function (string $method, array $herb, string $says, string $not) {
    $lines = implode(' ', Support::said(methodNamed($method)->handlingFor(mixOf($herb))));
    expect($lines)->toContain($says)->not->toContain($not);
})->with([
    'dry and cold: tight' => ['cold', ['id' => 'self-heal'], 'Lid tight', 'Cloth and a band'],
    'wilted and cold: cloth' => ['cold', ['id' => 'self-heal', 'state' => 'wilted', 'water' => '40'], 'Cloth and a band', 'Lid tight'],
    'wilted in the cooker: open' => [
        'slow-cooker',
        ['id' => 'self-heal', 'state' => 'wilted', 'water' => '40'],
        'Jars open',
        'lidded loosely',
    ],
    'dry in the cooker' => ['slow-cooker', ['id' => 'self-heal'], 'own lid off', 'Jars open, with a cloth'],
    'dry in a bath: tight, for the water outside' => ['water-bath', ['id' => 'self-heal'], 'so that no water enters', 'Cloth and a band'],
    'powder: a bag' => [
        'double-boiler',
        ['id' => 'marshmallow-root', 'form' => 'powder'],
        'tied in a fine cloth bag',
        'bubbles rise from it',
    ],
    'fresh and warm: till no bubbles rise' => ['double-boiler', ['id' => 'self-heal', 'state' => 'fresh'], 'no more bubbles', 'Powder'],
]);

it('has a lid to speak of for each state in each method', function () {
    foreach (Methods::of(Tables::shipped())->all() as $method) {
        expect($method->tending->lidDry)->toMatch('/[.]$/')->and($method->tending->lidWet)->toMatch('/[.]$/');
    }
});

it('moistens dried herb with spirit by its weight, for warm methods only', function () {
    // 15 to 30 mL for each 28 g: common practice, no source.
    expect(SpiritStart::ml(56))->toBe(['low' => 30.0, 'value' => 44.0, 'high' => 60.0]);
    $plan = Support::plan([
        'herb' => ['id' => 'marshmallow-root', 'form' => 'powder', 'amount' => '28 g'],
        'method' => 'slow-cooker',
        'spirit' => 'yes',
    ]);
    expect($plan->figures['spirit']->number())
        ->toEqualWithDelta(22, 1e-9)
        ->and($plan->figures['spirit']->low)
        ->toBe(15.0)
        ->and($plan->figures['spirit']->high)
        ->toBe(30.0)
        ->and(Support::said($plan->sentenceText()))
        ->toContain('moistened with spirit first')
        ->and(implode(' ', Support::said(array_column($plan->notes, 'says'))))
        ->toContain('no flame')
        ->and($plan->timetable->fillAt->getTimestamp() - $plan->timetable->beginAt->getTimestamp())
        ->toBeGreaterThanOrEqual(10 * 3600);
    expect(Support::faults(['method' => 'cold', 'spirit' => 'yes']))
        ->toBe(['spirit: unfit'])
        ->and(Support::faults(['herb' => ['id' => 'self-heal', 'state' => 'fresh'], 'method' => 'slow-cooker', 'spirit' => 'yes']))
        ->toBe(['spirit: unfit'])
        ->and(Support::faults(['method' => 'slow-cooker', 'spirit' => 'perhaps']))
        ->toBe(['spirit: unknown'])
        ->and(isset(Support::plan(['method' => 'slow-cooker'])->figures['spirit']))
        ->toBeFalse();
    expect(fn () => SpiritStart::check(mixOf(['id' => 'self-heal']), methodNamed('cold')))->toThrow(MethodException::class);
});

it('shakes as often as the cook wants to', function (?string $shake, float $hours, string $says) {
    $plan = Support::plan(['method' => 'cold', 'shake' => $shake]);
    expect($plan->wish->practised()->tending->shakeEveryH)->toBe($hours);
    $words = implode(' ', array_column(Support::planning()->document($plan, Support::kitchen())['steps'], 'says'));
    expect($words)->toContain($says);
    $progress = Progress::follow(
        new Routine($plan->wish->practised(), 672),
        new DateTimeImmutable('2026-11-24T10:00Z'),
        Availability::between('07:00', '22:30'),
        [Event::done('fill', new DateTimeImmutable('2026-11-24T10:00Z'))],
    );
    $due = array_values(array_filter($progress->tasks, fn (Task $task) => $task->key() === 'shake'))[0]->dueAt;
    expect(($due->getTimestamp() - (new DateTimeImmutable('2026-11-24T10:00Z'))->getTimestamp()) / 3600)->toBeLessThanOrEqual($hours + 24);
})->with([
    [null, 24.0, 'shake it daily'],
    ['twice-daily', 12.0, 'shake it twice a day'],
    ['few-days', 72.0, 'shake it every few days'],
    ['weekly', 168.0, 'shake it weekly'],
]);

it('lets the overnight school run while people sleep, and strains after it has stood', function () {
    $plan = Support::plan(['method' => 'slow-cooker', 'school' => 'overnight', 'start' => '2026-11-24']);
    $session = $plan->timetable->sessions[0];
    expect($session->from->format('H:i'))
        ->toBeLessThanOrEqual('22:30')
        ->and($session->to->format('H:i'))
        ->toBeLessThanOrEqual('22:30')
        ->and($plan->timetable->strainAt->getTimestamp() - $session->to->getTimestamp())
        ->toBeGreaterThanOrEqual(12 * 3600)
        ->and(Support::planning()->document($plan, Support::kitchen())['method']['attended'])
        ->toBeFalse()
        ->and(
            Support::planning()->document(Support::plan(['method' => 'slow-cooker', 'school' => 'usual']), Support::kitchen())['method'][
                'attended'
            ],
        )
        ->toBeTrue();
});

it('keeps a wish’s ways to the methods they are for', function () {
    $wish = Support::plan(['method' => 'slow-cooker', 'spirit' => 'yes'])->wish;
    $refused = array_column(
        (new Comparison(Tables::shipped(), Methods::of(Tables::shipped()), Support::kitchen(), Support::planning()->rules()))->of($wish),
        'refused',
        'id',
    );
    expect($refused['cold'])
        ->toContain('must leave again by warmth')
        ->and($refused['double-boiler'])
        ->toContain('over a flame')
        ->and($refused['water-bath'])
        ->toContain('never shut in')
        ->and($refused['incubator'])
        ->toBeNull()
        ->and(
            Support::plan(['method' => 'cold', 'shake' => 'weekly'])->wish->by(
                methodNamed('slow-cooker'),
                methodNamed('slow-cooker')->variant('usual'),
            )->practice->shakeEveryH,
        )
        ->toBeNull()
        ->and(Practice::oftenness(12))
        ->toBe('twice a day');
    expect(fn () => Support::plan(['method' => 'cold', 'shake' => 'hourly']))->toThrow(WishException::class);
});

/** @param  list<Event>  $events */
function cooked(array $events, float $hours = 8): Progress
{
    return Progress::follow(
        new Routine(methodNamed('slow-cooker'), $hours),
        new DateTimeImmutable('2026-11-24T08:00Z'),
        Availability::between('07:00', '22:30'),
        [Event::done('fill', new DateTimeImmutable('2026-11-24T08:00Z')), ...$events],
    );
}

function moment(string $at): DateTimeImmutable
{
    return new DateTimeImmutable("2026-11-{$at}:00Z");
}

it('counts what a thermometer counted, not the clock', function () {
    // Five hours on the clock, of which the oil was warm for three: five of eight are still to come.
    $progress = cooked([Event::done('warm_on', moment('24 10:00')), Event::warmed('warm_off', moment('24 15:00'), 3.0)]);
    expect($progress->warmed->hours())
        ->toBe(3.0)
        ->and($progress->warmed->left(8))
        ->toBe(5.0)
        ->and($progress->warmed->nth())
        ->toBe(2)
        ->and($progress->open('warm_on-2')->dueAt->format('d H:i'))
        ->toBe('24 15:00');
    $rest = array_values(array_filter($progress->tasks, fn (Task $t) => $t->key() === 'warm_off-2'))[0];
    expect($rest->dueAt->format('d H:i'))->toBe('24 20:00')->and($rest->open)->toBeFalse();
    expect(fn () => $progress->open('strain'))->toThrow(DiaryException::class);
});

it('strains when the hours are full, near enough, or somebody says it is enough', function () {
    $on = Event::done('warm_on', moment('24 10:00'));
    expect(
        cooked([$on, Event::warmed('warm_off', moment('24 18:00'), 7.8)])
            ->open('strain')
            ->dueAt->format('H:i'),
    )
        ->toBe('18:30')
        ->and(fn () => cooked([$on, Event::warmed('warm_off', moment('24 18:00'), 7.0)])->open('strain'))
        ->toThrow(DiaryException::class)
        ->and(
            cooked([$on, Event::warmed('warm_off', moment('24 14:00'), 4.0), Event::skipped('warm_on-2', moment('24 15:00'))])
                ->open('strain')
                ->key(),
        )
        ->toBe('strain')
        ->and(cooked([$on])->stage)
        ->toBe(Stage::Steeping);
});

it('goes off when somebody must go, and on again the next day for the rest', function () {
    $progress = cooked([Event::done('warm_on', moment('24 18:30'))]);
    expect($progress->open('warm_off')->dueAt->format('d H:i'))->toBe('24 22:30');
    $next = array_values(array_filter($progress->tasks, fn (Task $t) => $t->key() === 'warm_on-2'))[0];
    expect($next->dueAt->format('d H:i'))->toBe('25 07:00')->and($next->open)->toBeFalse();
});

it('stands by the sessions the diary keeps, as long as they are for the hours that are left', function () {
    $slot = [new Interval(moment('26 09:00'), moment('26 17:00'))];
    $follow = fn (array $events, array $slots) => Progress::follow(
        new Routine(methodNamed('slow-cooker'), 8),
        moment('24 08:00'),
        Availability::between('07:00', '22:30'),
        [Event::done('fill', moment('24 08:00')), ...$events],
        slots: $slots,
    );
    expect($follow([], $slot)->open('warm_on')->dueAt->format('d H:i'))
        ->toBe('26 09:00')
        // Half is had meanwhile: a keeping for all of it is out of date.
        ->and(
            $follow([Event::done('warm_on', moment('24 10:00')), Event::warmed('warm_off', moment('24 14:00'), 4.0)], $slot)
                ->open('warm_on-2')
                ->dueAt->format('d H:i'),
        )
        ->toBe('24 14:00')
        ->and(
            $follow([Event::putOff('warm_on', moment('24 09:00'), moment('25 12:00'))], $slot)
                ->open('warm_on')
                ->dueAt->format('d H:i'),
        )
        ->toBe('26 09:00')
        ->and($follow([Event::putOff('warm_on', moment('24 09:00'), moment('25 12:00'))], [])->warmFrom->format('d H:i'))
        ->toBe('25 12:00');
});

it('knows no warmth where none was begun', function () {
    expect(Warmed::none()->left(8))
        ->toBe(8.0)
        ->and(Warmed::from([Event::warmed('warm_off', moment('24 14:00'), 4.0)], new Routine(methodNamed('slow-cooker'), 8))->hours())
        ->toBe(0.0)
        ->and(
            Warmed::from(
                [Event::done('warm_on', moment('24 14:00')), Event::done('warm_off', moment('24 13:00'))],
                new Routine(methodNamed('slow-cooker'), 8),
            )->hours(),
        )
        ->toBe(0.0)
        ->and(
            fn () => Progress::follow(
                new Routine(methodNamed('cold'), 672),
                moment('24 08:00'),
                Availability::between('07:00', '22:30'),
                [],
            )->nextWarming(),
        )
        ->toThrow(DiaryException::class);
});
