<?php

declare(strict_types=1);

namespace Kettle\Diary;

use Kettle\Time\Interval;

/** The burners of a stove: few, and each has one pot at a time. */
final class Burners
{
    /** No house counts more. */
    public const MOST = 24;

    /**
     * When every burner is taken.
     *
     * @param  list<Interval>  $taken each of one burner; several at once take several
     * @return list<Interval> apart from each other, the first first
     */
    public static function allTaken(array $taken, int $burners): array
    {
        $turns = [];
        foreach ($taken as $while) {
            if ($while->to > $while->from) {
                $turns[] = [$while->from, 1];
                $turns[] = [$while->to, -1];
            }
        }
        // Where one goes off as another comes on, the burner is free between them.
        usort($turns, fn (array $a, array $b) => [$a[0], $a[1]] <=> [$b[0], $b[1]]);
        $all = [];
        $on = 0;
        $since = null;
        foreach ($turns as [$at, $turn]) {
            $on += $turn;
            if ($on >= $burners) {
                $since ??= $at;
            } elseif ($since !== null) {
                // A turn of one for another leaves no while between them, and none that is empty.
                $before = $all[count($all) - 1] ?? null;
                if ($before !== null && $before->to == $since) {
                    array_pop($all);
                    $since = $before->from;
                }
                if ($at > $since) {
                    $all[] = new Interval($since, $at);
                }
                $since = null;
            }
        }

        return $all;
    }
}
