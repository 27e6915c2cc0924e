<?php

declare(strict_types=1);

namespace Kettle\Warmth;

/** The warmth an infusion is meant to have, degrees C: its low end, its target, and the ceiling nobody should reach. */
final readonly class Band
{
    /** How far below its target oil still counts as warm, degrees C: common practice, no source. */
    private const BELOW = 6.0;

    private function __construct(public float $low, public float $target, public float $ceiling) {}

    /** @throws WarmthException when they do not rise */
    public static function of(float $low, float $target, float $ceiling): self
    {
        if (
            ! is_finite($low) ||
            ! is_finite($ceiling) ||
            $low < 0 ||
            $ceiling > 150 ||
            $low > $target ||
            $target > $ceiling ||
            $low >= $ceiling
        ) {
            throw WarmthException::band();
        }

        return new self($low, $target, $ceiling);
    }

    /** About the target of a school. */
    public static function about(float $target, float $ceiling): self
    {
        return self::of(max(0.0, $target - self::BELOW), $target, $ceiling);
    }

    public function holds(float $celsius): bool
    {
        return $celsius >= $this->low && $celsius <= $this->ceiling;
    }
}
