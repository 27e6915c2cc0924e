<?php

declare(strict_types=1);

namespace Kettle\Time;

/** Whether the day or the month comes first in days of figures, as a spreadsheet writes them: 20/07/2026 or 07/20/2026. */
enum DayOrder: string
{
    case DayFirst = 'day';
    case MonthFirst = 'month';

    /** A day of figures at the beginning of a text, the last two of its year being enough. */
    private const FIGURES = '/^(\d{1,2})([.\/-])(\d{1,2})\2(\d{4}|\d\d)(?!\d)/';

    private const YEAR_FIRST = '/^(\d{4})[.\/](\d{1,2})[.\/](\d{1,2})(?!\d)/';

    /**
     * What days written by one hand show of it: those over the twelfth can be read one way only.
     *
     * @param  iterable<string>  $typed
     * @return ?self null where nothing shows it, or one day shows this and another that
     */
    public static function shownBy(iterable $typed): ?self
    {
        $shown = [];
        foreach ($typed as $each) {
            if (preg_match(self::FIGURES, $each, $m) === 1) {
                [$first, $second] = [(int) $m[1], (int) $m[3]];
                if ($first > 12 && $second <= 12) {
                    $shown[self::DayFirst->value] = self::DayFirst;
                } elseif ($second > 12 && $first <= 12) {
                    $shown[self::MonthFirst->value] = self::MonthFirst;
                }
            }
        }

        return count($shown) === 1 ? array_values($shown)[0] : null;
    }

    /**
     * A text with the day it begins with as 2026-07-20; as it is where that is no day, or might be one of two.
     *
     * @param  ?self  $order how the days beside it are written
     */
    public static function plain(string $typed, ?self $order): string
    {
        if (preg_match(self::YEAR_FIRST, $typed, $m) === 1) {
            [$year, $month, $day] = [(int) $m[1], (int) $m[2], (int) $m[3]];
        } elseif (preg_match(self::FIGURES, $typed, $m) === 1) {
            [$first, $second] = [(int) $m[1], (int) $m[3]];
            // With points between, the day is first wherever days are written so: common practice, no source.
            $order = $m[2] === '.' || $first === $second ? self::DayFirst : self::shownBy([$m[0]]) ?? $order;
            if ($order === null) {
                return $typed;
            }
            [$day, $month] = $order === self::DayFirst ? [$first, $second] : [$second, $first];
            $year = (int) $m[4] + (strlen($m[4]) === 2 ? 2000 : 0);
        } else {
            return $typed;
        }

        return checkdate($month, $day, $year) ? sprintf('%04d-%02d-%02d', $year, $month, $day).substr($typed, strlen($m[0])) : $typed;
    }
}
