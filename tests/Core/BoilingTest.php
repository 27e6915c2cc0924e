<?php

declare(strict_types=1);

namespace Tests\Core;

use Kettle\Batch\Entry;
use Kettle\Batch\Line\Discarded;
use Kettle\Batch\Line\Line;
use Kettle\Batch\Line\Undone;
use Kettle\Batch\Logbook;
use Kettle\Boiling\BoilState;
use Kettle\Boiling\FrozenBoil;
use Kettle\Boiling\Hand;
use Kettle\Boiling\Level;
use Kettle\Boiling\Line\Covered;
use Kettle\Boiling\Line\Lit;
use Kettle\Boiling\Line\Made;
use Kettle\Boiling\Line\Marked;
use Kettle\Boiling\Line\SignsSeen;
use Kettle\Boiling\Line\Taken;
use Kettle\Boiling\Line\Warmed;
use Kettle\Boiling\Signs;
use Kettle\Boiling\Stage;
use Kettle\Boiling\WaterWatch;
use Kettle\Diary\Availability;
use Kettle\Material\Tables;
use Kettle\Reason\RefusedException;

/** Cleansing 1 L of oil: 5.2 L at first, 1.2 L when the water is gone, in a pot of 100 mL to the mm, 120 mm high. */
function pan(array $more = []): FrozenBoil
{
    return FrozenBoil::of([
        'kind' => 'cleanse',
        'of' => [['oil' => 'sesame']],
        'starts_ml' => 5200.0,
        'ends_ml' => 1200.0,
        'solids_ml' => 200.0,
        'oil_ml' => 1000.0,
        'made' => 1000.0,
        'pot' => ['diameter_mm' => 2 * sqrt(100_000 / M_PI), 'height_mm' => 120.0],
        'over_mm' => 108.0,
        'rate' => ['low' => 360.0, 'value' => 450.0, 'high' => 540.0],
        'hours_a_day' => 8.0,
        'signs' => true,
        'under_oil' => true,
        'low_c' => 90.0,
        'high_c' => 95.0,
        'fat' => 'oil',
        ...$more,
    ]);
}

function boilAt(string $at): \DateTimeImmutable
{
    return new \DateTimeImmutable("2026-11-{$at}", new \DateTimeZone('Europe/London'));
}

/** @param  list<array{string, Line}|array{string, Line, string}>  $lines each with its day and time, and what it corrects */
function boiled(array $lines, string $now, array $plan = []): BoilState
{
    $entries = [];
    foreach ($lines as $i => $line) {
        $entries[] = new Entry((string) $i, boilAt($line[0]), 'Isa', $line[1], $line[2] ?? null);
    }

    return BoilState::of(pan($plan), new Logbook($entries), boilAt($now));
}

function levelOf(BoilState $state, string $now): Level
{
    return Level::of($state, boilAt($now), Availability::between('08:00', '22:00'));
}

function boilHand(BoilState $state): Hand
{
    return new Hand($state, Tables::shipped(), fn (float $ml): string => round($ml).' mL', fn (string $code): string => $code.'.');
}

/** @param  \Closure(): mixed  $do */
function refusedAs(\Closure $do): string
{
    try {
        $do();
    } catch (RefusedException $refused) {
        return trim("{$refused->field} {$refused->reason}");
    }

    return '';
}

it('counts the hours of flame, and not the night', function () {
    $lines = [['24 09:00', new Lit()], ['24 13:00', new Covered()], ['25 10:00', new Lit()]];
    $state = boiled($lines, '25 12:30');
    expect($state->stage)
        ->toBe(Stage::On)
        ->and($state->flameH)
        ->toBe(6.5)
        ->and($state->flameHAt(boilAt('24 11:00')))
        ->toBe(2.0)
        ->and($state->flameHAt(boilAt('25 03:00')))
        ->toBe(4.0)
        ->and($state->flameHOn(boilAt('25 12:30')))
        ->toBe(2.5)
        ->and(boiled(array_slice($lines, 0, 2), '25 12:30')->stage)
        ->toBe(Stage::Off)
        ->and(boiled([], '25 12:30')->stage)
        ->toBe(Stage::Planned);
});

it('puts a line where it happened, however late it is written down', function () {
    // The covering of one o'clock is written down after the mark of two.
    $state = boiled([['24 09:00', new Lit()], ['24 14:00', new Marked(3600.0, '')], ['24 13:00', new Covered()]], '24 15:00');
    expect($state->flameH)->toBe(4.0)->and($state->marks[0]['h'])->toBe(4.0);
});

it('is off the flame when it is strained or thrown away, whether somebody said so or not', function (Line $end, Stage $stage) {
    $state = boiled([['24 09:00', new Lit()], ['24 15:00', $end]], '26 09:00');
    expect($state->flameH)->toBe(6.0)->and($state->stage)->toBe($stage);
})->with([[new Made(900.0, '', '', 'done', null), Stage::Made], [new Discarded(), Stage::Discarded]]);

it('takes a line that was struck out for nothing', function () {
    $lines = [['24 09:00', new Lit()], ['24 10:00', new Marked(100.0, '')], ['24 10:01', new Undone('marked'), '1']];
    expect(boiled($lines, '24 11:00')->marks)->toBe([]);
});

it('says what is left of what came of it', function () {
    $lines = [['24 09:00', new Lit()], ['24 10:00', new Made(400.0, '', '', null, '2026-11-27')], ['24 11:00', new Taken(150.0, '', '')]];
    expect(boiled($lines, '24 12:00')->left)
        ->toBe(250.0)
        ->and(boiled([...$lines, ['24 13:00', new Taken(250.0, '', '')]], '24 14:00')->stage)
        ->toBe(Stage::Gone);
});

it('learns the rate over the flame, and lays what is to come where somebody is at home', function () {
    // 5200 to 3600 in four hours, 400 mL an hour; 2400 to go, six hours.
    $lines = [
        ['24 09:00', new Lit()],
        ['24 09:00', new Marked(5200.0, '')],
        ['24 13:00', new Marked(3600.0, '')],
        ['24 13:00', new Covered()],
    ];
    $off = levelOf(boiled($lines, '24 20:00'), '24 20:00');
    expect($off->learned)
        ->toBeTrue()
        ->and($off->rate['value'])
        ->toEqualWithDelta(400.0, 1e-9)
        ->and($off->leftMl)
        ->toEqualWithDelta(2400.0, 1e-9)
        ->and($off->moreH['value'])
        ->toEqualWithDelta(6.0, 1e-9)
        // Two hours this evening, four in the morning.
        ->and(array_map(fn ($each) => $each->from->format('d H:i').' '.$each->to->format('H:i'), $off->sessions))
        ->toBe(['24 20:00 22:00', '25 08:00 12:00'])
        ->and($off->doneAt['value']?->format('d H:i'))
        ->toBe('25 12:00')
        ->and(array_map(fn (array $each) => round($each['ml']), $off->ahead))
        ->toBe([3600.0, 2800.0, 2800.0, 1200.0]);
    // On again at 14:00, it has had four of its eight hours that day: four more, and two in the morning.
    $on = levelOf(boiled([...$lines, ['24 14:00', new Lit()]], '24 14:00'), '24 14:00');
    expect(array_map(fn ($each) => $each->from->format('d H:i').' '.$each->to->format('H:i'), $on->sessions))->toBe([
        '24 14:00 18:00',
        '25 08:00 10:00',
    ]);
});

it('goes by what was reckoned until its marks tell', function () {
    $on = levelOf(boiled([['24 09:00', new Lit()]], '24 13:00'), '24 13:00');
    // 4000 mL at 450, of which four hours have gone: 2200 mL left, from 4.07 to 6.11 hours.
    expect($on->learned)
        ->toBeFalse()
        ->and($on->leftMl)
        ->toEqualWithDelta(2200.0, 1e-9)
        ->and($on->moreH['low'])
        ->toEqualWithDelta(2200 / 540, 1e-9)
        ->and($on->moreH['high'])
        ->toEqualWithDelta(2200 / 360, 1e-9);
    // One mark says where it stands, and not how fast it goes.
    $one = levelOf(boiled([['24 09:00', new Lit()], ['24 12:00', new Marked(3000.0, '')]], '24 13:00'), '24 13:00');
    expect($one->learned)->toBeFalse()->and($one->nowMl)->toEqualWithDelta(2550.0, 1e-9);
    // It never stands lower than it does when the water is gone.
    expect(levelOf(boiled([['24 09:00', new Lit()]], '25 09:00'), '25 09:00')->leftMl)->toBe(0.0);
    // What nobody weighed is not known.
    expect(levelOf(boiled([['24 09:00', new Lit()]], '24 13:00', ['starts_ml' => null]), '24 13:00')->leftMl)->toBeNull();
});

it('goes by its marks from the first of them on, however long it was over the flame before', function () {
    $lines = [
        ['24 09:00', new Lit()],
        ['24 11:00', new Marked(4400.0, '')],
        ['24 12:00', new Marked(4000.0, '')],
        ['24 13:00', new Marked(3600.0, '')],
    ];
    $level = levelOf(boiled($lines, '24 13:30'), '24 13:30');
    expect($level->nowMl)->toEqualWithDelta(3400.0, 1e-6)->and($level->moreH['value'])->toEqualWithDelta(5.5, 1e-6);
});

it('begins its marks anew where more was poured in', function () {
    $lines = [
        ['24 09:00', new Lit()],
        ['24 09:00', new Marked(3000.0, '')],
        ['24 11:00', new Marked(2000.0, '')],
        ['24 11:00', new Marked(4000.0, '', true)],
        ['24 13:00', new Marked(3400.0, '')],
    ];
    $level = levelOf(boiled($lines, '24 13:00'), '24 13:00');
    expect($level->rate['value'])->toEqualWithDelta(300.0, 1e-9)->and($level->marks)->toBe(2);
});

it('counts a look for an hour of flame, and not by the clock', function () {
    $seen = ['flame' => 'quiet', 'froth' => 'stands', 'wick' => 'rolls', 'senses' => 'right'];
    $lines = [['24 09:00', new Lit()], ['24 17:00', new SignsSeen($seen)]];
    $done = fn (array $lines, string $now): ?string => Signs::of(boiled($lines, $now), boilAt($now), Tables::shipped())?->done->verdict;
    expect($done($lines, '24 17:59'))
        ->toBe('done')
        ->and($done($lines, '24 18:05'))
        ->toBe('not-yet')
        // Covered at once, it stands as it was seen until the morning.
        ->and($done([...$lines, ['24 17:05', new Covered()]], '25 09:00'))
        ->toBe('done')
        // The last look is the one that counts.
        ->and($done([...$lines, ['24 17:10', new SignsSeen(['wick' => 'crumbles'])]], '24 17:20'))
        ->toBe('past')
        ->and($done([...$lines, ['24 17:10', new SignsSeen(['flame' => 'crackles'])]], '24 17:20'))
        ->toBe('not-yet')
        ->and(Signs::of(boiled($lines, '24 17:10', ['signs' => false]), boilAt('24 17:10'), Tables::shipped()))
        ->toBeNull();
});

it('says by the warmth when the water is gone', function (array $readings, ?string $is, array $plan = []) {
    $lines = [['24 09:00', new Lit()]];
    foreach ($readings as $at => $celsius) {
        $lines[] = ["24 {$at}", new Warmed((float) $celsius)];
    }
    expect(WaterWatch::of(boiled($lines, '24 16:00', $plan), Tables::shipped()))->toBe($is);
})->with([
    'nothing read' => [[], null],
    'on its way up it climbs, and says nothing' => [['09:05' => 40, '09:15' => 88], 'cool'],
    'past its band on its way up' => [['09:05' => 86, '09:15' => 97], 'hot'],
    'in its band' => [['10:00' => 91, '10:10' => 94], 'as-it-should'],
    'slowly over it' => [['10:00' => 93, '11:00' => 97], 'hot'],
    'quickly over it' => [['10:00' => 93, '10:12' => 97], 'gone'],
    'quickly, and within its band' => [['10:00' => 91, '10:12' => 95], 'as-it-should'],
    'over what boiling water can be' => [['10:00' => 96, '12:00' => 102], 'gone'],
    'a decoction has water to the end' => [['10:00' => 93, '10:05' => 101], 'hot', ['under_oil' => false, 'high_c' => 100.0]],
]);

it('forgets the warmth of yesterday when it is put over the flame again', function () {
    $lines = [['24 09:00', new Lit()], ['24 10:00', new Warmed(99.0)], ['24 11:00', new Covered()]];
    $off = boiled($lines, '25 09:00');
    expect(WaterWatch::of($off, Tables::shipped()))
        ->toBeNull()
        ->and(WaterWatch::of(boiled([...$lines, ['25 09:00', new Lit()]], '25 09:30'), Tables::shipped()))
        ->toBeNull();
});

it('does at a pot what can be done where it stands, and nothing else', function (array $lines, array $may) {
    $hand = boilHand(boiled($lines, '24 16:00'));
    $now = boilAt('24 16:00');
    $tried = [
        'light' => refusedAs(fn () => $hand->light()),
        'cover' => refusedAs(fn () => $hand->cover()),
        'mark' => refusedAs(fn () => $hand->mark(30.0, null, '30 mm', false, $now)),
        'warm' => refusedAs(fn () => $hand->warm(93.0)),
        'see' => refusedAs(fn () => $hand->see(['flame' => 'quiet'])),
        'make' => refusedAs(fn () => $hand->make(900.0, '', '', true, $now)),
        'take' => refusedAs(fn () => $hand->take(10.0, '', '', $now)),
        'discard' => refusedAs(fn () => $hand->discard()),
    ];
    expect(array_keys(array_filter($tried, fn (string $refused) => $refused === '')))->toBe($may);
})->with([
    'planned' => [[], ['light', 'mark', 'warm', 'discard']],
    'on' => [[['24 09:00', new Lit()]], ['cover', 'mark', 'warm', 'see', 'make', 'discard']],
    'off' => [[['24 09:00', new Lit()], ['24 10:00', new Covered()]], ['light', 'mark', 'warm', 'see', 'make', 'discard']],
    'made' => [[['24 09:00', new Lit()], ['24 10:00', new Made(900.0, '', '', 'done', null)]], ['take', 'discard']],
    'bottled' => [[['24 09:00', new Lit()], ['24 10:00', new Made(900.0, '', '', 'done', null, 'b')]], []],
    'thrown away' => [[['24 09:00', new Lit()], ['24 10:00', new Discarded()]], []],
]);

it('refuses a mark that cannot be', function (?float $mm, ?float $ml, bool $anew, string $refused) {
    $hand = boilHand(boiled([['24 09:00', new Lit()], ['24 10:00', new Marked(4000.0, '')]], '24 16:00'));
    expect(refusedAs(fn () => $hand->mark($mm, $ml, '', $anew, boilAt('24 16:00'))))->toBe($refused);
})->with([
    'lower' => [39.0, null, false, ''],
    'as a stick is read' => [41.9, null, false, ''],
    'higher' => [43.0, null, false, 'level out_of_range'],
    'higher, for more was poured in' => [43.0, null, true, ''],
    'over the rim' => [121.0, null, true, 'level out_of_range'],
    'over the rim by the jug' => [null, 12_100.0, true, 'level out_of_range'],
    'less than nothing' => [null, -1.0, false, 'level missing'],
    'nothing said' => [null, null, false, 'level missing'],
]);

/*
 * 4 kW into steam at 2257 kJ/kg are 6.4 kg an hour (IAPWS R7-97, from memory): 640 g in six minutes, and with a tenth of
 * the 4 L before and 2 mm of a pot of 100 mL a millimetre 1240 mL.
 */
it('takes no mark that a flame cannot have boiled down to', function (float $ml, string $at, bool $anew, string $refused) {
    $hand = boilHand(boiled([['24 09:00', new Lit()], ['24 10:00', new Marked(4000.0, '')]], '24 16:00'));
    expect(refusedAs(fn () => $hand->mark(null, $ml, '', $anew, boilAt($at))))->toBe($refused);
})->with([
    'just so much' => [2761.0, '24 10:06', false, ''],
    'more' => [2759.0, '24 10:06', false, 'level out_of_range'],
    'in an hour' => [400.0, '24 11:00', false, ''],
    'some was taken out' => [1000.0, '24 10:06', true, ''],
    'at once' => [3500.0, '24 10:00', false, ''],
    'a figure left out' => [400.0, '24 10:00', false, 'level out_of_range'],
]);

it('strains no more oil than went in, and a decoction that is strained too soon', function () {
    $lines = [['24 09:00', new Lit()]];
    $make = fn (float $ml, array $plan = []): string => refusedAs(
        fn () => boilHand(boiled($lines, '24 16:00', $plan))->make($ml, '', '', true, boilAt('24 16:00')),
    );
    $water = ['signs' => false, 'under_oil' => false, 'keeps_days' => 3];
    expect($make(1100.0))
        ->toBe('')
        ->and($make(1101.0))
        ->toBe('amount out_of_range')
        ->and($make(0.0))
        ->toBe('amount out_of_range')
        ->and($make(5200.0, $water))
        ->toBe('')
        ->and(boilHand(boiled($lines, '24 16:00', $water))->make(400.0, '', '', false, boilAt('24 16:00'))->bestBefore)
        ->toBe('2026-11-27');
});

it('takes nothing of what is past its day', function () {
    $hand = boilHand(boiled([['24 09:00', new Lit()], ['24 10:00', new Made(400.0, '', '', null, '2026-11-27')]], '28 09:00'));
    expect(refusedAs(fn () => $hand->take(10.0, '', '', boilAt('27 23:59'))))
        ->toBe('')
        ->and(refusedAs(fn () => $hand->take(10.0, '', '', boilAt('28 00:01'))))
        ->toBe('amount past')
        ->and($hand->discard())
        ->toBeInstanceOf(Discarded::class);
});

it('takes a time from the last line on, and none to come', function (string $at, string $refused) {
    $hand = boilHand(boiled([['24 09:00', new Lit()]], '24 16:00'));
    expect(refusedAs(fn () => $hand->at(boilAt($at), boilAt('24 16:00'))))->toBe($refused);
})->with([['24 09:00', ''], ['24 16:00', ''], ['24 08:59', 'at out_of_range'], ['24 16:01', 'at out_of_range']]);

it('reads what another house’s file lacks as nothing, and never divides by it', function () {
    $bare = FrozenBoil::of([]);
    $state = BoilState::of($bare, new Logbook([]), boilAt('24 09:00'));
    expect($bare->rate['value'])->toBeGreaterThan(0.0)->and(levelOf($state, '24 09:00')->leftMl)->toBeNull();
    expect(FrozenBoil::of(['pot' => ['diameter_mm' => 1, 'height_mm' => 1]])->pot)->toBeNull();
});
