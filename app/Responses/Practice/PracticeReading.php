<?php

namespace App\Responses\Practice;

/** What a thermometer showed, and when. */
final readonly class PracticeReading
{
    public function __construct(public string $at, public string $warmth) {}
}
