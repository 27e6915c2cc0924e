<?php

declare(strict_types=1);

namespace Kettle\Warmth;

/**
 * A water bath as two lumps: the water with its vessel, and the oil in its jars. SI units: W, W/K, J/K, kg,
 * m2, degrees C.
 */
final readonly class Pot
{
    /** J/(kg K) */
    public const WATER = 4186.0;

    /** Vegetable oil, J/(kg K): from memory, about 2000 at 50 C. */
    public const OIL = 2000.0;

    /** Glass, J/(kg K): from memory. */
    public const GLASS = 840.0;

    /**
     * @param  float  $watts of the setting
     * @param  float  $lossWPerK through wall, lid and stand, to the room
     * @param  float  $waterKg to begin with
     * @param  float  $vesselJPerK heat the vessel takes up for each degree
     * @param  float  $openM2 water surface open to the air; 0 under a lid
     * @param  float  $jarsJPerK heat that jars, oil and herb take up
     * @param  float  $jarsWPerK from the water to the oil
     */
    private function __construct(
        public float $watts,
        public float $lossWPerK,
        public float $waterKg,
        public float $vesselJPerK,
        public float $openM2,
        public float $jarsJPerK,
        public float $jarsWPerK,
        public float $roomC,
        public float $heightM,
        public float $humidity,
    ) {}

    /**
     * @param  array<string, float>  $of watts, loss_w_per_k, water_kg and what differs from a house's slow cooker
     *
     * @throws WarmthException when a part is out of what a kitchen has
     */
    public static function of(array $of): self
    {
        $given = $of + [
            'vessel_j_per_k' => 2500.0,
            'open_m2' => 0.03,
            'jars_j_per_k' => 0.0,
            'jars_w_per_k' => 5.0,
            'room_c' => 18.0,
            'height_m' => 0.0,
            'humidity' => 0.5,
        ];
        foreach (
            [
                ['watts', 'The heat', 0, 5000, 'W'],
                ['loss_w_per_k', 'The loss', 0.05, 50, 'W for each degree'],
                ['water_kg', 'The water', 0, 50, 'kg'],
                ['vessel_j_per_k', 'The vessel', 0, 50_000, 'J for each degree'],
                ['open_m2', 'The open water', 0, 0.5, 'm²'],
                ['jars_j_per_k', 'The jars', 0, 100_000, 'J for each degree'],
                ['jars_w_per_k', 'The way into the jars', 0, 200, 'W for each degree'],
                ['room_c', 'The room', 0, 45, '°C'],
                ['height_m', 'The height', -500, 6000, 'm'],
                ['humidity', 'The damp of the air', 0, 1, 'of what it can hold'],
            ] as [$field, $what, $least, $most, $unit]
        ) {
            $value = $given[$field] ?? NAN;
            if (! is_finite($value) || $value < $least || $value > $most) {
                throw WarmthException::pot($what, $field, $least, $most, $unit);
            }
        }

        return new self(
            $given['watts'],
            $given['loss_w_per_k'],
            $given['water_kg'],
            $given['vessel_j_per_k'],
            $given['open_m2'],
            $given['jars_j_per_k'],
            $given['jars_w_per_k'],
            $given['room_c'],
            $given['height_m'],
            $given['humidity'],
        );
    }

    /**
     * The same pot with other parts.
     *
     * @param  array<string, float>  $of as of() takes them
     */
    public function with(array $of): self
    {
        return self::of(
            $of + [
                'watts' => $this->watts,
                'loss_w_per_k' => $this->lossWPerK,
                'water_kg' => $this->waterKg,
                'vessel_j_per_k' => $this->vesselJPerK,
                'open_m2' => $this->openM2,
                'jars_j_per_k' => $this->jarsJPerK,
                'jars_w_per_k' => $this->jarsWPerK,
                'room_c' => $this->roomC,
                'height_m' => $this->heightM,
                'humidity' => $this->humidity,
            ],
        );
    }

    /** Heat that so much oil, herb and glass takes up, J/K; herb is taken as oil. */
    public static function jars(float $oilKg, float $herbKg, float $glassKg): float
    {
        return ($oilKg + $herbKg) * self::OIL + $glassKg * self::GLASS;
    }

    public function boilsAt(): float
    {
        return Air::boiling(Air::pressure($this->heightM));
    }

    /** Water that goes at a warmth, kg/s: below the boil by evaporation, at it by what heat is left over. */
    public function losesAt(float $celsius): float
    {
        $boil = $this->boilsAt();
        $at = min($celsius, $boil);
        $below = $this->openM2 > 0 ? Air::evaporation($this->openM2, $at, $this->airKPa()) : 0.0;
        $left = $this->watts - $this->lossWPerK * ($boil - $this->roomC);

        return $celsius < $boil - 1e-6 ? $below : max($below, $left / (Air::latentHeat($boil) * 1000));
    }

    /**
     * Where it comes to rest with its water topped up, degrees C: what comes in goes to the room and with the steam,
     * P = UA (T - T_room) + w(T) Y(T). Found by halving, for the right side only grows with T. Oil and water are then
     * alike.
     */
    public function steady(): float
    {
        [$low, $high] = [$this->roomC, max($this->roomC, $this->boilsAt())];
        $left = fn (float $t): float => $this->watts -
            $this->lossWPerK * ($t - $this->roomC) -
            ($this->openM2 > 0 ? Air::evaporation($this->openM2, $t, $this->airKPa()) * Air::latentHeat($t) * 1000 : 0.0);
        if ($left($high) >= 0) {
            return $high;
        }
        for ($i = 0; $i < 60; $i++) {
            $middle = ($low + $high) / 2;
            $left($middle) > 0 ? ($low = $middle) : ($high = $middle);
        }

        return ($low + $high) / 2;
    }

    public function airKPa(): float
    {
        return Air::saturation($this->roomC) * $this->humidity;
    }
}
