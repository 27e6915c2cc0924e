<?php

namespace App\Responses\Batch;

/** What a batch took from a lot. */
final readonly class LotUsed
{
    public function __construct(public string $lot, public string $called, public string $text) {}
}
