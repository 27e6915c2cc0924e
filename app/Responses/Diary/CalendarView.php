<?php

namespace App\Responses\Diary;

/** A calendar read in for its busy times. */
final readonly class CalendarView
{
    public function __construct(public string $id, public string $called, public string $text) {}
}
