<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Diary\DiaryRefused;
use Kettle\Diary\WakingHours;
use Kettle\Material\Tables;
use Kettle\Measure\AmountReader;
use Kettle\Measure\Custom;
use Kettle\Reason\Refused;
use Kettle\Vessel\Jar;

/** Reads the "house" part of a wish document, for use without an application around it. */
final class KitchenReader
{
    /**
     * @param  array<mixed>  $house time_zone, waking {from, to}, measures, drops_per_ml; all may be left out
     * @param  \DateTimeImmutable  $now used when the house gives no "now"
     *
     * @throws WishRefused
     */
    public static function read(array $house, \DateTimeImmutable $now, Tables $tables): Kitchen
    {
        try {
            $waking = is_array($house['waking'] ?? null) ? $house['waking'] : [];
            $measures = $house['measures'] ?? 'us';
            $drops = $house['drops_per_ml'] ?? AmountReader::DROPS_PER_ML;

            return new Kitchen(
                self::now($house, $now),
                WakingHours::between(self::text($waking, 'from', '07:00'), self::text($waking, 'to', '22:30')),
                (is_string($measures) ? Custom::tryFrom($measures) : null)
                    ?? throw WishRefused::one('house.measures', 'unknown', 'Measures are us, metric, australian or imperial.'),
                (is_int($drops) || is_float($drops)) && $drops >= 5 && $drops <= 60
                    ? (float) $drops
                    : throw WishRefused::one('house.drops_per_ml', 'out_of_range', 'A dropper gives between 5 and 60 drops to the millilitre.'),
                self::shippedJars($tables),
            );
        } catch (Refused $refused) {
            throw WishRefused::from($refused->about('house'));
        }
    }

    /** @return list<Jar> */
    public static function shippedJars(Tables $tables): array
    {
        $jars = [];
        foreach ($tables->table('vessels')->rows('jars') as $row) {
            $jars[] = Jar::measured($row->text('id'), $row->text('called'), $row->number('brim_ml'), $row->number('inner_height_mm'));
        }

        return $jars;
    }

    /** @param  array<mixed>  $house */
    private static function now(array $house, \DateTimeImmutable $now): \DateTimeImmutable
    {
        try {
            $zone = new \DateTimeZone(self::text($house, 'time_zone', 'UTC'));
        } catch (\Exception) {
            throw WishRefused::one('house.time_zone', 'unknown', 'That time zone is not known. Write it like Europe/London or UTC.');
        }
        $given = self::text($house, 'now', '');
        if ($given === '') {
            return $now->setTimezone($zone);
        }
        try {
            return (new \DateTimeImmutable($given, $zone))->setTimezone($zone);
        } catch (\Exception) {
            throw WishRefused::from(DiaryRefused::day($given)->about('house.now'));
        }
    }

    /** @param  array<mixed>  $from */
    private static function text(array $from, string $key, string $default): string
    {
        $value = $from[$key] ?? $default;

        return is_string($value) ? $value : $default;
    }
}
