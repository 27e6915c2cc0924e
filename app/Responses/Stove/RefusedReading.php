<?php

namespace App\Responses\Stove;

/** A reading that was not taken, and why. */
final readonly class RefusedReading
{
    public function __construct(public int $row, public string $sentence) {}
}
