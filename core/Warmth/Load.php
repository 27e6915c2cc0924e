<?php

declare(strict_types=1);

namespace Kettle\Warmth;

use Kettle\Vessel\WaterBath;

/** What stands in a cooker to be warmed: jars of oil and herb, as heat sees them. */
final readonly class Load
{
    /** From the water through the glass into still oil, W/(m2 K): from memory, coarse. */
    public const INTO_JAR = 40.0;

    /** From warm air that touches the glass all round: from memory, coarse. */
    public const FROM_AIR = 10.0;

    /**
     * @param  float  $jPerK heat it takes up for each degree
     * @param  float  $wPerK from the water into it
     * @param  float  $floorM2 of the cooker's floor that it stands on
     * @param  float  $depthMm how deep the water stands round it
     * @param  ?float  $pouredC how warm that is poured in; null for as cold as the room
     */
    private function __construct(
        public float $jPerK,
        public float $wPerK,
        public float $floorM2,
        public float $depthMm,
        public ?float $pouredC = null,
    ) {}

    /**
     * As it was written down.
     *
     * @param  array{j_per_k: float|int, w_per_k: float|int, floor_m2: float|int, depth_mm: float|int,
     *     poured_c: float|int|null}  $stored of toArray()
     */
    public static function of(array $stored): self
    {
        return new self(
            (float) $stored['j_per_k'],
            (float) $stored['w_per_k'],
            (float) $stored['floor_m2'],
            (float) $stored['depth_mm'],
            $stored['poured_c'] === null ? null : (float) $stored['poured_c'],
        );
    }

    /** @return array{j_per_k: float, w_per_k: float, floor_m2: float, depth_mm: float, poured_c: ?float} */
    public function toArray(): array
    {
        return [
            'j_per_k' => round($this->jPerK, 2),
            'w_per_k' => round($this->wPerK, 4),
            'floor_m2' => round($this->floorM2, 6),
            'depth_mm' => round($this->depthMm, 1),
            'poured_c' => $this->pouredC,
        ];
    }

    /**
     * Jars alike.
     *
     * @param  float  $diameterMm inner
     * @param  float  $heightMm inner
     * @param  float  $levelMm of the oil
     * @param  float  $waterPart of its height that stands in water; 0 for none
     * @param  float  $kg oil and herb in each
     * @param  ?float  $pouredC how warm the water is poured in
     * @param  bool  $hangs whether water stands under it too, as under a bowl that hangs in its pot
     */
    public static function jars(
        int $count,
        float $diameterMm,
        float $heightMm,
        float $levelMm,
        float $kg,
        float $waterPart,
        bool $hangs = false,
        ?float $pouredC = null,
    ): self {
        $depth = $heightMm * $waterPart;

        return new self(
            $count * Pot::jars($kg, 0.0, WaterBath::glassG($diameterMm, $heightMm) / 1000),
            ($count *
                ($waterPart > 0
                    ? self::INTO_JAR * self::wetMm2($diameterMm, min($levelMm, $depth), $hangs)
                    : self::FROM_AIR * self::wetMm2($diameterMm, $levelMm, true))) /
                1e6,
            ((($count * M_PI) / 4) * ($diameterMm + 2 * WaterBath::WALL_MM) ** 2) / 1e6,
            $depth,
            $pouredC,
        );
    }

    /** Glass with water, or warm air, on the one side and oil on the other, mm2. */
    public static function wetMm2(float $diameterMm, float $heightMm, bool $under): float
    {
        return M_PI * $diameterMm * $heightMm + ($under ? (M_PI / 4) * $diameterMm ** 2 : 0.0);
    }

    /** @param  non-empty-list<self>  $loads */
    public static function together(array $loads): self
    {
        $all = array_shift($loads);
        foreach ($loads as $more) {
            $all = new self(
                $all->jPerK + $more->jPerK,
                $all->wPerK + $more->wPerK,
                $all->floorM2 + $more->floorM2,
                max($all->depthMm, $more->depthMm),
                $all->pouredC,
            );
        }

        return $all;
    }
}
