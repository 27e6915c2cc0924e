<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Material\Counts;
use Kettle\Measure\UnitWords;

/** What recipes and wishes write shorter, or in another order than their lines are read in, said in full. */
final class WrittenShort
{
    private const NUMBER = '[\d½¼¾⅓⅔][\d.,\/½¼¾⅓⅔ ]*';

    /** "W/ lid", "w/o heat"; "1:5 w/v" is none of these. */
    public static function inWords(string $text): string
    {
        return preg_replace(['/\bw\/o\s+/iu', '/\bw\/(?![wvo]\b)\s*(?=\p{L}|\d)/iu'], ['without ', 'with '], $text) ?? $text;
    }

    /** Of a wish: what stands behind an arrow, how full its jar is, and so much oil from a herb. */
    public static function ofWish(string $text): string
    {
        $share = SaidAmount::SHARE;
        $many = self::NUMBER.UnitWords::ANY;
        $name = '(?:\p{L}[\p{L}\'’-]*\s+){0,3}\p{L}[\p{L}\'’-]*';
        $said = [
            '/\s*(?:->|=>|[→⇒])\s*/u' => ', ',
            // "Calendula: 1 cup packed; oil: 2 cups; time: 4 weeks": of what each is, and what the rest is called.
            "/(^|[,;]\\s*)({$name})\\s*:\\s*({$many})(\\s+(?:loosely\\s+)?packed)?(?=\\s*(?:[,;]|$))/iu" => '$1$3$4 $2',
            '/(^|[,;]\s*)(?:place|where)\s*:\s*(?=\p{L})/iu' => '$1in the ',
            '/(^|[,;]\s*)(?:herbs?|oils?|time|method|way|how|how\s+long|jar)\s*:\s*(?=\S)/iu' => '$1',
            // "For a wedding on 14 June" is by then.
            '/\b(for\s+(?:an?|the|my|our|his|her|their)\s+(?:[\p{L}\'’-]+\s+){1,4}?),?\s*on\s+(?='.
            SaidDay::DATE.
            ')/iu' => '$1, ready by ',
            '/\bcoffee\s+(?=filters?\b)/iu' => 'paper ',
            '/\b(dried|fresh|wilted)\s+and\s+(?=(?:'.RecipeLines::PREPARED.'|ground|powdered)\b)/iu' => '$1 ',
            '/\b(?:warming|cooling|healing|soothing|calming|relaxing|nourishing)\s+(?=oil\b)/iu' => '',
            // "200 mL of oil from dried yarrow" is what is to come of it, and no yarrow by the volume.
            '/\b((?:'.
            self::NUMBER.
            '|(?:half\s+)?an?\s+|(?:one|two|three)\s+)'.
            UnitWords::ANY.
            ')\s+(?:of\s+)?(?:(?:infused|herbal|finished)\s+)*oil\s+(?:of|from|made\s+(?:of|from|with))\s+'.
            '((?:[\p{L}\'’-]+\s+){0,3}?[\p{L}\'’-]+)(?=\s+(?:in|with|and|for|by)\b|\s*[,;.]|\s*$)/iu' => '$1 of $2 oil',
            "/\\bjar,?\\s+(?:is\\s+)?filled\\s+(?:to\\s+|about\\s+)*({$share})(?!\\s*(?:full|\\p{L}))/iu" => 'jar $1 full',
            '/\bjar,?\s+(packed|stuffed)(?=\s*(?:[,;.]|$))/iu' => 'jar $1 full',
            '/(?<=\d|\d\s)('.UnitWords::MASS.')\s+by\s+weight\b/iu' => '$1',
        ];

        return self::dayOfMonth(preg_replace(array_keys($said), $said, $text) ?? $text);
    }

    /** "By the end of January", "mid-March", "by May": by which day of it, the first where none is said, so that nothing is late. */
    private static function dayOfMonth(string $text): string
    {
        $month = '('.SaidDay::ANY_MONTH.')';
        $text =
            preg_replace_callback(
                "/\\b(?:the\\s+)?end\\s+(?:of\\s+)?{$month}/iu",
                fn (array $m): string => (new \DateTimeImmutable('1 '.rtrim($m[1], '.').' 2027'))->format('t')." {$m[1]}",
                $text,
            ) ?? $text;
        $first = '(?:(?:the\s+)?(?:start|beginning)\s+of|(?<=\bby)|(?<=\bbefore))';
        $said = [
            "/\\b(?:the\\s+)?(?:mid|middle\\s+of)[\\s-]+{$month}/iu" => '15 $1',
            "/\\b{$first}\\s+{$month}(?!\\.?\\s+(?:the\\s+)?\\d{1,2}(?!\\d))/iu" => ' 1 $1',
        ];

        return preg_replace(array_keys($said), $said, $text) ?? $text;
    }

    /** Of a recipe: a line, or what a line says of an amount. */
    public static function ofRecipe(string $text): string
    {
        $text = self::perSoMuch(self::inWords($text));
        $said = [
            // As it is marked where it was copied from: headings, and what is bold or slanted.
            '/^[ \t]*#{1,4}[ \t]+/mu' => '',
            '/(?:\*\*|__)(?=\S)([^*_\n]+)(?:\*\*|__)/u' => '$1',
            '/^[ \t]*\*(?=\S)([^*\n]+)\*[ \t]*$/mu' => '$1',
            // How long it wilted is told behind it.
            '/(,[ \t]*wilted)[ \t]+(?:for[ \t]+)?(?:about[ \t]+)?(?:an?|one|two|\d{1,2})[ \t]*(?:days?|nights?|h|hrs?|hours?)\b/iu' => '$1',
            '/,[ \t]*(wilted|dried|fresh)[ \t]*[:–-][ \t]*(?=\d)/iu' => ' $1: ',
            '/(\bparts?\b[^\n:]*?)[ \t]*\(?\b[wv]\/[wv]\b\)?/iu' => '$1',
            // "1 part chamomile : 7 parts almond" is two.
            '/^((?!.*\bratio\b).*\bparts?[ \t]+[^:\n]+?)[ \t]*:[ \t]*(?=\d{1,2}[ \t]+parts?\b)/imu' => "$1\n",
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

    /** "For every 30 g of dried herb use 150 mL of oil": the ratio that is. */
    private static function perSoMuch(string $text): string
    {
        $per =
            '/\b(?:for|to)\s+(?:every|each)\s+(\d[\d.]*)\s*g(?:rams?)?\s+(?:of\s+)?(?:(?:dried|fresh)\s+)?'.
            '(?:herbs?|plant(?:\s+material)?)\s*,?\s+'.
            '(?:(?:use|add|take|pour)\s+)?(?:about\s+)?(\d[\d.]*)\s*(ml|g)\s+(?:of\s+)?(?:carrier\s+)?oil\b\.?/iu';

        return preg_replace_callback(
            $per,
            fn (array $m): string => sprintf(
                "\nRatio 1:%s %s\n",
                round((float) $m[2] / max(0.001, (float) $m[1]), 2),
                mb_strtolower($m[3]) === 'g' ? 'w/w' : 'w/v',
            ),
            $text,
        ) ?? $text;
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

    /** By what the parts of a text are told: "weight" or "weight to volume", where it says so, or "volume". */
    public static function partsBy(string $text): string
    {
        $weight = 'by\s+(?:weight|mass)|w\/w';
        if (preg_match('/\bparts?\b[^.\n]*\bw\/v\b/iu', $text) === 1) {
            return 'weight to volume';
        }

        return preg_match("/\\bparts?\\b[^.\\n]*\\b(?:{$weight})\\b|\\b(?:{$weight})\\b[^.\\n]*\\bparts?\\b/iu", $text) === 1
            ? 'weight'
            : 'volume';
    }
}
