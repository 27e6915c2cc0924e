<?php

declare(strict_types=1);

namespace Kettle\Keeping;

/** Bounds of keeping, and months as a calendar adds them. */
final class ShelfLife
{
    /** Dried herb allows one to two years: common practice, no source. */
    public const DRIED_HERB_CAP = 24.0;

    /** A bottle kept by a window or stove loses about this much: from memory, coarse. */
    public const SPREAD = 0.25;

    /** Days in a month of the mean: 365.25 / 12 is 30.44. */
    public const DAYS_A_MONTH = 30.44;

    /** A day so many months on; a fraction of a month counts 30.44 days. */
    public static function after(\DateTimeImmutable $day, float $months): \DateTimeImmutable
    {
        $whole = (int) floor($months);
        $days = (int) round(($months - $whole) * self::DAYS_A_MONTH);
        $first = $day->modify('first day of this month')->modify("+{$whole} months");
        $date = min((int) $day->format('j'), (int) $first->format('t'));

        return $first->setDate((int) $first->format('Y'), (int) $first->format('n'), $date)->modify("+{$days} days");
    }
}
