<?php

declare(strict_types=1);

namespace Kettle\Diary;

/** What a jar has had of its warmth: the sessions that are over, with the hours each was worth, and the one going on. */
final readonly class Warmed
{
    /** So near the planned hours nobody heats a pot again: common practice, no source. */
    private const NEAR = 0.03;

    /** @param  list<array{from: \DateTimeImmutable, to: \DateTimeImmutable, hours: float}>  $sessions */
    private function __construct(public array $sessions, public ?\DateTimeImmutable $onSince, public bool $enough) {}

    public static function none(): self
    {
        return new self([], null, false);
    }

    /** @param  list<Event>  $events oldest first */
    public static function from(array $events, Routine $routine): self
    {
        $sessions = [];
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
                $sessions[] = [
                    'from' => $onSince,
                    'to' => max($event->at, $onSince),
                    'hours' => match (true) {
                        // What was done by its signs has had all it wants.
                        $event->bySigns => max($routine->hours, $routine->worthH($onSince, $event->at)),
                        default => $event->warmH ?? $routine->worthH($onSince, $event->at),
                    },
                ];
                $onSince = null;
            }
        }

        return new self($sessions, $onSince, $enough);
    }

    public function hours(): float
    {
        return array_sum(array_column($this->sessions, 'hours'));
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
