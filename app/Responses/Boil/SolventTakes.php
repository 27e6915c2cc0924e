<?php

namespace App\Responses\Boil;

use App\Responses\Shape;

/** How well something of a plant dissolves: 0 nothing to speak of, 3 best. */
final readonly class SolventTakes extends Shape
{
    public function __construct(public string $name, public int $takes) {}
}
