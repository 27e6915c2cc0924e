<?php

namespace App\Responses\Diary;

/** What has to be done on a day for a product that is wanted by another. */
final readonly class WantedOnDay
{
    public function __construct(public string $id, public string $name, public string $says) {}
}
