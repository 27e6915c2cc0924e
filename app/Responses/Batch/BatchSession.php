<?php

namespace App\Responses\Batch;

use App\Responses\Stove\WarmthChart;
use App\Responses\Stove\WarmthScale;

/** A warm session of a batch. */
final readonly class BatchSession
{
    public function __construct(
        public string $id,
        public string $text,
        public string $had_text,
        public ?string $over_text,
        public WarmthChart $chart,
        public WarmthScale $scale,
    ) {}
}
