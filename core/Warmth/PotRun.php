<?php

declare(strict_types=1);

namespace Kettle\Warmth;

/**
 * What a pot does from cold: the two lumps stepped forward by the classical Runge-Kutta rule.
 *
 *   C_w dT_w/dt = P - UA (T_w - T_room) - k (T_w - T_o) - w Y
 *   C_o dT_o/dt = k (T_w - T_o)
 *   dm/dt = -w, with w after ASHRAE below the boil; at the boil T_w stays and w Y is what heat is left over.
 *
 * A model: coarse where the pot's own loss is not learned from a warm-up.
 */
final readonly class PotRun
{
    private const STEP = 20.0;

    /** Jars as warm as the water within so long are not stepped by themselves: the step is too long for it, s. */
    private const FOLLOWS_S = 60.0;

    /**
     * @param  non-empty-list<array{s: float, water: float, oil: float, kg: float}>  $path each so many seconds
     * @param  array{in: float, stored: float, lost: float, steam: float}  $joules that came in, were stored,
     *     went to the room, went with the steam
     */
    private function __construct(public Pot $pot, public array $path, public array $joules) {}

    /**
     * @param  ?float  $startC of water and oil; the room's when null
     * @param  ?float  $oilC of the oil, where it is not the water's
     * @param  float  $keepS seconds between the points kept
     * @param  float  $driestKg at which it is taken to be topped up no more and stops losing water
     */
    public static function of(
        Pot $pot,
        float $hours,
        ?float $startC = null,
        float $keepS = 60.0,
        float $driestKg = 0.05,
        ?float $oilC = null,
    ): self {
        // A pot with no water in it has none to lose.
        $driestKg = min($driestKg, $pot->waterKg);
        $boil = $pot->boilsAt();
        $air = $pot->airKPa();
        $water = $startC ?? $pot->roomC;
        $oil = $oilC ?? $water;
        $kg = $pot->waterKg;
        $path = [['s' => 0.0, 'water' => $water, 'oil' => $oil, 'kg' => $kg]];
        $joules = ['in' => 0.0, 'stored' => 0.0, 'lost' => 0.0, 'steam' => 0.0];
        $next = $keepS;
        $end = $hours * 3600;
        for ($s = 0.0; $s < $end - 1e-9; $s += self::STEP) {
            $h = min(self::STEP, $end - $s);
            [$dWater, $dOil, $dKg, $lost, $steam] = self::step($pot, $water, $oil, $kg, $h, $boil, $air, $driestKg);
            $joules['in'] += $pot->watts * $h;
            $joules['lost'] += $lost;
            $joules['steam'] += $steam;
            // What is stored goes with the water that is left: the heat of what steamed off went with it.
            $joules['stored'] += ($kg * Pot::WATER + $pot->vesselJPerK) * $dWater + $pot->jarsJPerK * $dOil;
            $water += $dWater;
            $oil += $dOil;
            $kg = max($driestKg, $kg + $dKg);
            if ($s + $h >= $next - 1e-9) {
                $path[] = ['s' => $s + $h, 'water' => $water, 'oil' => $oil, 'kg' => $kg];
                $next += $keepS;
            }
        }

        return new self($pot, $path, $joules);
    }

    /**
     * A pot so far on from how it stands now: for a pot watched as it goes.
     *
     * @param  array{water: float, oil: float, kg: float}  $now
     * @return array{water: float, oil: float, kg: float}
     */
    public static function onward(Pot $pot, array $now, float $seconds, float $driestKg = 0.05): array
    {
        $driestKg = min($driestKg, $now['kg']);
        $boil = $pot->boilsAt();
        $air = $pot->airKPa();
        for ($s = 0.0; $s < $seconds - 1e-9; $s += self::STEP) {
            $h = min(self::STEP, $seconds - $s);
            [$dWater, $dOil, $dKg] = self::step($pot, $now['water'], $now['oil'], $now['kg'], $h, $boil, $air, $driestKg);
            $now = ['water' => $now['water'] + $dWater, 'oil' => $now['oil'] + $dOil, 'kg' => max($driestKg, $now['kg'] + $dKg)];
        }

        return $now;
    }

    /** The warmth of water or oil so many seconds on, between the points kept. */
    public function at(float $seconds, string $of = 'oil'): float
    {
        $of = $of === 'water' ? 'water' : 'oil';
        $last = count($this->path) - 1;
        $step = $last > 0 ? $this->path[1]['s'] : 1.0;
        $i = max(0, min($last, (int) floor($seconds / $step)));
        $a = $this->path[$i];
        $b = $this->path[min($last, $i + 1)];

        return $b['s'] <= $a['s'] ? $a[$of] : $a[$of] + ($b[$of] - $a[$of]) * min(1.0, ($seconds - $a['s']) / ($b['s'] - $a['s']));
    }

    /** Seconds until the oil first reaches a warmth; null when it does not. */
    public function reaches(float $celsius): ?float
    {
        $before = $this->path[0];
        foreach ($this->path as $point) {
            if ($point['oil'] >= $celsius) {
                $rise = $point['oil'] - $before['oil'];

                return $rise <= 0 ? $point['s'] : $before['s'] + (($point['s'] - $before['s']) * ($celsius - $before['oil'])) / $rise;
            }
            $before = $point;
        }

        return null;
    }

    /** The oil's warmth at the end. */
    public function settles(): float
    {
        return $this->path[count($this->path) - 1]['oil'];
    }

    public function peak(): float
    {
        return max(array_column($this->path, 'oil'));
    }

    /**
     * @return array{float, float, float, float, float} changes of water and oil (K) and water (kg),
     *     heat to the room and with the steam (J)
     */
    private static function step(Pot $pot, float $water, float $oil, float $kg, float $h, float $boil, float $air, float $driest): array
    {
        // Jars that take up so little that they follow the water at once, or none, are one lump with it.
        $apart = $pot->jarsJPerK > self::FOLLOWS_S * $pot->jarsWPerK;
        $capacity = $kg * Pot::WATER + $pot->vesselJPerK + ($apart ? 0.0 : $pot->jarsJPerK);
        $rates = function (float $w, float $o) use ($pot, $capacity, $boil, $air, $kg, $driest, $apart): array {
            $lost = $pot->lossWPerK * ($w - $pot->roomC);
            $across = $apart ? $pot->jarsWPerK * (min($w, $boil) - $o) : 0.0;
            $wet = $kg > $driest + 1e-9;
            $below = $wet && $pot->openM2 > 0 ? Air::evaporation($pot->openM2, min($w, $boil), $air) : 0.0;
            $steam = $below * Air::latentHeat(min($w, $boil)) * 1000;
            $left = $pot->watts - $lost - $across - $steam;
            // At the boil the water gets no hotter: what heat is left over leaves as steam.
            if ($wet && $w >= $boil && $left > 0) {
                $steam += $left;
                $left = 0.0;
            }
            $gone = $steam / (Air::latentHeat(min($w, $boil)) * 1000);

            return [$left / $capacity, $apart ? $across / $pot->jarsJPerK : 0.0, -$gone, $lost, $steam];
        };
        $a = $rates($water, $oil);
        $b = $rates($water + ($a[0] * $h) / 2, $oil + ($a[1] * $h) / 2);
        $c = $rates($water + ($b[0] * $h) / 2, $oil + ($b[1] * $h) / 2);
        $d = $rates($water + $c[0] * $h, $oil + $c[1] * $h);
        $mean = fn (int $i): float => (($a[$i] + 2 * $b[$i] + 2 * $c[$i] + $d[$i]) / 6) * $h;
        // In the step that comes to the boil, what would have heated the water past it leaves as steam; a
        // vessel that has no more to give loses it to the room.
        $dWater = min($mean(0), $boil - $water);
        $past = max(0.0, $mean(0) - $dWater) * $capacity;
        $wet = $kg > $driest + 1e-9;

        return [
            $dWater,
            $apart ? $mean(1) : $water + $dWater - $oil,
            $mean(2) - ($wet ? $past / (Air::latentHeat($boil) * 1000) : 0.0),
            $mean(3) + ($wet ? 0.0 : $past),
            $mean(4) + ($wet ? $past : 0.0),
        ];
    }
}
