<?php

namespace App\Responses\Stove;

/** A line of what was done at the stove. */
final readonly class StoveDone
{
    public function __construct(public string $text, public string $by, public string $when) {}
}
