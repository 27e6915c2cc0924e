<?php

namespace App\Demo;

use App\Actions\Batches\RecordTask;
use App\Actions\Batches\StartBatch;
use App\Models\Batch;
use App\Models\Jar;
use App\Models\Task;

/** A batch of the demo begun and its tasks done, on the days that are told. */
final readonly class SkerryHands
{
    public function __construct(private DemoClock $clock, private StartBatch $start, private RecordTask $record) {}

    /**
     * @param  list<string>  $oils
     * @param  array<string, mixed>  $more of the wish
     */
    public function begin(string $herb, array $oils, string $jar, string $origin, array $more = []): Batch
    {
        $brim = ['237' => 260, '380' => 405, '473' => 505, '750' => 790, '946' => 1000][$jar];
        $size = Jar::query()->where('brim_ml', $brim)->firstOrFail();

        return ($this->start)(['herb' => ['id' => $herb], 'oils' => $oils, 'jar' => $size->uid, ...$more], $origin);
    }

    public function done(Batch $batch, string $task, int $daysAgo, int $hour, int $minute = 0): void
    {
        $this->clock->at($daysAgo, $hour, $minute);
        if (Task::query()->where('batch_id', $batch->id)->where('key', $task)->where('open', true)->exists()) {
            ($this->record)($batch, $task, 'done', null, null);
        }
    }
}
