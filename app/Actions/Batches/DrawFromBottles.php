<?php

namespace App\Actions\Batches;

use App\Models\Batch;
use App\Models\Bottle;
use Illuminate\Database\Eloquent\Collection;
use Kettle\Batch\BottleState;

/** Oil out of the bottles of a batch: those that are begun first, so that the fewest stand half empty. */
final class DrawFromBottles
{
    /** A jug is read to about two per cent. */
    public const READ = 1.02;

    /** @return array<int, float> mL of each, by its number, until there is so much or no more */
    public static function of(Batch $batch, float $ml): array
    {
        $drawn = [];
        foreach (self::bottles($batch) as $bottle) {
            $of = round(min($ml, (float) $bottle->left_ml), 3);
            if ($of > 0) {
                $drawn[$bottle->number] = $of;
                $ml -= $of;
            }
        }

        return $drawn;
    }

    /** mL in all of them. */
    public static function left(Batch $batch): float
    {
        return (float) self::bottles($batch)->sum(fn (Bottle $bottle) => (float) $bottle->left_ml);
    }

    /** @return Collection<int, Bottle> */
    private static function bottles(Batch $batch): Collection
    {
        return Bottle::query()
            ->where('batch_id', $batch->id)
            ->where('state', BottleState::IN)
            ->orderByRaw('left_ml < filled_ml DESC')
            ->orderBy('number')
            ->get();
    }
}
