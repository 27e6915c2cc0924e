<?php

declare(strict_types=1);

namespace Kettle\Material;

use Kettle\Measure\Amount;
use Kettle\Measure\Figures;
use Kettle\Measure\Kind;

/** What one clove, sprig, handful or the like weighs, about: data/counts.json. */
final readonly class Counts
{
    private const NUMBERS = [
        'a few' => 3,
        'few' => 3,
        'several' => 5,
        'a couple of' => 2,
        'couple of' => 2,
        'a' => 1,
        'an' => 1,
        ...Figures::WORDS,
        'a dozen' => 12,
        'half a' => 0.5,
        'half an' => 0.5,
    ];

    public function __construct(private Tables $tables) {}

    /**
     * A number written as a word becomes one in figures: "two handfuls" is "2 handfuls"; "a" counts only before
     * something that is counted.
     */
    public static function inFigures(string $line): string
    {
        $line = Figures::ascii($line);
        foreach (self::sorted() as $word => $number) {
            if (preg_match('/^'.$word.'\s+(?=\p{L})/iu', $line, $m) === 1) {
                return $number.' '.mb_substr($line, mb_strlen($m[0]));
            }
        }

        return $line;
    }

    /**
     * What is counted in a text, the word it is counted by, and what one weighs.
     *
     * @param  bool  $byWord only by a word such as "clove", not the thing as it is
     * @return array{word: string, g: float, low: float, high: float, state: State}|null null where nobody knows
     */
    public function of(string $text, ?Herb $herb, ?State $state, bool $byWord = false): ?array
    {
        $best = null;
        foreach ($this->tables->table('counts')->rows('rows') as $row) {
            $word = $this->word($row, $text);
            $herbs = $row->texts('herbs');
            if (
                $word === null ||
                ($byWord && $word === '') ||
                ($herbs !== [] && ! in_array($herb->id ?? '', $herbs, true)) ||
                ($state !== null && $state->isWet() !== State::from($row->text('state'))->isWet())
            ) {
                continue;
            }
            // Handfuls of flowers are handfuls: the first of the words. Then of this plant before of any; as it is last of all.
            $at = $word === '' ? PHP_INT_MAX : (int) stripos($text, $word);
            $rank = [-$at, $herbs === [] ? 0 : 1];
            if ($best === null || $rank > $best['rank']) {
                $best = [
                    'rank' => $rank,
                    'word' => $word,
                    'g' => $row->number('g'),
                    'low' => $row->number('low'),
                    'high' => $row->number('high'),
                    'state' => State::from($row->text('state')),
                ];
            }
        }
        unset($best['rank']);

        return $best;
    }

    /**
     * An amount that is counted: "8 cloves", "two handfuls", "3"; with the least and the most it may weigh.
     *
     * @param  \Closure(string): float  $number reads a number as it is typed
     */
    public function amount(string $typed, Herb $herb, State $state, \Closure $number): ?Amount
    {
        $line = self::inFigures(trim($typed));
        if (preg_match('/^([\d.,\/ ½¼¾⅓⅔]*\d?[\d½¼¾⅓⅔])\s*(?:of\s+)?(\D*)$/u', $line, $m) !== 1) {
            return null;
        }
        // As it is, only the plant itself is counted: a number alone may as well be grams.
        $each = $this->of($m[2], $herb, $state, ! $this->isOf($m[2], $herb));
        if ($each === null) {
            return null;
        }
        $many = $number(trim($m[1]));

        return Amount::counted(Kind::Mass, $many * $each['g'], $many * $each['low'], $many * $each['high'], $typed);
    }

    /** Whether what is written after a number is the plant itself, as in "3 onions". */
    private function isOf(string $words, Herb $herb): bool
    {
        $plain = fn (string $name): string => preg_replace('/(es|s)$/', '', mb_strtolower(trim($name))) ?? '';

        return in_array($plain($words), array_map($plain, [$herb->name, ...$herb->also]), true);
    }

    /** Whether a text speaks of something that is counted. */
    public function isCounted(string $text): bool
    {
        foreach ($this->tables->table('counts')->rows('rows') as $row) {
            if (($this->word($row, $text) ?? '') !== '') {
                return true;
            }
        }

        return false;
    }

    /** @return list<string> every word that things are counted by */
    public function words(): array
    {
        return array_values(
            array_unique(
                array_merge(
                    [],
                    ...array_map(fn (Row $row) => $row->texts('words'), array_values($this->tables->table('counts')->rows('rows'))),
                ),
            ),
        );
    }

    private function word(Row $row, string $text): ?string
    {
        $words = $row->texts('words');
        foreach ($words as $word) {
            if (preg_match('/\b'.$word.'\b/iu', $text) === 1) {
                return $word;
            }
        }

        return $words === [] ? '' : null;
    }

    /** @return array<string, float|int> the longest first */
    private static function sorted(): array
    {
        $numbers = self::NUMBERS;
        uksort($numbers, fn (string $a, string $b) => strlen($b) <=> strlen($a));

        return $numbers;
    }
}
