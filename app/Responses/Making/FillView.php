<?php

namespace App\Responses\Making;

/** So many of a size, as it would be filled. */
final readonly class FillView
{
    public function __construct(public float $ml, public string $ml_text, public int $count) {}
}
