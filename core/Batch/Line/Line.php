<?php

declare(strict_types=1);

namespace Kettle\Batch\Line;

use Kettle\Diary\Event;

/** What a line of a logbook says. Each kind is a class of its own; older lines lack some of it. */
abstract readonly class Line
{
    /** By which it is stored. */
    abstract public function kind(): string;

    /** @return array<string, mixed> what is stored with it */
    abstract public function data(): array;

    /** What it means for the days; null where it means nothing for them. */
    public function event(\DateTimeImmutable $at): ?Event
    {
        return null;
    }

    /** Whether later steps rest on it, so that they are undone first. Shaking, looking and notes stand alone. */
    public function carries(): bool
    {
        return false;
    }

    /** Whether it rests on what was done before it. */
    public function rests(): bool
    {
        return $this->carries();
    }

    /** Whether the places that the diary keeps at the stove are laid anew after it. */
    public function movesTheDiary(): bool
    {
        return false;
    }

    public function canBeStruck(): bool
    {
        return true;
    }
}
