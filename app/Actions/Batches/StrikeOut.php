<?php

namespace App\Actions\Batches;

use App\Models\Batch;
use App\Models\LogEntry;
use Kettle\Batch\Line\Undone;
use Kettle\Reason\RefusedException;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Undoes an entry by another that points at it; both stay in the logbook. */
final readonly class StrikeOut
{
    public function __construct(private Logbook $logbook, private Records $records) {}

    /** @throws RefusedException when the entry was struck out before, or later steps rest on it */
    public function __invoke(Batch $batch, string $entryUid): LogEntry
    {
        return $this->logbook->write($batch, function (Batch $batch) use ($entryUid): NewLine {
            $batch->entries()->where('uid', $entryUid)->first() ?? throw new NotFoundHttpException();
            $struck = $this->records->log($batch)->toStrike($entryUid);

            return new NewLine(new Undone($struck->line->kind()), null, $entryUid);
        });
    }
}
