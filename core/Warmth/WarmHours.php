<?php

declare(strict_types=1);

namespace Kettle\Warmth;

/**
 * Hours the oil spent at warmth, gathered reading by reading, so that a log of any length needs no memory.
 *
 * Between two readings the warmth is taken to go straight from one to the other; only the part inside the
 * band counts, each moment by 2^((T - target)/10), the common rule that ten degrees double the rate. A gap
 * longer than the reach is not counted as warm. Minutes over the ceiling and the peak are kept apart: a reading
 * over it stands for half the time to each of its neighbours at the least, however far apart they are.
 */
final class WarmHours
{
    /** Seconds between readings past which nobody knows what the pot did. */
    public const REACH = 1800;

    /** Somebody's own eye reads seldomer: as far as this a gap is bridged where readings come so, s. */
    public const REACH_SELDOM = 7200;

    /** A gap so many times the usual one is no gap between readings but one in them. */
    private const TIMES_USUAL = 1.6;

    private const Q10 = 2.0;

    private float $hours = 0.0;

    private float $plainHours = 0.0;

    private float $overSeconds = 0.0;

    private float $seldomHours = 0.0;

    private float $gapSeconds = 0.0;

    private ?float $peak = null;

    private ?int $from = null;

    private ?int $last = null;

    private float $lastC = 0.0;

    private ?float $lastWorth = null;

    private int $count = 0;

    private readonly float $rate;

    // The band's own, at hand: a long log asks for them a million times.
    private readonly float $low;

    private readonly float $target;

    private readonly float $ceiling;

    public function __construct(Band $band, private readonly int $reach = self::REACH)
    {
        $this->rate = log(self::Q10) / 10;
        $this->low = $band->low;
        $this->target = $band->target;
        $this->ceiling = $band->ceiling;
    }

    /**
     * @param  iterable<array{int, float}>  $readings moment in seconds, and degrees C, in the order of their times
     *
     * @throws WarmthException when out of order, doubled, or no warmth of a pot
     */
    public static function over(iterable $readings, Band $band, int $reach = self::REACH): self
    {
        $hours = new self($band, $reach);
        foreach ($readings as [$at, $celsius]) {
            $hours->take($at, $celsius);
        }

        return $hours;
    }

    /** @throws WarmthException */
    public function take(int $at, float $celsius): void
    {
        if (! ($celsius >= -30 && $celsius <= 150)) {
            throw WarmthException::reading($celsius);
        }
        // How fast hours are gathered at this warmth: reckoned once for the line to it and the line from it.
        $worth = exp($this->rate * ($celsius - $this->target));
        if ($this->last !== null) {
            $seconds = $at - $this->last;
            if ($seconds <= 0) {
                throw WarmthException::order();
            }
            $over = $this->overSeconds;
            $hours = $this->hours;
            if ($seconds > $this->reach) {
                $this->gapSeconds += $seconds;
            } else {
                $this->between(
                    $this->lastC,
                    $celsius,
                    $seconds,
                    $this->lastWorth ?? exp($this->rate * ($this->lastC - $this->target)),
                    $worth,
                );
                if ($seconds > self::REACH) {
                    $this->seldomHours += $this->hours - $hours;
                }
            }
            if ($this->lastC > $this->ceiling || $celsius > $this->ceiling) {
                $share = min($seconds, $this->reach) / 2;
                $least = ($this->lastC > $this->ceiling ? $share : 0.0) + ($celsius > $this->ceiling ? $share : 0.0);
                $this->overSeconds = max($this->overSeconds, $over + $least);
            }
        } else {
            $this->from = $at;
        }
        $this->last = $at;
        $this->lastC = $celsius;
        $this->lastWorth = $worth;
        if ($this->peak === null || $celsius > $this->peak) {
            $this->peak = $celsius;
        }
        $this->count++;
    }

    /** @return array<string, float|int|null> all of it, to go on from later */
    public function toArray(): array
    {
        return [
            'hours' => $this->hours,
            'plain' => $this->plainHours,
            'over_s' => $this->overSeconds,
            'gap_s' => $this->gapSeconds,
            'seldom' => $this->seldomHours,
            'peak' => $this->peak,
            'from' => $this->from,
            'last' => $this->last,
            'last_c' => $this->lastC,
            'count' => $this->count,
        ];
    }

    /**
     * Goes on from what was kept.
     *
     * @param  array<string, mixed>  $stored
     */
    public static function goingOn(array $stored, Band $band, int $reach = self::REACH): self
    {
        $number = fn (string $key): ?float => is_int($stored[$key] ?? null) || is_float($stored[$key] ?? null)
            ? (float) $stored[$key]
            : null;
        $hours = new self($band, $reach);
        $hours->hours = $number('hours') ?? 0.0;
        $hours->plainHours = $number('plain') ?? 0.0;
        $hours->overSeconds = $number('over_s') ?? 0.0;
        $hours->gapSeconds = $number('gap_s') ?? 0.0;
        $hours->seldomHours = $number('seldom') ?? 0.0;
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
        return $celsius < $this->low || $celsius > $this->ceiling ? 0.0 : exp($this->rate * ($celsius - $this->target));
    }

    /** Weighted hours at warmth: what the planned hours are measured by. */
    public function hours(): float
    {
        return $this->hours;
    }

    /**
     * What the hours may really have been: between readings that come seldom the pot may have been out of the band
     * for half of the time, or warmer by a quarter. Our own bound, no source.
     *
     * @return array{low: float, high: float}
     */
    public function range(): array
    {
        return ['low' => $this->hours - $this->seldomHours / 2, 'high' => $this->hours + $this->seldomHours / 4];
    }

    /**
     * How far a gap is bridged in a log, by how often its readings come: by their usual gap, s.
     *
     * @param  list<array{int, float}>  $readings in the order of their times
     */
    public static function reachOf(array $readings): int
    {
        $gaps = [];
        for ($i = 1; $i < count($readings); $i++) {
            $gaps[] = $readings[$i][0] - $readings[$i - 1][0];
        }
        if ($gaps === []) {
            return self::REACH;
        }
        sort($gaps);

        return (int) max(self::REACH, min(self::REACH_SELDOM, self::TIMES_USUAL * $gaps[intdiv(count($gaps), 2)]));
    }

    /** Hours inside the band, each counted alike. */
    public function plainHours(): float
    {
        return $this->plainHours;
    }

    public function minutesOver(): float
    {
        // One reading over the ceiling, and none beside it, is told as a minute.
        return $this->peak !== null && $this->peak > $this->ceiling ? max(1.0, $this->overSeconds / 60) : $this->overSeconds / 60;
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

    /** A straight line from one warmth to another over so many seconds; with what each end is worth. */
    private function between(float $a, float $b, int $seconds, float $worthA, float $worthB): void
    {
        $low = $this->low;
        $ceiling = $this->ceiling;
        $rise = $b - $a;
        if ($a >= $low && $b >= $low && $a <= $ceiling && $b <= $ceiling) {
            // The integral of 2^((T - target)/10) along a straight line, in closed form.
            $this->plainHours += $seconds / 3600;
            $this->hours +=
                $rise > 1e-6 || $rise < -1e-6
                    ? (($seconds / 3600) * ($worthB - $worthA)) / ($rise * $this->rate)
                    : ($seconds / 3600) * $worthA;

            return;
        }
        [$least, $most] = $rise < 0 ? [$b, $a] : [$a, $b];
        if ($most > $ceiling) {
            $this->overSeconds += $most - $least < 1e-9 ? $seconds : ($seconds * ($most - max($least, $ceiling))) / ($most - $least);
        }
        $from = max($least, $low);
        $to = min($most, $ceiling);
        if ($from > $to) {
            return;
        }
        $each = $seconds / ($most - $least) / 3600;
        $this->plainHours += $each * ($to - $from);
        $this->hours += ($each * (exp($this->rate * ($to - $this->target)) - exp($this->rate * ($from - $this->target)))) / $this->rate;
    }
}
