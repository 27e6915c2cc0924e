<?php

namespace App\Actions\Melt;

use App\Actions\Batches\LoggedLines;
use App\House\KitchenFactory;
use App\Models\Making;
use Kettle\Batch\Logbook;
use Kettle\Making\MakingState;

/** Products as the core reads them: their plan and their logbook. */
final readonly class MakingRecords
{
    public function __construct(private KitchenFactory $kitchens) {}

    public function log(Making $making): Logbook
    {
        $entries = $making->relationLoaded('entries') ? $making->entries->sortBy('id') : $making->entries()->orderBy('id')->get();

        return LoggedLines::read($entries, $this->kitchens);
    }

    public function state(Making $making): MakingState
    {
        return MakingState::of($making->plan, $this->log($making));
    }
}
