<?php

namespace App\Actions\Batches;

use App\Models\Batch;
use App\Models\LogEntry;
use Kettle\Batch\Line\Note;
use Kettle\Diary\DiaryException;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Writes a note in the logbook, or a better one beside one that was wrong. */
final readonly class AddNote
{
    public function __construct(private Logbook $logbook) {}

    /** @throws DiaryException when what is corrected is not a note */
    public function __invoke(Batch $batch, string $note, ?string $corrects): LogEntry
    {
        return $this->logbook->write($batch, function (Batch $batch) use ($note, $corrects): NewLine {
            if ($corrects !== null) {
                $old = $batch->entries()->where('uid', $corrects)->first() ?? throw new NotFoundHttpException();
                $old->line() instanceof Note || throw DiaryException::onlyNotes();
            }

            return new NewLine(new Note(), $note, $corrects);
        });
    }
}
