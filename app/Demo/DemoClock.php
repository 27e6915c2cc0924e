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

    /** What is of this morning is drawn together where it is laid before the morning is over: nothing is written of what is to come. */
    public function at(int $daysAgo, int $hour, int $minute = 0): void
    {
        $at = $this->today->copy()->subDays($daysAgo)->setTime($hour, $minute);
        $over = $this->today->copy()->setTime(10, 0);
        if ($daysAgo === 0 && $this->now < $over) {
            $share = $this->today->diffInSeconds($this->now) / $this->today->diffInSeconds($over);
            $at = $this->today->copy()->addSeconds((int) ($this->today->diffInSeconds($at) * $share));
        }
        Carbon::setTestNow($at);
    }
}
