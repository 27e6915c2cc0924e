<?php

namespace App\Responses\Bench;

/** What to watch for. */
final readonly class CardNote
{
    public function __construct(public bool $care, public string $says) {}
}
