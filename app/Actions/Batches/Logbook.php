<?php

namespace App\Actions\Batches;

use App\Actions\Stove\PlanDiary;
use App\House\WhenDone;
use App\Models\Batch;
use App\Models\LogEntry;
use Illuminate\Support\Facades\DB;
use Kettle\Reason\Said;

/** Adds a line to a batch's logbook, and folds the batch anew, as one. */
final readonly class Logbook
{
    public function __construct(
        private BatchProjector $fold,
        private PlanDiary $diary,
        private SecondCharge $charge,
        private Records $records,
        private WhenDone $done,
    ) {}

    /**
     * @param  \Closure(Batch): NewLine  $entry given the locked batch; may refuse
     */
    public function write(Batch $batch, \Closure $entry): LogEntry
    {
        return DB::transaction(function () use ($batch, $entry): LogEntry {
            $locked = Batch::query()->whereKey($batch->id)->lockForUpdate()->firstOrFail();
            $new = $entry($locked);
            $written = LogEntry::query()->create(
                ['batch_id' => $locked->id] + $new->columns($this->done, fn () => $this->records->log($locked)),
            );
            $this->fold->refresh($locked);
            $this->charge->follow($this, $locked);
            if ($locked->shelf->heated && $new->line->movesTheDiary()) {
                ($this->diary)(Said::of('moved.batch-changed', ['herbs' => $locked->herbs]));
                $locked->refresh();
            }
            $batch->setRawAttributes($locked->getAttributes(), true);

            return $written;
        });
    }
}
