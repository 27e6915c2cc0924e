<?php

declare(strict_types=1);

use Kettle\Ask\Questions;
use Kettle\Material\Tables;
use Tests\Core\Support;

/** @param  array<string, mixed>  $more */
function onPowder(array $more = []): array
{
    return $more + [
        'herb' => ['id' => 'turmeric', 'form' => 'powder', 'amount' => '20 g'],
        'oils' => ['olive'],
        'strained' => 'never',
        'purpose' => 'kitchen',
    ];
}

it('is said so, and read so', function () {
    $plan = Support::plan(onPowder());
    expect(Support::said($plan->sentenceText()))
        ->toContain('left on its sediment')
        ->and($plan->wish->practice->strained)
        ->toBeFalse()
        ->and(Support::planning()->record($plan, Support::kitchen())['strained'])
        ->toBeFalse();
    $read = Support::planning()->record(Support::plan(onPowder(['strained' => 'once'])), Support::kitchen());
    expect($read)->not->toHaveKey('strained');
});

it('has no straining, settling or bottling in its days and its steps', function () {
    $plan = Support::plan(onPowder());
    $ids = array_column(Support::planning()->record($plan, Support::kitchen())['steps'], 'id');
    expect($ids)
        ->toContain('ready')
        ->not->toContain('strain')
        ->not->toContain('bottle')
        ->and($plan->timetable->settledAt)
        ->toEqual($plan->timetable->strainAt)
        ->and($plan->figures['hands_on']->number())
        ->toBeLessThan(Support::plan(onPowder(['strained' => 'once', 'way' => 'drained']))->figures['hands_on']->number());
});

it('loses nothing to a cloth: what stands clear is what drained powder gives, and its losses', function () {
    $clear = Support::plan(onPowder())->figures['yield_volume']->number();
    $drained = Support::plan(onPowder(['strained' => 'once', 'way' => 'drained']))->figures['yield_volume']->number();
    // data/uptake.json: 3 mL in settling, 2 mL in the filter.
    expect($clear - $drained)->toEqualWithDelta(5.0, 0.001);
});

it('keeps three months at the most, from memory, whatever its oil would', function () {
    $plan = Support::plan(onPowder(['oils' => ['jojoba'], 'purpose' => 'skin']));
    $strained = Support::plan(onPowder(['oils' => ['jojoba'], 'purpose' => 'skin', 'strained' => 'once']));
    expect($plan->keeping->months)
        ->toBeLessThanOrEqual(3.0)
        ->and($strained->keeping->months)
        ->toBeGreaterThan(12.0)
        ->and(array_map(fn ($reason) => $reason->rule, $plan->keeping->figure()->reasons))
        ->toContain('keeps-unstrained');
});

it('is warned of, and refused for all that would stand out or spoil', function (array $more, array $faults) {
    expect(Support::faults(onPowder($more)))->toBe($faults);
})->with([
    'powder' => [[], []],
    'leaf' => [['herb' => ['id' => 'thyme', 'amount' => '20 g'], 'purpose' => 'skin'], ['strained: not_powder']],
    'fresh root' => [['herb' => ['id' => 'ginger-root', 'state' => 'fresh', 'amount' => '20 g'], 'purpose' => 'skin'], ['strained: wet']],
    'wrung out as well' => [['way' => 'squeezed'], ['strained: disagree']],
    'drained as well is the same' => [['way' => 'drained'], []],
    'sometimes' => [['strained' => 'sometimes'], ['strained: unknown']],
]);

it('is typed so', function (string $typed) {
    [$wish] = array_values((new Questions(Tables::shipped()))->sentence($typed, Support::kitchen()));
    expect($wish['strained'] ?? null)->toBe('never');
})->with([
    '20 g of turmeric powder in olive, never strained, for the kitchen',
    '20 g of turmeric powder in olive, left on its sediment, for the kitchen',
    '20 g of turmeric powder in olive, unstrained, for the kitchen',
]);
