<?php

namespace App\Responses\Batch;

use App\Responses\Shape;

/** A jar in the sun: what it gathered, what is to come, and whether the sun is worth it here and now. */
final readonly class SunView extends Shape
{
    /**
     * @param  list<SunReady>  $ready
     * @param  list<SunDay>  $days
     */
    public function __construct(
        public string $says,
        public bool $better,
        public string $gathered_text,
        public string $range_text,
        public float $share,
        public string $warm_text,
        public array $ready,
        public array $days,
        public float $room_c,
        public float $scale_c,
        public float $warm_c,
        public string $model,
        public bool $placed,
        public bool $bag,
        public bool $outdoors,
    ) {}
}
