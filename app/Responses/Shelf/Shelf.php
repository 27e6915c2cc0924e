<?php

namespace App\Responses\Shelf;

use App\Responses\Making\MakingCard;
use App\Responses\Shape;

/** Every jar, board by board. */
final readonly class Shelf extends Shape
{
    /**
     * @param  list<ShelfPart>  $parts
     * @param  list<MakingCard>  $made of which some still stands somewhere, the last begun first
     */
    public function __construct(public array $parts, public array $made, public bool $empty) {}
}
