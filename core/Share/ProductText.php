<?php

declare(strict_types=1);

namespace Kettle\Share;

/** A product as people write it, put as its lines are read: each thing in a line of its own, with its share or its parts. */
final class ProductText
{
    private const SHARE = '\d{1,3}(?:[.,]\d+)?[ \t]*%[ \t]*(?:of[ \t]+)?\p{L}';

    private const ONE_TO = '[ \t]*,?[ \t]*\(?1[ \t]*:[ \t]*(\d{1,2})\)?(?!\d)[,.; ]*';

    public static function plain(string $text): string
    {
        $rewritten = [
            // "Equal weights of beeswax, shea and oil".
            '/\bequal\s+(?:weights?|amounts?|quantities)\s+(?:of\s+)?/iu' => 'equal parts ',
            '/(?<=\p{L})[.;][ \t]+(?=total\b)/iu' => "\n",
            // A share beside an amount, and that it is weighed, say the same again.
            '/('.WrittenAmounts::MUCH.')[ \t]*\([ \t]*(?:\d{1,3}(?:[.,]\d+)?[ \t]*%|(?:by[ \t]+)?weight)[ \t]*\)/iu' => '$1',
            // "Makes 6 (15 mL) tins".
            '/\b(makes?|fills?)[ \t]+(\d{1,3})[ \t]*\((\d{1,4}[ \t]*(?:ml|g|oz))\)[ \t]+'.
            '(tins?|jars?|pots?|tubes?|bottles?)\b/iu' => '$1 $2 $4 of $3',
            // "Firm salve; oil 4 oz", "lotion - 100 mL oil with 1 g wax", "scrub: 2 parts sugar": what it is called, and what goes in.
            '/\A(\s*(?:\p{L}[\p{L}\'’-]*[ \t]+){0,4}'.
            TitleApart::MADE.
            ')[ \t]*(?:;[ \t]*(?=\p{L}[^\n;]*\d)|[ \t][-–—][ \t]+(?=\d)|:[ \t]*(?=\d+[ \t]+parts?\b))/iu' => "$1\n",
            '/(\bparts?[ \t]+(?:of[ \t]+)?[\p{L} ]{2,30}?)[ \t]+(?=\d{1,2}[ \t]+parts?\b)/iu' => "$1\n",
            // In which pan it is warmed is no part of its name.
            '/^[ \t]*(?:[-*•][ \t]*)?(?:(?:oil|fat|water|heated|cool(?:[ -]?down)?|hot)[ \t]+(?:phase|stage)|phase[ \t]+[a-d1-4])'.
            '[ \t]*[:–-][ \t]*/imu' => '',
            '/(\d[ \t]*(?:g|ml)[ \t]+(?:in[ \t]+)?(?:total|all))[ \t]*[,;][ \t]*(?=\p{L})/iu' => "$1\n",
            // "Hair oil blend 100 mL" over shares or parts says how much it makes.
            '/\A(\s*\p{L}[\p{L}\'’ -]{2,60}?)[ \t]+\(?(\d{1,4}[ \t]*(?:ml|g))\)?[ \t]*:?[ \t]*\n'.
            '(?=[^\n]*(?:\d[ \t]*%|\bparts?\b))/iu' => "$1\n$2 in all\n",
            // "Beeswax 1 oz to 1 cup oil" is so much of the one and of the other.
            '/(\p{L}[ \t]+'.
            WrittenAmounts::MUCH.
            ')[ \t]+(?:to|in|into|per)[ \t]+(?='.
            WrittenAmounts::MUCH.
            '[ \t]+\p{L})/iu' => "$1\n",
            // "1/4 cup grated" is a quarter of a cup.
            '/(?<=\bcup|\bcups|\btbsp|\btsp|\doz|\dg|\boz|\bg)[ \t]+(?:grated|chopped|melted)(?=[ \t]*(?:[,;(\n]|$))/iu' => '',
            '/^([ \t]*(?:\p{L}[\p{L} -]*[ \t])?(?:salve|balm|ointment|roll[ -]on|stick|bar|cream|scrub|serum|perfume)s?),[ \t]*'.
            '(\d{1,4}\s*(?:ml|g))[ \t]*:[ \t]*(?=\p{L})/imu' => "$1\n$2 in all\n",
            // "Salve for 12 tins of 15 mL: ..." is what it is called, and what it is poured into.
            '/^([ \t]*\p{L}[\p{L}\'’ -]{2,60}?)[ \t]*,?[ \t]+'.
            '(for[ \t]+\d{1,2}[ \t]+[^:\n]*\b(?:tins?|jars?|pots?|tubes?|bottles?)\b[^:\n]*):[ \t]*(?=\S)/imu' => "$1\n$2\n",
            // "Beard balm, 60 mL: 30 % beeswax 30 % shea".
            '/^([ \t]*\p{L}[\p{L}\'’ -]{2,60}?),[ \t]*(\d{1,4}\s*(?:ml|g))[ \t]*:[ \t]*(?='.self::SHARE.')/imu' => "$1\n$2 in all\n",
            '/(?<=\p{L})[ \t]+(?='.self::SHARE.')/iu' => "\n",
            // "Plantain oil, beeswax 1:5", "beeswax to oil 1:5": of wax there is less.
            '/(\p{L}[\p{L}\' -]*\boil)[ \t]*(?:,|\band\b|&|\+)[ \t]*'.
            '((?:bees)?wax)'.
            self::ONE_TO.
            '/iu' => "\n$3 parts $1\n1 part $2\n",
            '/\b((?:bees)?wax)[ \t]*(?:to|:|\/)[ \t]*((?:\p{L}+[ \t]+)?oil)'.self::ONE_TO.'/iu' => "\n$3 parts $2\n1 part $1\n",
        ];

        $text = preg_replace(array_keys($rewritten), $rewritten, str_replace(["\r\n", "\r"], "\n", $text)) ?? $text;

        return implode("\n", array_map(fn (string $line) => implode("\n", self::inParts($line)), explode("\n", self::withRest($text))));
    }

    /** "Jojoba to fill; lavender 2 %, frankincense 1 %": what is told in no share is the rest. */
    private static function withRest(string $text): string
    {
        $name = '(\p{L}[\p{L} \'’-]{2,40}?)';
        $fills =
            '(?:to\s+(?:fill|top\s+up|make\s+(?:it\s+)?up|100\s*%)|(?:for\s+)?the\s+rest|rest|'.
            'q\.?\s*s\.?(?:\s+(?:to\s+)?100(?:\s*%)?)?)';
        $rest =
            "/(?<=^|[,;:\n])[ \t]*(?:{$name}[ \t,:–-]+{$fills}|(?:the\s+)?rest(?:\s+of\s+it)?(?:\s*:|\s+is)?[ \t]+{$name})".
            '[ \t]*(?=[,;.\n]|$)/iu';
        $share = '/(\d{1,3}(?:[.,]\d+)?)\s*%/u';
        $others = preg_replace($rest, '', $text, -1, $many) ?? $text;
        if ($many !== 1 || preg_match_all($share, $others, $m) === 0 || preg_match($rest, $text, $found) !== 1) {
            return $text;
        }
        // Beside what is weighed there is no knowing what is left.
        $whole = preg_replace([ProductShares::COMES_TO, '/\b\d{1,3}[ \t]*(?:ml|g)[ \t]+in[ \t]+all\b/iu'], ' ', $others) ?? $others;
        if (preg_match('/'.WrittenAmounts::MUCH.'\b/iu', $whole) === 1) {
            return $text;
        }
        $left = 100.0 - array_sum(array_map(fn (string $said) => (float) str_replace(',', '.', $said), $m[1]));
        $of = trim($found[2] ?? $found[1]);

        return $left <= 0.0 ? $text : str_replace($found[0], sprintf(' %s %% %s', round($left, 2), $of), $text);
    }

    /**
     * "Beeswax: 1, shea: 2, oil: 4", "1 part wax, 2 butter, 4 oil" are parts.
     *
     * @return list<string>
     */
    private static function inParts(string $line): array
    {
        $each = preg_split('/\s*(?:[,;]|\band\b|\s\/\s)\s*/iu', trim($line), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $name = '\p{L}[\p{L} \'’-]{2,40}?';
        if (count($each) < 2) {
            return [$line];
        }
        if (self::allLike("/^{$name}(?:\\s*[:=]\\s*|\\s+)\\d{1,3}(?:\\.\\d)?$/u", $each)) {
            return preg_replace('/^(.*?)\s*[:=]?\s*(\d[\d.]*)$/u', '$2 part $1', $each);
        }
        $before = self::allLike("/^\\d{1,2}(?:\\.\\d)?\\s+(?:parts?\\s+)?(?:of\\s+)?{$name}$/iu", $each);

        return $before && preg_match('/^\d[\d.]*\s+parts?\b/iu', $each[0]) === 1
            ? preg_replace('/^(\d[\d.]*)\s+(?:parts?\s+)?(?:of\s+)?/iu', '$1 part ', $each)
            : [$line];
    }

    /** @param  list<string>  $each */
    private static function allLike(string $pattern, array $each): bool
    {
        return preg_grep($pattern, $each) === $each;
    }
}
