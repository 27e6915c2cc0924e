<?php

declare(strict_types=1);

namespace Kettle\Batch\Line;

use Kettle\Diary\Event;

/** Closed because it went wrong. */
final readonly class Discarded extends Line
{
    public const KIND = 'discarded';

    public function kind(): string
    {
        return self::KIND;
    }

    public function data(): array
    {
        return [];
    }

    public function event(\DateTimeImmutable $at): Event
    {
        return Event::discarded($at);
    }

    public function carries(): bool
    {
        return true;
    }

    public function movesTheDiary(): bool
    {
        return true;
    }
}
