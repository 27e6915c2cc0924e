<?php

declare(strict_types=1);

namespace Kettle\Making;

/**
 * What stays in this house's pot and jug, from what it has poured: a normal prior about the usual loss, and each pour a normal
 * observation of it. In closed form, as the yield is learned.
 */
final readonly class LossSeen
{
    /** Standard deviations, parts of the pot: from memory, coarse. */
    private const BETWEEN_HOUSES = 0.015;

    private const BETWEEN_POURS = 0.01;

    private function __construct(public float $mean, public float $sd, public int $pours) {}

    /**
     * @param  float  $usual a part of the pot
     * @param  list<float>  $seen each a part of the pot
     */
    public static function of(float $usual, array $seen): self
    {
        $weight = 1 / self::BETWEEN_HOUSES ** 2;
        $weighted = $usual * $weight;
        foreach ($seen as $loss) {
            $weight += 1 / self::BETWEEN_POURS ** 2;
            $weighted += $loss / self::BETWEEN_POURS ** 2;
        }

        return new self(max(0.0, $weighted / $weight), 1 / sqrt($weight), count($seen));
    }
}
