<?php

declare(strict_types=1);

namespace Kettle\Warmth;

/**
 * A jar of oil in the sun, as one lump: on a window sill, or out of doors by day and indoors by night.
 *
 * Sunlight under a clear sky after Haurwitz; what clouds leave of it, 1 - 0.75 n^3.4, after Kasten and
 * Czeplak 1980 (Solar Energy 24), from memory. How it falls on the jar, what the glass and the bag take,
 * and how the jar loses heat are from memory and coarse: a model, with a range.
 */
final readonly class SunJar
{
    /** A jar this warm feels warm to the hand: what "warm hours" of a sunny sill counts, degrees C. Common practice, no source. */
    public const WARM_C = 25.0;

    /** Hours on the sill count for more than on the shelf by 2^((T - room)/10), the common rule. */
    private const Q10 = 2.0;

    /** Less than this much gained over the shelf is not worth calling sun. */
    public const WORTH = 1.1;

    /** Natural convection and radiation from a jar in still air, W/(m2 K). */
    private const LOSS = 9.0;

    private const THROUGH_GLASS = 0.8;

    private const STEP_S = 600;

    /**
     * @param  ?float  $facing bearing of the window, degrees from north by east; null out of doors
     */
    private function __construct(
        private Sun $sun,
        private float $diameterMm,
        private float $levelMm,
        private float $joulesPerK,
        private ?float $facing,
        private bool $bag,
        private float $roomC,
        private float $gain,
    ) {}

    /**
     * @param  array{diameter_mm: float, level_mm: float, oil_kg: float, herb_kg: float, glass_kg: float}  $jar
     * @param  float  $gain more or less sunlight taken in than the model says, as a factor: for its range
     */
    public static function of(Sun $sun, array $jar, ?float $facing, bool $bag, float $roomC, float $gain = 1.0): self
    {
        return new self(
            $sun,
            $jar['diameter_mm'] + 6,
            max(10.0, $jar['level_mm']),
            max(50.0, Pot::jars($jar['oil_kg'], $jar['herb_kg'], $jar['glass_kg'])),
            $facing,
            $bag,
            $roomC,
            $gain,
        );
    }

    /**
     * Day by day, from midnight to midnight of the house's clock.
     *
     * @param  list<array{day: \DateTimeImmutable, cloud: float, low_c: float, high_c: float}>  $days clouds 0 (none) to 1 (overcast)
     * @return list<array{day: string, mean_c: float, peak_c: float, warm_h: float, shelf_h: float, path: list<float>}>
     *     shelf_h: what the day was worth, in hours on the shelf; path: degrees C at each full hour
     */
    public function through(array $days): array
    {
        $rows = [];
        $celsius = $this->roomC;
        $area = (M_PI * $this->diameterMm * $this->levelMm) / 1e6;
        $facade = ($this->diameterMm * $this->levelMm) / 1e6;
        $loss = self::LOSS * $area * ($this->bag ? 0.8 : 1.0);
        $takes = ($this->bag ? 0.5 : 0.6) * $this->gain * ($this->facing === null ? 1.0 : self::THROUGH_GLASS);
        $fades = exp((-$loss * self::STEP_S) / $this->joulesPerK);
        foreach ($days as $day) {
            $clear = 1 - 0.75 * max(0.0, min(1.0, $day['cloud'])) ** 3.4;
            // Of the light that is left, what comes straight: most of it from a clear sky, none from a grey one.
            $straight = 0.85 * (1 - max(0.0, min(1.0, $day['cloud']))) ** 0.8;
            $sum = $warm = $worth = 0.0;
            $peak = -100.0;
            $path = [];
            for ($s = 0; $s < 86400; $s += self::STEP_S) {
                $moment = $day['day']->modify("+{$s} seconds");
                $place = $this->sun->position($moment);
                $level = Sun::clearSky($place['height']) * $clear;
                $watts = 0.0;
                if ($level > 0) {
                    $height = deg2rad($place['height']);
                    $seen = $this->facing === null || cos(deg2rad($place['bearing'] - $this->facing)) > 0.09;
                    $beam = $seen ? min(950.0, ($level * $straight) / max(0.05, sin($height))) : 0.0;
                    $watts =
                        $takes *
                        ($beam * $facade * cos($height) + $level * (1 - $straight) * $area * ($this->facing === null ? 0.5 : 0.25));
                }
                $hour = $s / 3600;
                $air =
                    $this->facing === null && $place['height'] > 0
                        ? ($day['low_c'] + $day['high_c']) / 2 + (($day['high_c'] - $day['low_c']) / 2) * cos((($hour - 15) / 12) * M_PI)
                        : $this->roomC;
                $settles = $air + $watts / $loss;
                $celsius = $settles + ($celsius - $settles) * $fades;
                $sum += $celsius;
                $peak = max($peak, $celsius);
                $warm += $celsius >= self::WARM_C ? self::STEP_S / 3600 : 0.0;
                $worth += (self::STEP_S / 3600) * self::Q10 ** (($celsius - $this->roomC) / 10);
                if ($s % 3600 === 0) {
                    $path[] = round($celsius, 2);
                }
            }
            $rows[] = [
                'day' => $day['day']->format('Y-m-d'),
                'mean_c' => $sum / (86400 / self::STEP_S),
                'peak_c' => $peak,
                'warm_h' => $warm,
                'shelf_h' => $worth,
                'path' => $path,
            ];
        }

        return $rows;
    }
}
