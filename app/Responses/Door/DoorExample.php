<?php

namespace App\Responses\Door;

use App\Responses\Shape;

/** One making as the core reckons it, for the picture at the door: a jar, what comes out of it, and the bottles. */
final readonly class DoorExample extends Shape
{
    public function __construct(
        public string $jar_called,
        public float $height_mm,
        public float $diameter_mm,
        public float $bed_mm,
        public float $level_mm,
        public string $herb_text,
        public string $oil_text,
        public string $days_text,
        public float $out_mm,
        public string $out_text,
        public int $bottles,
        public float $bottle_ml,
        public string $bottle_text,
        public string $label_text,
    ) {}
}
