<?php

namespace App\Responses\Boil;

use App\Responses\Shape;

/** A pot to scale: where it starts, where it ends, and where it would boil over, mm. */
final readonly class BoilPot extends Shape
{
    /** @param  list<BoilLayer>  $layers */
    public function __construct(
        public float $starts_mm,
        public float $ends_mm,
        public float $over_mm,
        public float $height_mm,
        public float $diameter_mm,
        public float $goes_in_ml,
        public array $layers,
    ) {}
}
