<?php

namespace App\Responses\Diary;

/** Days away. */
final readonly class AbsenceView
{
    public function __construct(public string $id, public string $called, public string $text) {}
}
