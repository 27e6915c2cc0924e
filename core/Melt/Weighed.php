<?php

declare(strict_types=1);

namespace Kettle\Melt;

/** So many g of a part, in the pot. */
final readonly class Weighed
{
    public function __construct(public Part $part, public float $grams) {}

    /** mL at 20 C. */
    public function ml(): float
    {
        return $this->grams / $this->part->gramsPerMl;
    }
}
