<?php

use Kettle\Material\State;
use Kettle\Stores\Allocation;
use Kettle\Stores\Condition;
use Kettle\Stores\Lot;
use Kettle\Stores\LotDates;
use Kettle\Stores\LotKind;
use Kettle\Stores\Stock;
use Tests\Core\Support;

function theDay(): DateTimeImmutable
{
    return new DateTimeImmutable('2026-11-24');
}

/** @param  array<string, mixed>  $more */
function lot(string $id, float $left, array $more = []): Lot
{
    return new Lot(
        $id,
        $more['kind'] ?? LotKind::Carrier,
        $more['material'] ?? 'olive',
        $id,
        new Stock($more['got'] ?? max(1.0, $left), $left, price: $more['price'] ?? null),
        new LotDates($more['gotOn'] ?? null, $more['openedOn'] ?? null, $more['bestBefore'] ?? null),
        state: $more['state'] ?? null,
        form: $more['form'] ?? null,
        verdict: $more['verdict'] ?? null,
    );
}

function on(string $day): DateTimeImmutable
{
    return new DateTimeImmutable($day);
}

it('knows sound from ageing from past', function (array $more, string $is) {
    $condition = Condition::of(lot('a', 500, $more), theDay(), Support::planning()->cupboard());
    expect($condition->is)
        ->toBe($is)
        ->and($condition->reasons === [])
        ->toBe($is === 'sound');
})->with([
    'nothing known' => [[], 'sound'],
    'good for long' => [['bestBefore' => on('2027-11-24')], 'sound'],
    'thirty-one days' => [['bestBefore' => on('2026-12-25')], 'sound'],
    'thirty days' => [['bestBefore' => on('2026-12-24')], 'ageing'],
    'its last day' => [['bestBefore' => on('2026-11-24')], 'ageing'],
    'the day after' => [['bestBefore' => on('2026-11-23')], 'past'],
    'checked and sound' => [['verdict' => 'sound'], 'sound'],
    'checked, use it soon' => [['verdict' => 'soon', 'bestBefore' => on('2028-01-01')], 'ageing'],
    'checked, not to be used' => [['verdict' => 'past', 'bestBefore' => on('2028-01-01')], 'past'],
    'olive opened eleven months' => [['openedOn' => on('2025-12-24')], 'sound'],
    'olive opened thirteen months' => [['openedOn' => on('2025-10-20')], 'ageing'],
    'dried leaf of ten months' => [
        ['kind' => LotKind::Herb, 'material' => 'self-heal', 'form' => 'thin-leaf', 'state' => State::Dried, 'gotOn' => on('2026-01-24')],
        'sound',
    ],
    'dried leaf of two years' => [
        ['kind' => LotKind::Herb, 'material' => 'self-heal', 'form' => 'thin-leaf', 'state' => State::Dried, 'gotOn' => on('2024-11-01')],
        'ageing',
    ],
    'dried root of eighteen months' => [
        ['kind' => LotKind::Herb, 'material' => 'marshmallow-root', 'form' => 'root', 'state' => State::Dried, 'gotOn' => on('2025-05-24')],
        'sound',
    ],
    'fresh since the day before' => [
        ['kind' => LotKind::Herb, 'material' => 'chickweed', 'form' => 'thin-leaf', 'state' => State::Fresh, 'gotOn' => on('2026-11-23')],
        'sound',
    ],
    'fresh since last week' => [
        ['kind' => LotKind::Herb, 'material' => 'chickweed', 'form' => 'thin-leaf', 'state' => State::Fresh, 'gotOn' => on('2026-11-17')],
        'ageing',
    ],
    'a wax ages by its day only' => [['kind' => LotKind::Wax, 'material' => 'beeswax', 'gotOn' => on('2010-01-01')], 'sound'],
]);

it('takes from the oldest that may be used, and says what is short', function (
    array $lots,
    float $need,
    string $first,
    array $takes,
    float $short,
) {
    $taking = Allocation::of($lots, $need, theDay(), $first);
    expect(array_map(fn (array $take) => [$take['lot']->id, round($take['amount'], 3)], $taking->takes))
        ->toBe($takes)
        ->and($taking->short)
        ->toEqualWithDelta($short, 1e-9);
})->with([
    'one that suffices' => fn () => [[lot('a', 500)], 300.0, '', [['a', 300.0]], 0.0],
    'the oldest first' => fn () => [
        [lot('new', 500, ['bestBefore' => on('2028-01-01')]), lot('old', 500, ['bestBefore' => on('2027-01-01')])],
        300.0,
        '',
        [['old', 300.0]],
        0.0,
    ],
    'and then the next' => fn () => [
        [lot('new', 500, ['bestBefore' => on('2028-01-01')]), lot('old', 200, ['bestBefore' => on('2027-01-01')])],
        300.0,
        '',
        [['old', 200.0], ['new', 100.0]],
        0.0,
    ],
    'by the day it was got where no day is on it' => fn () => [
        [lot('b', 500, ['gotOn' => on('2026-06-01')]), lot('a', 500, ['gotOn' => on('2026-05-01')])],
        100.0,
        '',
        [['a', 100.0]],
        0.0,
    ],
    'the one that is named' => fn () => [
        [lot('new', 200, ['bestBefore' => on('2028-01-01')]), lot('old', 500, ['bestBefore' => on('2027-01-01')])],
        300.0,
        'new',
        [['new', 200.0], ['old', 100.0]],
        0.0,
    ],
    'never the past' => fn () => [
        [lot('past', 500, ['bestBefore' => on('2026-11-01')]), lot('good', 100)],
        300.0,
        '',
        [['good', 100.0]],
        200.0,
    ],
    'not even by name' => fn () => [[lot('past', 500, ['bestBefore' => on('2026-11-01')])], 300.0, 'past', [], 300.0],
    'nor what did not pass' => fn () => [
        [lot('bad', 500, ['verdict' => 'past']), lot('soon', 400, ['verdict' => 'soon'])],
        300.0,
        '',
        [['soon', 300.0]],
        0.0,
    ],
    'nor the empty' => fn () => [[lot('empty', 0), lot('full', 500)], 300.0, '', [['full', 300.0]], 0.0],
    'none at all' => fn () => [[], 300.0, '', [], 300.0],
    'to the last drop' => fn () => [[lot('a', 300)], 300.0, '', [['a', 300.0]], 0.0],
    'a crumb is no shortage' => fn () => [[lot('a', 299.96)], 300.0, '', [['a', 299.96]], 0.0],
]);

it('never takes more than there is nor more than is needed', function () {
    mt_srand(11);
    for ($i = 0; $i < 400; $i++) {
        $lots = array_map(
            fn (int $n) => lot("l{$n}", mt_rand(0, 500), [
                'bestBefore' => mt_rand(0, 2) === 0 ? null : theDay()->modify(mt_rand(-50, 400).' days'),
                'verdict' => [null, 'sound', 'past'][mt_rand(0, 2)],
            ]),
            range(1, mt_rand(1, 6)),
        );
        $need = (float) mt_rand(1, 900);
        $taking = Allocation::of($lots, $need, theDay(), 'l1');
        $taken = array_sum(array_column($taking->takes, 'amount'));
        expect($taken + $taking->short)->toEqualWithDelta($need, 0.06);
        $usable = array_filter($lots, fn (Lot $lot) => Condition::usable($lot, theDay()));
        $available = array_sum(array_map(fn (Lot $lot) => $lot->stock->left, $usable));
        expect($taken)->toBeLessThanOrEqual($available + 1e-9);
        foreach ($taking->takes as $take) {
            expect($take['amount'])
                ->toBeLessThanOrEqual($take['lot']->stock->left)
                ->and(Condition::usable($take['lot'], theDay()))
                ->toBeTrue();
        }
        // If anything is short, every usable lot was emptied.
        if ($taking->short > 0) {
            expect($taken)->toEqualWithDelta($available, 0.06);
        }
    }
});

it('costs what it took, by the share of each', function () {
    $lots = [
        lot('a', 100, ['got' => 500.0, 'price' => 5.0, 'bestBefore' => on('2027-01-01')]),
        lot('b', 500, ['got' => 500.0, 'price' => 10.0]),
    ];
    // 100 mL at 0.01 and 200 mL at 0.02.
    expect(Allocation::of($lots, 300.0, theDay())->cost())
        ->toBe(['cost' => 5.0, 'whole' => true])
        ->and(Allocation::of([lot('a', 500)], 300.0, theDay())->cost())
        ->toBe(['cost' => 0.0, 'whole' => false])
        ->and(Allocation::of($lots, 900.0, theDay())->cost()['whole'])
        ->toBeFalse();
});

it('foretells the very day on which a lot begins to age', function (array $more) {
    $cupboard = Support::planning()->cupboard();
    $lot = lot('a', 500, $more);
    $day = Condition::agesOn($lot, $cupboard);
    expect($day)
        ->not->toBeNull()
        ->and(Condition::of($lot, $day->modify('-1 day'), $cupboard)->is)
        ->toBe('sound')
        ->and(Condition::of($lot, $day->modify('+1 day'), $cupboard)->is)
        ->toBe('ageing');
})->with([
    'by its best-before' => [['bestBefore' => on('2027-06-01')]],
    'by its opening' => [['openedOn' => on('2026-01-01')]],
    'by the earlier of the two' => [['bestBefore' => on('2028-06-01'), 'openedOn' => on('2026-01-01')]],
    'dried herb, by its getting' => [
        ['kind' => LotKind::Herb, 'material' => 'self-heal', 'form' => 'thin-leaf', 'state' => State::Dried, 'gotOn' => on('2026-01-01')],
    ],
    'fresh herb, within days' => [
        ['kind' => LotKind::Herb, 'material' => 'self-heal', 'form' => 'thin-leaf', 'state' => State::Fresh, 'gotOn' => on('2026-11-20')],
    ],
]);

it('foretells nothing of what has no day', function () {
    expect(Condition::agesOn(lot('a', 500), Support::planning()->cupboard()))->toBeNull();
});
