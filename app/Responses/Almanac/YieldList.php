<?php

namespace App\Responses\Almanac;

use App\Responses\Shape;

/** What the house has learned of its yields. */
final readonly class YieldList extends Shape
{
    /** @param  list<YieldLine>  $lines */
    public function __construct(public array $lines) {}
}
