<?php

namespace App\Responses\Today;

/** A moment on the bar of the day, as a share of it. */
final readonly class DayMark
{
    public function __construct(public float $at, public string $text) {}
}
