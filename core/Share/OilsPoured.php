<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Material\Cupboard;
use Kettle\Measure\Kind;

/** How much there is of all the oils of a wish, where some of them, or each, have an amount of their own. */
final readonly class OilsPoured
{
    private OilLine $line;

    public function __construct(Cupboard $cupboard, private RecipeWords $words)
    {
        $this->line = new OilLine($cupboard);
    }

    /**
     * "300 ml olive and 50 ml castor" is 350 mL of both, in such parts. "300 ml olive and castor" is taken as 300 mL of both, and
     * said; of "olive and 50 ml castor" nobody knows how much there is of the olive.
     *
     * @param  list<array{oil: array<string, string>, typed: string}>  $said as a wish has them, with shares as said, and how much of
     *     each, as written
     * @return array{oils: list<array<string, string>>, amount: ?string, unread: list<string>, guesses: list<string>}
     */
    public function together(array $said): array
    {
        ['said' => $said, 'unread' => $shares] = OilShares::settled($said);
        $oils = array_column($said, 'oil');
        $typed = array_column($said, 'typed');
        $measured = array_keys(array_filter($typed, fn (string $each) => $each !== ''));
        $inParts = array_filter($oils, fn (array $oil) => isset($oil['parts'])) !== [];
        $answer = ['oils' => $oils, 'amount' => null, 'unread' => $shares, 'guesses' => []];
        if ($measured === []) {
            return $answer;
        }
        if (count($oils) === 1 || ($measured === [0] && $inParts)) {
            return ['amount' => $typed[0]] + $answer;
        }
        $ml = array_map($this->ml(...), $said);
        if (! $inParts && ! in_array(null, $ml, true)) {
            return [
                'oils' => array_map(fn (array $oil, float $of) => $oil + ['parts' => (string) round($of, 2)], $oils, $ml),
                'amount' => self::inOneUnit($typed) ?? round(array_sum($ml), 1).' mL',
            ] + $answer;
        }
        if ($measured === [0]) {
            return ['amount' => $typed[0], 'guesses' => [sprintf('“%s” is taken as how much oil there is.', $typed[0])]] + $answer;
        }

        return ['unread' => [...$shares, ...array_values(array_filter($typed, fn (string $each) => $each !== ''))]] + $answer;
    }

    /**
     * "8 oz" and "2 oz" are 10 oz.
     *
     * @param  list<string>  $typed
     */
    private static function inOneUnit(array $typed): ?string
    {
        $sum = 0.0;
        foreach ($typed as $each) {
            if (preg_match('/^(\d+(?:\.\d+)?)\s*(\p{L}[\p{L}. ]*)$/u', $each, $m) !== 1 || ($unit ?? $m[2]) !== $m[2]) {
                return null;
            }
            $unit = $m[2];
            $sum += (float) $m[1];
        }

        return isset($unit) ? round($sum, 2).' '.$unit : null;
    }

    /** @param  array{oil: array<string, string>, typed: string}  $said */
    private function ml(array $said): ?float
    {
        $amount = $this->words->amounts->reading($said['typed']);
        $oil = ['id' => $said['oil']['id'] ?? '', 'name' => $said['oil']['name'] ?? ''];

        return $amount === null || $amount->kind === Kind::Time
            ? null
            : $this->line->measured($amount, $said['typed'], $oil, null)['oil']['ml'];
    }
}
