<?php

namespace App\Actions\Batches;

use App\Models\Batch;
use App\Models\LogEntry;
use Kettle\Diary\DiaryRefused;
use Kettle\Diary\Step;
use Kettle\Reason\Refused;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Undoes an entry by another that points at it; both stay in the logbook. */
final readonly class StrikeOut
{
    public function __construct(private Logbook $logbook, private History $history)
    {
    }

    /** @throws Refused when the entry was struck out before, or later steps rest on it */
    public function __invoke(Batch $batch, string $entryUid): LogEntry
    {
        return $this->logbook->write($batch, function (Batch $batch) use ($entryUid): array {
            $batch->entries()->where('uid', $entryUid)->first() ?? throw new NotFoundHttpException;
            $standing = $this->history->standing($batch);
            $after = null;
            foreach (array_reverse($standing) as $entry) {
                if ($entry->uid === $entryUid) {
                    if ($entry->kind === 'started') {
                        throw new DiaryRefused('cannot_undo', 'The beginning of a batch cannot be undone. Discard the batch instead.');
                    }
                    if ($after !== null && $this->carries($entry)) {
                        throw new DiaryRefused('cannot_undo', 'A later step rests on that one. Undo the later step first.');
                    }

                    return ['kind' => 'undone', 'data' => ['what' => $entry->kind], 'corrects' => $entryUid];
                }
                if ($this->carries($entry) || $entry->kind === 'used' || $entry->kind === 'checked') {
                    $after = $entry;
                }
            }
            throw new DiaryRefused('cannot_undo', 'That was undone already.');
        });
    }

    /** Whether later steps rest on this one. Shaking, looking, topping up and notes stand alone. */
    private function carries(LogEntry $entry): bool
    {
        $task = is_string($entry->data['task'] ?? null) ? explode('-', $entry->data['task'])[0] : '';

        return match ($entry->kind) {
            'strained', 'decanted', 'bottled', 'discarded' => true,
            'task' => ($entry->data['outcome'] ?? '') !== 'later'
                && ! in_array(Step::tryFrom($task), [Step::Shake, Step::Check, Step::TopUp], true),
            default => false,
        };
    }
}
