<?php

namespace App\Responses\Boil;

use App\Responses\Shape;

/** Pots at the stove, and what came of others and is here. */
final readonly class Boils extends Shape
{
    /**
     * @param  list<BoilCard>  $open
     * @param  list<BoilCard>  $here decoctions and extracts
     * @param  list<BoilLearned>  $learned of the last pots that had marks enough, the newest first
     */
    public function __construct(public array $open, public array $here, public array $learned) {}
}
