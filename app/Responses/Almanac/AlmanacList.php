<?php

namespace App\Responses\Almanac;

use App\Responses\Shape;

/** All of one kind. */
final readonly class AlmanacList extends Shape
{
    /** @param  list<AlmanacEntry>  $entries */
    public function __construct(public array $entries) {}
}
