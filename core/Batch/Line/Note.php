<?php

declare(strict_types=1);

namespace Kettle\Batch\Line;

/** A note, which says what it says. */
final readonly class Note extends Line
{
    public const KIND = 'note';

    public function kind(): string
    {
        return self::KIND;
    }

    public function data(): array
    {
        return [];
    }

    /** A better one is written beside it. */
    public function canBeStruck(): bool
    {
        return false;
    }
}
