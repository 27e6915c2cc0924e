<?php

namespace App\Responses\Boil;

use App\Responses\Shape;

/** A sign by which it is told to be done. */
final readonly class BoilSign extends Shape
{
    public function __construct(public string $id, public string $says) {}
}
