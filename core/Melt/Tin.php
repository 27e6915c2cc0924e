<?php

declare(strict_types=1);

namespace Kettle\Melt;

/** A size of what it is poured into, in mL to the brim; how many of them, where that was said. */
final readonly class Tin
{
    public const LEAST_ML = 1.0;

    public const MOST_ML = 5_000.0;

    /** @param  float  $fill how far it is filled, a part of 1 */
    public function __construct(public float $ml, public ?int $count, public float $fill) {}

    /** mL that go in. */
    public function holdsMl(): float
    {
        return $this->ml * $this->fill;
    }
}
