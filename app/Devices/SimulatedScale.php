<?php

namespace App\Devices;

/**
 * A kitchen scale that is not there: to the gram, up to five kilograms, unsteady for a moment after
 * something is put on it, and a little out.
 */
final readonly class SimulatedScale
{
    public const MOST_G = 5000.0;

    private const STEADY_AFTER_S = 2.0;

    /** How far it swings at first, as a share of what was put on. */
    private const SWING = 0.08;

    /** Out by so much of what it weighs: a cheap scale, not looked after. */
    private const OUT = 0.002;

    /**
     * @param  float  $load g on it now
     * @param  float  $tare g it takes off
     * @param  float  $sinceS seconds since something was put on or taken off
     * @param  int  $seed of its unsteadiness
     * @return array{grams: float, stable: bool, over: bool}
     */
    public function reads(float $load, float $tare, float $sinceS, int $seed): array
    {
        if ($load > self::MOST_G) {
            return ['grams' => 0.0, 'stable' => true, 'over' => true];
        }
        $stable = $sinceS >= self::STEADY_AFTER_S;
        $swing = $stable ? 0.0 : self::SWING * $load * exp(-1.6 * $sinceS) * sin($seed + 9 * $sinceS);

        return ['grams' => round($load * (1 + self::OUT) + $swing - $tare * (1 + self::OUT)), 'stable' => $stable, 'over' => false];
    }
}
