<?php

declare(strict_types=1);

namespace Kettle\Measure;

/** Mass in each volume, g/mL. */
final readonly class Density
{
    /** Fall of a vegetable oil's density with warmth, g/mL for each degree C. Slope from memory, typical of vegetable oils. */
    public const OIL_SLOPE = 0.00068;

    private function __construct(public float $gramsPerMl) {}

    /** @throws \InvalidArgumentException when not above zero */
    public static function gramsPerMl(float $value): self
    {
        if ($value <= 0) {
            throw new \InvalidArgumentException('A density is above zero.');
        }

        return new self($value);
    }

    /** An oil's density at a temperature, from its density at 20 C. */
    public static function ofOilAt(float $at20, float $celsius): self
    {
        return self::gramsPerMl($at20 - self::OIL_SLOPE * ($celsius - 20.0));
    }

    public function massOf(float $ml): float
    {
        return $ml * $this->gramsPerMl;
    }

    public function volumeOf(float $grams): float
    {
        return $grams / $this->gramsPerMl;
    }
}
