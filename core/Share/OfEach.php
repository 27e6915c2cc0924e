<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Material\Cupboard;
use Kettle\Measure\UnitWords;

/** So much of each of several: "1/2 cup each calendula and plantain", "olive and almond oil, 50 mL of each". */
final readonly class OfEach
{
    private const AMOUNT =
        '(?<![\p{L}\d.,\/½¼¾⅓⅔])(?<much>(?:\d[\d.\/½¼¾⅓⅔]*(?:\s+\d\/\d)?(?:\s*[-–]\s*\d+)?|[½¼¾⅓⅔]|(?:half\s+)?an?|half|'.
        'one|two|three|four|five|six|ten|twelve|a\s+few)\s*'.
        '(?:'.
        UnitWords::ANY.
        '|'.
        'drops?|parts?|handfuls?|pinch(?:es)?|sprigs?|bunch(?:es)?|heads?|cloves?)\.?)\s+(?:of\s+)?each\b';

    private const THINGS = '(?<things>\p{L}[^\d½¼¾⅓⅔\n;.()]*?)';

    private const NEXT = '(?=\s*(?:[.;\n]|,?\s*(?:(?:and|with|in|into)\s+)?[\d½¼¾⅓⅔]|\s(?:in|into|with|for|by|to|over)\s|$))';

    private const BEFORE = self::AMOUNT.'(?:\s*:|\s+of)?\s+(?:the\s+)?'.self::THINGS.self::NEXT;

    private const BEHIND = '(?<=^|[;.\n])[ \t]*(?:[-*•·]\s*)?'.self::THINGS.'\s*[,:(–-]?\s*'.self::AMOUNT.'\)?';

    public const APART = '/\s*(?:,\s*(?:and\s+)?|&|\+|\/|\band\b)\s*/iu';

    private const SAID_OF_ALL = '(?:from|at|for|bought|gathered|picked|grown|best|use|opened|then|dried|fresh|wilted)\b';

    private const STATE = '/^(dried|dry|fresh|wilted|powdered|ground)\s+/iu';

    public function __construct(private Cupboard $cupboard) {}

    /** "60 g mixed herbs (calendula, yarrow and thyme)": so much of them together, as much of each. */
    public static function shared(string $text): string
    {
        $unit = '(?:'.UnitWords::ANY.'|handfuls?|parts?)';
        $list = '(\p{L}[^\d\n;.()]*(?:,|&|\band\b)[^\d\n;.()]*\p{L})';

        return preg_replace_callback(
            "/(?<![\d.\/])(\d+(?:\.\d+)?)\s*({$unit})\s+(?:of\s+)?((?:dried|fresh|wilted)\s+)?(?:mixed\s+|dried\s+)?".
                "(?:herbs?|flowers?|petals?)\s*[(:]\s*{$list}\s*(?:\)|(?=\n|$))/iu",
            fn (array $m): string => sprintf(
                '%s %s each %s%s',
                round((float) $m[1] / max(1, count(preg_split(self::APART, $m[4], -1, PREG_SPLIT_NO_EMPTY) ?: [])), 1),
                $m[2],
                $m[3],
                $m[4],
            ),
            $text,
        ) ?? $text;
    }

    /** The same with so much before every one of them, put together by the glue; and what is said of all behind each, if so wanted. */
    public function apart(string $text, string $glue, bool $ofAll = false): string
    {
        if (preg_match('/\beach\b/iu', $text) !== 1) {
            return $text;
        }
        foreach ([self::BEFORE, self::BEHIND] as $said) {
            $text = preg_replace_callback("/{$said}/imu", fn (array $m): string => $this->all($m, $glue, $ofAll), $text) ?? $text;
        }

        return $text;
    }

    /** @param  array<string>  $m how much, and of what, as it is written */
    private function all(array $m, string $glue, bool $ofAll): string
    {
        [$list, $rest] = self::list(trim($m['things']));
        $things = preg_split(self::APART, $list, -1, PREG_SPLIT_NO_EMPTY) ?: [];
        // Of one thing "each" says something else, and of what things stand in as well.
        if (count($things) < 2 || preg_match('/\b(?:jar|bottle|tin|bar|pot)s?\b/iu', $m['things']) === 1) {
            return $m[0];
        }
        $state = preg_match(self::STATE, $things[0], $said) === 1 ? $said[0] : '';
        $oil = preg_match('/\b(essential\s+oil|oil)s?$/iu', (string) end($things), $said) === 1 ? mb_strtolower($said[1]) : null;
        $each = array_map(
            fn (string $thing): string => "{$m['much']} ".
                ($state !== '' && preg_match(self::STATE, $thing) !== 1 ? $state : '').
                $thing.
                ($this->isOilToo($thing, $oil) ? " {$oil}" : ''),
            $things,
        );

        return implode(($ofAll ? $rest : '').$glue, $each).$rest;
    }

    /** @return array{string, string} the list, that ends with the thing behind "and" or before what is said of all of it, and the rest */
    private static function list(string $things): array
    {
        $ends =
            preg_match('/^.*?(?:\band\b|[&+])[^,]*(?=,)/iu', $things, $m) === 1 ||
            preg_match('/^.*?(?=,\s*'.self::SAID_OF_ALL.')/iu', $things, $m) === 1;

        // "A, B, and C" has its comma before the "and".
        return $ends ? [$m[0], mb_substr($things, mb_strlen($m[0]))] : [$things, ''];
    }

    /** "Olive and almond oil" are two oils; "calendula and olive oil" are a herb and an oil. */
    private function isOilToo(string $thing, ?string $oil): bool
    {
        return $oil !== null &&
            preg_match('/\b(?:oils?|butter|bees?wax|wax)$/iu', $thing) !== 1 &&
            ($oil === 'oil' ? $this->cupboard->carrierNamed("{$thing} oil") : $this->cupboard->scentNamed($thing)) !== null;
    }
}
