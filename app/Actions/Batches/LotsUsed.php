<?php

namespace App\Actions\Batches;

use App\Models\Batch;
use App\Models\Lot;
use Illuminate\Database\Eloquent\Collection;
use Kettle\Stores\LotKind;

/** The herbs and oils of Stores a batch was made from, each once, also those taken out of Stores since. */
final class LotsUsed
{
    private const KEPT = 'lots_used';

    /** @return list<Lot> oldest first; asked for once by each batch that was read */
    public static function of(Batch $batch): array
    {
        if (! $batch->relationLoaded(self::KEPT)) {
            $batch->setRelation(self::KEPT, Lot::withTrashed()->whereIn('kind', [LotKind::Herb, LotKind::Carrier])
                ->whereHas('moves', fn ($moves) => $moves->where('batch_id', $batch->id)->where('kind', 'taken'))->orderBy('id')->get());
        }
        /** @var Collection<int, Lot> $lots */
        $lots = $batch->getRelation(self::KEPT);

        return array_values($lots->all());
    }
}
