<?php

declare(strict_types=1);

namespace Kettle\Share;

/** A recipe whose herbs and oils are told in shares of a hundred: "calendula 10 %, olive oil 90 %, a batch of 500 g". */
final class RecipeShares
{
    /** How far the shares may be from a hundred, per cent. */
    private const ROUNDED = 1.0;

    /**
     * The lines with what each share weighs; as they are, where the shares are not of the whole.
     *
     * @param  list<string>  $lines
     * @return array{list<string>, ?string} the lines, and what is told of it
     */
    public static function weighed(array $lines, string $text): array
    {
        $shares = array_filter(array_map(ProductShares::of(...), $lines), fn (?array $share) => $share !== null);
        if (count($shares) < 2 || abs(array_sum(array_column($shares, 0)) - 100.0) > self::ROUNDED) {
            return [$lines, null];
        }
        $whole = ProductShares::comesTo($text) ?? ProductShares::WHOLE_G;
        foreach ($shares as $at => [$percent, $of]) {
            $lines[$at] = sprintf('%s g %s', round(($percent / 100) * $whole, 1), $of);
        }

        return [
            array_values($lines),
            sprintf('Shares are taken by weight, %d g of them in all: change the amounts for more or less.', $whole),
        ];
    }
}
