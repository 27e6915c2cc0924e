<?php

namespace App\Responses\Making;

use App\Responses\Shape;

/** Products of a house, the last begun first. */
final readonly class MakingList extends Shape
{
    /** @param  list<MakingCard>  $made */
    public function __construct(public array $made, public bool $more) {}
}
