<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Material\Counts;
use Kettle\Measure\UnitWords;

/** What recipes and wishes write shorter, or in another order than their lines are read in, said in full. */
final class WrittenShort
{
    private const NUMBER = '[\d½¼¾⅓⅔][\d.,\/½¼¾⅓⅔ ]*';

    /** Of a recipe: a line, or what a line says of an amount. */
    public static function ofRecipe(string $text): string
    {
        $said = [
            // "Fill up to 250 ml with grapeseed" is so much of it.
            '/(^|[,;.\n]\s*|\b(?:then|and)\s+)(?:fill|top|make)(?:\s+(?:it|them|all|the\s+(?:jar|bottle)))?\s+up\s+to\s+('.
            self::NUMBER.
            UnitWords::ANY.
            ')\s+with\s+(?:the\s+)?/iu' => "$1\n$2 ",
            // By what parts are told is one for all of them.
            '/(?<=\bpart|\bparts)\s+(?:\(\s*)?by\s+(?:weight|mass)(?:\s*\))?(?=\s+(?:of\s+)?\p{L})/iu' => '',
            '/^([^:\n]*\bparts?\s+(?:of\s+)?[\p{L} -]{2,30}?)\s+by\s+(?:weight|mass)\b/imu' => '$1',
        ];

        return self::inHours(preg_replace(array_keys($said), $said, $text) ?? $text);
    }

    /** "3 days of 6 hours", "6 hours a day for 3 days": what is warm by day alone, in hours. */
    public static function inHours(string $text): string
    {
        $words = 'two|three|four|five|six|seven|eight';
        [$days, $hours] = ["(\\d{1,2}|{$words})\\s+days?", "(\\d{1,2}(?:\\.\\d+)?|{$words})\\s*(?:h|hrs?|hours?)"];
        $eachDay = '(?:\s+(?:an?|1|each|per|every)(?:\s+day)?\b|\s+daily\b|\s+at\s+a\s+time\b)';
        $said = [
            "/\\b{$hours}{$eachDay}\\s*,?\\s*(?:for|over|on)\\s+{$days}\\b/iu",
            "/\\b{$days}\\s*,?\\s*(?:for\\s+|at\\s+|each\\s+)?{$hours}{$eachDay}/iu",
            "/\\b{$days}\\s+(?:of|with)\\s+{$hours}\\b{$eachDay}?/iu",
        ];
        foreach ($said as $pattern) {
            $text = preg_replace_callback($pattern, fn (array $m): string => self::times($m[1], $m[2]), $text) ?? $text;
        }

        return $text;
    }

    private static function times(string $one, string $other): string
    {
        $many = fn (string $said): float => (float) Counts::inFigures("{$said} days");

        return sprintf('%s hours', round($many($one) * $many($other), 2));
    }

    /** By what the parts of a text are told: "weight", where it says so, or "volume". */
    public static function partsBy(string $text): string
    {
        $weight = 'by\s+(?:weight|mass)|w\/w';

        return preg_match("/\\bparts?\\b[^.\\n]*\\b(?:{$weight})\\b|\\b(?:{$weight})\\b[^.\\n]*\\bparts?\\b/iu", $text) === 1
            ? 'weight'
            : 'volume';
    }
}
