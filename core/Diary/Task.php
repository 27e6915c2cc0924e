<?php

declare(strict_types=1);

namespace Kettle\Diary;

/** One thing to do, or to wait for, and when. `$nth` tells sessions and repeats apart. */
final readonly class Task
{
    public function __construct(
        public Step $step,
        public int $nth,
        public \DateTimeImmutable $dueAt,
        public string $place,
        public bool $open,
    ) {}

    /** "shake", "warm_on-2" */
    public function key(): string
    {
        return $this->step->key($this->nth);
    }

    public function putOffTo(\DateTimeImmutable $until): self
    {
        return new self($this->step, $this->nth, $until, $this->place, $this->open);
    }
}
