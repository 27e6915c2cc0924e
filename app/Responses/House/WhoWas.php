<?php

namespace App\Responses\House;

use App\Responses\Shape;

/** Somebody of a house that was taken in. */
final readonly class WhoWas extends Shape
{
    public function __construct(public string $name, public string $role) {}
}
