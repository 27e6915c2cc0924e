<?php

declare(strict_types=1);

namespace Kettle\Vessel;

/**
 * Jars standing in a cooker of water: where each stands, how high the water goes, how much to pour,
 * whether a jar would float, and below what level to top up.
 */
final readonly class WaterBath
{
    /** Glass of a preserving jar is about 3 mm thick: from memory. */
    public const WALL_MM = 3.0;

    /** g/mL: soda-lime glass, from memory. */
    private const GLASS = 2.5;

    /** Water at 50 C, g/mL: 0.988. */
    private const WATER = 0.988;

    /** Water to an inch below the rim, or a quarter of the way up: two schools; half way up a bowl. Common practice. */
    public const DEPTHS = [
        'rim' => 'to an inch below the rim',
        'quarter' => 'a quarter of the way up',
        'half' => 'half way up',
        self::NONE => 'none',
    ];

    /** For what holds its own warmth. */
    public const NONE = 'none';

    /** Water that is poured in hand-hot, degrees C: common practice. */
    public const HAND_HOT_C = 45.0;

    private const BELOW_RIM_MM = 25.4;

    /** Below the cooker's own rim, so that nothing spills over, mm. */
    private const BELOW_COOKER_MM = 15.0;

    /** Jars begin to lift a little before they float: the share of their weight that may be borne. */
    private const LIFT = 0.9;

    /**
     * @param  list<array{x: float, y: float, d: float, height: float, level: float, bed: float, floats_at: ?float,
     *     called: string}>  $jars mm
     * @param  float  $fullMm water to begin with
     * @param  float  $lowMm water below which to top up
     */
    private function __construct(
        public Cooker $cooker,
        public array $jars,
        public float $fullMm,
        public float $lowMm,
        public bool $heldByFloating,
        public float $jarsM2,
    ) {}

    /**
     * @param  list<array{called: string, brim_ml: float, height_mm: float, diameter_mm: float, level_mm: float,
     *     bed_mm: float, contents_g: float}>  $jars
     * @param  string  $depth one of DEPTHS
     *
     * @throws CookerException when they do not stand in it
     */
    public static function of(Cooker $cooker, array $jars, string $depth = 'rim'): self
    {
        if ($jars === []) {
            throw CookerException::noJars();
        }
        if (count($jars) > 24) {
            throw CookerException::tooMany();
        }
        $widths = array_map(fn (array $jar) => $jar['diameter_mm'] + 2 * self::WALL_MM, $jars);
        $places = Packing::place($cooker, $widths);
        if ($places === null) {
            $fit = count($jars) - 1;
            while ($fit > 0 && Packing::place($cooker, array_slice($widths, 0, $fit)) === null) {
                $fit--;
            }
            throw CookerException::noRoom($cooker->called, count($jars), $fit);
        }
        $standing = [];
        $full = $cooker->heightMm - self::BELOW_COOKER_MM;
        $held = false;
        foreach ($jars as $i => $jar) {
            $height = $jar['height_mm'] + 2 * self::WALL_MM;
            $area = (M_PI / 4) * $widths[$i] ** 2;
            $grams = self::glassG($jar['diameter_mm'], $jar['height_mm']) + $jar['contents_g'];
            $floatsAt = ($grams * 1000) / (self::WATER * $area);
            $want = match ($depth) {
                'quarter' => $height / 4,
                'half' => $height / 2,
                self::NONE => 0.0,
                default => $height - self::BELOW_RIM_MM,
            };
            if ($floatsAt * self::LIFT < min($want, $full)) {
                $held = true;
                $want = $floatsAt * self::LIFT;
            }
            $full = min($full, $want);
            $standing[] = [
                ...$places[$i],
                'height' => $height,
                'level' => $jar['level_mm'] + self::WALL_MM,
                'bed' => $jar['bed_mm'] + self::WALL_MM,
                'floats_at' => $floatsAt < $height ? $floatsAt : null,
                'called' => $jar['called'],
            ];
        }
        if ($depth === self::NONE) {
            return new self(
                $cooker,
                array_map(fn (array $jar) => [...$jar, 'floats_at' => null], $standing),
                0.0,
                0.0,
                false,
                self::standOn($widths),
            );
        }
        $full = max(10.0, $full);
        // Water under half the oil leaves the top of it cold; an inch lost is worth topping up in any case.
        $lowest = max(array_column($standing, 'level')) / 2;
        $low = min($full * 0.8, max($full - 25.4, min($lowest, $full * 0.8)));

        return new self($cooker, $standing, $full, $low, $held, self::standOn($widths));
    }

    /** @param  list<float>  $widths mm */
    private static function standOn(array $widths): float
    {
        return array_sum(array_map(fn (float $d) => (M_PI / 4) * $d * $d, $widths)) / 1e6;
    }

    /** Whether there is no water in it. */
    public function isDry(): bool
    {
        return $this->fullMm <= 0.0;
    }

    /** An empty jar, g: its wall and floor, for jars nobody has weighed. */
    public static function glassG(float $diameterMm, float $heightMm): float
    {
        $outside = M_PI * ($diameterMm + self::WALL_MM) * $heightMm + (M_PI / 4) * ($diameterMm + 2 * self::WALL_MM) ** 2;

        return (($outside * self::WALL_MM) / 1000) * self::GLASS;
    }

    /** Water open to the air between the jars, m2. */
    public function openM2(): float
    {
        return $this->isDry() ? 0.0 : max(0.0, $this->cooker->areaM2() - $this->jarsM2);
    }

    /** Water between the jars up to a height, mL. */
    public function waterMl(float $mm): float
    {
        $ml = $this->cooker->areaM2() * $mm * 1000;
        foreach ($this->jars as $jar) {
            $ml -= ((M_PI / 4) * $jar['d'] ** 2 * min($mm, $jar['height'])) / 1000;
        }

        return max(0.0, $ml);
    }

    /** How high so much water stands between the jars, mm. */
    public function heightOf(float $ml): float
    {
        $low = 0.0;
        $high = $this->cooker->heightMm;
        for ($i = 0; $i < 40; $i++) {
            $middle = ($low + $high) / 2;
            $this->waterMl($middle) < $ml ? ($low = $middle) : ($high = $middle);
        }

        return ($low + $high) / 2;
    }
}
