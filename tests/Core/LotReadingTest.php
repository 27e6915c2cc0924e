<?php

use Kettle\Material\State;
use Kettle\Measure\AmountReader;
use Kettle\Stores\Lot;
use Kettle\Stores\LotReader;
use Kettle\Stores\LotsException;
use Tests\Core\Support;

/** @param  array<string, mixed>  $fields */
function readLot(array $fields): array
{
    return (new LotReader(Support::planning()->cupboard(), new AmountReader(), new DateTimeImmutable('2026-11-24'), [
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

it('takes what was got today, and nothing that is to be got tomorrow', function (string $day, array $faults) {
    expect(lotFaults(['kind' => 'herb', 'material' => 'calendula', 'amount' => '250 g', 'got_on' => $day]))->toBe($faults);
})->with([['2026-11-24', []], ['2026-11-25', ['got_on: in_the_future']]]);

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
    // 10 mL by the bottle; 8.85 g of lavender at 0.885 g/mL (from memory) is as much.
    'an essential oil' => [
        ['kind' => 'scent', 'material' => 'lavender', 'amount' => '10 mL'],
        fn (Lot $lot) => $lot->stock->left === 10.0 && $lot->called === 'lavender',
    ],
    'one that is solid is weighed' => [
        ['kind' => 'addition', 'material' => 'camphor', 'amount' => '25 g'],
        fn (Lot $lot) => $lot->material === 'camphor' && $lot->stock->left === 25.0,
    ],
    'an addition' => [
        ['kind' => 'addition', 'material' => 'cornflour', 'called' => 'cornflour from the mill', 'amount' => '500 g'],
        fn (Lot $lot) => $lot->called === 'cornflour from the mill' && $lot->stock->left === 500.0,
    ],
    'tins by what they hold' => [
        ['kind' => 'tin', 'material' => '30 mL', 'amount' => '24'],
        fn (Lot $lot) => $lot->material === '30' && $lot->called === '30 mL tin' && $lot->stock->left === 24.0,
    ],
    'tins by a bare number' => [
        ['kind' => 'tin', 'material' => '7.5', 'called' => 'lip balm tube', 'amount' => '50'],
        fn (Lot $lot) => $lot->material === '7.5' && $lot->called === 'lip balm tube',
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

it('takes no price in money that is not the house’s', function (string $price, ?string $reason) {
    $kitchen = Support::kitchen(['currency' => 'GBP', 'measures' => 'metric']);
    $reader = new LotReader(
        Support::planning()->cupboard(),
        new AmountReader(),
        new DateTimeImmutable('2026-11-24'),
        [],
        $kitchen->otherMoneyIn(...),
    );
    try {
        $reader->read(['kind' => 'herb', 'material' => 'calendula', 'amount' => '250 g', 'price' => $price]);
        $found = null;
    } catch (LotsException $refused) {
        $found = $refused->faults[0]['field'].': '.$refused->faults[0]['reason'];
    }
    expect($found)->toBe($reason);
})->with([
    ['£3.20', null],
    ['3.20', null],
    ['GBP 3.20', null],
    ['€3.20', 'price: unknown'],
    ['EUR 3.20', 'price: unknown'],
    ['$3', 'price: unknown'],
]);

it('reads a price as money, and nothing else as one', function (string $typed, ?float $price) {
    $fields = ['kind' => 'carrier', 'material' => 'olive', 'amount' => '1 L', 'price' => $typed];
    $price === null ? expect(lotFaults($fields))->toBe(['price: unreadable']) : expect(readLot($fields)['lot']->stock->price)->toBe($price);
})->with([
    ['12.50', 12.5],
    ['12,50', 12.5],
    ['£12.50', 12.5],
    ['12.50 EUR', 12.5],
    ['kr 120', 120.0],
    ['US$9', 9.0],
    ['1,234.50', 1234.5],
    ['1.234,50 €', 1234.5],
    ['1 234,50', 1234.5],
    // Of each kilogram, of each piece, pence: no price of a lot in the house's money.
    ['12/kg', null],
    ['12 kg', null],
    ['3 ea', null],
    ['50p', null],
    ['12 x 3', null],
    // A thousand or one and a bit: common practice, no source.
    ['1,234', null],
    ['£', null],
]);

it('takes a thing by any of its names', function (string $kind, string $typed, string $id) {
    expect(readLot(['kind' => $kind, 'material' => $typed, 'amount' => '20'.($kind === 'jar' ? '' : ' g')])['lot']->material)->toBe($id);
})->with([
    // Straight or curved, the sign of the omission is the same to whoever types it.
    ['herb', "St John's wort", 'st-johns-wort'],
    ['herb', 'ST JOHN’S WORT', 'st-johns-wort'],
    ['herb', 'Hypericum perforatum', 'st-johns-wort'],
    ['herbs', 'nettles', 'nettle-leaf'],
    ['oil', 'olea europaea fruit oil', 'olive'],
    ['butter', 'shea butter', 'shea'],
    ['jar', 'Pint jars', 'j1'],
]);

it('takes the name of a lot where nothing else is said', function () {
    expect(readLot(['kind' => 'herb', 'called' => 'Calendula', 'amount' => '20 g'])['lot']->material)
        ->toBe('calendula')
        // What it is goes before what it is called.
        ->and(readLot(['kind' => 'herb', 'material' => 'nettle-leaf', 'called' => 'Calendula', 'amount' => '20 g'])['lot']->material)
        ->toBe('nettle-leaf')
        ->and(readLot(['kind' => 'herb', 'called' => 'sea campion', 'amount' => '20 g'])['lot']->material)
        ->toBe('');
});

it('says how a lot was got in its own words only', function (string $typed, ?string $how) {
    $fields = ['kind' => 'herb', 'material' => 'nettle', 'amount' => '20 g', 'got_how' => $typed];
    $how === null ? expect(lotFaults($fields))->toBe(['got_how: unknown']) : expect(readLot($fields)['how'])->toBe($how);
})->with([['', ''], ['Bought', 'bought'], ['grown', 'gathered'], ['foraged', 'gathered'], ['swapped', null], ['from a friend', null]]);

it('has no allergen where none is said', function (string $typed, array $allergens) {
    $lot = readLot(['kind' => 'herb', 'material' => 'nettle', 'amount' => '20 g', 'allergens' => $typed])['lot'];
    expect($lot->origin->allergens)->toBe($allergens);
})->with([
    ['none', []],
    ['n/a', []],
    ['-', []],
    ['nuts, soya', ['nuts', 'soya']],
    ['nuts; soya|sesame', ['nuts', 'soya', 'sesame']],
    ['none known', []],
    ['may contain nuts', ['nuts']],
    ['almond (tree nuts, peanuts)', ['almond (tree nuts, peanuts)']],
]);

it('refuses what is no allergen', function (string $typed) {
    $fields = ['kind' => 'herb', 'material' => 'nettle', 'amount' => '20 g', 'allergens' => $typed];
    expect(lotFaults($fields))->toBe(['allergens: format']);
})->with(['no nuts', 'nut-free', 'free from gluten', 'unknown', '?']);
