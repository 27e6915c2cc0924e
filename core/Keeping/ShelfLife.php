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
        [$year, $month, $date] = array_map(intval(...), explode('-', $day->format('Y-n-j')));
        $last = (int) gmdate('t', (int) gmmktime(0, 0, 0, $month + $whole, 1, $year));

        // Months and days past the end of a year or a month are carried over.
        return $day->setDate($year, $month + $whole, min($date, $last) + $days);
    }
}
