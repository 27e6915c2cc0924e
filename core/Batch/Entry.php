<?php

declare(strict_types=1);

namespace Kettle\Batch;

use Kettle\Batch\Line\Line;
use Kettle\Batch\Line\Undone;

/** A line of a logbook: what it says, when it happened and who wrote it. */
final readonly class Entry
{
    /**
     * @param  \DateTimeImmutable  $at in the house's zone
     * @param  ?string  $corrects the id of the line that it corrects or strikes out
     */
    public function __construct(
        public string $id,
        public \DateTimeImmutable $at,
        public string $by,
        public Line $line,
        public ?string $corrects = null,
    ) {}

    public function isUndone(): bool
    {
        return $this->line instanceof Undone;
    }
}
