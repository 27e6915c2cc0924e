<?php

declare(strict_types=1);

namespace Kettle\Warmth;

/**
 * Hours the oil spent at warmth, gathered reading by reading, so that a log of any length needs no memory.
 *
 * Between two readings the warmth is taken to go straight from one to the other; only the part inside the
 * band counts, each moment by 2^((T - target)/10), the common rule that ten degrees double the rate. A gap
 * longer than the reach is not counted as warm. Minutes over the ceiling and the peak are kept apart.
 */
final class WarmHours
{
    /** Seconds between readings past which nobody knows what the pot did. */
    public const REACH = 1800;

    private const Q10 = 2.0;

    private float $hours = 0.0;

    private float $plainHours = 0.0;

    private float $overSeconds = 0.0;

    private float $gapSeconds = 0.0;

    private ?float $peak = null;

    private ?int $from = null;

    private ?int $last = null;

    private float $lastC = 0.0;

    private int $count = 0;

    private readonly float $rate;

    public function __construct(private readonly Band $band, private readonly int $reach = self::REACH)
    {
        $this->rate = log(self::Q10) / 10;
    }

    /**
     * @param  iterable<array{int, float}>  $readings moment in seconds, and degrees C, in the order of their times
     *
     * @throws WarmthRefused when out of order, doubled, or no warmth of a pot
     */
    public static function over(iterable $readings, Band $band, int $reach = self::REACH): self
    {
        $hours = new self($band, $reach);
        foreach ($readings as [$at, $celsius]) {
            $hours->take($at, $celsius);
        }

        return $hours;
    }

    /** @throws WarmthRefused */
    public function take(int $at, float $celsius): void
    {
        if (! is_finite($celsius) || $celsius < -30 || $celsius > 150) {
            throw WarmthRefused::reading($celsius);
        }
        if ($this->last !== null) {
            $seconds = $at - $this->last;
            if ($seconds <= 0) {
                throw WarmthRefused::order();
            }
            $seconds > $this->reach ? $this->gapSeconds += $seconds : $this->between($this->lastC, $celsius, $seconds);
        }
        $this->from ??= $at;
        $this->last = $at;
        $this->lastC = $celsius;
        $this->peak = max($this->peak ?? $celsius, $celsius);
        $this->count++;
    }

    /** @return array<string, float|int|null> all of it, to go on from later */
    public function kept(): array
    {
        return [
            'hours' => $this->hours, 'plain' => $this->plainHours, 'over_s' => $this->overSeconds, 'gap_s' => $this->gapSeconds,
            'peak' => $this->peak, 'from' => $this->from, 'last' => $this->last, 'last_c' => $this->lastC, 'count' => $this->count,
        ];
    }

    /**
     * Goes on from what was kept.
     *
     * @param  array<string, mixed>  $kept
     */
    public static function goingOn(array $kept, Band $band, int $reach = self::REACH): self
    {
        $number = fn (string $key): ?float => is_int($kept[$key] ?? null) || is_float($kept[$key] ?? null) ? (float) $kept[$key] : null;
        $hours = new self($band, $reach);
        $hours->hours = $number('hours') ?? 0.0;
        $hours->plainHours = $number('plain') ?? 0.0;
        $hours->overSeconds = $number('over_s') ?? 0.0;
        $hours->gapSeconds = $number('gap_s') ?? 0.0;
        $hours->peak = $number('peak');
        $hours->from = $number('from') === null ? null : (int) $number('from');
        $hours->last = $number('last') === null ? null : (int) $number('last');
        $hours->lastC = $number('last_c') ?? 0.0;
        $hours->count = (int) ($number('count') ?? 0);

        return $hours;
    }

    /** @return array{int, float}|null the last reading: moment in seconds, and degrees C */
    public function last(): ?array
    {
        return $this->last === null ? null : [$this->last, $this->lastC];
    }

    /** How fast hours are gathered at a warmth: 1 at the target, 0 outside the band. */
    public function rateAt(float $celsius): float
    {
        return $celsius < $this->band->low || $celsius > $this->band->ceiling ? 0.0 : exp($this->rate * ($celsius - $this->band->target));
    }

    /** Weighted hours at warmth: what the planned hours are measured by. */
    public function hours(): float
    {
        return $this->hours;
    }

    /** Hours inside the band, each counted alike. */
    public function plainHours(): float
    {
        return $this->plainHours;
    }

    public function minutesOver(): float
    {
        return $this->overSeconds / 60;
    }

    public function gapMinutes(): float
    {
        return $this->gapSeconds / 60;
    }

    public function peak(): ?float
    {
        return $this->peak;
    }

    public function count(): int
    {
        return $this->count;
    }

    /** A straight line from one warmth to another over so many seconds. */
    private function between(float $a, float $b, int $seconds): void
    {
        $low = min($a, $b);
        $high = max($a, $b);
        if ($high > $this->band->ceiling) {
            $this->overSeconds += $high - $low < 1e-9 ? $seconds : $seconds * ($high - max($low, $this->band->ceiling)) / ($high - $low);
        }
        $from = max($low, $this->band->low);
        $to = min($high, $this->band->ceiling);
        if ($from > $to) {
            return;
        }
        if ($high - $low < 1e-9) {
            $this->plainHours += $seconds / 3600;
            $this->hours += $seconds / 3600 * exp($this->rate * ($low - $this->band->target));

            return;
        }
        // The integral of 2^((T - target)/10) along a straight line, in closed form.
        $each = $seconds / ($high - $low) / 3600;
        $this->plainHours += $each * ($to - $from);
        $this->hours += $each * (exp($this->rate * ($to - $this->band->target)) - exp($this->rate * ($from - $this->band->target))) / $this->rate;
    }
}
