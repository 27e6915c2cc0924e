<?php

declare(strict_types=1);

namespace Kettle\Trace;

/**
 * Two batches or two products side by side: what differed, the largest first. Of numbers, by how much of the larger; of what is no
 * number, wholly. What is only on one side differs wholly too.
 */
final readonly class Beside
{
    /** Less than this part of the larger is no difference: nobody weighs closer. */
    private const SAME = 0.005;

    /**
     * @param  array<string, float|string>  $one by what it is
     * @param  array<string, float|string>  $other
     * @return list<array{id: string, by: float}> those that differ, with how much: 0 to 1
     */
    public static function of(array $one, array $other): array
    {
        $found = [];
        $place = [];
        foreach (array_keys($one + $other) as $i => $id) {
            $by = self::by($one[$id] ?? null, $other[$id] ?? null);
            if ($by > self::SAME) {
                $found[] = ['id' => (string) $id, 'by' => $by];
                $place[(string) $id] = $i;
            }
        }
        // Of those that differ as much, in the order they were given.
        usort($found, fn (array $a, array $b) => [$b['by'], $place[$a['id']]] <=> [$a['by'], $place[$b['id']]]);

        return $found;
    }

    private static function by(float|string|null $a, float|string|null $b): float
    {
        if (is_string($a) || is_string($b) || $a === null || $b === null) {
            return $a === $b ? 0.0 : 1.0;
        }
        $larger = max(abs($a), abs($b));

        return $larger === 0.0 ? 0.0 : min(1.0, abs($a - $b) / $larger);
    }
}
