<?php

namespace App\Actions\Batches;

use App\Models\Batch;
use App\Models\BatchYield;
use App\Models\Tenancy\CurrentHouse;
use App\Models\YieldSum;
use Illuminate\Support\Facades\DB;

/**
 * Keeps what a batch gave, for the next plan to learn from, and with it the sums over all batches of its form, so that a plan
 * is no slower for what a house has made. Called where a batch is folded anew, in one with it.
 */
final readonly class KeepYield
{
    public function __construct(private CurrentHouse $current) {}

    /** @param  ?array<string, mixed>  $gave columns of BatchYield; null where nothing is to be learned of it */
    public function keep(Batch $batch, ?array $gave): void
    {
        $row = BatchYield::query()->where('batch_id', $batch->id)->first() ?? new BatchYield(['batch_id' => $batch->id]);
        $was = $row->exists ? clone $row : null;
        if ($gave === null) {
            $was === null || $row->delete();
        } else {
            $row->fill($gave);
            if (! $row->isDirty()) {
                return;
            }
            $row->save();
            $this->count($row);
        }
        $was === null || $this->uncount($was);
    }

    /** One more. By one statement each, so that two batches strained at once are both counted. */
    private function count(BatchYield $row): void
    {
        YieldSum::query()->upsert(
            [
                [
                    'house_id' => $this->current->house()->id,
                    'form' => $row->form,
                    'way' => $row->way,
                    'batches' => 1,
                    'weight' => 1 / $row->variance,
                    'weighted' => $row->uptake / $row->variance,
                ],
            ],
            ['house_id', 'form', 'way'],
            [
                'batches' => DB::raw('batches + VALUES(batches)'),
                'weight' => DB::raw('weight + VALUES(weight)'),
                'weighted' => DB::raw('weighted + VALUES(weighted)'),
            ],
        );
    }

    private function uncount(BatchYield $row): void
    {
        $sum = fn () => YieldSum::query()->where('form', $row->form)->where('way', $row->way);
        // Of this house: Eloquent hands what it does not know itself on without saying which.
        $sum()
            ->toBase()
            ->decrementEach(['batches' => 1, 'weight' => 1 / $row->variance, 'weighted' => $row->uptake / $row->variance]);
        $sum()->where('batches', 0)->delete();
    }
}
