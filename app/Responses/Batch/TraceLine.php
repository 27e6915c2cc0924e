<?php

namespace App\Responses\Batch;

/** Where a bottle of a batch is, or went. */
final readonly class TraceLine
{
    public function __construct(public int $number, public string $says, public bool $here) {}
}
