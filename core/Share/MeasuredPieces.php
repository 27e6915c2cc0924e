<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Measure\AmountReader;
use Kettle\Measure\UnitWords;

/**
 * A line that names several things, each with how much of it there is: "beeswax (30 g), shea - 20 g and jojoba: 100 g". What has more
 * than one amount to a piece, or none, is left as it is.
 */
final class MeasuredPieces
{
    private const AMOUNT = '[\d½¼¾⅓⅔][\d.,\/½¼¾⅓⅔ ]*(?:%|(?:'.UnitWords::ANY.'|drops?|parts?)(?!\p{L}))';

    /** And the same once more: "28 g/1 oz", "1/4 cup (28 g)". */
    private const ONCE = self::AMOUNT.'(?:\s*\/\s*'.self::AMOUNT.'|\s*\((?:about\s+)?'.self::AMOUNT.'\s*\))?';

    /** What is done with it, of which nothing is read. */
    private const DONE = '/^(?:(?:gently|then)\s+)*(?:melt|mix|combine|warm|stir(?:\s+in)?|add|blend)\s+(?:together\s+|in\s+)?(?=\p{L})/iu';

    private const APART = '/\s*(?:(?<!\d),|,(?!\d)|;|\band\b|(?<=\s)[\/|•·](?=\s))\s*/iu';

    /** Nothing but an amount, which is of what stands before it: "honey, 10 %". */
    private const BARE = '/^\W*(?:(?:'.AmountReader::ABOUT.')\b\.?\s+)?'.self::ONCE.'\W*$/iu';

    /** Behind these the sentence goes on, and it is no list. */
    private const DOES = '/\b(?:in|into|to|over|for|per|until|with|from|or|each|of\s+each|of)\W*$/iu';

    /** A text with each thing of its lines in a line of its own. */
    public static function apart(string $text): string
    {
        return implode("\n", array_merge([], ...array_map(self::of(...), explode("\n", $text))));
    }

    /** @return list<string> the things, or the line by itself */
    public static function of(string $line): array
    {
        if (preg_match_all('/'.self::AMOUNT.'/iu', $line) < 2) {
            return [$line];
        }
        $each = [];
        foreach (preg_split(self::APART, trim($line), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $piece) {
            $last = array_key_last($each);
            if (preg_match(self::BARE, $piece) === 1 && $last !== null && preg_match('/'.self::ONCE.'/iu', $each[$last]) !== 1) {
                $each[$last] .= ' '.$piece;
            } else {
                $each[] = $piece;
            }
        }

        return array_filter($each, self::isOne(...)) === $each
            ? array_map(fn (string $piece) => preg_replace([self::DONE, '/\s+together(?!\p{L})/iu'], '', $piece) ?? $piece, $each)
            : [$line];
    }

    /** Whether it has one amount and a name. */
    private static function isOne(string $piece): bool
    {
        $name = preg_replace('/'.self::ONCE.'/iu', ' ', $piece, -1, $many) ?? $piece;

        return preg_match(self::BARE, $piece) !== 1 &&
            $many === 1 &&
            preg_match('/\p{L}{3}/u', $name) === 1 &&
            preg_match('/\d/', $name) !== 1 &&
            preg_match(self::DOES, $piece) !== 1;
    }
}
