<?php

declare(strict_types=1);

namespace Kettle\Time;

/**
 * Time that passes, as against hands of a clock that are moved: eight hours on from ten at night are eight
 * hours also when the clocks change meanwhile, where "+8 hours" of a date is not.
 */
final class Later
{
    public static function seconds(\DateTimeImmutable $at, int $seconds): \DateTimeImmutable
    {
        return $at->setTimestamp($at->getTimestamp() + $seconds);
    }

    public static function minutes(\DateTimeImmutable $at, int $minutes): \DateTimeImmutable
    {
        return self::seconds($at, $minutes * 60);
    }

    /** Rounded to the minute. */
    public static function hours(\DateTimeImmutable $at, float $hours): \DateTimeImmutable
    {
        return self::minutes($at, (int) round($hours * 60));
    }
}
