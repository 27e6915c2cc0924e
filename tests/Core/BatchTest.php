<?php

use Kettle\Batch\BatchState;
use Kettle\Batch\BottleState;
use Kettle\Batch\Entry;
use Kettle\Batch\Evidence;
use Kettle\Batch\FrozenPlan;
use Kettle\Batch\Lateness;
use Kettle\Batch\Line\Acknowledged;
use Kettle\Batch\Line\Bottled;
use Kettle\Batch\Line\Checked;
use Kettle\Batch\Line\ColourLook;
use Kettle\Batch\Line\Decanted;
use Kettle\Batch\Line\Discarded;
use Kettle\Batch\Line\FaultNoted;
use Kettle\Batch\Line\FilledSize;
use Kettle\Batch\Line\Line;
use Kettle\Batch\Line\Lines;
use Kettle\Batch\Line\Note;
use Kettle\Batch\Line\Outcome;
use Kettle\Batch\Line\PurposeChanged;
use Kettle\Batch\Line\PutAway;
use Kettle\Batch\Line\ScentLook;
use Kettle\Batch\Line\Started;
use Kettle\Batch\Line\Strained;
use Kettle\Batch\Line\TaskLine;
use Kettle\Batch\Line\Undone;
use Kettle\Batch\Line\Used;
use Kettle\Batch\Logbook;
use Kettle\Batch\PlannedJar;
use Kettle\Batch\Record;
use Kettle\Batch\Shelf;
use Kettle\Batch\Stored;
use Kettle\Batch\StoredAs;
use Kettle\Caution\CautionException;
use Kettle\Diary\Availability;
use Kettle\Diary\DiaryException;
use Kettle\Diary\Stage;
use Kettle\Diary\Step;
use Kettle\Infusion\Methods;
use Kettle\Material\Cupboard;
use Kettle\Material\State;
use Kettle\Material\Tables;
use Kettle\Reason\Said;
use Kettle\Vessel\Jar;
use Tests\Core\Support;

/** @param  array<string, mixed>  $wish */
function frozen(array $wish = []): FrozenPlan
{
    return FrozenPlan::of(
        Support::planning()->document(
            Support::plan($wish + ['herb' => ['id' => 'self-heal'], 'oils' => ['sunflower'], 'jar' => '473']),
            Support::kitchen(),
        ),
    );
}

/**
 * @param  list<array{string, Line, 2?: ?string}>  $lines day and hour, what was written, and what it strikes out
 */
function logbook(array $lines): Logbook
{
    return new Logbook(
        array_map(
            fn (int $i, array $line) => new Entry("e{$i}", new DateTimeImmutable($line[0].'Z'), 'K. Keeper', $line[1], $line[2] ?? null),
            array_keys($lines),
            $lines,
        ),
    );
}

/** @param  list<array{string, Line, 2?: ?string}>  $lines */
function folded(FrozenPlan $plan, array $lines, array $lots = []): BatchState
{
    $cupboard = new Cupboard(Tables::shipped());

    return BatchState::of(
        new Record($plan, logbook($lines), new DateTimeImmutable('2026-10-01T10:00:00Z'), Methods::of(Tables::shipped())),
        Availability::between('07:00', '22:30'),
        $cupboard,
        $lots,
    );
}

$filled = ['2026-10-01T10:00', new TaskLine('fill', Outcome::Done)];
$strained = fn (float $ml = 300.0, string $at = '2026-10-29T10:00', string $way = 'squeezed') => [
    $at,
    new Strained("{$ml} mL", $ml, 'as expected', null, null, $way, false),
];
$bottled = fn (int $count = 3, string $at = '2026-10-31T10:00', array $kept = []) => [
    $at,
    new Bottled([new FilledSize('s', '50 mL bottle', 50.0, $count)], 50.0 * $count, 0.0, $kept),
];

it('reads every line back as it was written', function (Line $line) {
    $again = Lines::read($line->kind(), json_decode((string) json_encode($line->data()), true));
    expect($again)->toEqual($line)->and($again->data())->toEqual($line->data());
})->with([
    [new Started(Said::of('sentence.of', ['jar' => 'pint jar']), [['id' => 'skin-only', 'says' => Said::of('caution:skin-only.says')]])],
    [new Started(Said::asItStood('A pint jar.'))],
    [new TaskLine('warm_off-2', Outcome::Done, '', ['fur'], 7.25)],
    [new TaskLine('warm_on', Outcome::Done, against: Said::of('stove.over-ceiling', ['ceiling' => ['C' => 60.0]]))],
    [new TaskLine('shake', Outcome::Skipped)],
    [new TaskLine('strain', Outcome::Later, '2026-10-30T10:00:00+00:00')],
    [
        new Strained(
            '300 mL',
            300.5,
            'less',
            Said::of('outcome.less', ['share' => ['%' => 65.0]]),
            0.71,
            'pressed',
            true,
            'had',
            92.5,
            'compost',
            'paper',
            ['time'],
        ),
    ],
    [new Strained('300 mL', 300.5, 'less', Said::asItStood('Less.'), null, null, false)],
    [new Decanted('290 mL', 290.0, 10.5, true)],
    [new Bottled([new FilledSize('s', '50 mL', 50.0, 3)], 150.0, 2.5, ['place' => 'fridge'], [['lot' => 'l', 'count' => 2]])],
    [new Used(2, 'given', 50.0, '', 'a neighbour')],
    [new Checked('sound', Said::of('check.sound'), ['smell' => 'good'])],
    [new PutAway(['place' => 'warm', 'where' => 'by the range'])],
    [new PurposeChanged('skin', 'kitchen')],
    [new FaultNoted(['cloudy'], Said::just(['sign' => 'cloudy']), 'water', Said::just(['fault' => 'water']), 'use-soon')],
    [new Acknowledged([['id' => 'a', 'says' => Said::of('caution:a.says')]])],
    [new ColourLook([70.5, 2.0, 40.0], [229, 178, 58], true, 'photo', 'p')],
    [new ScentLook(7)],
    [new Note()],
    [new Discarded()],
    [new Undone('strained')],
]);

it('reads lines of before, and of any kind, without falling over', function () {
    foreach (
        [
            'started',
            'task',
            'strained',
            'decanted',
            'bottled',
            'used',
            'checked',
            'kept',
            'purpose',
            'fault',
            'acknowledged',
            'look',
            'note',
            'discarded',
            'undone',
            'nothing known',
        ] as $kind
    ) {
        foreach (
            [
                [],
                ['ml' => 'x', 'bottles' => 'y', 'seen' => 5, 'task' => [], 'cautions' => [1, 'a']],
                ['bottles' => [7, []], 'kept' => ['place' => 3]],
            ] as $data
        ) {
            expect(Lines::read($kind, $data)->kind())->toBe($kind === 'nothing known' ? 'note' : $kind);
        }
    }
});

it('stands from stage to stage by what was done, and back by what was struck out', function () use ($filled, $strained, $bottled) {
    $plan = frozen();
    $all = [
        ['2026-09-30T10:00', new Started(null)],
        $filled,
        $strained(),
        ['2026-10-30T10:00', new Decanted('290 mL', 290.0, 10.0, false)],
        $bottled(),
    ];
    foreach (
        [[1, Stage::Planned], [2, Stage::Steeping], [3, Stage::Settling], [4, Stage::Poured], [5, Stage::Bottled]] as [$many, $stage]
    ) {
        expect(folded($plan, array_slice($all, 0, $many))->progress->stage)->toBe($stage);
    }
    $struck = folded($plan, [...$all, ['2026-10-31T11:00', new Undone('bottled'), 'e4']]);
    expect($struck->progress->stage)
        ->toBe(Stage::Poured)
        ->and($struck->bottles)
        ->toBe([])
        ->and($struck->bottledAt)
        ->toBeNull()
        ->and($struck->pouredMl)
        ->toBe(290.0)
        ->and(folded($plan, [...$all, ['2026-11-01T10:00', new Discarded()]])->progress->stage)
        ->toBe(Stage::Discarded);
});

it('lets a line be struck out only where nothing rests on it', function () use ($filled, $strained, $bottled) {
    $log = logbook([
        ['2026-09-30T10:00', new Started(null)],
        $filled,
        ['2026-10-02T10:00', new TaskLine('shake', Outcome::Done)],
        $strained(),
        ['2026-10-30T10:00', new Note()],
        $bottled(),
        ['2026-11-01T10:00', new Used(1, 'used', 50.0, '', '')],
        ['2026-11-02T10:00', new Undone('used'), 'e6'],
    ]);
    $of = function (string $id) use ($log): string {
        try {
            return $log->toStrike($id)->line->kind();
        } catch (DiaryException $refused) {
            return $refused->getMessage();
        }
    };
    expect($of('e0'))
        ->toContain('Discard the batch instead')
        ->and($of('e1'))
        ->toContain('A later step rests')
        ->and($of('e2'))
        ->toBe('task')
        ->and($of('e3'))
        ->toContain('A later step rests')
        ->and($of('e4'))
        ->toBe('note')
        ->and($of('e5'))
        ->toBe('bottled')
        ->and($of('e6'))
        ->toContain('undone already')
        ->and($of('e7'))
        ->toContain('undone already');
    // What is used up rests on its bottle.
    expect(fn () => logbook([$filled, $bottled(), ['2026-11-01T10:00', new Used(1, 'used', 50.0, '', '')]])->toStrike('e1'))->toThrow(
        DiaryException::class,
    );
});

it('follows each bottle to where it went', function () use ($filled, $strained, $bottled) {
    $state = folded(frozen(), [
        $filled,
        $strained(),
        $bottled(),
        ['2026-11-01T10:00', new Used(1, 'used', 20.0, '', 'a salve')],
        ['2026-11-02T10:00', new Used(2, 'given', 50.0, '', 'a neighbour')],
        ['2026-11-03T10:00', new Used(9, 'used', 50.0, '', '')],
        ['2026-11-04T10:00', new Used(1, 'thrown', 30.0, '', '')],
    ]);
    expect(array_map(fn (BottleState $bottle) => [$bottle->number, $bottle->leftMl, $bottle->state, $bottle->to], $state->bottles))
        ->toBe([[1, 0.0, 'thrown', ''], [2, 0.0, 'given', 'a neighbour'], [3, 50.0, 'in', '']])
        ->and($state->bottlesLeft())
        ->toBe(1);
});

it('asks for a smell while there is a bottle, and for nothing when the last is gone', function () use ($filled, $strained, $bottled) {
    $steps = fn (BatchState $state): array => array_map(fn ($task) => $task->step, $state->progress->tasks);
    expect($steps(folded(frozen(), [$filled, $strained(), $bottled(1)])))
        ->toBe([Step::Smell])
        ->and($steps(folded(frozen(), [$filled, $strained(), $bottled(1), ['2026-11-02T10:00', new Used(1, 'used', 50.0, '', '')]])))
        ->toBe([]);
});

it('reckons the keeping from how it stands now, and from what it is for now', function () use ($filled, $strained, $bottled) {
    $best = fn (array ...$more) => folded(frozen(), [$filled, $strained(), $bottled(3, '2026-10-31T10:00', ['glass' => 'clear']), ...$more])
        ->keeping->months;
    // Six months opened, less 28 days on the herb, of 730.56 h: in clear glass three quarters; in the refrigerator half as long again.
    $months = 6 - (28 * 24) / 730.56;
    expect($best())
        ->toEqualWithDelta(0.75 * $months, 0.005)
        ->and($best(['2026-11-01T10:00', new PutAway(['glass' => 'dark'])]))
        ->toEqualWithDelta($months, 0.005)
        ->and($best(['2026-11-01T10:00', new PutAway(['glass' => 'dark', 'place' => 'fridge'])]))
        ->toEqualWithDelta(1.5 * $months, 0.005)
        ->and(
            folded(frozen(), [
                $filled,
                ['2026-10-02T10:00', new PurposeChanged('skin', 'kitchen')],
                ['2026-10-03T10:00', new PurposeChanged('kitchen', 'salve')],
            ])->purpose,
        )
        ->toBe('salve');
});

it('learns by the way it was got out, and nothing of what was thrown away or mixed', function () use ($filled, $strained) {
    $plan = frozen(['herb' => ['id' => 'self-heal', 'amount' => '50 g'], 'oil_amount' => '400 mL', 'jar' => '946']);
    $learned = folded($plan, [$filled, $strained(300.0, '2026-10-29T10:00', 'drained')])->learned;
    // 400 poured on 50 g of dried herb, 300 out, and what stays in the cloth and the sieve: (400 - 300 - that) / 50.
    $losses = Kettle\Infusion\Uptake::by('drained', Tables::shipped())->lossesMl;
    expect($learned?->way)
        ->toBe('drained')
        ->and($learned?->dryG)
        ->toEqualWithDelta(50.0, 0.01)
        ->and($learned?->uptake)
        ->toEqualWithDelta((100 - $losses) / 50, 1e-6)
        ->and(folded($plan, [$filled, $strained(), ['2026-10-30T10:00', new Discarded()]])->learned)
        ->toBeNull()
        ->and(folded($plan, [$filled])->learned)
        ->toBeNull()
        // More out than in is no figure to learn from.
        ->and(folded($plan, [$filled, $strained(900.0)])->learned)
        ->toBeNull()
        ->and(
            folded(frozen(['herbs' => [['id' => 'self-heal'], ['id' => 'marshmallow-root']], 'herb' => null]), [$filled, $strained()])
                ->learned,
        )
        ->toBeNull();
});

it('gives what is kept cold its day, from what was done', function () {
    $plan = frozen([
        'herb' => ['id' => 'basil', 'state' => 'fresh', 'amount' => '20 g'],
        'oils' => ['olive'],
        'purpose' => 'kitchen',
        'kept' => 'fridge',
        'method' => 'gentle-pan',
        'jar' => null,
    ]);
    $fill = ['2026-10-01T10:00', new TaskLine('fill', Outcome::Done)];
    $out = fn (string $at) => [$at, new Strained('', 80.0, '', null, null, 'drained', false)];
    // Four days from filling where it was cold within four hours, and the four hours where it was not.
    expect(folded($plan, [])->useBy)
        ->toBeNull()
        ->and(folded($plan, [$fill])->useBy?->format('d H:i'))
        ->toBe('01 14:00')
        ->and(folded($plan, [$fill, $out('2026-10-01T11:00')])->useBy?->format('d H:i'))
        ->toBe('05 10:00')
        ->and(folded($plan, [$fill, $out('2026-10-01T14:01')])->useBy?->format('d H:i'))
        ->toBe('01 14:00');
});

it('draws what was strained out of a pan in the smallest jar that holds it, and of a jar in that', function () {
    $jars = [Jar::measured('a', 'small', 200.0, 100.0), Jar::measured('b', 'large', 500.0, 120.0)];
    $pan = new PlannedJar('pan', Jar::PAN, 1, 2000.0, 90.0, 200.0, 10.0, 30.0);
    expect($pan->strained(150.0, $jars))
        ->toEqual(new PlannedJar('a jar', Jar::JAR, 1, 200.0, 100.0, round($jars[0]->diameterMm(), 1), 0.0, 75.0))
        ->and($pan->strained(300.0, $jars)->levelMm)
        ->toBe(72.0)
        ->and($pan->strained(900.0, $jars)->brimMl)
        ->toBe(500.0)
        ->and($pan->strained(900.0, [])->kind)
        ->toBe(Jar::PAN)
        ->and((new PlannedJar('pint jar', Jar::JAR, 2, 500.0, 120.0, 74.0, 40.0, 90.0))->strained(500.0, $jars))
        ->toEqual(new PlannedJar('pint jar', Jar::JAR, 2, 500.0, 120.0, 74.0, 0.0, 60.0));
});

it('tells lists what they draw, and reads it back', function () use ($filled) {
    $looks = array_map(
        fn (int $i) => ["2026-10-0{$i}T12:00", new ColourLook([70.0, 0.0, 40.0], [200 + $i, 180, 60], false, 'swatch')],
        range(1, 9),
    );
    $state = folded(frozen(), [$filled, ...$looks, ['2026-10-08T10:00', new TaskLine('check', Outcome::Done, '', ['herb_above'])]]);
    $shelf = Shelf::of($state, $state->record->plan->jar);
    expect($shelf->colours)
        ->toHaveCount(8)
        ->and($shelf->colours[7])
        ->toBe('#d1b43c')
        ->and($shelf->seen)
        ->toBe('stood-out')
        ->and($shelf->heated)
        ->toBeFalse()
        ->and($shelf->warmShare())
        ->toBeNull()
        ->and(Shelf::read(Stored::of(json_decode((string) json_encode($shelf->document()), true))))
        ->toEqual($shelf)
        // Of before it was folded: a jar, and nothing in it.
        ->and(Shelf::read(Stored::of([]))->jar)
        ->toBe('jar')
        ->and(Shelf::read(Stored::of(null))->storedAs)
        ->toBeNull();
});

it('reads plans of before some of it was written down', function () {
    $plan = FrozenPlan::of([
        'herb' => ['id' => 'self-heal', 'name' => 'self-heal', 'form' => 'thin-leaf'],
        'oils' => [['id' => 'olive', 'name' => 'olive oil', 'share' => 1]],
        'jar' => ['called' => 'pint jar', 'brim_ml' => 505],
        'method' => ['id' => 'cold', 'name' => 'cold, on a shelf', 'hours' => 672],
        'figures' => ['herb_mass' => ['value' => 40], 'yield_volume' => ['value' => 200, 'low' => 180, 'high' => 220]],
    ]);
    expect($plan->purpose)
        ->toBe('skin')
        ->and($plan->storage)
        ->toBe('shelf')
        ->and($plan->way)
        ->toBe('squeezed')
        ->and($plan->state)
        ->toBe(State::Dried)
        ->and($plan->jar->count)
        ->toBe(1)
        ->and($plan->jar->kind)
        ->toBe('jar')
        ->and($plan->dryG())
        ->toBe(40.0)
        ->and($plan->uptakeKey())
        ->toBe('thin-leaf')
        ->and($plan->expected())
        ->toBe(['low' => 180.0, 'value' => 200.0, 'high' => 220.0])
        ->and($plan->method->settles)
        ->toBeTrue()
        ->and($plan->routine(Methods::of(Tables::shipped()))->hours)
        ->toBe(672.0)
        ->and(fn () => $plan->figure('oil_volume'))
        ->toThrow(LogicException::class, 'oil_volume');
});

it('stops for warmth that nobody wrote down, and not for what was had', function () {
    $plan = frozen(['method' => 'slow-cooker']);
    $hours = $plan->method->hours;
    $lacks = function (array $lines) use ($plan): bool {
        $state = folded($plan, $lines);

        return $state->record->lacksWarmth($state->progress);
    };
    $fill = ['2026-10-01T10:00', new TaskLine('fill', Outcome::Done)];
    expect($lacks([$fill]))
        ->toBeTrue()
        ->and(
            $lacks([
                $fill,
                ['2026-10-01T11:00', new TaskLine('warm_on', Outcome::Done)],
                ['2026-10-01T19:00', new TaskLine('warm_off', Outcome::Done, '', [], 0.49 * $hours)],
            ]),
        )
        ->toBeTrue()
        ->and(
            $lacks([
                $fill,
                ['2026-10-01T11:00', new TaskLine('warm_on', Outcome::Done)],
                ['2026-10-01T19:00', new TaskLine('warm_off', Outcome::Done, '', [], 0.5 * $hours)],
            ]),
        )
        ->toBeFalse();
});

it('says what is late, and from when', function () {
    $at = fn (string $moment) => new DateTimeImmutable($moment, new DateTimeZone('Europe/London'));
    $late = fn (Stage $stage, string $now, array $of = []) => new Lateness(
        $stage,
        $at('2026-10-01 10:00'),
        isset($of['filled']) ? $at($of['filled']) : null,
        $at('2026-10-29 10:00'),
        isset($of['strained']) ? $at($of['strained']) : null,
        $at('2027-03-31 00:00'),
        isset($of['use_by']) ? $at($of['use_by']) : null,
        $at($now),
    );
    $fill = ['filled' => '2026-10-01 10:00'];
    // Days are those of the calendar: from late one evening to early the next morning is one.
    expect($late(Stage::Planned, '2026-10-01 23:59')->fillDaysLate())
        ->toBe(0)
        ->and($late(Stage::Planned, '2026-10-02 00:01')->fillDaysLate())
        ->toBe(1)
        ->and($late(Stage::Steeping, '2026-10-09 10:00', $fill)->fillDaysLate())
        ->toBe(0)
        ->and($late(Stage::Steeping, '2026-10-28 23:59', $fill)->strainDaysLate())
        ->toBe(-1)
        ->and($late(Stage::Steeping, '2026-10-29 00:00', $fill)->isStrainDay())
        ->toBeTrue()
        ->and($late(Stage::Steeping, '2026-10-28 23:59', $fill)->isStrainDay())
        ->toBeFalse()
        ->and($late(Stage::Steeping, '2026-11-01 01:00', $fill)->strainDaysLate())
        ->toBe(3)
        ->and($late(Stage::Planned, '2026-11-01 01:00')->strainDaysLate())
        ->toBe(0)
        // Once it is strained it gets no later, nor longer on the herb.
        ->and($late(Stage::Bottled, '2026-12-24 10:00', $fill + ['strained' => '2026-10-31 10:00'])->strainDaysLate())
        ->toBe(2)
        ->and($late(Stage::Bottled, '2026-12-24 10:00', $fill + ['strained' => '2026-10-31 10:00'])->daysOnHerb())
        ->toBe(30)
        ->and($late(Stage::Steeping, '2026-10-08 10:00', $fill)->daysOnHerb())
        ->toBe(7)
        ->and($late(Stage::Steeping, '2026-10-08 10:00', $fill)->daysPlanned())
        ->toBe(28)
        // A best-before day is good to its end, also where the clock is not at Greenwich.
        ->and($late(Stage::Bottled, '2027-03-31 23:59')->isPastBest())
        ->toBeFalse()
        ->and($late(Stage::Bottled, '2027-04-01 00:00')->isPastBest())
        ->toBeTrue();
    $cold = fn (string $now, array $of = []) => $late(Stage::Settling, $now, $fill + $of + ['use_by' => '2026-10-05 10:00']);
    expect($cold('2026-10-05 09:59', ['strained' => '2026-10-01 14:00'])->isPastUse())
        ->toBeFalse()
        ->and($cold('2026-10-05 10:00', ['strained' => '2026-10-01 14:00'])->isPastUse())
        ->toBeTrue()
        ->and($cold('2026-10-02 10:00', ['strained' => '2026-10-01 14:00'])->isWarmTooLong())
        ->toBeFalse()
        ->and($cold('2026-10-02 10:00', ['strained' => '2026-10-01 14:01'])->isWarmTooLong())
        ->toBeTrue()
        ->and($cold('2026-10-01 14:00')->isWarmTooLong())
        ->toBeFalse()
        ->and($cold('2026-10-01 14:01')->isWarmTooLong())
        ->toBeTrue()
        ->and($late(Stage::Steeping, '2026-12-01 10:00', $fill)->isWarmTooLong())
        ->toBeFalse();
    $past = [[$cold('2026-10-05 10:00', ['strained' => '2026-10-01 14:00']), 'Mon 5 Oct'], [$cold('2026-10-01 14:01'), 'Mon 5 Oct']];
    foreach ($past as [$over, $until]) {
        expect(fn () => $over->refuse($until))->toThrow(CautionException::class);
    }
    $cold('2026-10-05 09:59', ['strained' => '2026-10-01 14:00'])->refuse('');
});

it('brings what was written down as evidence for faults', function () use ($filled) {
    $evidence = new Evidence(Support::kitchen(), new Cupboard(Tables::shipped()));
    $plan = frozen(['herb' => ['id' => 'marshmallow-root'], 'oils' => ['grapeseed', 'coconut'], 'way' => 'pressed']);
    $log = logbook([
        $filled,
        ['2026-10-08T10:00', new TaskLine('check', Outcome::Done, '', ['herb_above', 'drops_wiped'])],
        ['2026-10-29T10:00', new Strained('', 300.0, '', null, null, 'drained', false)],
    ]);
    // Strained otherwise than planned, what was done counts; a root is woody, and this one has slime.
    expect(array_keys($evidence->ofTheHerb($plan, $log)))
        ->toBe(['dry-herb', 'drained', 'woody', 'mucilage', 'herb-above-seen', 'drops-seen', 'not-weighed'])
        ->and(array_keys($evidence->ofTheHerb($plan, logbook([$filled]))))
        ->toBe(['dry-herb', 'pressed', 'woody', 'mucilage'])
        ->and(array_keys($evidence->ofTheHerb(frozen(['herb' => ['id' => 'self-heal', 'state' => 'wilted']]), logbook([$filled]))))
        ->toContain('wet-herb')
        ->not->toContain('dry-herb');
    // Coconut sets at 24 C or so, and the room is at 18; grapeseed takes up oxygen readily.
    expect(array_keys($evidence->ofTheOils($plan, new StoredAs('warm', 'clear'), 'kitchen')))
        ->toBe(['hard-fat', 'poly-oil', 'warm-place', 'clear-glass', 'kitchen'])
        ->and(array_keys($evidence->ofTheOils(frozen(['oils' => ['jojoba']]), new StoredAs('fridge'), 'skin')))
        ->toContain('cold-place')
        ->not->toContain('poly-oil');
    $warm = frozen(['method' => 'double-boiler']);
    $state = folded($warm, [
        ['2026-10-01T10:00', new TaskLine('fill', Outcome::Done)],
        ['2026-10-01T11:00', new TaskLine('warm_on', Outcome::Done)],
        ['2026-10-01T12:00', new TaskLine('warm_off', Outcome::Done, '', [], 0.84 * $warm->method->hours)],
        ['2026-10-01T13:00', new Strained('', 300.0, '', null, null, null, true)],
    ]);
    expect(array_keys($evidence->ofTheWarmth($warm, $state->record->method(), $state->progress, 'Over by 3 °C for 5 min')))->toBe([
        'over-ceiling',
        'under-warm',
        'steam',
        'in-water',
        'flame',
    ]);
});
