<?php

namespace App\Responses\Stores;

use App\Responses\Shape;

/** Lots that were taken in. */
final readonly class LotsAdded extends Shape
{
    /** @param  list<LotView>  $lots */
    public function __construct(public array $lots) {}
}
