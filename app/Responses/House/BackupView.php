<?php

namespace App\Responses\House;

/** When all of it was backed up last. */
final readonly class BackupView
{
    /** @param  string  $says "today 3:10, 4.2 MB" */
    public function __construct(public string $says, public bool $late) {}
}
