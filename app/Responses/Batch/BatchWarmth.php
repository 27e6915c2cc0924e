<?php

namespace App\Responses\Batch;

use App\Responses\Shape;

/** All the warmth a batch has had. */
final readonly class BatchWarmth extends Shape
{
    /**
     * @param  list<BatchSession>  $sessions
     */
    public function __construct(
        public string $had_text,
        public string $planned_text,
        public float $share,
        public ?string $next_text,
        public array $sessions,
    ) {}
}
