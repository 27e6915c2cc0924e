<?php

namespace App\Responses\Boil;

use App\Responses\Shape;

/** What a pot of this house lost in an hour, by its own marks. */
final readonly class BoilLearned extends Shape
{
    /**
     * @param  string  $rate "396 mL", as it is typed
     * @param  string  $of which pot, "D26-001, 300 mm wide"
     */
    public function __construct(public string $rate, public string $of) {}
}
