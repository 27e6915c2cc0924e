<?php

namespace App\Actions\Batches;

use App\Models\Batch;
use App\Models\Lot;
use Kettle\Stores\LotKind;

/**
 * The herbs and oils of Stores a batch was made from, with those of the oil it was made in; each once, also those taken out of
 * Stores since.
 */
final class LotsUsed
{
    /** @var \WeakMap<Batch, list<Lot>>|null of the batches read in this request: a page asks for them several times */
    private static ?\WeakMap $read = null;

    /** @return list<Lot> oldest first */
    public static function of(Batch $batch): array
    {
        self::$read ??= new \WeakMap();
        if (! isset(self::$read[$batch])) {
            /** @var list<Lot> $lots */
            $lots = array_values(
                Lot::withTrashed()
                    ->whereIn('kind', [LotKind::Herb, LotKind::Carrier])
                    ->whereHas('moves', fn ($moves) => $moves->where('batch_id', $batch->id)->whereIn('kind', ['taken', 'topped']))
                    ->orderBy('id')
                    ->get()
                    ->all(),
            );
            $base = $batch->base();
            // What its oil was made from is in it too.
            self::$read[$batch] = $base === null ? $lots : self::once([...self::of($base), ...$lots]);
        }

        return self::$read[$batch];
    }

    /** @return list<string> of all of them, each once */
    public static function allergens(Batch $batch): array
    {
        return array_values(array_unique(array_merge(...array_map(fn (Lot $lot) => $lot->allergens, self::of($batch)), ...[[]])));
    }

    /** Food only where it was made for the kitchen, and every lot of it is known to be food. */
    public static function areFood(Batch $batch): bool
    {
        $lots = self::of($batch);

        return $batch->purpose === 'kitchen' && $lots !== [] && array_filter($lots, fn (Lot $lot) => ! $lot->food_grade) === [];
    }

    /**
     * @param  list<Lot>  $lots
     * @return list<Lot>
     */
    private static function once(array $lots): array
    {
        return array_values(array_column(array_map(fn (Lot $lot) => [$lot->id, $lot], $lots), 1, 0));
    }
}
