<?php

declare(strict_types=1);

namespace Kettle\Warmth;

/**
 * Where the sun stands over a place, and for how long: the low-precision formulae of the Astronomical
 * Almanac as NOAA's solar calculator has them (Meeus, Astronomical Algorithms, ch. 25), good to about a
 * hundredth of a degree this century.
 */
final readonly class Sun
{
    /** Height of the sun's middle at rising and setting: refraction and its own half width, degrees. */
    private const RISING = -0.833;

    private function __construct(public float $latitude, public float $longitude) {}

    /** @throws WarmthException */
    public static function over(float $latitude, float $longitude): self
    {
        if (! is_finite($latitude) || ! is_finite($longitude) || abs($latitude) > 90 || abs($longitude) > 180) {
            throw WarmthException::place();
        }

        return new self($latitude, $longitude);
    }

    /** @return array{height: float, bearing: float} degrees above the horizon (no refraction), and from north by east */
    public function position(\DateTimeInterface $moment): array
    {
        [$declination, $equation] = self::orbit($moment);
        $utc = ($moment->getTimestamp() % 86400) / 60;
        $hourAngle = deg2rad(($utc + $equation + 4 * $this->longitude) / 4 - 180);
        $latitude = deg2rad($this->latitude);
        $sine = sin($latitude) * sin($declination) + cos($latitude) * cos($declination) * cos($hourAngle);
        $bearing = rad2deg(atan2(sin($hourAngle), cos($hourAngle) * sin($latitude) - tan($declination) * cos($latitude))) + 180;

        return ['height' => rad2deg(asin(max(-1.0, min(1.0, $sine)))), 'bearing' => fmod($bearing + 360, 360)];
    }

    /** Hours from rising to setting on a day, 0 to 24. */
    public function dayLength(\DateTimeInterface $day): float
    {
        $noon = (new \DateTimeImmutable($day->format('Y-m-d').'T12:00:00Z'))->modify(
            sprintf('%+d minutes', (int) round(-4 * $this->longitude)),
        );
        [$declination] = self::orbit($noon);
        $latitude = deg2rad(max(-89.999, min(89.999, $this->latitude)));
        $cosine = (sin(deg2rad(self::RISING)) - sin($latitude) * sin($declination)) / (cos($latitude) * cos($declination));

        return match (true) {
            $cosine <= -1 => 24.0,
            $cosine >= 1 => 0.0,
            default => (2 * rad2deg(acos($cosine))) / 15,
        };
    }

    /** Sunlight on level ground under a clear sky, W/m2: 1098 sin h exp(-0.057 / sin h), Haurwitz 1945, from memory. */
    public static function clearSky(float $height): float
    {
        $sine = sin(deg2rad($height));

        return $sine <= 0.01 ? 0.0 : 1098 * $sine * exp(-0.057 / $sine);
    }

    /** @return array{float, float} declination in radians, equation of time in minutes */
    private static function orbit(\DateTimeInterface $moment): array
    {
        $t = ($moment->getTimestamp() / 86400 + 2440587.5 - 2451545.0) / 36525;
        $meanLongitude = deg2rad(fmod(280.46646 + $t * (36000.76983 + $t * 0.0003032), 360));
        $anomaly = deg2rad(357.52911 + $t * (35999.05029 - 0.0001537 * $t));
        $eccentricity = 0.016708634 - $t * (0.000042037 + 0.0000001267 * $t);
        $centre = deg2rad(
            sin($anomaly) * (1.914602 - $t * (0.004817 + 0.000014 * $t)) +
                sin(2 * $anomaly) * (0.019993 - 0.000101 * $t) +
                sin(3 * $anomaly) * 0.000289,
        );
        $node = deg2rad(125.04 - 1934.136 * $t);
        $apparent = $meanLongitude + $centre - deg2rad(0.00569 + 0.00478 * sin($node));
        $tilt = deg2rad(23.439291 - $t * (0.0130042 + 0.00000016 * $t) + 0.00256 * cos($node));
        $y = tan($tilt / 2) ** 2;
        $equation =
            4 *
            rad2deg(
                $y * sin(2 * $meanLongitude) -
                    2 * $eccentricity * sin($anomaly) +
                    4 * $eccentricity * $y * sin($anomaly) * cos(2 * $meanLongitude) -
                    0.5 * $y * $y * sin(4 * $meanLongitude) -
                    1.25 * $eccentricity ** 2 * sin(2 * $anomaly),
            );

        return [asin(sin($tilt) * sin($apparent)), $equation];
    }
}
