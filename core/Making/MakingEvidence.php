<?php

declare(strict_types=1);

namespace Kettle\Making;

use Kettle\Melt\PartKind;
use Kettle\Melt\Verdict;
use Kettle\Recipe\Words;

/** What the records of a product say for and against each fault: by fact (data/faults.json), the words it is said with. */
final class MakingEvidence
{
    /** The step by which what grains is cooled at once. */
    private const COOLED = 'cool-fast';

    /**
     * @param  bool  $pastBest whether its day has gone
     * @return array<string, array<string, string>>
     */
    public static function of(MakingState $state, bool $pastBest, Words $words): array
    {
        $fats = array_values(
            array_map(
                fn (PotPart $fat) => $fat->said,
                array_filter($state->pot->parts, fn (PotPart $part) => $part->kind === PartKind::Butter),
            ),
        );
        $wet = array_filter($state->pot->parts, fn (PotPart $part) => $part->kind === PartKind::Water);
        $last = $state->verdicts === [] ? null : $state->verdicts[count($state->verdicts) - 1];
        $spooned = $state->plan->byWax && in_array('spoon', $state->plan->steps, true);

        return array_filter(
            [
                'hard-fat' => $fats === [] ? null : ['hard' => ucfirst($words->thing(['all' => $fats]))],
                'not-tried' => $spooned && $last === null ? [] : null,
                'tried-right' => $last?->is === Verdict::RIGHT ? [] : null,
                'tried-soft' => $state->toMend?->is === Verdict::TOO_SOFT ? [] : null,
                'tried-hard' => $state->toMend?->is === Verdict::TOO_HARD ? [] : null,
                'not-cooled' => in_array(self::COOLED, $state->plan->steps, true) && ! isset($state->done[self::COOLED]) ? [] : null,
                'leaf-in' => $state->plan->leaf !== null && isset($state->done['leaf']) ? [] : null,
                'water-in' => $wet === [] ? null : [],
                'past-best' => $pastBest ? [] : null,
            ],
            fn (?array $said) => $said !== null,
        );
    }
}
