<?php

declare(strict_types=1);

namespace Kettle\Measure;

/**
 * How a unit is written, as parts of a pattern that is read without case. The longer form stands before the shorter one, so that
 * "g" is not taken out of "grams" where nothing bounds it. One letter by itself, as the c of cups and of centigrade, is in none.
 */
final class UnitWords
{
    public const METRIC_MASS = '(?:kilogram(?:me)?s?|kilos?|kgs?|milligrams?|mg|gram(?:me)?s?|gms?|gr|g)';

    public const METRIC_VOLUME = '(?:millilit(?:re|er)s?|mls?|cc|centilit(?:re|er)s?|cl|decilit(?:re|er)s?|dl|lit(?:re|er)s?|ltr|l)';

    public const METRIC = '(?:'.self::METRIC_MASS.'|'.self::METRIC_VOLUME.')';

    public const FLUID_OUNCES = '(?:fluid\s+(?:ounces?|oz)|fl\.?\s*oz)';

    /** Of a weight, or of what a jar holds, as the thing is. */
    public const OUNCES = '(?:ounces?|oz)';

    public const POUNDS = '(?:pounds?|lbs?)';

    public const CUPS = 'cups?';

    public const SPOONS = '(?:tablespoons?|tbsps?|tbs|tb|dessert\s?spoons?|dsp|teaspoons?|tsps?)';

    /** What a jar is called by besides its millilitres and ounces. */
    public const PINTS = '(?:pints?|pts?|quarts?|qts?|gallons?|gal)';

    public const MASS = '(?:'.self::METRIC_MASS.'|'.self::OUNCES.'|'.self::POUNDS.')';

    /** What a jar or a bottle is measured by. */
    public const CAPACITY = '(?:'.self::METRIC_VOLUME.'|'.self::FLUID_OUNCES.'|'.self::PINTS.'|'.self::CUPS.')';

    /** All that are not metric. */
    public const HOUSEHOLD =
        '(?:'.
        self::FLUID_OUNCES.
        '|'.
        self::OUNCES.
        '|'.
        self::POUNDS.
        '|'.
        self::CUPS.
        '|'.
        self::SPOONS.
        '|'.
        self::PINTS.
        ')';

    public const ANY = '(?:'.self::HOUSEHOLD.'|'.self::METRIC.')';

    /** As they are spoken, where the number before them is in words. */
    public const SPOKEN =
        '(?:cups?|pints?|quarts?|gallons?|lit(?:re|er)s?|(?:milli|deci|centi)lit(?:re|er)s?|'.self::SPOONS.'|ounces?|pounds?|kilos?)';

    /** Units without their points, where these end no sentence, and in one way what is written in several. */
    public static function plain(string $text): string
    {
        if (preg_match('/\d|[¼½¾⅓⅔]/u', $text) !== 1) {
            return $text;
        }
        $unit = '[ \t]*(?:'.self::ANY.'|weeks|months|hrs?|mins?)';
        $endsNone = '\.(?=[ \t]*(?:(?-i:\p{Ll})|[(),;\n]|$))';
        $plainly = [
            '/(?<=[\d¼½¾⅓⅔])([ \t]*)'.self::FLUID_OUNCES.'\b/iu' => '$1fl oz',
            // "50 c." are degrees.
            '/(?<![\d.\/])(1[ \t]*)c\.(?=[ \t]+(?-i:\p{Ll}))/iu' => '$1cup',
            '/(?<![\d.])((?:1?\d|\d\/\d|[¼½¾⅓⅔])[ \t]*)c\.(?=[ \t]+(?-i:\p{Ll}))/iu' => '$1cups',
            '/(?<=\d)[ \t]*wks?\b/iu' => ' weeks',
            '/(?<=\d)[ \t]*m(?:on)?ths?\b/iu' => ' months',
            "/(?<=[\\d¼½¾⅓⅔])({$unit}){$endsNone}/imu" => '$1',
        ];

        return preg_replace(array_keys($plainly), array_values($plainly), $text) ?? $text;
    }
}
