<?php

use Kettle\Batch\FrozenPlan;
use Kettle\Batch\Learned;
use Kettle\Batch\Line\Strained;
use Kettle\Reason\Note;
use Kettle\Reason\Said;
use Kettle\Recipe\Again;
use Kettle\Recipe\Plan;
use Kettle\Recipe\WishException;
use Tests\Core\Support;

/** An oil that is there already: two bottles of a dried calendula in olive oil, unless it is said otherwise. */
function before(array $before, array $more = []): array
{
    return $more + [
        'herbs' => [['id' => 'calendula', 'state' => 'dried']],
        'oils' => ['olive'],
        'finished' => ['count' => '2', 'size' => '100 mL'],
        'before' => $before,
    ];
}

function beforePlan(array $before, array $more = []): Plan
{
    return Support::planning()->plan(before($before, $more), Support::kitchen());
}

/** @return array{string, string} field and sentence of the first fault */
function beforeFault(array $wish): array
{
    try {
        Support::planning()->plan($wish, Support::kitchen());
    } catch (WishException $refused) {
        return [$refused->faults[0]['field'], $refused->faults[0]['sentence']];
    }

    return ['', ''];
}

it('takes an oil that was made before as it stands, and counts its life from the day it was strained', function () {
    $plan = beforePlan(['made' => '2026-06-01'], ['method' => 'cold']);
    $said = Support::said($plan->sentenceText());
    expect($said)
        ->toBe(
            'Two bottles of 100 mL of calendula oil for the skin, flower heads or petals, dried, in olive oil, on the cold shelf, '.
                'strained 1 June 2026.',
        )
        ->and($plan->timetable->strainAt->format('Y-m-d'))
        ->toBe('2026-06-01')
        // Olive oil, opened, has twelve months in the table, of which four weeks and a day went on the herb.
        ->and($plan->figures['best_before']->text())
        ->toBe('2027-05-03');
});

it('takes a way that nobody knows for a warm one, and says that it is not known', function () {
    $plan = beforePlan(['made' => '2026-06-01']);
    $record = Support::planning()->record($plan, Support::kitchen());
    expect($plan->wish->method->heated)
        ->toBeTrue()
        ->and(Support::said($plan->sentenceText()))
        ->toContain('by a way that is not known')
        ->and(Support::said(Said::read($record['method']['name']->toArray())))
        ->toBe('a way that is not known')
        ->and($record['before'])
        ->toBe(['made' => '2026-06-01', 'from' => '', 'best_before' => null, 'way_known' => false]);
});

it('lets the day that stands on it go before its own, and never after', function (string $printed, string $best) {
    expect(beforePlan(['made' => '2026-06-01', 'best_before' => $printed], ['method' => 'cold'])->figures['best_before']->text())->toBe(
        $best,
    );
})->with([['2027-01-15', '2027-01-15'], ['2026-08-01', '2026-08-01'], ['2029-01-01', '2027-05-03']]);

it('knows no age of what was bought but the day on it', function () {
    $plan = beforePlan(['best_before' => '2027-01-15', 'from' => 'a stall in the harbour']);
    expect(Support::said($plan->sentenceText()))
        ->toEndWith('strained nobody knows when, from a stall in the harbour.')
        ->and($plan->figures['best_before']->text())
        ->toBe('2027-01-15');
});

it('asks for what is missing, and refuses what cannot be', function (array $wish, string $field, string $says) {
    [$at, $sentence] = beforeFault($wish);
    expect($at)->toBe($field)->and($sentence)->toContain($says);
})->with([
    [before([]), 'before.made', 'Say when it was strained'],
    [before(['made' => '2026-11-25']), 'before.made', 'is to come'],
    [before(['made' => '1900-01-01']), 'before.made', 'more than 5 years'],
    [before(['made' => 'last summer']), 'before.made', ''],
    [before(['made' => '2026-06-01', 'best_before' => '2026-05-01']), 'before.best_before', 'slip'],
    [before(['made' => '2026-06-01'], ['finished' => null]), 'finished.size', 'how much of it there is'],
    [before(['made' => '2026-06-01'], ['herbs' => [['id' => 'calendula']]]), 'herbs.0.state', 'dried or fresh'],
    [before(['made' => '2026-06-01'], ['start' => '2026-12-01']), 'start', 'leave the other day out'],
    [before(['made' => '2026-06-01'], ['begun' => '2026-11-01']), 'begun', 'leave the other day out'],
    // Wet herb under oil for the kitchen: not on a shelf, and nothing cold is entered afterwards.
    [
        before(['made' => '2026-06-01'], ['herbs' => [['id' => 'garlic', 'state' => 'fresh']], 'purpose' => 'kitchen']),
        'purpose',
        'botulinum',
    ],
    [
        before(['made' => '2026-11-23'], ['herbs' => [['id' => 'garlic', 'state' => 'fresh']], 'purpose' => 'kitchen', 'kept' => 'fridge']),
        'kept',
        'four days',
    ],
    [before(['made' => '2026-06-01'], ['herbs' => [['id' => 'foxglove', 'state' => 'dried']]]), 'herb', ''],
]);

it('tells what is to be heeded of it, and nothing of the filling, the fire and the cloth that are over', function () {
    $ids = fn (array $more) => array_map(fn (Note $note) => $note->id, beforePlan(['made' => '2026-06-01'], $more)->notes);
    expect($ids(['method' => 'slow-cooker']))
        ->toContain('daisy-family', 'skin-only')
        ->not->toContain('dry', 'ceiling', 'hot-oil', 'no-place', 'short', 'late')
        ->and($ids(['herbs' => [['id' => 'st-johns-wort', 'state' => 'fresh']]]))
        ->toContain('sunlight')
        ->not->toContain('wet', 'wet-warm', 'gathering', 'squeezed-wet');
});

it('teaches the house nothing, and is made again as any other', function () {
    $plan = beforePlan(['made' => '2026-06-01']);
    $document = json_decode((string) json_encode(Said::kept(Support::planning()->record($plan, Support::kitchen()))), true);
    $strained = new Strained('200 mL', 200.0, '', null, null, null, false);
    $again = Again::wish(before(['made' => '2026-06-01']), $document, null);
    expect(Learned::from(FrozenPlan::of($document), $strained, Support::planning()->tables()))
        ->toBeNull()
        ->and(Learned::from(FrozenPlan::of(array_diff_key($document, ['before' => 1])), $strained, Support::planning()->tables()))
        ->not->toBeNull()
        ->and($again)
        ->not->toHaveKey('before')
        ->and(Support::planning()->plan($again, Support::kitchen())->wish->asked->before)
        ->toBeNull();
});
