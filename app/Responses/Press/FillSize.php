<?php

namespace App\Responses\Press;

/** A size of bottle: how many Stores has, null where nobody counts them. */
final readonly class FillSize
{
    public function __construct(public string $size, public string $called, public float $capacity_ml, public ?int $stock) {}
}
