<?php

namespace App\Actions\Batches;

use App\Models\Batch;
use App\Models\LogEntry;
use Kettle\Batch\Line\Discarded;
use Kettle\Diary\DiaryException;
use Kettle\Diary\Stage;

/** Closes a batch that went wrong, with the reason. It stays in the records. */
final readonly class DiscardBatch
{
    public function __construct(private Logbook $logbook) {}

    /** @throws DiaryException when it was discarded before */
    public function __invoke(Batch $batch, string $reason): LogEntry
    {
        return $this->logbook->write($batch, function (Batch $batch) use ($reason): NewLine {
            if ($batch->stage === Stage::Discarded) {
                throw DiaryException::notOpen('discard');
            }

            return new NewLine(new Discarded(), $reason);
        });
    }
}
