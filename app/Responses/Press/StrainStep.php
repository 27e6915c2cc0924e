<?php

namespace App\Responses\Press;

/** A step of straining, and why. */
final readonly class StrainStep
{
    public function __construct(public string $id, public string $says, public string $why) {}
}
