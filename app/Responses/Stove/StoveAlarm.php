<?php

namespace App\Responses\Stove;

/** Something to be said of a pot just now. */
final readonly class StoveAlarm
{
    /**
     * @param  'stop'|'care'|'note'  $rank
     */
    public function __construct(public string $id, public string $rank, public string $says) {}
}
