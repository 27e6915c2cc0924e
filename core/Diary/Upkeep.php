<?php

declare(strict_types=1);

namespace Kettle\Diary;

/** When bottled oil is smelled and looked at again, and when it is to be gone. */
final readonly class Upkeep
{
    /**
     * @param  \DateTimeImmutable  $until its best-before, or the moment it must be used by
     * @param  bool  $useBy whether it is thrown away then, whatever it smells of
     */
    public function __construct(
        private \DateTimeImmutable $until,
        private int $firstDays,
        private int $everyDays,
        public bool $useBy = false,
    ) {}

    /**
     * A week after bottling, when water shows; then every so often; and on the last day.
     *
     * @param  ?\DateTimeImmutable  $last when it was last smelled
     * Where nobody is there on the last day, it is done before: a deadline never moves later.
     * @return ?array{Step, \DateTimeImmutable} null when the last day was seen to
     */
    public function next(\DateTimeImmutable $bottledAt, ?\DateTimeImmutable $last, Availability $availability): ?array
    {
        if ($this->useBy) {
            return [Step::UseUp, $availability->lastAwake($this->until, $bottledAt)];
        }
        if ($last !== null && $last->setTime(0, 0) >= $this->until->setTime(0, 0)) {
            return null;
        }
        $due = $last === null ? $bottledAt->modify("+{$this->firstDays} days") : $last->modify("+{$this->everyDays} days");

        $at = $availability->midMorning(min($due, $this->until));

        return [Step::Smell, $at > $this->until ? $availability->lastAwake($this->until, $bottledAt) : $at];
    }
}
