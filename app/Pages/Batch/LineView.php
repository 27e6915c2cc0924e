<?php

namespace App\Pages\Batch;

use App\House\Times;
use App\Models\BoilEntry;
use App\Models\LogEntry;
use App\Models\MakingEntry;
use App\Responses\Batch\EntryView;
use Kettle\Batch\Line\Line;
use Kettle\Batch\Line\Note;

/** A line of any logbook as it is shown: of a batch, a product or a pot. */
final readonly class LineView
{
    /** Written down so long after it was done, that is told, s. */
    private const LATE_S = 300;

    public function __construct(private Times $times) {}

    /** @param  array<string, true>  $corrected uids of entries that a later one corrects or strikes out */
    public function of(LogEntry|MakingEntry|BoilEntry $entry, Line $line, string $title, array $corrected): EntryView
    {
        $struck = isset($corrected[$entry->uid]);

        return new EntryView(
            id: $entry->uid,
            kind: $entry->kind,
            title: $title,
            note: $entry->note,
            by: $entry->by,
            when: $this->times->logged($entry->happened_at),
            corrects: $entry->corrects,
            struck: $struck,
            can_undo: ! $struck && $line->canBeStruck(),
            can_correct: ! $struck && $line instanceof Note,
            photo: $line instanceof Note ? $line->photo : null,
            written: $entry->recorded_at->diffInSeconds($entry->happened_at, true) > self::LATE_S
                ? $this->times->logged($entry->recorded_at)
                : null,
        );
    }
}
