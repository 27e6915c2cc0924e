<?php

namespace App\Responses\Diary;

/** A warm session that moved, and why. */
final readonly class DiaryMoveView
{
    public function __construct(
        public string $batch,
        public string $herb,
        public string $was_text,
        public string $is_text,
        public string $why,
    ) {}
}
