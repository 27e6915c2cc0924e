<?php

declare(strict_types=1);

namespace Kettle\Diary;

use Kettle\Time\Interval;

/** What a jar has had of its warmth: the sessions that are over, with the hours each was worth, and the one going on. */
final readonly class Warmed
{
    /** So near the planned hours nobody heats a pot again: common practice, no source. */
    private const NEAR = 0.03;

    /**
     * @param  list<Interval>  $sessions
     * @param  float  $hours what they were worth, in all
     */
    private function __construct(public array $sessions, private float $hours, public ?\DateTimeImmutable $onSince, public bool $enough) {}

    public static function none(): self
    {
        return new self([], 0.0, null, false);
    }

    /** @param  list<Event>  $events oldest first */
    public static function from(array $events, Routine $routine): self
    {
        $sessions = [];
        $hours = 0.0;
        $onSince = null;
        $enough = false;
        foreach ($events as $event) {
            $step = explode('-', $event->task)[0];
            if ($step === Step::WarmOn->value && $event->what === 'skipped') {
                $enough = true;
            } elseif ($step === Step::WarmOn->value && $event->what === 'done') {
                $onSince = $event->at;
                $enough = false;
            } elseif ($step === Step::WarmOff->value && $event->what === 'done' && $onSince !== null) {
                // By the clock alone, the while until it was warm is not taken for warmth.
                $sessions[] = new Interval($onSince, max($event->at, $onSince));
                // What was done by its signs has had all it wants.
                $hours += $event->bySigns
                    ? max($routine->hours, $routine->worthH($onSince, $event->at))
                    : $event->warmH ?? $routine->worthH($onSince, $event->at);
                $onSince = null;
            }
        }

        return new self($sessions, $hours, $onSince, $enough);
    }

    public function hours(): float
    {
        return $this->hours;
    }

    /** Hours still to come of so many planned; none when somebody said it is enough. */
    public function left(float $planned): float
    {
        $left = $planned - $this->hours();

        return $this->enough || $left <= $planned * self::NEAR ? 0.0 : $left;
    }

    /** Which session is going on, or comes next: 1 for the first. */
    public function nth(): int
    {
        return count($this->sessions) + 1;
    }
}
