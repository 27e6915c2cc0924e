<?php

namespace App\Responses\Stove;

/** The warmth of a session: moments in s; each point its moment, least, most and mean, degrees C. */
final readonly class WarmthChart
{
    /**
     * @param  list<list<float>>  $points
     * @param  list<list<float>>  $model
     * @param  list<ChartMark>  $marks
     * @param  list<ChartMark>  $hours
     */
    public function __construct(
        public int $from,
        public int $to,
        public int $now,
        public array $points,
        public array $model,
        public array $marks,
        public array $hours,
    ) {}
}
