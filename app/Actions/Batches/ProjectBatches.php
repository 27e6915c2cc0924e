<?php

namespace App\Actions\Batches;

use App\Models\Batch;
use App\Models\House;
use App\Models\Tenancy\CurrentHouse;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\DB;

/** Writes anew where batches stand, those that nobody waits for. */
final class ProjectBatches implements ShouldQueue
{
    use Queueable;

    /** @param  list<int>  $batches */
    public function __construct(private readonly int $house, private readonly array $batches) {}

    public function handle(CurrentHouse $current, BatchProjector $fold): void
    {
        $house = House::query()->find($this->house);
        $house === null ||
            $current->within($house, function () use ($fold): void {
                foreach ($this->batches as $id) {
                    DB::transaction(function () use ($fold, $id): void {
                        $batch = Batch::query()->whereKey($id)->lockForUpdate()->first();
                        $batch === null || $fold->refresh($batch);
                    });
                }
            });
    }
}
