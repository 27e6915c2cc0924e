<?php

namespace App\Responses\Batch;

use App\Responses\Shape;
use App\Responses\Stove\RefusedReading;

/** What became of weather out of a file. */
final readonly class WeatherTaken extends Shape
{
    /**
     * @param  list<RefusedReading>  $refused
     * @param  list<string>  $notes what was taken for what
     */
    public function __construct(public int $taken, public array $refused, public array $notes) {}
}
