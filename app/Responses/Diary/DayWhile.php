<?php

namespace App\Responses\Diary;

/** A while of a day, as shares of it from midnight to midnight. */
final readonly class DayWhile
{
    public function __construct(public float $from, public float $to, public string $text) {}
}
