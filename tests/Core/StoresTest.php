<?php

use Kettle\Material\State;
use Kettle\Material\Tables;
use Kettle\Measure\AmountReader;
use Kettle\Stores\Allocation;
use Kettle\Stores\Condition;
use Kettle\Stores\Lot;
use Kettle\Stores\LotCheck;
use Kettle\Stores\LotDates;
use Kettle\Stores\LotException;
use Kettle\Stores\LotKind;
use Kettle\Stores\LotReader;
use Kettle\Stores\LotsException;
use Kettle\Stores\Stock;
use Tests\Core\Support;

function theDay(): DateTimeImmutable
{
    return new DateTimeImmutable('2026-11-24');
}

/** @param  array<string, mixed>  $fields */
function readLot(array $fields): array
{
    return (new LotReader(Support::planning()->cupboard(), new AmountReader(), theDay(), [
        'j1' => 'pint jar',
        'b1' => '50 mL bottle',
    ]))->read($fields);
}

/** @return list<string> "field: reason" */
function lotFaults(array $fields): array
{
    try {
        readLot($fields);

        return [];
    } catch (LotsException $refused) {
        return array_map(fn (array $fault) => $fault['field'].': '.$fault['reason'], $refused->faults);
    }
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

it('reads a lot as it is written', function (array $fields, callable $holds) {
    $read = readLot($fields);
    expect($holds($read['lot'], $read))->toBeTrue();
})->with([
    'a herb by id' => [
        ['kind' => 'herb', 'material' => 'calendula', 'amount' => '250 g'],
        fn (Lot $lot) => $lot->material === 'calendula' &&
            $lot->called === 'calendula' &&
            $lot->stock->left === 250.0 &&
            $lot->form === 'flower-heads' &&
            $lot->state === State::Dried,
    ],
    'a herb by name' => [
        ['kind' => 'Herb', 'material' => 'Marshmallow Root', 'amount' => '8 oz'],
        fn (Lot $lot) => $lot->material === 'marshmallow-root' && abs($lot->stock->left - 226.796185) < 1e-6,
    ],
    'a herb of one’s own' => [
        ['kind' => 'herb', 'called' => 'sea campion', 'form' => 'root', 'amount' => '30 g'],
        fn (Lot $lot) => $lot->material === '' && $lot->called === 'sea campion' && $lot->form === 'root',
    ],
    'a form by its words' => [
        ['kind' => 'herb', 'material' => 'calendula', 'form' => 'Powder', 'amount' => '30 g'],
        fn (Lot $lot) => $lot->form === 'powder',
    ],
    'a herb by the cup' => [
        ['kind' => 'herb', 'material' => 'calendula', 'amount' => '1 cup'],
        fn (Lot $lot) => abs($lot->stock->left - 23.65882365) < 1e-6,
    ],
    'wilted' => [
        ['kind' => 'herb', 'material' => 'chickweed', 'state' => 'wilted', 'amount' => '300 g'],
        fn (Lot $lot) => $lot->state === State::Wilted,
    ],
    'an oil by volume' => [
        ['kind' => 'carrier', 'material' => 'olive', 'amount' => '1.5 L'],
        fn (Lot $lot) => $lot->stock->left === 1500.0 && $lot->stock->got === 1500.0,
    ],
    'an oil by weight, through its density' => [
        ['kind' => 'oil', 'material' => 'olive oil', 'amount' => '912 g'],
        fn (Lot $lot) => abs($lot->stock->left - 1000.0) < 1e-6,
    ],
    'its allergens come by themselves' => [
        ['kind' => 'carrier', 'material' => 'hazelnut', 'amount' => '250 mL'],
        fn (Lot $lot) => $lot->origin->allergens === ['hazelnut (tree nuts)'],
    ],
    'and others beside' => [
        ['kind' => 'carrier', 'material' => 'olive', 'amount' => '250 mL', 'allergens' => 'may hold sesame; soya'],
        fn (Lot $lot) => $lot->origin->allergens === ['may hold sesame', 'soya'],
    ],
    'a wax' => [
        ['kind' => 'wax', 'material' => 'beeswax', 'amount' => '1 lb'],
        fn (Lot $lot) => abs($lot->stock->left - 453.59237) < 1e-9 && $lot->origin->allergens === ['bee products'],
    ],
    'jars by the piece' => [
        ['kind' => 'jar', 'material' => 'j1', 'amount' => '12'],
        fn (Lot $lot) => $lot->stock->left === 12.0 && $lot->called === 'pint jar',
    ],
    'a price with its sign' => [
        ['kind' => 'carrier', 'material' => 'olive', 'amount' => '1 L', 'price' => '£6.40'],
        fn (Lot $lot) => $lot->stock->price === 6.4 && abs((float) $lot->stock->unitPrice() - 0.0064) < 1e-12,
    ],
    'a price with a comma' => [
        ['kind' => 'carrier', 'material' => 'olive', 'amount' => '1 L', 'price' => '6,40 EUR'],
        fn (Lot $lot) => $lot->stock->price === 6.4,
    ],
    'got on its last day' => [
        ['kind' => 'carrier', 'material' => 'olive', 'amount' => '1 L', 'got_on' => '2026-10-03', 'best_before' => '2026-10-03'],
        fn (Lot $lot) => $lot->dates->bestBefore == $lot->dates->gotOn,
    ],
    'days' => [
        [
            'kind' => 'carrier',
            'material' => 'olive',
            'amount' => '1 L',
            'got_on' => '2026-10-03',
            'opened_on' => '2026-10-05',
            'best_before' => '2028-01-01',
        ],
        fn (Lot $lot) => $lot->dates->openedOn?->format('Y-m-d') === '2026-10-05' && $lot->dates->bestBefore?->format('Y') === '2028',
    ],
    'food grade in words' => [
        ['kind' => 'carrier', 'material' => 'olive', 'amount' => '1 L', 'food_grade' => 'Yes'],
        fn (Lot $lot) => $lot->origin->foodGrade,
    ],
    'food grade as a flag' => [
        ['kind' => 'carrier', 'material' => 'olive', 'amount' => '1 L', 'food_grade' => true],
        fn (Lot $lot) => $lot->origin->foodGrade,
    ],
    'low at a seventh unless said' => [
        ['kind' => 'carrier', 'material' => 'olive', 'amount' => '700 mL'],
        fn (Lot $lot) => $lot->stock->lowAt === 100.0,
    ],
    'low as said' => [
        ['kind' => 'carrier', 'material' => 'olive', 'amount' => '1 L', 'low_at' => '1 cup'],
        fn (Lot $lot) => abs((float) $lot->stock->lowAt - 236.5882365) < 1e-6,
    ],
    'where and how, and what part' => [
        [
            'kind' => 'herb',
            'material' => 'nettle-leaf',
            'amount' => '50 g',
            'got_how' => 'gathered',
            'got_where' => 'the lane',
            'part' => 'young tops',
            'note' => 'gloves',
        ],
        fn (Lot $lot, array $read) => [$read['how'], $read['where'], $read['part'], $read['note']] === [
            'gathered',
            'the lane',
            'young tops',
            'gloves',
        ],
    ],
]);

it('refuses a lot with the field and the reason', function (array $fields, array $faults) {
    expect(lotFaults($fields))->toBe($faults);
})->with([
    'nothing' => [[], ['kind: unknown']],
    'no kind' => [['kind' => 'beast', 'amount' => '1'], ['kind: unknown']],
    'no name' => [['kind' => 'herb', 'amount' => '10 g'], ['material: missing']],
    'an oil nobody knows' => [['kind' => 'carrier', 'material' => 'petrol', 'amount' => '1 L'], ['material: unknown']],
    'a jar of no size' => [['kind' => 'jar', 'material' => 'amphora', 'amount' => '2'], ['material: unknown']],
    'no amount' => [['kind' => 'herb', 'material' => 'calendula'], ['amount: unreadable']],
    'less than nothing' => [['kind' => 'herb', 'material' => 'calendula', 'amount' => '-5 g'], ['amount: not_above_zero']],
    'too much' => [['kind' => 'herb', 'material' => 'calendula', 'amount' => '2 tonnes'], ['amount: too_much']],
    'half a jar' => [['kind' => 'jar', 'material' => 'j1', 'amount' => '2.5'], ['amount: unreadable']],
    'jars by weight' => [['kind' => 'jar', 'material' => 'j1', 'amount' => '2 kg'], ['amount: unreadable']],
    'a price in words' => [['kind' => 'herb', 'material' => 'calendula', 'amount' => '10 g', 'price' => 'cheap'], ['price: unreadable']],
    'a price below nothing' => [['kind' => 'herb', 'material' => 'calendula', 'amount' => '10 g', 'price' => '-3'], ['price: unreadable']],
    'no such day' => [['kind' => 'herb', 'material' => 'calendula', 'amount' => '10 g', 'got_on' => '2026-02-31'], ['got_on: unreadable']],
    'a day by words' => [
        ['kind' => 'herb', 'material' => 'calendula', 'amount' => '10 g', 'best_before' => 'soon'],
        ['best_before: unreadable'],
    ],
    'got tomorrow' => [
        ['kind' => 'herb', 'material' => 'calendula', 'amount' => '10 g', 'got_on' => '2026-11-25'],
        ['got_on: in_the_future'],
    ],
    'past its day when it was got' => [
        ['kind' => 'carrier', 'material' => 'olive', 'amount' => '1 L', 'got_on' => '2026-10-03', 'best_before' => '2026-10-02'],
        ['best_before: disagree'],
    ],
    'opened before it was got' => [
        ['kind' => 'carrier', 'material' => 'olive', 'amount' => '1 L', 'got_on' => '2026-10-03', 'opened_on' => '2026-10-01'],
        ['opened_on: disagree'],
    ],
    'perhaps food' => [
        ['kind' => 'carrier', 'material' => 'olive', 'amount' => '1 L', 'food_grade' => 'perhaps'],
        ['food_grade: unreadable'],
    ],
    'a state of its own' => [['kind' => 'herb', 'material' => 'calendula', 'amount' => '10 g', 'state' => 'frozen'], ['state: unknown']],
    'fresh powder' => [['kind' => 'herb', 'material' => 'turmeric', 'amount' => '10 g', 'state' => 'fresh'], ['state: never_so']],
    'a form of its own' => [['kind' => 'herb', 'material' => 'calendula', 'amount' => '10 g', 'form' => 'foam'], ['material: unknown']],
    'a long name' => [['kind' => 'herb', 'called' => str_repeat('x', 81), 'amount' => '10 g'], ['called: too_long']],
    'a long note' => [
        ['kind' => 'herb', 'material' => 'calendula', 'amount' => '10 g', 'note' => str_repeat('x', 1001)],
        ['note: too_long'],
    ],
    'several at once' => [
        ['kind' => 'herb', 'material' => 'calendula', 'amount' => 'some', 'price' => 'much', 'got_on' => 'once'],
        ['amount: unreadable', 'price: unreadable', 'got_on: unreadable'],
    ],
    'lists for texts' => [
        ['kind' => 'herb', 'material' => ['calendula'], 'amount' => ['10 g']],
        ['material: missing', 'amount: unreadable'],
    ],
]);

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

it('judges by nose, eye and fingers', function (LotKind $kind, array $answers, string $verdict, string $says) {
    $check = LotCheck::of($kind, $answers, Tables::shipped());
    expect($check->verdict)->toBe($verdict)->and(Support::said($check->says($kind)))->toBe($says);
})->with([
    'good herb' => [
        LotKind::Herb,
        ['scent' => 'strong', 'colour' => 'living', 'snap' => 'snaps', 'dust' => 'whole'],
        'sound',
        'Sound in every way.',
    ],
    'a little pale' => [
        LotKind::Herb,
        ['scent' => 'strong', 'colour' => 'paler', 'snap' => 'snaps', 'dust' => 'whole'],
        'sound',
        'Sound: paler than it was, no more.',
    ],
    'ageing herb' => [
        LotKind::Herb,
        ['scent' => 'faint', 'colour' => 'paler', 'snap' => 'snaps', 'dust' => 'whole'],
        'soon',
        'Use it soon: only when bruised; paler than it was.',
    ],
    'grey and scentless: common practice, compost' => [
        LotKind::Herb,
        ['scent' => 'none', 'colour' => 'faded', 'snap' => 'snaps', 'dust' => 'mostly'],
        'past',
        'To the compost: of hay, dust or nothing; grey or brown; mostly dust.',
    ],
    'damp' => [
        LotKind::Herb,
        ['scent' => 'strong', 'colour' => 'living', 'snap' => 'limp', 'dust' => 'whole'],
        'past',
        'To the compost: limp or damp.',
    ],
    'moths' => [
        LotKind::Herb,
        ['scent' => 'strong', 'colour' => 'living', 'snap' => 'snaps', 'dust' => 'alive'],
        'past',
        'To the compost: web, moths, fur or mould.',
    ],
    'good oil' => [LotKind::Carrier, ['smell' => 'itself', 'look' => 'clear', 'rim' => 'clean'], 'sound', 'Sound in every way.'],
    'olive set in the cold' => [
        LotKind::Carrier,
        ['smell' => 'itself', 'look' => 'sets', 'rim' => 'clean'],
        'sound',
        'Sound in every way.',
    ],
    'rancid' => [
        LotKind::Carrier,
        ['smell' => 'old', 'look' => 'clear', 'rim' => 'clean'],
        'past',
        'Not to be used: of crayon, paint or old nuts.',
    ],
    'sticky rim' => [
        LotKind::Carrier,
        ['smell' => 'itself', 'look' => 'clear', 'rim' => 'sticky'],
        'soon',
        'Use it soon: sticky or varnished.',
    ],
    'wax with its bloom' => [LotKind::Wax, ['smell' => 'itself', 'look' => 'clean'], 'sound', 'Sound in every way.'],
    'furred butter' => [LotKind::Wax, ['smell' => 'itself', 'look' => 'fur'], 'past', 'Not to be used: fur or spots.'],
]);

it('never finds better by a worse answer', function (LotKind $kind) {
    $asks = LotCheck::asks($kind, Tables::shipped());
    $worst = ['sound' => 0, 'soon' => 1, 'past' => 2];
    $best = array_map(fn (array $ask) => $ask['answers'][0]['id'], $asks);
    $good = array_combine(array_column($asks, 'id'), $best);
    foreach ($asks as $ask) {
        $before = 0;
        foreach ($ask['answers'] as $answer) {
            $now = $worst[LotCheck::of($kind, [...$good, $ask['id'] => $answer['id']], Tables::shipped())->verdict];
            // Answers stand from best to worst, but for oil that only set in the cold and for drops that can be poured off.
            if (! ($ask['id'] === 'look' && $kind === LotKind::Carrier)) {
                expect($now)->toBeGreaterThanOrEqual($before);
                $before = $now;
            }
        }
    }
})->with([[LotKind::Herb], [LotKind::Carrier], [LotKind::Wax]]);

it('wants every question answered, and asks none of a jar', function () {
    expect(fn () => LotCheck::of(LotKind::Herb, ['scent' => 'strong'], Tables::shipped()))
        ->toThrow(LotException::class, 'Answer this too')
        ->and(
            fn () => LotCheck::of(
                LotKind::Herb,
                ['scent' => 'lovely', 'colour' => 'living', 'snap' => 'snaps', 'dust' => 'whole'],
                Tables::shipped(),
            ),
        )
        ->toThrow(LotException::class, 'How does it smell')
        ->and(fn () => LotCheck::of(LotKind::Jar, [], Tables::shipped()))
        ->toThrow(LotException::class, 'nothing to check')
        ->and(LotCheck::asks(LotKind::Bottle, Tables::shipped()))
        ->toBe([]);
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
