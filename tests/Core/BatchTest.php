<?php

use Kettle\Batch\BatchState;
use Kettle\Batch\BottleState;
use Kettle\Batch\Evidence;
use Kettle\Batch\FrozenPlan;
use Kettle\Batch\Line\Bottled;
use Kettle\Batch\Line\ColourLook;
use Kettle\Batch\Line\Decanted;
use Kettle\Batch\Line\Discarded;
use Kettle\Batch\Line\FilledSize;
use Kettle\Batch\Line\Note;
use Kettle\Batch\Line\Outcome;
use Kettle\Batch\Line\PurposeChanged;
use Kettle\Batch\Line\PutAway;
use Kettle\Batch\Line\Started;
use Kettle\Batch\Line\Strained;
use Kettle\Batch\Line\TaskLine;
use Kettle\Batch\Line\Undone;
use Kettle\Batch\Line\Used;
use Kettle\Batch\PlannedJar;
use Kettle\Batch\Shelf;
use Kettle\Batch\Stored;
use Kettle\Batch\StoredAs;
use Kettle\Diary\DiaryException;
use Kettle\Diary\Stage;
use Kettle\Diary\Step;
use Kettle\Infusion\Methods;
use Kettle\Material\Cupboard;
use Kettle\Material\State;
use Kettle\Material\Tables;
use Kettle\Vessel\Jar;
use Kettle\Vessel\Marks;
use Tests\Core\Folding;
use Tests\Core\Support;

$filled = ['2026-10-01T10:00', new TaskLine('fill', Outcome::Done)];
$strained = fn (float $ml = 300.0, string $at = '2026-10-29T10:00', string $way = 'squeezed') => [
    $at,
    new Strained("{$ml} mL", $ml, 'as expected', null, null, $way, false),
];
$bottled = fn (int $count = 3, string $at = '2026-10-31T10:00', array $kept = []) => [
    $at,
    new Bottled([new FilledSize('s', '50 mL bottle', 50.0, $count)], 50.0 * $count, 0.0, $kept),
];

it('stands from stage to stage by what was done, and back by what was struck out', function () use ($filled, $strained, $bottled) {
    $plan = Folding::plan();
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
        expect(Folding::state($plan, array_slice($all, 0, $many))->progress->stage)->toBe($stage);
    }
    $struck = Folding::state($plan, [...$all, ['2026-10-31T11:00', new Undone('bottled'), 'e4']]);
    expect($struck->progress->stage)
        ->toBe(Stage::Poured)
        ->and($struck->bottles)
        ->toBe([])
        ->and($struck->bottledAt)
        ->toBeNull()
        ->and($struck->pouredMl)
        ->toBe(290.0)
        ->and(Folding::state($plan, [...$all, ['2026-11-01T10:00', new Discarded()]])->progress->stage)
        ->toBe(Stage::Discarded);
});

it('lets a line be struck out only where nothing rests on it', function () use ($filled, $strained, $bottled) {
    $log = Folding::logbook([
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
        ->toContain('Discard it instead')
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
    expect(
        fn () => Folding::logbook([$filled, $bottled(), ['2026-11-01T10:00', new Used(1, 'used', 50.0, '', '')]])->toStrike('e1'),
    )->toThrow(DiaryException::class);
});

it('follows each bottle to where it went', function () use ($filled, $strained, $bottled) {
    $state = Folding::state(Folding::plan(), [
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
    expect($steps(Folding::state(Folding::plan(), [$filled, $strained(), $bottled(1)])))
        ->toBe([Step::Smell])
        ->and(
            $steps(
                Folding::state(Folding::plan(), [
                    $filled,
                    $strained(),
                    $bottled(1),
                    ['2026-11-02T10:00', new Used(1, 'used', 50.0, '', '')],
                ]),
            ),
        )
        ->toBe([]);
});

it('reckons the keeping from how it stands now, and from what it is for now', function () use ($filled, $strained, $bottled) {
    $best = fn (array ...$more) => Folding::state(Folding::plan(), [
        $filled,
        $strained(),
        $bottled(3, '2026-10-31T10:00', ['glass' => 'clear']),
        ...$more,
    ])->keeping->months;
    // Six months opened, less 28 days on the herb, of 730.56 h: in clear glass three quarters; in the refrigerator half as long again.
    $months = 6 - (28 * 24) / 730.56;
    expect($best())
        ->toEqualWithDelta(0.75 * $months, 0.005)
        ->and($best(['2026-11-01T10:00', new PutAway(['glass' => 'dark'])]))
        ->toEqualWithDelta($months, 0.005)
        ->and($best(['2026-11-01T10:00', new PutAway(['glass' => 'dark', 'place' => 'fridge'])]))
        ->toEqualWithDelta(1.5 * $months, 0.005)
        ->and(
            Folding::state(Folding::plan(), [
                $filled,
                ['2026-10-02T10:00', new PurposeChanged('skin', 'kitchen')],
                ['2026-10-03T10:00', new PurposeChanged('kitchen', 'salve')],
            ])->purpose,
        )
        ->toBe('salve');
});

it('learns by the way it was got out, and nothing of what was thrown away or mixed', function () use ($filled, $strained) {
    $plan = Folding::plan(['herb' => ['id' => 'self-heal', 'amount' => '50 g'], 'oil_amount' => '400 mL', 'jar' => '946']);
    $learned = Folding::state($plan, [$filled, $strained(300.0, '2026-10-29T10:00', 'drained')])->learned;
    // 400 poured on 50 g of dried herb, 300 out, and what stays in the cloth and the sieve: (400 - 300 - that) / 50.
    $losses = Kettle\Infusion\Uptake::by('drained', Tables::shipped())->lossesMl;
    expect($learned?->way)
        ->toBe('drained')
        ->and($learned?->dryG)
        ->toEqualWithDelta(50.0, 0.01)
        ->and($learned?->uptake)
        ->toEqualWithDelta((100 - $losses) / 50, 1e-6)
        ->and(Folding::state($plan, [$filled, $strained(), ['2026-10-30T10:00', new Discarded()]])->learned)
        ->toBeNull()
        ->and(Folding::state($plan, [$filled])->learned)
        ->toBeNull()
        // More out than in is no figure to learn from.
        ->and(Folding::state($plan, [$filled, $strained(900.0)])->learned)
        ->toBeNull()
        ->and(
            Folding::state(Folding::plan(['herbs' => [['id' => 'self-heal'], ['id' => 'marshmallow-root']], 'herb' => null]), [
                $filled,
                $strained(),
            ])->learned,
        )
        ->toBeNull();
});

it('gives what is kept cold its day, from what was done', function () {
    $plan = Folding::plan([
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
    expect(Folding::state($plan, [])->useBy)
        ->toBeNull()
        ->and(Folding::state($plan, [$fill])->useBy?->format('d H:i'))
        ->toBe('01 14:00')
        ->and(Folding::state($plan, [$fill, $out('2026-10-01T11:00')])->useBy?->format('d H:i'))
        ->toBe('05 10:00')
        ->and(Folding::state($plan, [$fill, $out('2026-10-01T14:01')])->useBy?->format('d H:i'))
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

it('draws what is strained in a jar that narrows by its marks', function () {
    // The lowest 40 mm hold 100 mL; above, 400 mL in 80 mm are 5 mL a mm: 300 mL stand at 40 + 200 / 5.
    $waisted = Jar::measured('a', 'waisted jar', 500.0, 120.0, marks: Marks::kept([['ml' => 100.0, 'mm' => 40.0]]));
    $planned = fn (string $called, float $brim, int $count = 1) => new PlannedJar(
        $called,
        Jar::JAR,
        $count,
        $brim,
        120.0,
        79.8,
        60.0,
        110.0,
    );
    expect($planned('waisted jar', 500.0)->strained(300.0, [$waisted])->levelMm)
        ->toBe(80.0)
        ->and($planned('waisted jar', 500.0, 2)->strained(200.0, [$waisted])->levelMm)
        ->toBe(40.0)
        // One that is called so and is another, and one that is called otherwise, is a cylinder still.
        ->and($planned('waisted jar', 480.0)->strained(300.0, [$waisted])->levelMm)
        ->toBe(75.0)
        ->and($planned('straight jar', 500.0)->strained(300.0, [$waisted])->levelMm)
        ->toBe(72.0)
        ->and((new PlannedJar('pan', Jar::PAN, 1, 2000.0, 90.0, 200.0, 10.0, 30.0))->strained(300.0, [$waisted])->levelMm)
        ->toBe(80.0);
});

it('tells lists what they draw, and reads it back', function () use ($filled) {
    $looks = array_map(
        fn (int $i) => ["2026-10-0{$i}T12:00", new ColourLook([70.0, 0.0, 40.0], [200 + $i, 180, 60], false, 'swatch')],
        range(1, 9),
    );
    $state = Folding::state(Folding::plan(), [
        $filled,
        ...$looks,
        ['2026-10-08T10:00', new TaskLine('check', Outcome::Done, '', ['herb_above'])],
    ]);
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
    $plan = Folding::plan(['method' => 'slow-cooker']);
    $hours = $plan->method->hours;
    $lacks = function (array $lines) use ($plan): bool {
        $state = Folding::state($plan, $lines);

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

it('brings what was written down as evidence for faults', function () use ($filled) {
    $evidence = new Evidence(Support::kitchen(), new Cupboard(Tables::shipped()));
    $plan = Folding::plan(['herb' => ['id' => 'marshmallow-root'], 'oils' => ['grapeseed', 'coconut'], 'way' => 'pressed']);
    $log = Folding::logbook([
        $filled,
        ['2026-10-08T10:00', new TaskLine('check', Outcome::Done, '', ['herb_above', 'drops_wiped'])],
        ['2026-10-29T10:00', new Strained('', 300.0, '', null, null, 'drained', false)],
    ]);
    // Strained otherwise than planned, what was done counts; a root is woody, and this one has slime.
    expect(array_keys($evidence->ofTheHerb($plan, $log)))
        ->toBe(['dry-herb', 'drained', 'woody', 'mucilage', 'herb-above-seen', 'drops-seen', 'not-weighed'])
        ->and(array_keys($evidence->ofTheHerb($plan, Folding::logbook([$filled]))))
        ->toBe(['dry-herb', 'pressed', 'woody', 'mucilage'])
        ->and(
            array_keys(
                $evidence->ofTheHerb(Folding::plan(['herb' => ['id' => 'self-heal', 'state' => 'wilted']]), Folding::logbook([$filled])),
            ),
        )
        ->toContain('wet-herb')
        ->not->toContain('dry-herb');
    // Coconut sets at 24 C or so, and the room is at 18; grapeseed takes up oxygen readily.
    expect(array_keys($evidence->ofTheOils($plan, new StoredAs('warm', 'clear'), 'kitchen')))
        ->toBe(['hard-fat', 'poly-oil', 'warm-place', 'clear-glass', 'kitchen'])
        ->and(array_keys($evidence->ofTheOils(Folding::plan(['oils' => ['jojoba']]), new StoredAs('fridge'), 'skin')))
        ->toContain('cold-place')
        ->not->toContain('poly-oil');
    $warm = Folding::plan(['method' => 'double-boiler']);
    $state = Folding::state($warm, [
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
