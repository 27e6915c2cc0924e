<?php

use Kettle\Reason\Note;
use Kettle\Recipe\WishException;
use Tests\Core\Support;

/** @return array<string, array{array<string, mixed>}> worked by hand, a line each: what is wished, and what must be said */
function workedPlans(): array
{
    $cases = [];
    foreach ((array) file(dirname(__DIR__).'/fixtures/worked-plans.jsonl', FILE_IGNORE_NEW_LINES) as $line) {
        $case = json_decode((string) $line, true, 16, JSON_THROW_ON_ERROR);
        $cases[$case['case']] = [$case];
    }

    return $cases;
}

/**
 * A leaner ratio is offered, it is leaner than what there is, and taken it covers by an inch.
 *
 * @param  list<array{id: string, change: array<string, mixed>}>  $ways
 */
function coversWhenTaken(array $wish, array $ways, float $was): void
{
    $leaner = array_values(array_filter($ways, fn (array $way) => $way['id'] === 'leaner'));
    expect($leaner)->toHaveCount(1);
    $taken = Support::planning()->plan(Kettle\Reason\Way::taken($wish, $leaner[0]['change']), Support::kitchen());
    expect($taken->amounts->levels->coverMm())
        ->toBeGreaterThanOrEqual(24.5)
        ->and($taken->amounts->ratio->parts)
        ->toBeGreaterThan($was);
}

it('plans or refuses as was worked by hand', function (array $case) {
    $known = [
        'case',
        'wish',
        'house',
        'faults',
        'ways',
        'notes',
        'not_notes',
        'plan',
        'figures',
        'warm_minutes',
        'filled',
        'steps',
        'covers',
    ];
    expect(array_diff(array_keys($case), $known))->toBe([])->and(count($case))->toBeGreaterThan(2);
    try {
        $plan = Support::planning()->plan($case['wish'], Support::kitchen($case['house'] ?? []));
        isset($case['covers']) &&
            coversWhenTaken(
                $case['wish'],
                array_merge([], ...array_map(fn (Note $note) => $note->toArray()['ways'], $plan->notes)),
                $plan->amounts->ratio->parts,
            );
    } catch (WishException $refused) {
        if (isset($case['covers'])) {
            coversWhenTaken($case['wish'], $refused->faults[0]['ways'] ?? [], 0.0);

            return;
        }
        expect(array_map(fn (array $fault) => $fault['field'].': '.$fault['reason'], $refused->faults))->toBe(
            $case['faults'] ?? [],
            $refused->getMessage(),
        );
        isset($case['ways']) && expect(array_column($refused->faults[0]['ways'] ?? [], 'id'))->toBe($case['ways']);

        return;
    }
    expect($case['faults'] ?? null)->toBeNull('It was planned, and should have been refused.');
    $document = Support::planning()->document($plan, Support::kitchen($case['house'] ?? []));
    $notes = array_column($plan->notes, 'id');
    expect(array_values(array_diff($case['notes'] ?? [], $notes)))
        ->toBe([])
        ->and(array_values(array_intersect($case['not_notes'] ?? [], $notes)))
        ->toBe([]);
    foreach ($case['plan'] ?? [] as $key => $value) {
        expect($document[$key])->toBe($value);
    }
    foreach ($case['figures'] ?? [] as $id => $value) {
        expect(round((float) $plan->figures[$id]->number(), 1))->toEqual($value);
    }
    isset($case['steps']) && expect(implode(' ', array_column($document['steps'], 'says')))->toContain($case['steps']);
    isset($case['filled']) && expect($plan->timetable->fillAt->format('Y-m-d\TH:i'))->toBe($case['filled']);
    isset($case['warm_minutes']) &&
        expect(($plan->timetable->strainedBy()->getTimestamp() - $plan->timetable->fillAt->getTimestamp()) / 60)->toEqual(
            $case['warm_minutes'],
        );
})->with(workedPlans());

it('chooses nothing that it then warns of: every herb, in its best state and dried, every method as it begins', function () {
    $kitchen = Support::kitchen();
    $planned = 0;
    foreach (Support::planning()->cupboard()->herbs() as $herb) {
        foreach (array_unique([$herb->best->value, 'dried']) as $state) {
            foreach (array_keys(Support::planning()->methods()->all()) as $method) {
                try {
                    $plan = Support::planning()->plan(
                        ['herb' => ['id' => $herb->id, 'state' => $state], 'oils' => ['sunflower-high-oleic'], 'method' => $method],
                        $kitchen,
                    );
                } catch (WishException $refused) {
                    // What is deadly is made into nothing, by any way.
                    expect($refused->faults[0]['reason'])->toBeIn($herb->has('deadly') ? ['deadly', 'not_for_this'] : ['not_for_this']);

                    continue;
                }
                $planned++;
                // What is said of the plant, of heat and of water is no fault of the choice.
                expect(
                    array_values(
                        array_intersect(
                            ['cover', 'headspace', 'lean', 'late', 'sets', 'squeezed-wet', 'oil-too-old', 'away-use-by'],
                            array_column($plan->notes, 'id'),
                        ),
                    ),
                )->toBe([], "{$herb->id} {$state} {$method}");
            }
        }
    }
    expect($planned)->toBeGreaterThan(650);
});

it('makes no oil of a plant that kills, for any use, and offers no way round it', function (string $herb, string $purpose) {
    try {
        Support::planning()->plan(['herb' => ['id' => $herb], 'oils' => ['olive'], 'purpose' => $purpose], Support::kitchen());
        $this->fail('planned');
    } catch (WishException $refused) {
        expect($refused->faults[0]['reason'])
            ->toBe('deadly')
            ->and($refused->faults[0]['field'])
            ->toBe('herb')
            ->and($refused->faults[0]['ways'] ?? [])
            ->toBe([]);
    }
})
    ->with(['monkshood', 'yew', 'foxglove', 'castor-seed'])
    ->with(['skin', 'kitchen', 'salve']);
