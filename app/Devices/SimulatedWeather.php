<?php

namespace App\Devices;

use Kettle\Warmth\Sun;

/**
 * A stand-in for the weather of a place, day by day: clouds that come and stay some days, and warmth by the
 * season and the latitude. Coarse and from memory; the same place and day are always alike. Real days can be
 * read from a file in its stead.
 */
final class SimulatedWeather
{
    /** A sky goes on into the next day with so much of itself. */
    private const STAYS = 0.6;

    /** @return array{cloud: float, low_c: float, high_c: float} clouds 0 to 1 */
    public function on(float $latitude, float $longitude, \DateTimeImmutable $day): array
    {
        $seed = sprintf('%.1f/%.1f', $latitude, $longitude);
        $cloud = 0.0;
        $weight = 0.0;
        for ($back = 0; $back < 8; $back++) {
            $share = self::STAYS ** $back;
            $cloud += $share * $this->chance($seed, $day->modify("-{$back} days")->format('Y-m-d'));
            $weight += $share;
        }
        // Stretched back out, for a mean of eight days is never quite clear; high latitudes are the cloudier.
        $cloud = 0.5 + ($cloud / $weight - 0.5) * 2.1 + min(0.15, max(0.0, (abs($latitude) - 35) / 160));
        $cloud = max(0.0, min(1.0, $cloud));
        $length = Sun::over($latitude, $longitude)->dayLength($day);
        $mean = 27 - 0.38 * abs($latitude) + ($length - 12) * 1.1;
        $swing = 3 + 5 * (1 - $cloud);

        return ['cloud' => round($cloud, 3), 'low_c' => round($mean - $swing / 2, 1), 'high_c' => round($mean + $swing / 2, 1)];
    }

    private function chance(string $seed, string $day): float
    {
        return (crc32("{$seed} {$day}") % 10_000) / 10_000;
    }
}
