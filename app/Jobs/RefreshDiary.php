<?php

namespace App\Jobs;

use App\Actions\Stove\PlanDiary;
use App\Models\Batch;
use App\Models\House;
use App\Models\Tenancy\CurrentHouse;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Carbon;
use Kettle\Reason\Said;

/** Places anew what was to be warmed by now and was not: a plan of this morning is no plan this evening. */
final class RefreshDiary implements ShouldQueue
{
    use Queueable;

    /** So late it may still be begun as it stands, minutes. */
    private const LATE_MIN = 30;

    public function handle(CurrentHouse $current, PlanDiary $diary): void
    {
        $late = Carbon::now()->subMinutes(self::LATE_MIN)->utc()->format('Y-m-d\TH:i');
        $houses = Batch::query()
            ->withoutGlobalScope('house')
            ->where('in_diary', true)
            ->whereNotNull('diary->slots')
            ->select('house_id')
            ->distinct()
            ->pluck('house_id');
        foreach (House::query()->whereIn('id', $houses)->get() as $house) {
            $current->within($house, function () use ($diary, $late): void {
                $stale = Batch::query()
                    ->where('in_diary', true)
                    ->get(['id', 'house_id', 'diary'])
                    ->contains(
                        fn (Batch $batch) => ($next = $batch->diary?->next()) !== null &&
                            Carbon::instance($next)->utc()->format('Y-m-d\TH:i') < $late,
                    );
                $stale && $diary(Said::of('moved.not-begun'));
            });
        }
    }
}
