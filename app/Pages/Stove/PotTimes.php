<?php

namespace App\Pages\Stove;

use App\House\KitchenFactory;
use App\House\Times;
use App\Models\StoveSession;
use Illuminate\Support\Carbon;
use Kettle\Time\Dates;

/** Moments of a pot, which a trial hurries on, by the clock of who reads them. */
final readonly class PotTimes
{
    public function __construct(private Times $times, private KitchenFactory $kitchens) {}

    public function clock(int $at): string
    {
        return $this->times->clock(Carbon::createFromTimestamp($at));
    }

    /** "16:50", or with its day when that is another. */
    public function until(StoveSession $session, int $at): string
    {
        $moment = Carbon::createFromTimestamp($at);

        return $this->times->daysBetween(Carbon::createFromTimestamp($session->now()), $moment) === 0
            ? $this->times->clock($moment)
            : Dates::say($this->kitchens->local($moment), 'day_and_time');
    }

    public function when(StoveSession $session, int $at): string
    {
        $moment = Carbon::createFromTimestamp($at);

        return $this->times->daysBetween(Carbon::createFromTimestamp($session->now()), $moment) === 0
            ? 'about '.$this->times->clock($moment)
            : $this->times->due($moment);
    }
}
