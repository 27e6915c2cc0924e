<?php

declare(strict_types=1);

namespace Kettle\Diary;

/** Something that was done to a batch, as the logbook has it. Struck and corrected entries are left out before. */
final readonly class Event
{
    private function __construct(
        public string $what,
        public \DateTimeImmutable $at,
        public string $task,
        public ?\DateTimeImmutable $until,
        public ?float $warmH = null,
        public bool $bySigns = false,
    ) {}

    /** A step done, by its task key. Straining, pouring off and bottling are such steps too. */
    public static function done(string $task, \DateTimeImmutable $at): self
    {
        return new self('done', $at, $task, null);
    }

    /** Switched off, with the hours at warmth that a thermometer counted since it was switched on. */
    public static function warmed(string $task, \DateTimeImmutable $at, float $hours): self
    {
        return new self('done', $at, $task, null, $hours);
    }

    /** Off the flame because its signs said that it is done, whatever the clock says. */
    public static function doneBySigns(string $task, \DateTimeImmutable $at): self
    {
        return new self('done', $at, $task, null, null, true);
    }

    public static function skipped(string $task, \DateTimeImmutable $at): self
    {
        return new self('skipped', $at, $task, null);
    }

    public static function putOff(string $task, \DateTimeImmutable $at, \DateTimeImmutable $until): self
    {
        return new self('later', $at, $task, $until);
    }

    public static function discarded(\DateTimeImmutable $at): self
    {
        return new self('discarded', $at, '', null);
    }
}
