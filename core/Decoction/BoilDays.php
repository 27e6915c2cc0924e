<?php

declare(strict_types=1);

namespace Kettle\Decoction;

use Kettle\Diary\Availability;
use Kettle\Time\Interval;
use Kettle\Time\Later;

/** Hours of flame spread over days with somebody by: so many a day, covered and off at night. */
final class BoilDays
{
    /** Less than this at a time is not worth heating a pot for, hours. */
    private const LEAST_H = 1.0;

    /** Nobody is waited for longer. */
    private const LOOK_AHEAD_DAYS = 400;

    /**
     * @param  float  $hours of flame in all
     * @param  float  $hadH hours it has had already on the day it goes on
     * @return list<Interval> those of one day do not come to more than hours a day
     */
    public static function lay(
        float $hours,
        float $hoursADay,
        \DateTimeImmutable $from,
        Availability $availability,
        float $hadH = 0.0,
    ): array {
        // By the minute, as a clock is read.
        $from = $from->setTime((int) $from->format('H'), (int) $from->format('i'));
        $minutes = (int) ceil(round($hours * 60, 4));
        $aDay = (int) round($hoursADay * 60);
        $far = $from->modify('+'.self::LOOK_AHEAD_DAYS.' days');
        $sessions = [];
        $today = $from->format('Y-m-d');
        $had = (int) round($hadH * 60);
        while ($minutes > 0 && $from < $far && ($while = $availability->whileFrom($from)) !== null) {
            $day = $while->from->format('Y-m-d');
            $had = $day === $today ? $had : 0;
            $today = $day;
            $room = min($minutes, $aDay - $had, $while->minutes());
            if ($room >= min($minutes, self::LEAST_H * 60)) {
                $sessions[] = new Interval($while->from, Later::minutes($while->from, $room));
                $minutes -= $room;
                $had += $room;
            }
            // What is left of the day after its hours is not used.
            $from = $had >= $aDay ? $while->from->setTime(0, 0)->modify('+1 day') : $while->to;
        }

        return $sessions;
    }
}
