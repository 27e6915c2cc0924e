<?php

namespace App\Actions\Boil;

use App\Models\Batch;
use App\Models\Boil;
use App\Models\BoilEntry;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Kettle\Boiling\Line\Made;

/** The pots that an oil was boiled in before it was bottled, and all that was poured into them. */
final class PotsUsed
{
    /** @return Collection<int, Boil> none where it was made another way */
    public static function of(Batch $batch): Collection
    {
        $pots = $batch->plan->isFromBefore()
            ? array_filter(
                BoilEntry::query()->where('kind', Made::KIND)->where('data->batch', $batch->uid)->pluck('boil_id')->all(),
                is_int(...),
            )
            : [];

        return $pots === [] ? new Collection() : Boil::query()->whereIn('id', self::back($pots))->orderBy('id')->get();
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
