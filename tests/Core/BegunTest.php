<?php

use Kettle\Recipe\Again;
use Kettle\Recipe\WishException;
use Kettle\Share\RecipeFile;
use Tests\Core\Support;

/** @param  array<string, mixed>  $more */
function standing(array $more = []): array
{
    return ['herb' => ['id' => 'calendula'], 'oils' => ['olive'], 'begun' => '2026-11-03', ...$more];
}

// 3 November and four weeks: 1 December, by the calendar.
it('reckons a jar that stands already from the day it was begun', function () {
    $plan = Support::planning()->plan(standing(), Support::kitchen());
    expect($plan->timetable->fillAt->format('Y-m-d'))
        ->toBe('2026-11-03')
        ->and($plan->timetable->strainAt->format('Y-m-d'))
        ->toBe('2026-12-01')
        ->and(Support::said($plan->sentenceText()))
        ->toContain('begun Tuesday 3 November');
});

it('takes nothing from what Stores has now', function () {
    $lots = [
        'lots' => [
            ['kind' => 'herb', 'material' => 'calendula', 'amount' => '500 g'],
            ['kind' => 'carrier', 'material' => 'olive', 'amount' => '2 L'],
        ],
    ];
    $takes = function (array $wish) use ($lots): array {
        $needs = Support::planning()->plan($wish, Support::kitchen($lots))->supplies->needs;

        return array_merge(...array_map(fn (array $need) => $need['taking']->takes, $needs));
    };
    expect($takes(['begun' => null] + standing()))->toHaveCount(2)->and($takes(standing()))->toBe([]);
});

it('refuses a day that cannot be, and what goes not with it', function (array $more, string $field, string $reason) {
    try {
        Support::planning()->plan(standing($more), Support::kitchen());
        $this->fail('planned');
    } catch (WishException $refused) {
        expect($refused->faults[0]['field'].' '.$refused->faults[0]['reason'])->toBe("{$field} {$reason}");
    }
})->with([
    'tomorrow' => [['begun' => '2026-11-25'], 'begun', 'to_come'],
    'in 1900' => [['begun' => '1900-01-01'], 'begun', 'out_of_range'],
    'no day' => [['begun' => '2026-02-30'], 'begun', 'unreadable'],
    'and to be begun' => [['start' => '2026-12-01'], 'begun', 'disagree'],
    'and wanted by a day' => [['ready_by' => '2026-12-24'], 'begun', 'disagree'],
    'in the slow cooker' => [['method' => 'slow-cooker'], 'begun', 'never_so'],
    // What is not safe today was not safe then.
    'fresh for the kitchen' => [
        ['purpose' => 'kitchen', 'kept' => 'fridge', 'herb' => ['id' => 'garlic', 'state' => 'fresh'], 'begun' => '2026-11-01'],
        'method',
        'too_slow',
    ],
    'deadly' => [['herb' => ['id' => 'foxglove']], 'herb', 'deadly'],
]);

// Every hour under oil counts for wet herb that is eaten: no more than four, FDA Food Code 2022, 3-501.19, from memory.
it('takes what is warmed to be begun now where that was today, and wet herb for the kitchen not', function (array $more, ?string $fault) {
    $wish = ['herb' => ['id' => 'garlic', ...$more['herb'] ?? []], 'oils' => ['olive'], 'method' => 'slow-cooker', 'begun' => '2026-11-24'];
    $faults = Support::faults([...$wish, ...array_diff_key($more, ['herb' => 0])]);
    expect($faults)->toBe($fault === null ? [] : [$fault]);
})->with([
    'dried, for the skin' => [['herb' => ['state' => 'dried']], null],
    'fresh, for the skin' => [['herb' => ['state' => 'fresh']], null],
    'dried, for the kitchen' => [['herb' => ['state' => 'dried'], 'purpose' => 'kitchen'], null],
    'fresh, for the kitchen' => [['herb' => ['state' => 'fresh'], 'purpose' => 'kitchen', 'kept' => 'fridge'], 'begun: never_so'],
    'wilted, for the kitchen' => [['herb' => ['state' => 'wilted'], 'purpose' => 'kitchen', 'kept' => 'fridge'], 'begun: never_so'],
]);

it('is no part of a recipe, nor of the same again', function () {
    expect(RecipeFile::shared(standing(['ratio' => '1:5'])))
        ->not->toHaveKey('begun')
        ->toHaveKey('ratio')
        ->and(Again::wish(standing(['ratio' => '1:5']), []))
        ->not->toHaveKey('begun');
});

it('widens what nobody remembers of a jar that stands, and nothing that was said', function () {
    $of = fn (array $more) => Support::plan(['begun' => '2026-11-10', 'jar' => '473', ...$more])->figures;
    $guessed = $of([]);
    foreach (['herb_mass', 'oil_volume'] as $id) {
        expect($guessed[$id]->low)
            ->toEqualWithDelta($guessed[$id]->number() * 0.7, 0.001)
            ->and($guessed[$id]->high)
            ->toEqualWithDelta($guessed[$id]->number() * 1.3, 0.001);
    }
    $said = $of(['herb' => ['id' => 'marshmallow-root', 'amount' => '50 g']]);
    $now = Support::plan(['jar' => '473'])->figures;
    expect($said['herb_mass']->low)
        ->toBeNull()
        ->and($now['oil_volume']->low)
        ->toBeNull()
        ->and($guessed['yield_volume']->low)
        ->toBeLessThan($now['yield_volume']->low)
        ->and($guessed['yield_volume']->high)
        ->toBeGreaterThan($now['yield_volume']->high);
});
