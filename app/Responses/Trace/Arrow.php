<?php

namespace App\Responses\Trace;

/** One thing went into another. */
final readonly class Arrow
{
    public function __construct(public string $from, public string $into) {}
}
