<?php

namespace App\Responses\Batch;

/** A day of a jar in the sun: hours warm to the hand, and what the day was worth in hours on the shelf. */
final readonly class SunDay
{
    public function __construct(
        public string $day,
        public string $text,
        public float $mean_c,
        public float $peak_c,
        public string $peak_text,
        public float $warm_h,
        public float $worth,
        public float $cloud,
        public string $daylight_text,
        public bool $measured,
    ) {}
}
