<?php

namespace App\Responses\Press;

use App\Responses\Shape;

/** What the simulated scale shows. */
final readonly class ScaleView extends Shape
{
    /**
     * @param  ?float  $grams null while nothing is on it
     * @param  string  $on what stands on it
     */
    public function __construct(public ?float $grams, public string $text, public bool $stable, public bool $over, public string $on) {}
}
