<?php

namespace App\Responses\Boil;

use App\Responses\Shape;

/** A word of the sentence of what is boiled down. */
final readonly class BoilPiece extends Shape
{
    /**
     * @param  ?string  $slot what is changed by it; null for what only stands between
     * @param  bool  $chosen whether somebody said it
     */
    public function __construct(public ?string $slot, public string $text, public bool $chosen) {}
}
