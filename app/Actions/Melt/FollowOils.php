<?php

namespace App\Actions\Melt;

use App\Models\Batch;
use App\Models\Making;
use Kettle\Diary\Stage;

/**
 * Keeps with each product until when it is good: no longer than its oils are now, and not at all once one of them was thrown
 * away. Called where a product or one of its oils is folded anew, in one with it.
 */
final readonly class FollowOils
{
    /** After a product was folded, and what it took of bottles with it. */
    public function of(Making $making): void
    {
        // As they are now, also where another request has written one of them since this one began to look.
        /** @var object{day: ?string, thrown: int|string|null} $oils */
        $oils = $making
            ->batches()
            ->toBase()
            ->selectRaw('MIN(batches.best_before) AS day, MAX(batches.stage = ?) AS thrown', [Stage::Discarded->value])
            ->lockForUpdate()
            ->first();
        $own = $making->best_before->format('Y-m-d');
        $making->fill(['good_until' => min($own, $oils->day ?? $own), 'oil_thrown' => (bool) $oils->thrown])->save();
    }

    /** After a batch was folded. */
    public function ofBatch(Batch $batch): void
    {
        Making::query()
            ->whereHas('batches', fn ($query) => $query->whereKey($batch->id))
            ->orderBy('id')
            ->lockForUpdate()
            ->get(['id', 'house_id', 'best_before', 'good_until', 'oil_thrown'])
            ->each($this->of(...));
    }
}
