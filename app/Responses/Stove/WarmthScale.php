<?php

namespace App\Responses\Stove;

/** A thermometer: its ends, its marks, the band and the ceiling, degrees C to draw by. */
final readonly class WarmthScale
{
    /**
     * @param  list<WarmthTick>  $ticks
     */
    public function __construct(
        public float $low_c,
        public float $high_c,
        public array $ticks,
        public float $band_low_c,
        public float $band_high_c,
        public float $ceiling_c,
        public string $band_text,
        public string $ceiling_text,
    ) {}
}
