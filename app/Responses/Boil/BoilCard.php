<?php

namespace App\Responses\Boil;

use App\Responses\Shape;

/** A pot, or what came of it, in a list. */
final readonly class BoilCard extends Shape
{
    /** @param  bool  $urgent whether it is over a flame, or past its day */
    public function __construct(
        public string $id,
        public string $code,
        public string $name,
        public string $stage,
        public string $says,
        public bool $urgent,
    ) {}
}
