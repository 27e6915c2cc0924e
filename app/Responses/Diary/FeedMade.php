<?php

namespace App\Responses\Diary;

use App\Responses\Shape;

/** A private address for calendars; shown this once. */
final readonly class FeedMade extends Shape
{
    public function __construct(public string $address) {}
}
