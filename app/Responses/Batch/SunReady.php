<?php

namespace App\Responses\Batch;

/** When it may be ready, under one sky. */
final readonly class SunReady
{
    public function __construct(public string $sky, public string $text, public string $warm_text) {}
}
