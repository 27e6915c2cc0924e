<?php

namespace App\Responses\Almanac;

/** One batch of a form and way, and what the house’s figure was after it. */
final readonly class YieldStep
{
    /** @param  float  $uptake mL in each g */
    public function __construct(
        public string $batch,
        public string $code,
        public float $uptake,
        public float $mean,
        public float $low,
        public float $high,
        public bool $odd,
    ) {}
}
