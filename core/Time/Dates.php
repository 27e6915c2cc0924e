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
        'full' => 'EEEE d MMMM y',
        'month' => 'MMM y',
        'name_of_day' => 'EEEE',
        'day_and_time' => 'EEE HH:mm',
        'day_of_year_moment' => 'd MMMM, HH:mm',
        'clock' => 'HH:mm',
        'at' => "EEEE 'at' HH:mm",
    ];

    private const FAR_DAYS = 182;

    /** Days said lately are said again: a plan has the same few in many places. */
    private const KEPT = 200;

    /** @var array<string, \IntlDateFormatter> */
    private static array $writers = [];

    /** @var array<string, string> what each writer writes now, by its zone */
    private static array $patterns = [];

    /** @var array<string, string> */
    private static array $said = [];

    public static function knows(string $as): bool
    {
        return isset(self::PATTERNS[$as]);
    }

    /**
     * @param  \DateTimeInterface|string  $moment in the zone it is told in: 2026-10-28, or as in RFC 3339; what is neither is
     *     told as it is
     */
    public static function say(\DateTimeInterface|string $moment, string $as = 'day'): string
    {
        if ($moment instanceof \DateTimeInterface) {
            return self::write($moment, $as);
        }
        if (! isset(self::$said[$as.$moment])) {
            try {
                $words = self::write(new \DateTimeImmutable($moment), $as);
            } catch (\Exception) {
                $words = $moment;
            }
            self::$said = count(self::$said) < self::KEPT ? self::$said : [];
            self::$said[$as.$moment] = $words;
        }

        return self::$said[$as.$moment];
    }

    /** By its weekday, where that and the month say enough; half a year off by its year. */
    public static function near(\DateTimeInterface $day, \DateTimeInterface $now): string
    {
        return self::say($day, abs($day->getTimestamp() - $now->getTimestamp()) > self::FAR_DAYS * 86400 ? 'short_day' : 'short_weekday');
    }

    private static function write(\DateTimeInterface $moment, string $as): string
    {
        $zone = $moment->getTimezone();
        $name = $zone->getName();
        // One writer for each zone: to make one takes ten times what it takes to change its pattern, and that takes its time too.
        $writer = self::$writers[$name] ??= new \IntlDateFormatter(
            'en',
            \IntlDateFormatter::NONE,
            \IntlDateFormatter::NONE,
            $zone,
            \IntlDateFormatter::GREGORIAN,
            self::PATTERNS[$as],
        );
        if ((self::$patterns[$name] ?? null) !== $as) {
            $writer->setPattern(self::PATTERNS[$as]);
            self::$patterns[$name] = $as;
        }

        return (string) $writer->format($moment);
    }
}
