<?php

namespace App\Responses\Boil;

use App\Responses\Shape;

/** A pot, or what came of it, in a list. */
final readonly class BoilCard extends Shape
{
    /**
     * @param  string  $kind decoction, cleanse, cook or glycerin
     * @param  bool  $urgent whether it is over a flame, or past its day
     * @param  ?string  $left of what came of it and may be used
     */
    public function __construct(
        public string $id,
        public string $code,
        public string $name,
        public string $kind,
        public string $stage,
        public string $says,
        public bool $urgent,
        public ?string $left,
    ) {}
}
