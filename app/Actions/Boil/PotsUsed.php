<?php

namespace App\Actions\Boil;

use App\Models\Batch;
use App\Models\Boil;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/** The pots that an oil was boiled in before it was bottled, and all that was poured into them. */
final class PotsUsed
{
    /** @var \WeakMap<Batch, Collection<int, Boil>>|null of the batches read in this request: a page asks for them several times */
    private static ?\WeakMap $read = null;

    /** @return Collection<int, Boil> none where it was made another way */
    public static function of(Batch $batch): Collection
    {
        self::$read ??= new \WeakMap();
        if (! isset(self::$read[$batch])) {
            self::$read[$batch] = self::read($batch);
        }

        return self::$read[$batch];
    }

    /** @return Collection<int, Boil> */
    private static function read(Batch $batch): Collection
    {
        $pots = $batch->plan->isFromBefore() ? Boil::query()->where('batch', $batch->uid)->pluck('id')->all() : [];

        return $pots === []
            ? new Collection()
            : Boil::query()->whereIn('id', self::back(array_values(array_filter($pots, is_int(...)))))->orderBy('id')->get();
    }

    /**
     * Some pots, and all that was poured into them, pot after pot.
     *
     * @param  array<int>  $pots ids
     * @return list<int>
     */
    public static function back(array $pots): array
    {
        for ($edge = $pots; $edge !== [];) {
            $from = DB::table('boil_takes')->whereIn('into_boil_id', $edge)->pluck('boil_id')->all();
            $edge = array_values(array_diff(array_filter($from, is_int(...)), $pots));
            $pots = [...$pots, ...$edge];
        }

        return array_values(array_unique($pots));
    }
}
