<?php

declare(strict_types=1);

namespace Kettle\Warmth;

/**
 * What a thermometer in a water bath has told: hours at warmth, and the water that went at that warmth.
 * Gathered reading by reading and kept between them, so that a log of any length needs no memory.
 */
final class StoveLog
{
    /** Where nobody measured, water is taken to go on leaving at the last warmth, but for no longer, s. */
    private const GOES_ON_S = 4 * 3600;

    private function __construct(
        private readonly WarmHours $hours,
        private readonly float $openM2,
        private readonly float $airKPa,
        private float $lostKg = 0.0,
        private float $lostAtFill = 0.0,
    ) {}

    /**
     * @param  float  $openM2 of water between the jars
     * @param  float  $airKPa of vapour in the room
     * @param  array<string, mixed>  $stored what toArray() gave before; none to begin with
     */
    public static function of(Band $band, float $openM2, float $airKPa, int $reach = WarmHours::REACH, array $stored = []): self
    {
        $number = fn (string $key): float => is_int($stored[$key] ?? null) || is_float($stored[$key] ?? null) ? (float) $stored[$key] : 0.0;

        return new self(WarmHours::goingOn($stored, $band, $reach), $openM2, $airKPa, $number('lost_kg'), $number('lost_at_fill'));
    }

    /**
     * @param  ?int  $filledAt when water was last poured in, s
     *
     * @throws WarmthException when out of order, doubled, or no warmth of a pot
     */
    public function take(int $at, float $celsius, ?int $filledAt = null): void
    {
        $last = $this->hours->last();
        $this->hours->take($at, $celsius);
        if ($last !== null) {
            $this->lostKg += $this->evaporated(($last[1] + $celsius) / 2, min(self::GOES_ON_S, $at - $last[0]));
        }
        if ($filledAt !== null && $at <= $filledAt) {
            $this->lostAtFill = $this->lostKg;
        }
    }

    /** Water was poured in now. */
    public function filled(int $now): void
    {
        $this->lostAtFill = $this->lostKg + $this->sinceLast($now);
    }

    public function hours(): WarmHours
    {
        return $this->hours;
    }

    /** Water gone since it was last filled, kg. */
    public function lostSinceFill(int $now): float
    {
        return max(0.0, $this->lostKg + $this->sinceLast($now) - $this->lostAtFill);
    }

    /** Water going at the last warmth, kg/s; nothing where nobody measured. */
    public function rate(): float
    {
        $last = $this->hours->last();

        return $last === null ? 0.0 : $this->evaporated($last[1], 1);
    }

    /** @return array<string, float|int|null> */
    public function toArray(): array
    {
        return [...$this->hours->toArray(), 'lost_kg' => $this->lostKg, 'lost_at_fill' => $this->lostAtFill];
    }

    private function sinceLast(int $now): float
    {
        $last = $this->hours->last();

        return $last === null ? 0.0 : $this->evaporated($last[1], max(0, min(self::GOES_ON_S, $now - $last[0])));
    }

    private function evaporated(float $celsius, int $seconds): float
    {
        return $celsius <= 0 ? 0.0 : Air::evaporation($this->openM2, min(99.0, $celsius), $this->airKPa) * $seconds;
    }
}
