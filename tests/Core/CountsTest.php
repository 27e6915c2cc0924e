<?php

use Kettle\Material\Counts;
use Kettle\Material\State;
use Kettle\Material\Tables;
use Kettle\Recipe\WishException;
use Tests\Core\Support;

/** @return array{float, float, float}|string g at least, about and at most; or why it is not read */
function countedMass(string $herb, string $state, string $amount): array|string
{
    try {
        $plan = Support::planning()->plan(
            ['herb' => ['id' => $herb, 'state' => $state, 'amount' => $amount], 'oils' => ['olive'], 'method' => 'cold'],
            Support::kitchen(),
        );
    } catch (WishException $refused) {
        return $refused->faults[0]['reason'];
    }
    $figure = $plan->figures['herb_mass'];

    return [
        round((float) ($figure->low ?? $figure->number()), 2),
        round((float) $figure->number(), 2),
        round((float) ($figure->high ?? $figure->number()), 2),
    ];
}

it('reads what is counted, and says how much that leaves open', function (
    string $herb,
    string $state,
    string $amount,
    array|string $grams,
) {
    expect(countedMass($herb, $state, $amount))->toEqual($grams);
})->with([
    'cloves' => ['garlic', 'fresh', '8 cloves', [24, 32, 56]],
    'a head' => ['garlic', 'fresh', 'a head', [30, 45, 70]],
    'handfuls, as a word' => ['calendula', 'dried', 'two handfuls', [8, 16, 30]],
    'handfuls of what is counted otherwise too' => ['garlic', 'fresh', '2 handfuls', [20, 40, 70]],
    'with its name' => ['calendula', 'dried', '2 handfuls of calendula', [8, 16, 30]],
    'the plant itself' => ['chilli', 'dried', '3 chillies', [1.5, 3, 6]],
    'half of one' => ['onion', 'fresh', 'half an onion', [40, 75, 125]],
    'a fraction' => ['onion', 'fresh', '1 1/2 onions', [120, 225, 375]],
    'pods' => ['vanilla', 'dried', '2 pods', [4, 6, 8]],
    'weighed after all' => ['garlic', 'fresh', '32 g', [32, 32, 32]],
    'a number is grams' => ['garlic', 'fresh', '3', [3, 3, 3]],
    'dried cloves nobody knows' => ['garlic', 'dried', '8 cloves', 'uncounted'],
    'cloves of what has none' => ['calendula', 'dried', '8 cloves', 'uncounted'],
    'of another plant' => ['garlic', 'fresh', '3 onions', 'unreadable'],
    'none at all' => ['garlic', 'fresh', '0 cloves', 'out_of_range'],
    'a mountain' => ['garlic', 'fresh', '9000 heads', 'out_of_range'],
]);

it('says of counted herb that it is to be weighed, and widens the oil by it', function () {
    $wish = [
        'herb' => ['id' => 'chilli', 'state' => 'dried', 'amount' => '3 chillies'],
        'oils' => ['olive'],
        'method' => 'cold',
        'ratio' => '1:5',
    ];
    $plan = Support::planning()->plan($wish, Support::kitchen());
    expect(array_map(fn ($note) => $note->id, $plan->notes))->toContain('counted');
    $oil = $plan->figures['oil_volume'];
    // 3 g at 1:5 is 15 mL; 1.5 to 6 g is 7.5 to 30.
    expect($oil->number())
        ->toEqualWithDelta(15.0, 0.01)
        ->and($oil->low)
        ->toEqualWithDelta(7.5, 0.01)
        ->and($oil->high)
        ->toEqualWithDelta(30.0, 0.01);
    // Said, the oil is what was said.
    $said = Support::planning()->plan(['ratio' => null, 'oil_amount' => '50 mL'] + $wish, Support::kitchen());
    expect($said->figures['oil_volume']->low)->toBeNull();
});

it('adds up what is counted and what is weighed in one jar', function () {
    $plan = Support::planning()->plan(
        [
            'herbs' => [['id' => 'calendula', 'amount' => '2 handfuls'], ['id' => 'yarrow', 'amount' => '10 g']],
            'oils' => ['olive'],
            'method' => 'cold',
        ],
        Support::kitchen(),
    );
    $herb = $plan->figures['herb_mass'];
    expect($herb->number())
        ->toEqualWithDelta(26.0, 0.01)
        ->and($herb->low)
        ->toEqualWithDelta(18.0, 0.01)
        ->and($herb->high)
        ->toEqualWithDelta(40.0, 0.01);
});

it('blends the seven oils of a hair oil, and seven herbs in it', function () {
    $oils = ['olive', 'sunflower', 'sesame', 'jojoba', 'castor', 'avocado', 'argan'];
    $plan = Support::planning()->plan(
        [
            'herbs' => array_map(fn (string $id) => ['id' => $id], [
                'calendula',
                'self-heal',
                'yarrow',
                'sage',
                'thyme',
                'nettle-leaf',
                'hop',
            ]),
            'oils' => array_map(fn (string $id) => ['id' => $id, 'parts' => '1'], $oils),
            'oil_amount' => '700 mL',
            'purpose' => 'hair',
        ],
        Support::kitchen(),
    );
    // 700 mL in seven equal parts by volume.
    foreach ($oils as $id) {
        expect($plan->figures["oil_volume.{$id}"]->number())->toEqualWithDelta(100.0, 0.01);
    }
});

/*
 * USDA FoodData Central, household portions, quoted from memory: garlic, 1 clove 3 g; parsley, 10 sprigs 10 g; basil,
 * 5 leaves 2.5 g; onion, 1 medium 110 g; tomato, 1 medium 123 g; mushroom, 1 medium 18 g; hot chilli, 1 pepper 45 g.
 */
it('has what the published table has within what it leaves open', function (string $text, string $herb, float $portion) {
    $each = (new Counts(Tables::shipped()))->of($text, Support::planning()->cupboard()->herb($herb), State::Fresh);
    expect($each['low'])->toBeLessThanOrEqual($portion)->and($each['high'])->toBeGreaterThanOrEqual($portion);
})->with([
    ['clove', 'garlic', 3.0],
    ['sprig', 'parsley', 1.0],
    ['leaf', 'basil', 0.5],
    ['', 'onion', 110.0],
    ['', 'tomato', 123.0],
    ['', 'mushroom', 18.0],
    ['', 'chilli', 45.0],
]);
