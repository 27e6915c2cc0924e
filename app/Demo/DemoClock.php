<?php

namespace App\Demo;

use Illuminate\Container\Attributes\Singleton;
use Illuminate\Support\Carbon;

/** The clock set back to the days of the demo, which are counted back from the day it is laid. */
#[Singleton]
final class DemoClock
{
    public Carbon $now;

    public Carbon $today;

    /** It is laid as of now. */
    public function begin(): void
    {
        $this->now = Carbon::now('Europe/London');
        $this->today = $this->now->copy()->startOfDay();
    }

    public function at(int $daysAgo, int $hour, int $minute = 0): void
    {
        Carbon::setTestNow($this->today->copy()->subDays($daysAgo)->setTime($hour, $minute));
    }
}
