<?php

namespace App\Responses\Diary;

/** A batch for whose warmth no time fits. */
final readonly class DiaryTrouble
{
    public function __construct(public string $batch, public string $herb, public string $says) {}
}
