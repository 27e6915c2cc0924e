<?php

use Kettle\Measure\MeasureSystem;
use Kettle\Recipe\WishException;
use Tests\Core\Support;

/** A house with a cupboard. @param  array<string, mixed>  $more */
function cupboard(array $more = []): array
{
    return [
        'currency' => 'GBP',
        'lots' => [
            [
                'id' => 'olive-old',
                'kind' => 'carrier',
                'material' => 'olive',
                'amount' => '200 mL',
                'price' => '3.00',
                'best_before' => '2027-02-01',
                'food_grade' => 'yes',
            ],
            [
                'id' => 'olive-new',
                'kind' => 'carrier',
                'material' => 'olive',
                'amount' => '1 L',
                'price' => '9.00',
                'best_before' => '2028-02-01',
                'food_grade' => 'yes',
            ],
            [
                'id' => 'olive-past',
                'kind' => 'carrier',
                'material' => 'olive',
                'amount' => '1 L',
                'price' => '9.00',
                'best_before' => '2026-02-01',
            ],
            [
                'id' => 'jojoba',
                'kind' => 'carrier',
                'material' => 'jojoba',
                'amount' => '150 mL',
                'price' => '7.50',
                'best_before' => '2028-02-01',
            ],
            [
                'id' => 'camellia',
                'kind' => 'carrier',
                'material' => 'camellia',
                'amount' => '2 L',
                'price' => '40',
                'best_before' => '2028-02-01',
            ],
            ['id' => 'nut', 'kind' => 'carrier', 'material' => 'hazelnut', 'amount' => '100 mL', 'best_before' => '2028-02-01'],
            [
                'id' => 'root',
                'kind' => 'herb',
                'material' => 'marshmallow-root',
                'amount' => '60 g',
                'price' => '6',
                'got_on' => '2026-10-03',
                'food_grade' => 'yes',
            ],
            [
                'id' => 'root-fresh',
                'kind' => 'herb',
                'material' => 'marshmallow-root',
                'state' => 'fresh',
                'amount' => '500 g',
                'got_on' => '2026-11-23',
            ],
            ['id' => 'own', 'kind' => 'herb', 'called' => 'Sea Campion', 'amount' => '40 g'],
            ...$more['lots'] ?? [],
        ],
    ] + $more;
}

/** @return array<string, mixed> the document of a plan in that house */
function supplied(array $wish, array $house = []): array
{
    $kitchen = Support::kitchen(cupboard($house));

    return Support::planning()->document(Support::plan($wish, cupboard($house)), $kitchen);
}

function takesOf(array $document, int $need): array
{
    return array_map(fn (array $take) => [$take['lot'], $take['amount']], $document['stores'][$need]['takes']);
}

it('takes from the oldest lot that is sound, then the next, and never from the past', function () {
    $document = supplied(['herb' => ['id' => 'marshmallow-root', 'amount' => '60 g'], 'oils' => ['olive']]);
    expect(takesOf($document, 0))
        ->toEqual([['root', 60]])
        ->and(takesOf($document, 1))
        ->toEqual([['olive-old', 200], ['olive-new', 100]])
        ->and($document['stores'][1]['short_text'])
        ->toBeNull();
    $past = array_column($document['stores'][1]['lots'], null, 'lot')['olive-past'];
    expect($past['usable'])->toBeFalse()->and($past['condition'])->toBe('past')->and($past['why'])->toContain('1 Feb 2026');
});

it('takes from the lot that is named', function () {
    $document = supplied([
        'herb' => ['id' => 'marshmallow-root', 'amount' => '60 g', 'lot' => 'root'],
        'oils' => [['id' => 'olive', 'lot' => 'olive-new']],
    ]);
    expect(takesOf($document, 1))->toEqual([['olive-new', 300]]);
});

it('takes a herb in the state that is wished for, and one of the house’s own by its name', function () {
    $fresh = supplied(['herb' => ['id' => 'marshmallow-root', 'state' => 'fresh', 'amount' => '100 g'], 'oils' => ['olive']]);
    expect(array_column($fresh['stores'][0]['lots'], 'lot'))->toBe(['root-fresh']);
    $own = supplied(['herb' => ['name' => 'sea campion', 'form' => 'thin-leaf', 'amount' => '20 g'], 'oils' => ['olive']]);
    expect(takesOf($own, 0))->toEqual([['own', 20]]);
});

/*
 * By hand: 60 g of root at 6.00 for 60 g is 6.00; 200 mL of olive at 3.00 for 200 and 100 mL at 9.00 for
 * 1000 are 3.00 and 0.90: 9.90 in all. Out come 300 - 1.2 x 60 - 5 = 223 mL: 4.44 for 100 mL.
 */
it('costs what was taken', function () {
    $figures = supplied(['herb' => ['id' => 'marshmallow-root', 'amount' => '60 g'], 'oils' => ['olive']])['figures'];
    expect($figures['cost']['value'])
        ->toBe(9.9)
        ->and($figures['cost']['text'])
        ->toBe('£9.90')
        ->and($figures['cost_per_100']['value'])
        ->toBe(4.44)
        ->and($figures['cost']['reasons'][0]['rule'])
        ->toBe('cost');
    $part = supplied(['herb' => ['id' => 'self-heal', 'amount' => '40 g'], 'oils' => ['olive']])['figures'];
    expect($part['cost']['reasons'][0]['rule'])->toBe('cost-in-part');
    expect(supplied(['herb' => ['id' => 'self-heal', 'amount' => '10 g'], 'oils' => ['hazelnut']])['figures'])->not->toHaveKey('cost');
});

it('says nothing of Stores where Stores keeps nothing of it', function () {
    $document = Support::planning()->document(Support::plan(['jar' => '473']), Support::kitchen());
    expect(array_filter(array_column($document['notes'], 'id'), fn (string $id) => str_starts_with($id, 'short')))
        ->toBe([])
        ->and($document['stores'][0]['kept'])
        ->toBeFalse()
        ->and($document['figures'])
        ->not->toHaveKey('cost');
});

it('says what is short, with three ways out that work', function () {
    $wish = ['herb' => ['id' => 'self-heal'], 'oils' => ['jojoba'], 'jar' => '473'];
    $document = supplied($wish);
    $note = array_column($document['notes'], null, 'id')['short.jojoba'];
    expect($note['says'])
        ->toMatch('/^Jojoba is \d+ mL short: Stores has 150 mL\.$/')
        ->and(array_column($note['ways'], 'id'))
        ->toBe(['smaller-batch', 'blend', 'smaller-jar']);
    foreach ($note['ways'] as $way) {
        $after = array_filter(
            [...['herbs' => [['id' => 'self-heal']], 'oils' => ['jojoba'], 'jar' => '473'], ...$way['change']],
            fn (mixed $value) => $value !== null,
        );
        $again = supplied($after);
        expect(array_filter(array_column($again['notes'], 'id'), fn (string $id) => str_starts_with($id, 'short')))->toBe([], $way['id']);
    }
    $blend = array_column($note['ways'], null, 'id')['blend'];
    // Of what is there in that amount the ranking for the skin puts camellia first that is not jojoba; it says what changes.
    expect($blend['says'])->toContain('density')->toContain('keeps')->toContain('no new allergen');
    $oils = $blend['change']['oils'];
    expect(array_sum(array_map(floatval(...), array_column($oils, 'parts'))))->toEqualWithDelta(
        (float) $document['figures']['oil_volume']['value'],
        0.01,
    );
});

it('tells when the blend would bring an allergen', function () {
    $house = [
        'lots' => [
            [
                'id' => 'nut2',
                'kind' => 'carrier',
                'material' => 'hazelnut',
                'amount' => '3 L',
                'price' => '1',
                'best_before' => '2028-02-01',
            ],
        ],
    ];
    $only = [
        'currency' => '',
        'lots' => [
            ['id' => 'j', 'kind' => 'carrier', 'material' => 'jojoba', 'amount' => '100 mL'],
            ['id' => 'n', 'kind' => 'carrier', 'material' => 'hazelnut', 'amount' => '3 L'],
        ],
    ];
    $notes = Support::plan(['herb' => ['id' => 'self-heal'], 'oils' => ['jojoba'], 'jar' => '473'], $only)->notes;
    $blend = array_column(array_column($notes, null, 'id')['short.jojoba']->ways, null, 'id')['blend'];
    expect(Support::said($blend->says))->toContain('brings hazelnut (tree nuts), an allergen')->and($house)->toBeArray();
});

it('offers another oil outright where none is left', function () {
    $house = [
        'lots' => [
            ['id' => 's', 'kind' => 'carrier', 'material' => 'sesame', 'amount' => '500 mL', 'best_before' => '2026-01-01'],
            ['id' => 'c', 'kind' => 'carrier', 'material' => 'camellia', 'amount' => '2 L'],
        ],
    ];
    $note = array_column(Support::plan(['herb' => ['id' => 'self-heal'], 'oils' => ['sesame'], 'jar' => '473'], $house)->notes, null, 'id')[
        'short.sesame'
    ];
    expect(Support::said($note->says))
        ->toContain('none that may still be used')
        ->and($note->ways[0]->id)
        ->toBe('other-oil')
        ->and($note->ways[0]->change['oils'])
        ->toBe([['id' => 'camellia']]);
});

it('makes less when the herb is short', function () {
    $document = supplied(['herb' => ['id' => 'marshmallow-root', 'amount' => '100 g'], 'oils' => ['camellia']]);
    $note = array_column($document['notes'], null, 'id')['short.marshmallow-root'];
    expect($note['says'])->toBe('Marshmallow root is 40 g short: Stores has 60 g.');
    $again = supplied(['herbs' => $note['ways'][0]['change']['herbs'], 'oils' => ['camellia']]);
    expect($again['figures']['herb_mass']['value'])
        ->toEqual(60.0)
        ->and(array_column($again['notes'], 'id'))
        ->not->toContain('short.marshmallow-root');
});

it('keeps the other herbs in their parts when one is short', function () {
    $document = supplied([
        'herbs' => [['id' => 'marshmallow-root', 'amount' => '90 g', 'parts' => '3'], ['id' => 'self-heal', 'parts' => '1']],
        'oils' => ['camellia'],
    ]);
    $note = array_column($document['notes'], null, 'id')['short.marshmallow-root'];
    $again = supplied(['herbs' => $note['ways'][0]['change']['herbs'], 'oils' => ['camellia']]);
    expect($again['figures']['herb_mass.0']['value'])->toEqual(60.0)->and($again['figures']['herb_mass.1']['value'])->toEqual(20.0);
});

it('warns when what is taken for the kitchen is not marked as food', function () {
    $kitchen = supplied(['herb' => ['id' => 'marshmallow-root', 'amount' => '20 g'], 'oils' => ['camellia'], 'purpose' => 'kitchen']);
    expect(array_column($kitchen['notes'], 'id'))->toContain('not-food-lot')->not->toContain('not-food.root');
    expect(
        array_column(supplied(['herb' => ['id' => 'marshmallow-root', 'amount' => '20 g'], 'oils' => ['camellia']])['notes'], 'id'),
    )->not->toContain('not-food-lot');
});

it('carries the allergens of the lots it takes from', function () {
    $house = [
        'lots' => [['id' => 'h', 'kind' => 'herb', 'material' => 'self-heal', 'amount' => '500 g', 'allergens' => 'packed beside peanut']],
    ];
    $note = array_column(
        Support::plan(['herb' => ['id' => 'self-heal'], 'oils' => ['hazelnut'], 'jar' => '473'], $house)->notes,
        null,
        'id',
    )['allergens'];
    expect(Support::said($note->says))->toContain('hazelnut (tree nuts) and packed beside peanut');
});

it('lays a bad lot of the house to the lot', function (array $lot, string $field) {
    try {
        Support::kitchen(['lots' => [['kind' => 'carrier', 'material' => 'olive', 'amount' => '1 L'], $lot]]);
    } catch (WishException $refused) {
        expect($refused->faults[0]['field'])->toBe($field);

        return;
    }
    $this->fail('It was taken.');
})->with([
    [['kind' => 'ghost'], 'house.lots.1.kind'],
    [['kind' => 'herb', 'material' => 'calendula', 'amount' => 'lots'], 'house.lots.1.amount'],
    [['kind' => 'carrier', 'material' => 'petrol', 'amount' => '1 L'], 'house.lots.1.material'],
]);

// How money is written where: the Unicode Common Locale Data Repository (CLDR), currencies of en, en_GB, en_US and en_AU.
it('writes money as it is written where the house is', function (MeasureSystem $custom, string $currency, float $amount, string $text) {
    $house = ['measures' => $custom->value, ...$currency === '' ? [] : ['currency' => $currency]];
    expect(Support::kitchen($house)->money($amount))->toBe($text);
})->with([
    [MeasureSystem::Metric, 'GBP', 2.27, '£2.27'],
    [MeasureSystem::Imperial, 'GBP', 1234.5, '£1,234.50'],
    [MeasureSystem::Metric, 'EUR', 2.5, '€2.50'],
    [MeasureSystem::Metric, 'USD', 2.5, 'US$2.50'],
    [MeasureSystem::Us, 'USD', 2.5, '$2.50'],
    [MeasureSystem::Us, 'GBP', 2.27, '£2.27'],
    [MeasureSystem::Australian, 'AUD', 3, '$3.00'],
    // A yen has no hundredths.
    [MeasureSystem::Metric, 'JPY', 230, 'JP¥230'],
    // A currency nobody knows keeps its letters; a house without one has bare numbers.
    [MeasureSystem::Metric, 'XQX', 2.27, "XQX\u{A0}2.27"],
    [MeasureSystem::Metric, '', 2.27, '2.27'],
]);
