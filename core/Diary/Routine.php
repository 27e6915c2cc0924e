<?php

declare(strict_types=1);

namespace Kettle\Diary;

use Kettle\Infusion\Method;

/** What one batch asks of the days: its method as it is practised, its hours, and what goes before and after them. */
final readonly class Routine
{
    /**
     * @param  float  $hours to infuse: hours at warmth, or on the shelf
     * @param  float  $standsH hours it stands after the heat, before straining
     * @param  float  $soakH hours the herb stands moistened before it is filled
     * @param  ?float  $coldWithinH hours from filling to the refrigerator, at the most; null where it need not be cold
     * @param  int  $warmUpMin minutes each time before it is warm, which are not hours at warmth
     * @param  bool  $settles whether it stands after straining until its sediment has fallen
     * @param  bool  $strains whether it is strained at all, and not used from the top, on its sediment
     */
    public function __construct(
        public Method $method,
        public float $hours,
        public float $standsH = 0.0,
        public float $soakH = 0.0,
        public ?float $coldWithinH = null,
        public int $warmUpMin = 0,
        public bool $settles = true,
        public bool $strains = true,
    ) {}

    /** Whether it is strained before it sets, and not left to cool. */
    public function isWorkedWarm(): bool
    {
        return $this->strains && ! $this->settles;
    }

    /** Whether it stands a day between its straining and its bottles. */
    public function rests(): bool
    {
        return $this->settles && $this->strains;
    }

    /** Minutes that somebody has to be there for after the heat: what sets is strained while it is warm. */
    public function tailMin(): int
    {
        return $this->isWorkedWarm() ? Timetable::STILL_WARM_MINUTES + Step::Strain->minutes() : 0;
    }

    /** The same, put to warm where getting warm takes so long. */
    public function warmingUpIn(int $minutes): self
    {
        return new self(
            $this->method,
            $this->hours,
            $this->standsH,
            $this->soakH,
            $this->coldWithinH,
            $minutes,
            $this->settles,
            $this->strains,
        );
    }

    /** The same, where the herb has stood moistened already, or was not moistened. */
    public function soaked(): self
    {
        return new self(
            $this->method,
            $this->hours,
            $this->standsH,
            0.0,
            $this->coldWithinH,
            $this->warmUpMin,
            $this->settles,
            $this->strains,
        );
    }

    /** Hours at warmth that a session between two moments is worth, where nobody read a thermometer. */
    public function worthH(\DateTimeImmutable $from, \DateTimeImmutable $to): float
    {
        return max(0.0, $to->getTimestamp() - $from->getTimestamp() - $this->warmUpMin * 60) / 3600;
    }

    /** Minutes a session takes that is worth so many hours. */
    public function minutesFor(float $hours): int
    {
        return $this->warmUpMin + max(1, (int) round($hours * 60));
    }
}
