<?php

namespace App\Responses\Stores;

/** What came into a lot or went out of it. */
final readonly class MoveView
{
    public function __construct(
        public string $id,
        public string $text,
        public string $at,
        public string $by,
        public string $note,
        public ?string $batch,
        public ?string $batch_name,
    ) {}
}
