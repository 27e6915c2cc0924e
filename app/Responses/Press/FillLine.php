<?php

namespace App\Responses\Press;

/** So many bottles of a size. */
final readonly class FillLine
{
    public function __construct(public string $size, public string $called, public float $capacity_ml, public int $count) {}
}
