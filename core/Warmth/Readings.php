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

    private const MOST = 150.0;

    /**
     * @param  list<mixed>  $rows each {at, c} or {at, f}; at as ISO 8601 or seconds since 1970; a warmth as a number or as "121 F"
     * @param  int  $from the earliest moment that belongs here, s
     * @return array{taken: array<int, float>, doubled: int, refused: list<array{row: int, sentence: string}>} taken: degrees C by second
     */
    public static function read(array $rows, int $from, int $now): array
    {
        $taken = $refused = [];
        $doubled = 0;
        foreach ($rows as $row => $reading) {
            try {
                [$at, $celsius] = self::one($reading, $from, $now);
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
    private static function one(mixed $reading, int $from, int $now): array
    {
        $reading = is_array($reading) ? $reading : [];
        $at = self::moment($reading['at'] ?? null);
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
    public static function moment(mixed $at): int
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
        throw WarmthException::noMoment($typed);
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
