<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Material\Counts;

/** A day as people write it: "27 July", "July 27th 2026", "March 2027", "2026-07-27", "27/7/2026", "2 weeks ago", "last Sunday". */
final readonly class SaidDay
{
    /** What a day looks like in a line of words. */
    public const PATTERN =
        '(?:\d{4}-\d\d-\d\d|'.
        self::IN_FIGURES.
        '|(?:'.
        self::BEFORE.
        ')?(?:'.
        self::IN_WORDS.
        '|\d{1,2}(?:st|nd|rd|th))|today|tomorrow|yesterday|this\s+morning|last\s+night|'.
        NamedDays::PATTERN.
        '|'.
        self::AGO.
        '|(?:(?:last|this|on|next)\s+)?'.
        self::WEEKDAY.
        ')';

    /** The day and its month in figures, with the year. */
    private const IN_FIGURES = '\d{1,2}[.\/]\d{1,2}[.\/](?:\d{4}|\d\d)(?!\d)';

    /** The day and its month in words, in either order. */
    private const IN_WORDS =
        '\d{1,2}(?:st|nd|rd|th)?\s+(?:of\s+)?'.
        self::ANY_MONTH.
        '(?:\s+\d{4})?|'.
        self::ANY_MONTH.
        '\s+\d{1,2}(?:st|nd|rd|th)?(?:,?\s+\d{4})?';

    /** A day by its date: with its month in words, or all in figures. */
    public const DATE = '(?:\d{4}-\d\d-\d\d|'.self::IN_FIGURES.'|'.self::IN_WORDS.')';

    /** How far off a day is. */
    public const OFF = '\d{1,2}\s+(?:day|week|month)s?';

    /** The weekday that stands before a day, and must be its own. */
    private const BEFORE = '(?:on\s+)?(?:the\s+)?(?:(?:'.self::SHORT.')'.self::AFTER_SHORT.')?';

    /** A weekday, and the day behind it. */
    private const NAMED = '('.self::SHORT.')'.self::AFTER_SHORT.'(?=.*\d)(.+)';

    private const SHORT = 'mon|tue|wed|thu|fri|sat|sun';

    private const AFTER_SHORT = '[a-z]*\.?,?\s+(?:the\s+)?';

    /** Few and several are no number of days. */
    public const AGO = '(?!few\b|several\b)(?:\d{1,3}|\p{L}{1,8})\s+(?:day|week|month|year)s?\s+ago';

    public const WEEKDAY = '(?:mon|tues|wednes|thurs|fri|satur|sun)day';

    /** Whole words: neither a market nor a marsh is in March. */
    public const ANY_MONTH =
        '(?:jan(?:uary)?|feb(?:ruary)?|mar(?:ch)?|apr(?:il)?|may|june?|july?|aug(?:ust)?|sept?(?:ember)?|oct(?:ober)?|nov(?:ember)?|'.
        'dec(?:ember)?)\b\.?';

    /** How old and how long-lived what stands on a shelf may be, years: common practice, no source. */
    private const YEARS_GONE = 3;

    private const YEARS_TO_COME = 8;

    private const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];

    public function __construct(private \DateTimeImmutable $today) {}

    /** @param  bool  $ahead whether a day without its year is one to come, and a month its last day */
    public function read(string $typed, bool $ahead): ?string
    {
        $typed = trim(preg_replace('/^(?:on|got|in|the)\s+/iu', '', mb_strtolower($typed)) ?? $typed);
        $typed = str_replace([' of ', ','], [' ', ''], $typed);
        $today = $this->today;
        if (preg_match('/^'.self::NAMED.'$/', $typed, $m) === 1) {
            $day = $this->read($m[2], $ahead);

            // "Friday 12 December", where that is a Saturday: nobody knows which of the two is meant.
            return $day !== null && strtolower((new \DateTimeImmutable($day))->format('D')) === $m[1] ? $day : null;
        }
        $named = NamedDays::read($typed, $today, $ahead);
        if ($named !== null) {
            return $named;
        }
        if (in_array($typed, ['today', 'this morning', 'yesterday', 'last night', 'tomorrow'], true)) {
            return $today
                ->modify(
                    match ($typed) {
                        'yesterday', 'last night' => '-1 day',
                        'tomorrow' => '+1 day',
                        default => '0 days',
                    },
                )
                ->format('Y-m-d');
        }
        $told = $this->told($typed, $ahead);
        if ($told !== null) {
            return $told->format('Y-m-d');
        }
        $month = '('.self::ANY_MONTH.')';
        [$d, $mon, $year] = match (true) {
            preg_match('/^(\d{4})-(\d\d)-(\d\d)$/', $typed, $m) === 1 => [(int) $m[3], (int) $m[2], (int) $m[1]],
            preg_match("/^(\\d{1,2})(?:st|nd|rd|th)?\\s+{$month}(?:\\s+(\\d{4}))?$/", $typed, $m) === 1 => [
                (int) $m[1],
                self::month($m[2]),
                (int) ($m[3] ?? 0),
            ],
            preg_match("/^{$month}\\s+(\\d{1,2})(?:st|nd|rd|th)?(?:\\s+(\\d{4}))?$/", $typed, $m) === 1 => [
                (int) $m[2],
                self::month($m[1]),
                (int) ($m[3] ?? 0),
            ],
            preg_match("/^{$month}(?:\\s+(\\d{4}))?$/", $typed, $m) === 1 => [0, self::month($m[1]), (int) ($m[2] ?? 0)],
            preg_match('/^(\d{1,2})[.\/-](\d{4})$/', $typed, $m) === 1 => [0, (int) $m[1], (int) $m[2]],
            preg_match('/^(\d{4})-(\d\d)$/', $typed, $m) === 1 => [0, (int) $m[2], (int) $m[1]],
            // "Use by 2028": by its end.
            $ahead && preg_match('/^(2\d{3})$/', $typed, $m) === 1 => [31, 12, (int) $m[1]],
            // Day first or month first is not to be told from small numbers.
            preg_match('/^(\d{1,2})[.\/](\d{1,2})[.\/](\d{4}|\d\d)$/', $typed, $m) === 1 &&
                ((int) $m[1] > 12 || $m[1] === $m[2] || str_contains($typed, '.')) => [(int) $m[1], (int) $m[2], self::year($m[3])],
            default => [0, 0, 0],
        };
        if ($mon < 1 || $mon > 12) {
            return null;
        }
        if ($year === 0) {
            $year = (int) $today->format('Y');
            $there = sprintf('%04d-%02d-%02d', $year, $mon, max(1, $d));
            $year += $ahead && $there < $today->format('Y-m-d') ? 1 : (! $ahead && $there > $today->format('Y-m-d') ? -1 : 0);
        }
        if ($d === 0) {
            $d = $ahead ? (int) (new \DateTimeImmutable(sprintf('%04d-%02d-01', $year, $mon)))->format('t') : 1;
        }

        return checkdate($mon, $d, $year) ? sprintf('%04d-%02d-%02d', $year, $mon, $d) : null;
    }

    /** "Mar 28" as the last day of a month of 2028, where that is a year that lids have; null where it can be no year. */
    public function monthOfYear(string $typed): ?string
    {
        if (preg_match('/^('.self::ANY_MONTH.')\s+[\'’]?(\d\d)$/u', mb_strtolower(trim($typed)), $m) !== 1) {
            return null;
        }
        $off = self::year($m[2]) - (int) $this->today->format('Y');

        return $off < -self::YEARS_GONE || $off > self::YEARS_TO_COME ? null : $this->read("{$m[1]} 20{$m[2]}", true);
    }

    /** The weekday that a day has, where it is written with another: "Friday 12 December", of a Saturday; null elsewhere. */
    public function otherWeekday(string $typed, bool $ahead): ?string
    {
        if (preg_match('/^(?:on\s+)?(?:the\s+)?'.self::NAMED.'$/iu', trim($typed), $m) !== 1) {
            return null;
        }
        $day = $this->read($typed, $ahead) === null ? $this->read($m[2], $ahead) : null;

        return $day === null ? null : sprintf('%s is a %s.', ucfirst($m[2]), (new \DateTimeImmutable($day))->format('l'));
    }

    /** By how long ago it was, or by its weekday: the last one, or the next where it is to come. */
    private function told(string $typed, bool $ahead): ?\DateTimeImmutable
    {
        if (
            ! $ahead &&
            preg_match('/^'.self::AGO.'$/u', $typed) === 1 &&
            preg_match('/^(\d{1,3})\s+(day|week|month|year)s?\s+ago$/', Counts::inFigures($typed), $m) === 1
        ) {
            return (int) $m[1] < 1 ? null : $this->moved("-{$m[1]} {$m[2]}");
        }
        if ($ahead && preg_match('/^'.self::OFF.'$/u', $typed) === 1) {
            return $this->moved('+'.$typed);
        }
        if (preg_match('/^(\d{1,2})(?:st|nd|rd|th)$/', $typed, $m) === 1) {
            return $this->ofMonth((int) $m[1], $ahead);
        }
        if (preg_match('/^(last |this )?('.self::WEEKDAY.')$/', $typed, $m) !== 1 || ($ahead && $m[1] === 'last ')) {
            return null;
        }

        return $this->moved(($ahead ? 'next ' : 'last ').$m[2]);
    }

    /** The next day that is so many in its month, or the last, today among them. */
    private function ofMonth(int $day, bool $ahead): ?\DateTimeImmutable
    {
        for ($month = 0; $day >= 1 && $day <= 31 && $month < 3; $month++) {
            $first = $this->today->modify(sprintf('first day of %s%d month', $ahead ? '+' : '-', $month));
            $there = $first->modify('+'.($day - 1).' days');
            if (($ahead ? $there >= $this->today : $there <= $this->today) && $there->format('m') === $first->format('m')) {
                return $there;
            }
        }

        return null;
    }

    private function moved(string $by): ?\DateTimeImmutable
    {
        return $this->today->modify($by) ?: null;
    }

    /** A year of two figures is of this century. */
    private static function year(string $typed): int
    {
        return (int) $typed + (strlen($typed) === 2 ? 2000 : 0);
    }

    private static function month(string $typed): int
    {
        return (int) array_search(substr($typed, 0, 3), self::MONTHS, true) + 1;
    }
}
