<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Measure\UnitWords;

/**
 * An amount on a line by itself, with its thing on the line before it or behind it, as cells of a table come when they are copied:
 * one line again.
 */
final readonly class AmountLines
{
    private const FIGURE = '(?:(?:about|ca\.?|~)\s*)?[\d½¼¾⅓⅔⅛⅜⅝⅞][\d.\/½¼¾⅓⅔⅛⅜⅝⅞ ]*\s*(?:'.UnitWords::ANY.'|drops?|parts?)\.?';

    /** "413 mL 377 g", "2 cups (480 ml)", "20 g / 0.7 oz": the same in two measures. */
    private const ALONE = '/^\s*('.self::FIGURE.')(?:\s*(?:[\/,|·]|or)?\s*\(?\s*('.self::FIGURE.')\s*\)?)?\s*$/iu';

    /** What share it is of the whole, and what a scale then reads, say nothing where its weight follows. */
    private const SHARE = '/^\s*\d[\d.]*\s*%(?:\s*·.*)?\s*$/u';

    public function __construct(private RecipeWords $words, private RecipeLines $lines) {}

    public function joined(string $text): string
    {
        if (preg_match(self::ALONE.'m', $text) !== 1) {
            return $text;
        }
        $lines = array_values(array_filter(explode("\n", $text), fn (string $line) => trim($line) !== ''));
        $lines = $this->withoutShares($lines);
        $isAlone = array_map(fn (string $line) => preg_match(self::ALONE, $line) === 1, $lines);
        $isThing = array_map($this->isThing(...), $lines);
        $last = array_key_last(array_filter($isAlone));
        if ($last === null) {
            return $text;
        }
        // In a row of both, the last tells which of them comes first.
        $before = $isThing[$last + 1] ?? false;
        $joined = [];
        for ($i = 0; $i < count($lines); $i++) {
            $thing = $before ? $i + 1 : $i;
            $amount = $before ? $i : $i + 1;
            if (($isThing[$thing] ?? false) && ($isAlone[$amount] ?? false)) {
                $joined[] = self::amount($lines[$amount]).' '.trim($lines[$thing]);
                $i++;
            } else {
                $joined[] = $lines[$i];
            }
        }

        return implode("\n", $joined);
    }

    /**
     * @param  list<string>  $lines
     * @return list<string> without a share that stands between a thing and its amount
     */
    private function withoutShares(array $lines): array
    {
        return array_values(
            array_filter(
                $lines,
                fn (int $at) => ! (
                    preg_match(self::SHARE, $lines[$at]) === 1 &&
                    preg_match(self::ALONE, $lines[$at + 1] ?? '') === 1 &&
                    $this->isThing($lines[$at - 1] ?? '')
                ),
                ARRAY_FILTER_USE_KEY,
            ),
        );
    }

    /** The first measure, and the other in brackets beside it. */
    private static function amount(string $line): string
    {
        preg_match(self::ALONE, $line, $m);

        return trim($m[1] ?? $line).(($m[2] ?? '') === '' ? '' : ' ('.trim($m[2]).')');
    }

    /** Whether a line names a thing and says nothing else: no amount, and nothing that is done. */
    private function isThing(string $line): bool
    {
        $bare = trim(preg_replace(RecipeText::BULLET, '', $line) ?? $line, " \t:");
        $isShort = $bare !== '' && mb_strlen($bare) <= 60 && preg_match('/\d|[.!?]$/u', $bare) !== 1;

        return $isShort &&
            ! $this->lines->tells($bare) &&
            ! $this->lines->isHeading($bare) &&
            ($this->words->oil($bare) !== null || $this->words->namesHerb($bare) || $this->lines->isThing($bare));
    }
}
