<?php

namespace App\Responses\Almanac;

use App\Responses\Shape;

/** How the house’s own figure narrowed, batch by batch. */
final readonly class YieldView extends Shape
{
    /** @param  list<YieldStep>  $steps */
    public function __construct(public YieldLine $line, public array $steps) {}
}
