<?php

namespace App\Responses\Practice;

/** One step of why, and where it is from. */
final readonly class PracticeReason
{
    public function __construct(public string $says, public string $source) {}
}
