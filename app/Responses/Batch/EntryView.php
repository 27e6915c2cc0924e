<?php

namespace App\Responses\Batch;

/** A line of the logbook; written down later than it was done, it tells when. */
final readonly class EntryView
{
    public function __construct(
        public string $id,
        public string $kind,
        public string $title,
        public ?string $note,
        public string $by,
        public string $when,
        public ?string $corrects,
        public bool $struck,
        public bool $can_undo,
        public bool $can_correct,
        public ?string $photo = null,
        public ?string $written = null,
    ) {}
}
