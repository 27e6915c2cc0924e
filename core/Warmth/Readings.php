<?php

declare(strict_types=1);

namespace Kettle\Warmth;

use Kettle\Measure\Unit;

/** Readings of a thermometer as senders write them, taken in or refused one by one. */
final class Readings
{
    /** A sender's clock may be so far ahead, s. */
    private const AHEAD = 120;

    /** No pot of oil in water goes past these, degrees C. */
    private const LEAST = -30.0;

    public const MOST = 150.0;

    /**
     * @param  list<mixed>  $rows each {at, c} or {at, f}; at as ISO 8601 or seconds since 1970; a warmth as a number or as "121 F"
     * @param  int  $from the earliest moment that belongs here, s
     * @param  ?\DateTimeZone  $local whose clock a moment without a zone is of; null where it must have one
     * @return array{taken: array<int, float>, doubled: int, refused: list<array{row: int, sentence: string}>} taken: degrees C by second
     */
    public static function read(array $rows, int $from, int $now, ?\DateTimeZone $local = null): array
    {
        $taken = $refused = [];
        $doubled = 0;
        foreach ($rows as $row => $reading) {
            try {
                [$at, $celsius] = self::one($reading, $from, $now, $local);
                array_key_exists($at, $taken) ? $doubled++ : ($taken[$at] = $celsius);
            } catch (WarmthException $no) {
                $refused[] = ['row' => $row, 'sentence' => $no->sentence];
            }
        }
        ksort($taken);

        return ['taken' => $taken, 'doubled' => $doubled, 'refused' => $refused];
    }

    /**
     * @return array{int, float}
     *
     * @throws WarmthException
     */
    private static function one(mixed $reading, int $from, int $now, ?\DateTimeZone $local): array
    {
        $reading = is_array($reading) ? $reading : [];
        $at = self::moment($reading['at'] ?? null, $local);
        $celsius = array_key_exists('f', $reading) ? self::fahrenheit(self::number($reading['f'])) : self::warmth($reading['c'] ?? null);
        if ($celsius < self::LEAST || $celsius > self::MOST) {
            throw WarmthException::reading($celsius);
        }
        if ($at > $now + self::AHEAD) {
            throw WarmthException::future();
        }
        if ($at < $from) {
            throw WarmthException::tooOld();
        }

        return [$at, round($celsius, 2)];
    }

    /** @throws WarmthException */
    public static function moment(mixed $at, ?\DateTimeZone $local = null): int
    {
        if (is_int($at) || (is_float($at) && is_finite($at) && abs($at) < 1e11)) {
            return (int) $at;
        }
        $typed = is_string($at) ? trim($at, " \t\r\n") : '';
        if (preg_match('/^\d{9,11}$/D', $typed) === 1) {
            return (int) $typed;
        }
        // With its zone, or it might be an hour out.
        if (preg_match('/^\d{4}-\d\d-\d\d[T ]\d\d:\d\d(:\d\d(\.\d+)?)?(Z|[+-]\d\d:?\d\d)$/D', $typed) === 1) {
            try {
                return (new \DateTimeImmutable($typed))->getTimestamp();
            } catch (\Exception) {
                throw WarmthException::noMoment($typed);
            }
        }

        return $local === null ? throw WarmthException::noMoment($typed) : self::byClock($typed, $local);
    }

    /**
     * By the clock on the wall: 2026-11-24 10:05, 2026-11-24 9:05:30 PM.
     *
     * @throws WarmthException where the clock never showed that, or showed it twice
     */
    private static function byClock(string $typed, \DateTimeZone $zone): int
    {
        $pattern = '/^(\d{4})-(\d\d)-(\d\d)[T ](\d{1,2}):(\d\d)(?::(\d\d)(?:[.,]\d+)?)?(?:\s*([ap])\.?m\.?)?$/iD';
        if (preg_match($pattern, $typed, $m) !== 1 || ! checkdate((int) $m[2], (int) $m[3], (int) $m[1])) {
            throw WarmthException::noMoment($typed);
        }
        [$hour, $half] = [(int) $m[4], strtolower($m[7] ?? '')];
        if ($hour > 23 || ($half !== '' && ($hour < 1 || $hour > 12))) {
            throw WarmthException::noMoment($typed);
        }
        $hour = $half === '' ? $hour : ($hour % 12) + ($half === 'p' ? 12 : 0);
        $wall = sprintf('%s-%s-%s %02d:%s:%s', $m[1], $m[2], $m[3], $hour, $m[5], ($m[6] ?? '') === '' ? '00' : $m[6]);
        try {
            $moment = new \DateTimeImmutable($wall, $zone);
        } catch (\Exception) {
            throw WarmthException::noMoment($typed);
        }
        if ($moment->format('Y-m-d H:i:s') !== $wall) {
            throw WarmthException::skipped($typed);
        }
        // By an hour, or by the half hour of Lord Howe Island: tz database.
        foreach ([-3600, -1800, 1800, 3600] as $by) {
            if ($moment->setTimestamp($moment->getTimestamp() + $by)->format('Y-m-d H:i:s') === $wall) {
                throw WarmthException::twice($typed);
            }
        }

        return $moment->getTimestamp();
    }

    /**
     * A warmth as written: 49.5, "49,5", "49.5 C", "121 F".
     *
     * @throws WarmthException
     */
    public static function warmth(mixed $typed): float
    {
        if (is_string($typed) && preg_match('/^\s*(-?\d{1,4}(?:[.,]\d{1,4})?)\s*°?\s*([cf])?\s*$/iuD', $typed, $m) === 1) {
            $number = (float) str_replace(',', '.', $m[1]);

            return strtolower($m[2] ?? '') === 'f' ? self::fahrenheit($number) : $number;
        }

        return self::number($typed);
    }

    private static function number(mixed $typed): float
    {
        $number = is_int($typed) || is_float($typed) ? (float) $typed : (is_string($typed) && is_numeric($typed) ? (float) $typed : NAN);

        return is_finite($number) ? $number : throw WarmthException::noReading(is_scalar($typed) ? (string) $typed : '');
    }

    private static function fahrenheit(float $f): float
    {
        return Unit::make('°F')->toBase($f);
    }
}
