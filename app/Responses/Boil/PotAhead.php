<?php

namespace App\Responses\Boil;

use App\Responses\Shape;

/** What is to stand in a pot at a moment, with the two it lies between. */
final readonly class PotAhead extends Shape
{
    public function __construct(public int $at, public float $low, public float $ml, public float $high) {}
}
