<?php

namespace App\Responses\Batch;

use App\Responses\Shape;
use App\Responses\Stove\RefusedReading;

/** What became of weather out of a file. */
final readonly class WeatherTaken extends Shape
{
    /**
     * @param  list<RefusedReading>  $refused
     */
    public function __construct(public int $taken, public array $refused) {}
}
