<?php

namespace App\Responses\Shelf;

use App\Responses\Shape;

/** What the find box reached. */
final readonly class FoundList extends Shape
{
    /**
     * @param  list<Found>  $found
     */
    public function __construct(public array $found) {}
}
