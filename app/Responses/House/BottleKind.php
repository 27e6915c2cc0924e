<?php

namespace App\Responses\House;

/** A bottle size on the house's list. */
final readonly class BottleKind
{
    public function __construct(public string $id, public string $called, public float $capacity_ml) {}
}
