<?php

declare(strict_types=1);

namespace Kettle\Time;

/** A time of day as people write it, by 24 hours or by 12: "07:00", "7", "730", "7.30", "19h30", "7:30 pm", "noon". */
final class TimeOfDay
{
    /** Minutes since midnight; null where it is none. */
    public static function minute(string $typed): ?int
    {
        $text = mb_strtolower(trim($typed, " \t\r\n."));
        if ($text === 'noon' || $text === 'midday') {
            return 720;
        }
        if (preg_match('/^(\d{1,2})(?:\s*[:.h]\s*|\s)?([0-5]\d)?(?:\s*(?:o[’\']?clock))?\s*(a|p)?\.?\s*(m)?\.?$/u', $text, $m) !== 1) {
            return null;
        }
        $m += array_fill(0, 5, '');
        [$hour, $minute, $half] = [(int) $m[1], (int) $m[2], $m[3]];
        if (($half === '') !== ($m[4] === '') || $hour > 23 || ($half !== '' && ($hour === 0 || $hour > 12))) {
            return null;
        }

        return ($half === '' ? $hour : ($hour % 12) + ($half === 'p' ? 12 : 0)) * 60 + $minute;
    }

    /** So many minutes after midnight, by the clock on a wall. */
    public static function on(\DateTimeImmutable $day, int $minute): \DateTimeImmutable
    {
        return $day->setTime(intdiv($minute, 60), $minute % 60);
    }

    /** As it is kept: "07:00". */
    public static function text(int $minute): string
    {
        return sprintf('%02d:%02d', intdiv($minute, 60), $minute % 60);
    }
}
