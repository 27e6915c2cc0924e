<?php

namespace App\Responses\Stove;

/** A cooker with its jars and its water, to scale, mm. */
final readonly class BathView
{
    /**
     * @param  list<BathJar>  $jars
     */
    public function __construct(
        public string $shape,
        public float $length_mm,
        public float $width_mm,
        public float $height_mm,
        public float $full_mm,
        public float $low_mm,
        public float $now_mm,
        public string $full_text,
        public array $jars,
    ) {}
}
