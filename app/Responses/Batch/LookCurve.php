<?php

namespace App\Responses\Batch;

use App\Responses\Stove\ChartMark;

/** Looks of one kind and the end they go towards; hours since it was filled, to draw by. */
final readonly class LookCurve
{
    /**
     * @param  list<LookPoint>  $points
     * @param  list<list<float>>  $curve
     * @param  list<ChartMark>  $marks
     */
    public function __construct(
        public string $kind,
        public string $says,
        public array $points,
        public array $curve,
        public ?float $end,
        public float $most,
        public float $hours,
        public array $marks,
    ) {}
}
