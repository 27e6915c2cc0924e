<?php

namespace App\Actions\Melt;

use App\House\KitchenFactory;
use App\Models\Making;
use App\Models\MakingEntry;
use Kettle\Batch\Entry;
use Kettle\Batch\Logbook;
use Kettle\Making\MakingState;

/** Products as the core reads them: their plan and their logbook. */
final readonly class MakingRecords
{
    public function __construct(private KitchenFactory $kitchens) {}

    public function log(Making $making): Logbook
    {
        $entries = $making->relationLoaded('entries') ? $making->entries->sortBy('id') : $making->entries()->orderBy('id')->get();

        return new Logbook(
            array_values(
                $entries
                    ->map(
                        fn (MakingEntry $entry) => new Entry(
                            $entry->uid,
                            $this->kitchens->local($entry->happened_at),
                            $entry->by,
                            $entry->line(),
                            $entry->corrects,
                        ),
                    )
                    ->all(),
            ),
        );
    }

    public function state(Making $making): MakingState
    {
        return MakingState::of($making->plan, $this->log($making));
    }
}
