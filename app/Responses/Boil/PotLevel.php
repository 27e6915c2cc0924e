<?php

namespace App\Responses\Boil;

use App\Responses\Shape;

/** A pot to scale as it stands now, mm. */
final readonly class PotLevel extends Shape
{
    /** @param  list<BoilLayer>  $layers now, from the bottom */
    public function __construct(
        public float $starts_mm,
        public float $ends_mm,
        public float $over_mm,
        public float $now_mm,
        public float $height_mm,
        public float $diameter_mm,
        public array $layers,
    ) {}
}
