<?php

declare(strict_types=1);

namespace Kettle\Batch\Line;

use Kettle\Batch\Stored;
use Kettle\Diary\Event;
use Kettle\Diary\Step;
use Kettle\Infusion\Method;
use Kettle\Reason\Said;

/** A step done, skipped, or put off. */
final readonly class TaskLine extends Line
{
    public const KIND = 'task';

    /** Seen under the lid at a look. */
    public const HERB_ABOVE = 'herb_above';

    public const DROPS_WIPED = 'drops_wiped';

    /**
     * @param  string  $task its key: a step, and which of several: "warm_on-2"
     * @param  string  $until a moment, ISO 8601, where it was put off
     * @param  list<string>  $seen under the lid, or on the flame (Method::SIGNS)
     * @param  ?float  $warmH hours at warmth that a thermometer counted
     * @param  ?float  $ml of oil that was added at a topping up, where it was measured
     * @param  ?Said  $against what was foretold, where it was switched on all the same
     */
    public function __construct(
        public string $task,
        public Outcome $outcome,
        public string $until = '',
        public array $seen = [],
        public ?float $warmH = null,
        public ?Said $against = null,
        public ?float $ml = null,
    ) {}

    public static function of(Stored $data): self
    {
        return new self(
            $data->text('task'),
            Outcome::tryFrom($data->text('outcome')) ?? Outcome::Done,
            $data->text('until'),
            $data->texts('seen'),
            $data->numberOrNull('warm_h'),
            $data->said('against'),
            $data->numberOrNull('ml'),
        );
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function data(): array
    {
        return [
            'task' => $this->task,
            'outcome' => $this->outcome->value,
            ...$this->seen === [] ? [] : ['seen' => $this->seen],
            ...$this->warmH === null ? [] : ['warm_h' => $this->warmH],
            ...$this->against === null ? [] : ['against' => $this->against->toArray()],
            ...$this->ml === null ? [] : ['ml' => $this->ml],
            ...$this->until === '' ? [] : ['until' => $this->until],
        ];
    }

    public function step(): ?Step
    {
        return Step::tryFrom(explode('-', $this->task)[0]);
    }

    public function isDone(Step $step): bool
    {
        return $this->outcome === Outcome::Done && $this->step() === $step;
    }

    public function event(\DateTimeImmutable $at): Event
    {
        return match (true) {
            $this->outcome === Outcome::Skipped => Event::skipped($this->task, $at),
            $this->outcome === Outcome::Later => Event::putOff(
                $this->task,
                $at,
                (new \DateTimeImmutable($this->until))->setTimezone($at->getTimezone()),
            ),
            array_diff(array_keys(Method::SIGNS), $this->seen) === [] => Event::doneBySigns($this->task, $at),
            $this->warmH !== null => Event::warmed($this->task, $at, $this->warmH),
            default => Event::done($this->task, $at),
        };
    }

    public function carries(): bool
    {
        return $this->outcome !== Outcome::Later && $this->step()?->tends() !== true;
    }

    public function movesTheDiary(): bool
    {
        return true;
    }
}
