<?php

declare(strict_types=1);

namespace Kettle\Diary;

use Kettle\Infusion\Method;
use Kettle\Time\Interval;

/**
 * Minutes of work a batch asks for with one's own hands, from weighing to bottling, by the minutes of
 * each step (common practice, no source). Being by a flame is counted apart, in hours.
 */
final readonly class Labour
{
    private function __construct(public float $minutes, public float $byHours) {}

    /** @param  bool  $strains whether it is strained and bottled at all */
    public static function of(Method $method, float $hours, Timetable $times, bool $strains = true): self
    {
        $out = $strains ? [Step::Strain, Step::Decant, Step::Bottle] : [Step::Ready];
        $minutes = array_sum(array_map(fn (Step $step) => $step->minutes(), [Step::Fill, ...$out]));
        $shakes = max(0.0, ceil($hours / $method->tending->shakeEveryH) - 1);
        $minutes += $shakes * Step::Shake->minutes();
        $minutes += $method->heated
            ? count($times->sessions) * 2 * Step::WarmOn->minutes()
            : Step::TopUp->minutes() + floor($hours / 168) * Step::Check->minutes();

        $warm = array_sum(array_map(fn (Interval $each) => $each->seconds(), $times->sessions)) / 3600;

        return new self($minutes, $method->tending->attended ? $warm : 0.0);
    }
}
