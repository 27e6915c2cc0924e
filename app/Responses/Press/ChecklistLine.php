<?php

namespace App\Responses\Press;

/** What such labels usually carry, and whether this one does. */
final readonly class ChecklistLine
{
    public function __construct(public string $says, public bool $there, public string $source) {}
}
