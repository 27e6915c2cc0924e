<?php

namespace App\Responses\Boil;

use App\Responses\Shape;

/** One mark. */
final readonly class LevelPoint extends Shape
{
    public function __construct(public float $h, public float $ml) {}
}
