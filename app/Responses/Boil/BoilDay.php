<?php

namespace App\Responses\Boil;

use App\Responses\Shape;

/** Hours of flame with somebody by. */
final readonly class BoilDay extends Shape
{
    public function __construct(public string $from, public string $to, public string $says, public float $hours) {}
}
