<?php

namespace App\Responses\House;

use App\Responses\Shape;

/** A link to pass on, shown once. */
final readonly class Link extends Shape
{
    public function __construct(public string $link, public string $until) {}
}
