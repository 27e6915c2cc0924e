<?php

namespace App\Actions\Batches;

use App\House\KitchenFactory;
use App\Models\BoilEntry;
use App\Models\LogEntry;
use App\Models\MakingEntry;
use Illuminate\Database\Eloquent\Collection;
use Kettle\Batch\Entry;
use Kettle\Batch\Logbook as CoreLogbook;

/** Lines of a logbook, a batch's, a product's or a pot's, as the core reads them. */
final class LoggedLines
{
    /** @param  Collection<int, LogEntry>|Collection<int, MakingEntry>|Collection<int, BoilEntry>  $entries in order */
    public static function read(Collection $entries, KitchenFactory $kitchens): CoreLogbook
    {
        $lines = [];
        foreach ($entries as $entry) {
            $lines[] = new Entry($entry->uid, $kitchens->local($entry->happened_at), $entry->by, $entry->line(), $entry->corrects);
        }

        return new CoreLogbook($lines);
    }
}
