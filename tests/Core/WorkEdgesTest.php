<?php

use Kettle\Batch\Line\Outcome;
use Kettle\Batch\Line\TaskLine;
use Kettle\Batch\Line\Topped;
use Kettle\Batch\Straining;
use Kettle\Decoction\LevelLog;
use Kettle\Decoction\Rate;
use Kettle\Diary\CookerJob;
use Kettle\Diary\CookerRun;
use Kettle\Making\Line\Spooned;
use Kettle\Material\Cupboard;
use Kettle\Material\Tables;
use Kettle\Melt\Verdict;
use Kettle\Time\Interval;
use Tests\Core\Folding;
use Tests\Core\Melted;

// Edges that nothing else comes by: each of them was broken on purpose, and no other test saw it.

function runFor(float $hours): CookerJob
{
    return new CookerJob('a', 'a', 'slow-cooker', 49.0, 60.0, $hours, [82.0], new DateTimeImmutable('2026-11-24T08:00Z'));
}

it('keeps of each session what a job is warm for, and the minutes before, and of the last no more than is left', function () {
    $at = fn (string $time) => new DateTimeImmutable("2026-11-24T{$time}Z");
    $run = new CookerRun('round', [runFor(5.0)], [new Interval($at('08:00'), $at('11:20')), new Interval($at('14:00'), $at('20:00'))], 20);
    $told = fn (CookerJob $job) => array_map(
        fn (Interval $slot) => $slot->from->format('H:i').' to '.$slot->to->format('H:i:s'),
        $run->slots($job),
    );
    // Three hours warm behind twenty minutes; then two more, and twenty minutes again.
    expect($told(runFor(5.0)))
        ->toBe(['08:00 to 11:20:00', '14:00 to 16:20:00'])
        ->and($told(runFor(3.0)))
        ->toBe(['08:00 to 11:20:00'])
        ->and($told(runFor(1.5)))
        ->toBe(['08:00 to 09:50:00'])
        ->and($run->ends(runFor(5.0))->format('H:i'))
        ->toBe('16:20');
});

it('counts oil that was added while it stood, and what went into a bottle later', function () {
    $logbook = Folding::logbook([
        ['2026-10-02T10:00', new TaskLine('check', Outcome::Done, ml: 30.0)],
        ['2026-10-03T10:00', new TaskLine('check', Outcome::Done)],
        ['2026-11-03T10:00', new Topped(1, 12.5, '12.5 mL')],
    ]);
    expect($logbook->toppedUpMl())->toBe(42.5);
});

it('knows herb that is ground to powder, whichever of several it is', function (array $herbs, bool $powder) {
    expect(Folding::plan(['herbs' => $herbs, 'herb' => null])->hasPowder(new Cupboard(Tables::shipped())))->toBe($powder);
})->with([
    'none' => [[['id' => 'self-heal'], ['id' => 'calendula']], false],
    'the second' => [[['id' => 'self-heal'], ['id' => 'turmeric', 'form' => 'powder']], true],
]);

it('tries a product that is in use on the spoon again, and carries that verdict to no other', function () {
    $verdict = new Verdict(0.18, Verdict::TOO_SOFT);
    expect([(new Spooned($verdict))->carries(), (new Spooned($verdict, inUse: true))->carries()])->toBe([true, false]);
});

it('has Student’s t as SciPy has it', function () {
    $ours = (new ReflectionClassConstant(LevelLog::class, 'T'))->getValue();
    $theirs = python('import json; from scipy.stats import t; print(json.dumps([round(float(t.ppf(0.95, n)), 3) for n in range(1, 31)]))');
    expect(array_keys($ours))
        ->toBe(range(1, 30))
        ->and(array_map(fn (float $t) => round($t, 3), array_values($ours)))
        ->toEqualWithDelta($theirs, 1e-9);
});

/* 450 mL an hour from a household pot, a fifth more or less: common practice, no source. */
it('loses from a household pot between 360 and 540 mL an hour', function () {
    $rate = Rate::usual(Tables::shipped());
    expect([$rate->low, $rate->value, $rate->high])->toEqualWithDelta([360.0, 450.0, 540.0], 1e-9);
});

/* What slows rancidity makes the oil keep a quarter longer: from memory, as data/keeping.json has it. */
it('keeps a product longer by what slows rancidity, and by nothing else that is stirred in', function (?string $stirred, int $months) {
    $others = $stirred === null ? [] : ['others' => [['id' => $stirred, 'percent' => 1]]];
    $told = Melted::ask(['product' => 'salve', 'tins' => [['ml' => 60, 'count' => 3]]] + $others);
    $oils = array_column($told['figures']['best_before']['reasons'], 'inputs', 'rule')['melt-keeps-oil'];
    expect($oils)->toEqual(['oil' => 'olive oil', 'months' => $months]);
})->with([[null, 12], ['vitamin-e', 15], ['rosemary-extract', 15], ['starch', 12]]);

it('counts of what is still to be done the warm sessions alone', function () {
    $plan = Folding::plan(['method' => 'slow-cooker']);
    $left = fn (array ...$lines) => Folding::state($plan, $lines)->progress->warmSessionsLeft();
    $fill = ['2026-10-01T10:00', new TaskLine('fill', Outcome::Done)];
    $on = ['2026-10-01T11:00', new TaskLine('warm_on', Outcome::Done)];
    $off = ['2026-10-01T21:00', new TaskLine('warm_off', Outcome::Done, '', [], 10.0)];
    expect([$left($fill), $left($fill, $on), $left($fill, $on, $off)])->toBe([1, 1, 0]);
});

/* The five by which it is said to be done: the hours or weeks, the colour, the smell, herb that faded, no more bubbles. */
it('knows the five signs by which an oil is done', function () {
    expect(Straining::SIGNS)->toBe(['time', 'colour', 'scent', 'faded', 'bubbles']);
});
