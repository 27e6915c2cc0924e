<?php

namespace App\Responses\Bench;

use App\Responses\Shape;

/** Herbs that go by what was typed. */
final readonly class FoundHerbs extends Shape
{
    /** @param  list<FoundHerb>  $herbs */
    public function __construct(public array $herbs) {}
}
