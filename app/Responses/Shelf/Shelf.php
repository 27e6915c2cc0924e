<?php

namespace App\Responses\Shelf;

use App\Responses\Shape;

/** Every jar, board by board. */
final readonly class Shelf extends Shape
{
    /**
     * @param  list<ShelfPart>  $parts
     */
    public function __construct(public array $parts, public bool $empty) {}
}
