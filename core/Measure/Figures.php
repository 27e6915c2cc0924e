<?php

declare(strict_types=1);

namespace Kettle\Measure;

/** Numbers that are not written in plain figures: in words, "half a cup", "two and a half pints", or in another script's digits. */
final class Figures
{
    /** Numbers in words, each standing for one number and no other. */
    public const WORDS = [
        'one' => 1,
        'two' => 2,
        'three' => 3,
        'four' => 4,
        'five' => 5,
        'six' => 6,
        'seven' => 7,
        'eight' => 8,
        'nine' => 9,
        'ten' => 10,
        'eleven' => 11,
        'twelve' => 12,
    ];

    private const SEVERAL_SHARES = ['three[\s-]quarters' => '3/4', 'two[\s-]thirds' => '2/3'];

    private const SHARES = ['(?:an?\s+|1\s+)?quarter' => '1/4', '(?:an?\s+|1\s+)?third' => '1/3', '(?:an?\s+)?half' => '1/2'];

    private const FRACTION = '(?:\d+\s*[\/⁄]\s*\d|[¼½¾⅓⅔⅛⅜⅝⅞])';

    /** What an amount of a whole wish is in, where it is told in words. */
    private const UNITS = '(?:'.UnitWords::SPOKEN.'|hours?|days?|weeks?|months?)\b';

    /** "Two and a half cups". */
    private const AND_A_SHARE = '\s+and\s+an?\s+(?:half|third|quarter)\b';

    private const COUNTED = '(?:'.self::UNITS.'|\d|(?:half|grams?|kilos?|drops?|minutes?|parts?|bottles?|tins?|jars?)\b)';

    /**
     * Digits of any script as 0 to 9, with an Arabic decimal sign as a point. PHP makes 0 of all others, and a number
     * that was typed on another keyboard is not nothing.
     */
    public static function ascii(string $text): string
    {
        if (preg_match('/[^\x00-\x7F]/', $text) !== 1) {
            return $text;
        }
        $digits = preg_replace_callback('/(?![0-9])\p{Nd}/u', fn (array $m) => (string) \IntlChar::charDigitValue($m[0]), $text) ?? $text;

        return preg_replace('/(?<=\d)\x{066B}(?=\d)/u', '.', $digits) ?? $digits;
    }

    /** An amount with its numbers in figures: "a cup and a half" is "1 1/2 cup", "three quarters of a pint" "3/4 pint". */
    public static function ofAmount(string $typed): string
    {
        // Most of what is typed has no number in words, and is read at every stroke of a key.
        if (preg_match('/\b(?:an?|and|of|half|quarters?|thirds?|'.self::anyWord().')\b/iu', $typed) !== 1) {
            return self::ascii($typed);
        }
        $unit = '(?:fl\.?\s+oz|\p{L}+)\b';
        $text = preg_replace('/\b(half|quarter)-(?=\p{L})/iu', '$1 ', self::ascii($typed)) ?? $typed;
        $text = self::shares(self::SEVERAL_SHARES, $text, $unit);
        $text = self::shares(self::SHARES, self::words($text, ''), $unit);
        $text = self::andAHalf(preg_replace('/(?<=\d|[¼½¾⅓⅔⅛⅜⅝⅞])\s+of\s+an?\s+(?=\p{L})/iu', ' ', $text) ?? $text, $unit);

        return preg_replace('/(?<![\p{L}\d])an?\s+(?=\p{L})/iu', '1 ', $text) ?? $text;
    }

    /** A sentence with its amounts in figures: "a cup", "half a cup", "six weeks", "one to five", "three parts", wherever they stand. */
    public static function inSentence(string $text): string
    {
        $text = self::shares(self::SEVERAL_SHARES, $text, self::UNITS);
        $text = self::words($text, '\s+to\s+(?:\d|(?:'.self::anyWord().')\b)', '\s+'.self::COUNTED, self::AND_A_SHARE);
        $text = preg_replace_callback('/(?<=\d to )(?:'.self::anyWord().')\b/iu', self::figure(...), $text) ?? $text;
        $text = self::andAHalf(self::shares(self::SHARES, $text, self::UNITS), self::UNITS);

        return preg_replace('/(?<=\s)an?\s+(?='.self::UNITS.')/iu', '1 ', $text) ?? $text;
    }

    /** A line with the amount it begins with in figures: "half litre of olive oil", "three quarters of a cup of petals". */
    public static function atFront(string $line): string
    {
        $number = '(?:an?|and|of|half|quarters?|thirds?|'.self::anyWord().')';
        $unit = '(?:'.UnitWords::SPOKEN.'|oz|lbs?|kg)';
        $amount = "/^(?:{$number}[\\s-]+)+{$unit}\\b(?:\\s+and\\s+a\\s+half\\b)?(?!\\s+jars?\\b)/iu";

        return preg_replace_callback($amount, fn (array $m) => self::ofAmount($m[0]), $line) ?? $line;
    }

    /** One to twelve in figures, where one of these comes after it. */
    private static function words(string $text, string ...$before): string
    {
        return preg_replace_callback(
            '/(?<![\p{L}\d-])(?:'.self::anyWord().')\b(?!-)(?='.implode('|', $before).')/iu',
            self::figure(...),
            $text,
        ) ?? $text;
    }

    /** @param  array<string, string>  $shares */
    private static function shares(array $shares, string $text, string $unit): string
    {
        foreach ($shares as $share => $figures) {
            // "2 half pints" is no two and a half of them.
            $pattern = "/(?<![\\p{L}\\d⁄\\/.]|[\\d⁄\\/.] ){$share}\\s+(?:of\\s+)?(?:an?\\s+)?(?={$unit})/iu";
            $text = preg_replace($pattern, $figures.' ', $text) ?? $text;
        }

        return $text;
    }

    /** "2 and a half cups", "a cup and a half", "1 and 1/2 cups". */
    private static function andAHalf(string $text, string $unit): string
    {
        $whole = '(?<![\p{L}\d\/⁄.])(\d+|an?)';
        $one = fn (string $number): string => ctype_digit($number) ? $number : '1';
        $text = preg_replace('/(\d)\s+and\s+(?='.self::FRACTION.')/iu', '$1 ', $text) ?? $text;
        $text =
            preg_replace_callback("/{$whole}\\s+and\\s+a\\s+half(?=\\s+{$unit})/iu", fn (array $m) => $one($m[1]).' 1/2', $text) ?? $text;
        $after = "/{$whole}\\s+({$unit})\\s+and\\s+a\\s+half\\b(?!\\s+{$unit})/iu";

        return preg_replace_callback($after, fn (array $m) => "{$one($m[1])} 1/2 {$m[2]}", $text) ?? $text;
    }

    private static function anyWord(): string
    {
        return implode('|', array_keys(self::WORDS));
    }

    /** @param  array<string>  $m */
    private static function figure(array $m): string
    {
        return (string) (self::WORDS[mb_strtolower($m[0])] ?? $m[0]);
    }
}
