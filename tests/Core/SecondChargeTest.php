<?php

declare(strict_types=1);

use Kettle\Recipe\Again;
use Kettle\Recipe\Plan;
use Kettle\Recipe\WishException;
use Kettle\Share\RecipeFile;
use Tests\Core\Support;

/**
 * @param  array<string, mixed>  $oil what is otherwise of the infused oil
 * @param  array<string, mixed>  $wish
 */
function inOil(array $oil = [], array $wish = []): Plan
{
    return Support::plan($wish + secondCharge(), [
        'infused' => [
            $oil + [
                'id' => 'B1',
                'code' => '26-003',
                'called' => 'calendula oil of 6 November',
                'oils' => [['id' => 'olive']],
                'left' => '240 mL',
                'since' => '2026-10-01',
                'best_before' => '2027-10-01',
                'herbs' => [['id' => 'calendula', 'state' => 'dried']],
            ],
        ],
    ]);
}

/** @return array<string, mixed> */
function secondCharge(): array
{
    return ['herbs' => [['id' => 'plantain-leaf', 'state' => 'dried']], 'oils' => [['id' => 'olive']], 'in_oil' => ['batch' => 'B1']];
}

/** @return list<string> */
function faultsInOil(array $oil = [], array $wish = []): array
{
    try {
        inOil($oil, $wish);

        return [];
    } catch (WishException $refused) {
        return array_map(fn (array $fault) => "{$fault['field']}: {$fault['reason']}", $refused->faults);
    }
}

it('goes on all the oil there is, or on as much as is said', function () {
    expect(inOil()->figures['oil_volume']->number())
        ->toEqualWithDelta(240.0, 0.001)
        ->and(inOil([], ['oil_amount' => '100 mL'])->figures['oil_volume']->number())
        ->toEqualWithDelta(100.0, 0.001)
        ->and(
            inOil([], ['herbs' => [['id' => 'plantain-leaf', 'state' => 'dried', 'amount' => '20 g']], 'ratio' => '1:5'])->figures[
                'oil_volume'
            ]->number(),
        )
        ->toEqualWithDelta(100.0, 0.001)
        ->and(Support::said(inOil()->sentenceText()))
        ->toContain('in the calendula oil of 6 November');
});

it('leaves in the second herb what herb leaves, and not less for having been on herb', function () {
    $plain = Support::plan(['in_oil' => null, 'oil_amount' => '240 mL'] + secondCharge());
    expect(inOil()->figures['yield_volume']->number())->toBe($plain->figures['yield_volume']->number());
});

it('is as old as it is, never younger: its days count from the first filling and its own day is the last', function () {
    $day = fn (Plan $plan) => $plan->keeping->bestBefore->format('Y-m-d');
    $fresh = Support::plan(['in_oil' => null, 'oil_amount' => '240 mL'] + secondCharge());
    $of = fn (array $oil) => $day(inOil($oil));
    expect($of(['since' => '2026-11-24', 'best_before' => '2030-01-01']))
        ->toBe($day($fresh))
        ->and($of(['since' => '2026-06-01', 'best_before' => '2030-01-01']))
        ->toBeLessThan($day($fresh))
        // Opened before it went on herb, that counts.
        ->and($of(['since' => '2026-06-01', 'opened' => '2026-03-01', 'best_before' => '2030-01-01']))
        ->toBeLessThan($of(['since' => '2026-06-01', 'best_before' => '2030-01-01']))
        // The warmth it had counts with the warmth to come.
        ->and($of(['since' => '2026-06-01', 'best_before' => '2030-01-01', 'heat' => [['hours' => 100, 'celsius' => 60]]]))
        ->toBeLessThan($of(['since' => '2026-06-01', 'best_before' => '2030-01-01']))
        ->and($of(['since' => '2026-11-24', 'best_before' => '2027-01-15']))
        ->toBe('2027-01-15');
});

it('is minded for what it was on before: a daisy stays a daisy, and what was not food is not food', function () {
    $ids = fn (Plan $plan) => array_map(fn ($note) => $note->id, $plan->notes);
    expect($ids(inOil()))
        ->toContain('daisy-family')
        ->toContain('second-charge')
        ->and($ids(inOil(['herbs' => [['id' => 'nettle-leaf', 'state' => 'dried']]])))
        ->not->toContain('daisy-family')
        // Not known as food, it is not eaten.
        ->and(faultsInOil([], ['purpose' => 'kitchen']))
        ->toBe([])
        ->and(array_filter(inOil([], ['purpose' => 'kitchen'])->notes, fn ($note) => $note->rank === 'stop'))
        ->not->toBe([])
        ->and($ids(inOil(['allergens' => ['sesame']], ['heed' => []])))
        ->toContain('allergens');
});

it('is refused by name where it cannot be', function (array $oil, array $wish, string $fault) {
    expect(faultsInOil($oil, $wish))->toContain($fault);
})->with([
    'another batch' => [[], ['in_oil' => ['batch' => 'B2']], 'in_oil: unknown'],
    'no batch at all' => [[], ['in_oil' => ['batch' => '']], 'in_oil: unknown'],
    'a list for a batch' => [[], ['in_oil' => ['batch' => ['B1']]], 'in_oil: unreadable'],
    'all used up' => [['left' => '0.2 mL'], [], 'in_oil: used_up'],
    'kept cold' => [['cold_only' => true], [], 'in_oil: cold'],
    'past its day' => [['best_before' => '2026-11-23'], [], 'in_oil: past'],
    'another oil' => [[], ['oils' => [['id' => 'sunflower']]], 'oils: disagree'],
    'an oil more' => [[], ['oils' => [['id' => 'olive'], ['id' => 'jojoba']]], 'oils: disagree'],
    'from a lot of Stores' => [[], ['oils' => [['id' => 'olive', 'lot' => 'L1']]], 'oils: disagree'],
    'measured out' => [[], ['oils' => [['id' => 'olive', 'amount' => '50 mL']]], 'oils: disagree'],
    'begun last week' => [[], ['begun' => '2026-11-17'], 'in_oil: disagree'],
    'an oil nobody knows' => [['oils' => [['id' => 'moon']]], [], 'house.infused.0: unknown'],
    'no day to it' => [['best_before' => ''], [], 'house.infused.0: missing'],
    'herb neither dried nor fresh' => [['herbs' => [['id' => 'calendula']]], [], 'house.infused.0: missing'],
]);

it('says what is short, and takes no fresh oil for it unsaid', function () {
    $plan = inOil([], ['oil_amount' => '300 mL']);
    $oil = array_values(array_filter($plan->supplies->needs, fn (array $need) => $need['material'] === 'olive'))[0];
    expect($oil['taking']->short)
        ->toEqualWithDelta(60.0, 0.001)
        ->and(array_map(fn (array $take) => $take['lot']->id, $oil['taking']->takes))
        ->toBe(['B1:olive']);
});

it('is made again in oils by themselves, for that oil is used up, and goes out as such a recipe', function () {
    $plan = Support::planning()->record(inOil(), Support::kitchen());
    $again = Again::wish(secondCharge(), $plan);
    expect($again)
        ->not->toHaveKey('in_oil')
        ->and(array_column($again['oils'], 'id'))
        ->toBe(['olive'])
        ->and(RecipeFile::shared(secondCharge()))
        ->not->toHaveKey('in_oil')
        ->toHaveKey('oils');
});
