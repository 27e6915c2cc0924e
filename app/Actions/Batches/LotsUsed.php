<?php

namespace App\Actions\Batches;

use App\Actions\Boil\PotsUsed;
use App\Models\Batch;
use App\Models\Boil;
use App\Models\Lot;
use Kettle\Stores\LotKind;

/**
 * The herbs and oils of Stores a batch was made from, with those of the oil it was made in and of the pots it was boiled in; each
 * once, also those taken out of Stores since.
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
                    ->whereHas(
                        'moves',
                        fn ($moves) => $moves
                            ->where(fn ($by) => $by->where('batch_id', $batch->id)->orWhereIn('boil_id', PotsUsed::of($batch)->modelKeys()))
                            ->whereIn('kind', ['taken', 'topped']),
                    )
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
        $lots = array_map(fn (Lot $lot) => $lot->allergens, self::of($batch));
        $pots = PotsUsed::of($batch)->map(fn (Boil $boil) => $boil->plan->allergens)->all();

        return array_values(array_unique(array_merge([], ...$lots, ...array_values($pots))));
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
