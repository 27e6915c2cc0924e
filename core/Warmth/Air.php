<?php

declare(strict_types=1);

namespace Kettle\Warmth;

/** Water vapour and air as a kitchen meets them: pressures in kPa, temperatures in degrees C. */
final class Air
{
    /** Critical point of water: IAPWS SR1-86(1992). */
    private const CRITICAL_K = 647.096;

    private const CRITICAL_KPA = 22_064.0;

    /** Coefficients of Wagner and Pruss's vapour-pressure equation: IAPWS SR1-86(1992). */
    private const WAGNER = [
        [1.0, -7.85951783],
        [1.5, 1.84408259],
        [3.0, -11.7866497],
        [3.5, 22.6807411],
        [4.0, -15.9618719],
        [7.5, 1.80122502],
    ];

    /**
     * Pressure of water vapour over boiling or standing water, from freezing to 200 C.
     *
     * @throws WarmthException outside that
     */
    public static function saturation(float $celsius): float
    {
        if (! is_finite($celsius) || $celsius < 0 || $celsius > 200) {
            throw WarmthException::water($celsius);
        }
        $kelvin = $celsius + 273.15;
        $tau = 1 - $kelvin / self::CRITICAL_K;
        $sum = 0.0;
        foreach (self::WAGNER as [$power, $factor]) {
            $sum += $factor * $tau ** $power;
        }

        return self::CRITICAL_KPA * exp((self::CRITICAL_K / $kelvin) * $sum);
    }

    /** The standard atmosphere's pressure so many metres up: ICAO Doc 7488, 101.325 (1 - 2.25577e-5 h)^5.25588. */
    public static function pressure(float $metres): float
    {
        if (! is_finite($metres) || $metres < -500 || $metres > 6000) {
            throw WarmthException::height($metres);
        }

        return 101.325 * (1 - 2.25577e-5 * $metres) ** 5.25588;
    }

    /** Where water boils under a pressure: saturation() turned round, by halving to a thousandth of a degree. */
    public static function boiling(float $kPa): float
    {
        $low = 1.0;
        $high = 199.0;
        while ($high - $low > 1e-6) {
            $middle = ($low + $high) / 2;
            self::saturation($middle) < $kPa ? ($low = $middle) : ($high = $middle);
        }

        return ($low + $high) / 2;
    }

    /**
     * Heat that turns water to vapour, kJ/kg: a straight line through the steam tables' 2500.9 at 0 and 2257.1 at 100
     * C; a few tenths of a per cent off between.
     */
    public static function latentHeat(float $celsius): float
    {
        return 2500.9 - 2.438 * $celsius;
    }

    /**
     * Water leaving an open surface below the boil, kg/s: A (p_w - p_a)(0.089 + 0.0782 v) / Y.
     * ASHRAE Handbook, HVAC Applications, evaporation from an open water surface.
     *
     * @param  float  $m2 of open water
     * @param  float  $airKPa pressure of vapour in the air
     * @param  float  $airSpeed m/s over the water
     */
    public static function evaporation(float $m2, float $celsius, float $airKPa, float $airSpeed = 0.0): float
    {
        return max(0.0, ($m2 * (self::saturation($celsius) - $airKPa) * (0.089 + 0.0782 * $airSpeed)) / self::latentHeat($celsius));
    }
}
