<?php

namespace App\Responses\Practice;

/** A made-up jar to scale, mm. */
final readonly class PracticeJar
{
    public function __construct(
        public float $height_mm,
        public float $diameter_mm,
        public float $bed_mm,
        public float $level_mm,
        public string $kind,
    ) {}
}
