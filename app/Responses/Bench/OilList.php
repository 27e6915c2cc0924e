<?php

namespace App\Responses\Bench;

use App\Responses\Shape;

/** Oils in order for a purpose. */
final readonly class OilList extends Shape
{
    /** @param  list<OilRow>  $oils */
    public function __construct(public string $why, public array $oils) {}
}
