<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Material\Counts;
use Kettle\Material\Cupboard;
use Kettle\Measure\Kind;
use Kettle\Measure\UnitWords;

/** The pieces of a wish, each of one thing, and how much of it there is. */
final readonly class SaidPieces
{
    private const AMOUNT = '\d[\d.\/]*\s*(?:'.UnitWords::ANY.'|'.SaidAmount::COUNTED.')\b';

    private Counts $counts;

    public function __construct(private Cupboard $cupboard, private RecipeWords $words)
    {
        $this->counts = new Counts($cupboard->tables());
    }

    /** @return list<string> what a comma, an "and" and the like part; a comma within a number does not */
    private static function apart(string $text): array
    {
        $apart = '/\s*(?:(?<!\d),|,(?!\d)|;|\+|&|\.\s|\band\b|\bbut\b|\bwith\b|\bto\b(?=\s+\d+\s+parts?\b))\s*/iu';

        return preg_split($apart, trim($text), -1, PREG_SPLIT_NO_EMPTY) ?: [];
    }

    /**
     * "calendula 30 g olive 300 g" is two, though nothing stands between them.
     *
     * @return list<string>
     */
    public function each(string $text): array
    {
        $amount = self::AMOUNT;
        $several = "/^\\D*\\p{L}\\S*\\s+{$amount}\\s+\\p{L}.*\\s{$amount}$/iu";
        $each = array_map(
            fn (string $piece) => preg_match($several, trim($piece)) === 1
                ? explode(';', preg_replace("/({$amount})\\s+(?=\\p{L})/iu", '$1;', trim($piece)) ?? $piece)
                : self::eachBefore(trim($piece)),
            self::apart($text),
        );

        return array_merge([], ...$each);
    }

    /**
     * "50 g comfrey 25 g plantain" is two as well; "1 cup 2 tbsp calendula" is one.
     *
     * @return list<string>
     */
    public static function eachBefore(string $piece): array
    {
        $piece = preg_replace('/\s+/u', ' ', $piece) ?? $piece;
        $amount = '(?:'.self::AMOUNT.'|\d{1,3}\s+(?:parts?|drops?))';
        if (preg_match("/^{$amount}\\s+\\p{L}/iu", $piece) !== 1) {
            return [$piece];
        }
        $named = "{$amount}\\s+(?:(?!{$amount})\\S)*\\p{L}{3}(?:(?!\\s{$amount}\\b).)*";
        preg_match_all("/{$named}/iu", $piece, $all);
        $each = array_map(trim(...), $all[0]);
        // "2 oz of it to 10 oz of oil", "1 cup or 30 g" is no list.
        $isList = preg_grep('/(?:\b(?:to|in|into|over|of|per|or|and|plus|about|for|from|by)|[&+,])$/iu', array_slice($each, 0, -1)) === [];

        return count($each) > 1 && $isList && implode(' ', $each) === $piece ? $each : [$piece];
    }

    /**
     * An amount before a thing or behind it: "30 g calendula", "calendula 30 g".
     *
     * @return array{string, string, bool} how much, of what, and whether it stands behind
     */
    public function measured(string $piece): array
    {
        [$read, $typed, $rest] = $this->words->amounts->amount(trim($piece));
        if ($read !== null) {
            return [$typed, $rest, false];
        }
        // "Calendula 30 g dried" is dried calendula.
        $state = '((?:\s+(?:dried|dry|fresh|wilted|ground|powdered|chopped|grated|sliced|crushed|cut|finely|fine|coarse(?:ly)?))*)';
        $behind = "/^(\\D*\\p{L}\\S*)[\\s:(–-]+(\\d[\\d.,\\/ ¼½¾⅓⅔]*\\s*(?:fl\\.?\\s*)?\\p{L}+){$state}\\)?$/u";
        $isOne =
            ! self::isWarmth($piece) &&
            preg_match($behind, trim($piece), $m) === 1 &&
            in_array($this->words->amounts->reading($m[2])?->kind, [Kind::Mass, Kind::Volume], true);

        return $isOne ? [$m[2], $m[1].$m[3], true] : ['', trim($piece), false];
    }

    /** "38 C" is no 38 cups. */
    public static function isWarmth(string $typed): bool
    {
        return preg_match('/\d\s*[°º]?\s*[CF]$/u', trim($typed)) === 1;
    }

    /** @return array{?string, string} how many parts of it, where it says so, and what they are of */
    public static function parts(string $piece): array
    {
        return preg_match('/^(\d+(?:\.\d+)?)\s+parts?\s+(?:of\s+)?(.+)$/iu', trim($piece), $m) === 1 ? [$m[1], $m[2]] : [null, $piece];
    }

    /** @return array{string, string}|null "8 cloves" and what they are of; null where nothing is counted */
    public function counted(string $piece): ?array
    {
        // "Dandelion heads 2 handfuls" is two handfuls of them.
        $behind = '/^(\p{L}[^\d]*?)[\s:(–-]+(\d{1,3}\s+(?:'.SaidAmount::COUNTED.'))\)?$/iu';
        $piece = preg_replace($behind, '$2 $1', trim($piece)) ?? $piece;
        // "Garlic cloves 5", too.
        $piece = preg_replace('/^(\p{L}[^\d]*?)\s+(sprigs?|bunch(?:es)?|cloves?|heads?)\s+(\d{1,3})$/iu', '$3 $2 $1', $piece) ?? $piece;
        $count = $this->words->amounts->count($piece);
        $known = $this->words->knownHerb($piece);
        $herb = $known === null ? null : $this->cupboard->herbOrNull($known['id']);
        $each = $count === null ? null : $this->counts->of($count[2], $herb, null, true);
        if ($each === null) {
            return null;
        }
        $end = mb_stripos($piece, $each['word']) + mb_strlen($each['word']);
        $typed = rtrim(mb_substr($piece, 0, $end)).(preg_match('/^(?:e?s)\b/iu', mb_substr($piece, $end), $s) === 1 ? $s[0] : '');

        $rest = trim(preg_replace('/^\s*(?:of\s+)?/iu', '', mb_substr($piece, mb_strlen($typed))) ?? '');
        // "6 bay leaves": what is counted is part of its name.
        if ($rest === '' && $known !== null && str_ends_with($piece, $count[2])) {
            $many = trim(mb_substr($piece, 0, -mb_strlen($count[2])));

            return [trim($many.' '.mb_substr($typed, mb_stripos($typed, $each['word']) ?: 0)), $count[2]];
        }

        return [$typed, $rest];
    }
}
