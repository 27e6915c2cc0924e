<?php

declare(strict_types=1);

namespace Kettle\Time;

/** Days and moments in words: the one place of the core that writes them, through CLDR. */
final class Dates
{
    /** By what is told of a day or a moment. A language other than English brings its own. */
    private const PATTERNS = [
        'day' => 'd MMMM y',
        'short_day' => 'd MMM y',
        'weekday' => 'EEEE d MMMM',
        'short_weekday' => 'EEE d MMM',
        'day_of_year' => 'd MMMM',
        'moment' => 'EEE d MMM, HH:mm',
        'long_moment' => 'EEEE d MMMM, HH:mm',
        'dated_moment' => 'd MMM y, HH:mm',
        'at' => "EEEE 'at' HH:mm",
    ];

    /** @var array<string, \IntlDateFormatter> */
    private static array $writers = [];

    public static function knows(string $as): bool
    {
        return isset(self::PATTERNS[$as]);
    }

    /** @param  \DateTimeInterface|string  $moment in the zone it is told in: 2026-10-28, or as in RFC 3339; what is neither is told as it is */
    public static function say(\DateTimeInterface|string $moment, string $as = 'day'): string
    {
        try {
            $moment = is_string($moment) ? new \DateTimeImmutable($moment) : $moment;
        } catch (\Exception) {
            return is_string($moment) ? $moment : '';
        }
        $zone = $moment->getTimezone();
        $key = $as.' '.$zone->getName();
        $writer = self::$writers[$key] ??= new \IntlDateFormatter(
            'en',
            \IntlDateFormatter::NONE,
            \IntlDateFormatter::NONE,
            $zone,
            \IntlDateFormatter::GREGORIAN,
            self::PATTERNS[$as],
        );

        return (string) $writer->format($moment);
    }
}
