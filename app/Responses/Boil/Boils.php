<?php

namespace App\Responses\Boil;

use App\Responses\Shape;

/** Pots at the stove, and what came of others and is here. */
final readonly class Boils extends Shape
{
    /**
     * @param  list<BoilCard>  $open
     * @param  list<BoilCard>  $here decoctions and extracts
     */
    public function __construct(public array $open, public array $here) {}
}
