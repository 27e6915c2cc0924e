<?php

namespace App\House;

use Illuminate\Container\Attributes\Scoped;
use Illuminate\Support\Carbon;

/**
 * When what is being written down was done: now, or a while ago, where there was no network to write it down through.
 * The logbook keeps both moments; every rule that asks by when something was done asks here.
 */
#[Scoped]
final class WhenDone
{
    private int $ago = 0;

    /** @param  int  $seconds before now */
    public function ago(int $seconds): void
    {
        $this->ago = $seconds;
    }

    public function isLate(): bool
    {
        return $this->ago > 0;
    }

    public function at(): Carbon
    {
        return Carbon::now()->subSeconds($this->ago);
    }
}
