<?php

namespace App\Responses\Stove;

use App\Responses\Shape;

/** What became of readings. */
final readonly class ReadingsTaken extends Shape
{
    /**
     * @param  list<RefusedReading>  $refused
     */
    public function __construct(public int $taken, public int $doubled, public array $refused) {}
}
