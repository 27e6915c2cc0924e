<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Diary\Timetable;

/** When a wish is begun and ready: from a start, or backwards from the day it is wanted. */
final readonly class Days
{
    /**
     * @param  \DateTimeImmutable  $startBy the latest day to begin, or the day it begins where no day is wanted
     * @param  ?\DateTimeImmutable  $latest the latest start for the day wanted; may have gone by
     */
    private function __construct(public Timetable $timetable, public \DateTimeImmutable $startBy, public ?\DateTimeImmutable $latest, public bool $late)
    {
    }

    public static function of(Wish $wish, Kitchen $kitchen): self
    {
        $waking = $kitchen->waking;
        $today = $kitchen->today();
        $school = $wish->school;
        $method = $wish->practised();
        $latest = $wish->readyBy === null ? null : Timetable::latestStart($method, $school->usualH, $wish->readyBy, $waking, $wish->standsH(), $wish->soakH(), $wish->coldWithinH());
        $start = $wish->start ?? ($latest !== null && $latest > $today ? $latest : $today);
        $moment = $start == $today ? $kitchen->now : $waking->midMorning($start);
        $timetable = Timetable::lay($method, $school->usualH, $moment, $waking, $wish->standsH(), soakH: $wish->soakH(), coldWithinH: $wish->coldWithinH());

        return new self($timetable, $latest ?? $start, $latest, $wish->readyBy !== null && $timetable->readyDay() > $wish->readyBy);
    }
}
