<?php

declare(strict_types=1);

namespace Kettle\Warmth;

use Kettle\Vessel\Cooker;

/**
 * How long a cooker takes to get what stands in it warm: the two lumps of PotRun in long implicit steps, and all its
 * water from the first to the last, quick enough for every plan. Within a tenth of PotRun.
 */
final class Heater
{
    /** Water stays this far below the cooker's rim, mm. */
    private const BELOW_RIM_MM = 15.0;

    /** Seconds of a step, and how many are waited for: a pot that is not warm after a day is not. */
    private const STEP_S = 60.0;

    private const MOST_STEPS = 1440;

    /** Half damp air: from memory. */
    private const HUMIDITY = 0.5;

    /** @var array<int, array<int, float>> by the room's degrees and the water's */
    private static array $steam = [];

    /**
     * @param  non-empty-list<array{name: string, watts: float}>  $settings
     * @param  bool  $water whether jars stand in water in it
     */
    public function __construct(
        public readonly Cooker $cooker,
        public readonly array $settings,
        public readonly float $lossWPerK,
        public readonly float $vesselJPerK,
        public readonly bool $water = true,
        public readonly bool $learned = false,
    ) {}

    /**
     * On the quickest setting that keeps the ceiling; where none does, on the gentlest that gets it warm.
     *
     * @return array{min: int, setting: string}|null null where no setting gets it warm
     */
    public function warmUp(Load $load, Band $band, float $roomC): ?array
    {
        // More heat is quicker: of those that keep the ceiling the hottest, else the least that gets there.
        $holds = $past = null;
        foreach ($this->settings as $setting) {
            $reaches = $this->heatLeft($setting['watts'], $band->low, $load, $roomC) > 0;
            $keeps = $this->heatLeft($setting['watts'], $band->ceiling, $load, $roomC) <= 0;
            if ($reaches && $keeps && ($holds === null || $setting['watts'] > $holds['watts'])) {
                $holds = $setting;
            } elseif ($reaches && ! $keeps && ($past === null || $setting['watts'] < $past['watts'])) {
                $past = $setting;
            }
        }
        $taken = $holds ?? $past;

        return $taken === null ? null : ['min' => $this->minutes($taken['watts'], $load, $roomC, $band->low), 'setting' => $taken['name']];
    }

    /** Minutes until the oil is so warm, on a setting that gets it there: both lumps at once, in implicit steps. */
    private function minutes(float $watts, Load $load, float $roomC, float $celsius): int
    {
        $kg = $this->waterKg($load);
        $inWater = $kg * Pot::WATER + $this->vesselJPerK;
        $water = $load->pouredC ?? $roomC;
        $oil = $roomC;
        $into = $load->jPerK > 0 ? (self::STEP_S * $load->wPerK) / $load->jPerK : 0.0;
        for ($steps = 0; $oil < $celsius && $steps < self::MOST_STEPS; $steps++) {
            $heat = self::STEP_S * $this->heatLeft($watts, $water, $load, $roomC);
            // T_o' = (T_o + a T_w') / (1 + a), and what goes into the oil comes out of the water.
            $share = ($load->jPerK * $into) / (1 + $into);
            $next = ($inWater * $water + $heat + $share * $oil) / ($inWater + $share);
            [$water, $oil] = [$next, ($oil + $into * $next) / (1 + $into)];
        }

        return (int) ceil(($steps * self::STEP_S) / 60);
    }

    /** What heats it at a warmth, after the room and the steam have had theirs, W. */
    private function heatLeft(float $watts, float $celsius, Load $load, float $roomC): float
    {
        return $watts -
            $this->lossWPerK * ($celsius - $roomC) -
            ($this->water ? $this->openM2($load) * self::steam($celsius, $roomC) : 0.0);
    }

    /** Heat that leaves with the steam of a square metre, W: between whole degrees on a straight line, each reckoned once. */
    private static function steam(float $celsius, float $roomC): float
    {
        $room = (int) round($roomC);
        $low = (int) floor($celsius);
        $at = fn (int $whole): float => (self::$steam[$room][$whole] ??=
            Air::evaporation(1.0, $whole, Air::saturation($room) * self::HUMIDITY) * Air::latentHeat($whole) * 1000);

        return $at($low) + ($celsius - $low) * ($at($low + 1) - $at($low));
    }

    private function openM2(Load $load): float
    {
        return max(0.1 * $this->cooker->areaM2(), $this->cooker->areaM2() - $load->floorM2);
    }

    private function waterKg(Load $load): float
    {
        return $this->water ? $this->openM2($load) * min($load->depthMm, $this->cooker->heightMm - self::BELOW_RIM_MM) : 0.0;
    }
}
