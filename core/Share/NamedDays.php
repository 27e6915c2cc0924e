<?php

declare(strict_types=1);

namespace Kettle\Share;

/**
 * Days that people call by a name: those of one date, and Easter with what hangs on it. Easter is that of the western
 * churches (Gregorian computus, after Meeus, Astronomical Algorithms; from memory). What is kept on another day from
 * place to place, such as Mother's Day, is not here.
 */
final readonly class NamedDays
{
    /** One that is as good as "by then", with no word before it. */
    public const CHRISTMAS = self::XMAS.self::NO_PLANT;

    public const PATTERN =
        '(?:'.
        self::XMAS.
        '|new\s+year(?:[\'’]?s)?(?:\s+(?:eve|day))?|boxing\s+day|twelfth\s+night|candlemas|'.
        '(?:st\.?\s+)?valentine(?:[\'’]?s)?(?:\s+day)?|midsummer(?:[\'’]?s)?(?:\s+(?:eve|day))?|st\.?\s+john[\'’]?s\s+(?:eve|day)|'.
        'lammas|michaelmas|hallowe[\'’]?en|martinmas|st\.?\s+nicholas(?:\s+day)?|good\s+friday|'.
        'easter(?:\s+(?:eve|sunday|monday|day))?|whit(?:sun|\s+sunday|\s+monday)|pentecost)'.
        self::NO_PLANT;

    private const XMAS = '(?:christmas|xmas)(?:\s+(?:eve|day))?';

    /** A Christmas rose, an Easter lily and a Michaelmas daisy are plants, and so is St Valentine's herb. */
    private const NO_PLANT = '(?!\s+(?:roses?|lil(?:y|ies)|dais(?:y|ies)|ledges?|herbs?|men|man)\b)\b';

    /** By the beginning of the name, without "eve": month and day. */
    private const FIXED = [
        'christmas' => [12, 25],
        'xmas' => [12, 25],
        'new year' => [1, 1],
        'boxing' => [12, 26],
        'twelfth' => [1, 5],
        'candlemas' => [2, 2],
        'valentine' => [2, 14],
        'midsummer' => [6, 24],
        'john' => [6, 24],
        'lammas' => [8, 1],
        'michaelmas' => [9, 29],
        'hallow' => [10, 31],
        'martinmas' => [11, 11],
        'nicholas' => [12, 6],
    ];

    /** Days behind Easter Sunday. */
    private const BY_EASTER = [
        'good friday' => -2,
        'easter monday' => 1,
        'whit monday' => 50,
        'whit' => 49,
        'pentecost' => 49,
        'easter' => 0,
    ];

    /**
     * @param  string  $typed a name alone, in small letters
     * @return ?string the next such day, or the last where it is not to come, today among them: "2026-12-25"; null when it
     *     is the name of none
     */
    public static function read(string $typed, \DateTimeImmutable $today, bool $ahead): ?string
    {
        $name = preg_replace('/^st\.?\s+|\s+/u', ' ', $typed) ?? $typed;
        $name = trim($name);
        if (preg_match('/^'.self::PATTERN.'$/iu', trim($typed)) !== 1) {
            return null;
        }
        $eve = str_ends_with($name, ' eve') ? 1 : 0;
        $now = $today->format('Y-m-d');
        $year = (int) $today->format('Y');
        foreach ($ahead ? [$year, $year + 1, $year + 2] : [$year + 1, $year, $year - 1] as $in) {
            $day = self::inYear($name, $in)
                ->modify("-{$eve} days")
                ->format('Y-m-d');
            if ($ahead ? $day >= $now : $day <= $now) {
                return $day;
            }
        }

        return null;
    }

    /** Easter Sunday of a year. */
    public static function easter(int $year): \DateTimeImmutable
    {
        $a = $year % 19;
        [$b, $c] = [intdiv($year, 100), $year % 100];
        $h = (19 * $a + $b - intdiv($b, 4) - intdiv($b - intdiv($b + 8, 25) + 1, 3) + 15) % 30;
        $l = (32 + 2 * ($b % 4) + 2 * intdiv($c, 4) - $h - ($c % 4)) % 7;
        $m = intdiv($a + 11 * $h + 22 * $l, 451);
        $day = $h + $l - 7 * $m + 114;

        return new \DateTimeImmutable(sprintf('%04d-%02d-%02d', $year, intdiv($day, 31), ($day % 31) + 1));
    }

    private static function inYear(string $name, int $year): \DateTimeImmutable
    {
        foreach (self::FIXED as $begins => [$month, $day]) {
            if (str_starts_with($name, $begins)) {
                return new \DateTimeImmutable(sprintf('%04d-%02d-%02d', $year, $month, $day));
            }
        }
        $easter = self::easter($year);
        foreach (self::BY_EASTER as $begins => $after) {
            if (str_starts_with($name, $begins)) {
                return $easter->modify("{$after} days");
            }
        }

        return $easter;
    }
}
