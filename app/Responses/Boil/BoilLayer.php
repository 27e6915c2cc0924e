<?php

namespace App\Responses\Boil;

use App\Responses\Shape;

/** What of a pot is of one thing, from the bottom up. */
final readonly class BoilLayer extends Shape
{
    /** @param  string  $of herb, water, paste, liquid or oil */
    public function __construct(public string $of, public float $ml, public float $mm) {}
}
