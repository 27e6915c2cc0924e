<?php

namespace App\Responses\Boil;

use App\Responses\Shape;

/** What stood in a pot, mL (or g), at a moment, seconds since 1970. */
final readonly class PotPoint extends Shape
{
    public function __construct(public int $at, public float $ml) {}
}
