<?php

namespace App\Responses\Almanac;

/** What a form keeps of its oil when it is got out in one way. */
final readonly class YieldLine
{
    public function __construct(
        public string $form,
        public string $form_name,
        public string $way,
        public int $batches,
        public float $mean,
        public float $low,
        public float $high,
        public float $prior,
        public float $prior_low,
        public float $prior_high,
        public string $says,
    ) {}
}
