<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Measure\Kind;

/** A product whose things are told in parts, or in shares of a hundred. */
final readonly class ProductShares
{
    /** What is told in parts comes to so much, g. */
    public const WHOLE_G = 100;

    public const PARTS = ' parts';

    /** "20 % beeswax", "shea butter: 25 %". */
    private const SHARE_BEFORE = '/^(\d{1,3}(?:[.,]\d+)?)\s*%\s*(?:of\s+)?(\p{L}.*)$/iu';

    private const SHARE_BEHIND = '/^(\p{L}.*?)[\s:,–(-]+(\d{1,3}(?:[.,]\d+)?)\s*%\s*\)?\.?\s*$/iu';

    /** Shares that come to less beside what is measured are shares of something that is not said. */
    private const LEAST_OF_WHOLE = 50.0;

    /** "Makes 250 g", "a batch of 250 g", "250 g in all". */
    public const COMES_TO =
        '/\b(?:makes?|yields?|total(?:ling)?|batch(?:\s+size)?|for)\b:?\s*(?:of\s+|about\s+)?(\d{2,4})\s*(?:g|(ml))\b'.
        '(?!\s+(?:of|tins?|jars?|pots?|tubes?|bottles?)\b)|'.
        '\b(\d{2,4})\s*(?:g|(ml))\s+(?:batch|in\s+(?:all|total)|total)\b/iu';

    public function __construct(private RecipeWords $words, private RecipeLines $recipe) {}

    /**
     * What all the shares in per cent come to; null where there are none, or where so few are beside what is measured that they
     * are shares of something else.
     *
     * @param  list<string>  $lines
     */
    public function ofAll(array $lines): ?float
    {
        $shares = array_filter(array_map(fn (string $line) => self::of($line)[0] ?? null, $lines));
        if ($shares === []) {
            return null;
        }
        $measured = array_filter(
            $lines,
            fn (string $line) => self::of($line) === null && ($this->words->amounts->parts($line) !== null || $this->isMeasured($line)),
        );
        $all = array_sum($shares);

        return $measured !== [] && $all < self::LEAST_OF_WHOLE ? null : $all;
    }

    /**
     * Whether something is weighed or poured by its amount, and nothing is told in parts.
     *
     * @param  list<string>  $lines
     */
    public function isWeighed(array $lines): bool
    {
        $inParts = array_filter($lines, fn (string $line) => $this->words->amounts->parts($line) !== null);

        return $inParts === [] && array_filter($lines, fn (string $line) => self::of($line) === null && $this->isMeasured($line)) !== [];
    }

    /** As it is weighed: of little the tenths of a gram are too coarse. */
    private static function grams(float $grams): string
    {
        return sprintf(
            '%s g',
            round(
                $grams,
                match (true) {
                    $grams < 0.2 => 3,
                    $grams < 2.0 => 2,
                    default => 1,
                },
            ),
        );
    }

    private function isMeasured(string $line): bool
    {
        return in_array($this->words->amounts->amount($this->recipe->amountFirst($line))[0]?->kind, [Kind::Mass, Kind::Volume], true);
    }

    /** @return array{float, string}|null so many per cent, and of what */
    public static function of(string $line): ?array
    {
        $line = trim($line);
        if (preg_match(self::SHARE_BEFORE, $line, $m) === 1) {
            return [(float) str_replace(',', '.', $m[1]), $m[2]];
        }

        return preg_match(self::SHARE_BEHIND, $line, $m) === 1 ? [(float) str_replace(',', '.', $m[2]), $m[1]] : null;
    }

    /** How much it makes in all, g, where a text says so. */
    public static function comesTo(string $text): ?int
    {
        $said = preg_match(self::COMES_TO, $text, $m) === 1 ? (int) ($m[3] ?? ($m[1] ?? 0)) : 0;
        $isPoured = ($m[2] ?? '') !== '' || ($m[4] ?? '') !== '';

        return (int) round($said * ($isPoured ? ProductTins::G_PER_ML : 1.0)) ?: null;
    }

    /**
     * What is told in parts or shares is weighed, so much in all.
     *
     * @param  array<string, list<array<string, mixed>>>  $parts by field of the wish
     * @param  ?float  $shares as ofAll() has it
     * @param  ?int  $filled what fills its tins weighs, g, where nothing is said of how much it is in all
     * @return array{array<string, list<array<string, mixed>>>, ?string} the same weighed, and what was made of it, in words; null
     *     where nothing is in parts
     */
    public function weighed(array $parts, ?float $shares, string $text, ?int $filled = null): array
    {
        $whole = self::comesTo($text) ?? ($filled ?? self::WHOLE_G);
        $many = fn (mixed $amount): float => is_string($amount) && str_ends_with($amount, self::PARTS) ? (float) $amount : 0.0;
        // A share of what was not understood stays its share.
        $all = $shares ?? array_sum(array_map($many, array_column(array_merge([], ...array_values($parts)), 'amount')));
        if ($all <= 0.0) {
            return [$parts, null];
        }
        $weigh = fn (float $part): string => self::grams(($part / $all) * $whole);
        foreach ($parts as $field => $each) {
            foreach ($each as $at => $part) {
                $much = $many($part['amount'] ?? null);
                $much > 0.0 && ($parts[$field][$at]['amount'] = $weigh($much));
            }
        }

        return [
            $parts,
            $shares !== null && abs($shares - 100.0) > 0.5
                ? sprintf(
                    'The shares come to %s %%, and not to 100: they are taken as parts by weight, %d g of them in all.',
                    round($shares, 1),
                    $whole,
                )
                : sprintf(
                    '%s are taken by weight, %d g of them in all: change the amounts for more or less.',
                    $shares === null ? 'Parts' : 'Shares',
                    $whole,
                ),
        ];
    }
}
