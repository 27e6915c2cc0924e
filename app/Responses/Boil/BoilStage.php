<?php

namespace App\Responses\Boil;

use App\Responses\Shape;

/** One boiling of several. */
final readonly class BoilStage extends Shape
{
    /** @param  string  $stage decoction, cleanse or cook */
    public function __construct(public string $stage, public string $liquid, public ?BoilPot $pot) {}
}
