<?php

namespace App\Responses\Boil;

use App\Responses\Shape;

/** A mark of the level, and what stood there by it. */
final readonly class PotMark extends Shape
{
    public function __construct(public int $at, public float $ml, public string $says) {}
}
