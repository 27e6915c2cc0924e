<?php

namespace App\Responses\Making;

use App\Responses\Shape;

/** Products of a house, the last begun first. */
final readonly class MakingList extends Shape
{
    /**
     * @param  list<MakingCard>  $open that are not poured yet
     * @param  list<MakingCard>  $made of which some still stands somewhere
     * @param  bool  $more whether more of these stand somewhere than are listed
     */
    public function __construct(public array $open, public array $made, public bool $more) {}
}
