<?php

declare(strict_types=1);

namespace Kettle\Ask;

use Kettle\Measure\AmountWriter;
use Kettle\Recipe\Fields;
use Kettle\Recipe\Kitchen;
use Kettle\Time\Day;
use Kettle\Vessel\Cooker;
use Kettle\Vessel\CookerException;
use Kettle\Vessel\Jar;
use Kettle\Vessel\Packing;
use Kettle\Vessel\WaterBath;
use Kettle\Warmth\Approach;
use Kettle\Warmth\Band;
use Kettle\Warmth\Pot;
use Kettle\Warmth\PotFit;
use Kettle\Warmth\PotRun;
use Kettle\Warmth\Sun;
use Kettle\Warmth\SunJar;
use Kettle\Warmth\WarmHours;
use Kettle\Warmth\WarmthException;

/**
 * The questions of warmth as documents in and out, for `kettle reckon` and the application.
 *
 * @phpstan-type Ends array{value: ?float, cooler: ?float, hotter: ?float}
 * @phpstan-type Sure array{value: bool, cooler: bool, hotter: bool}
 * @phpstan-type Foretold array{model: string, minutes_to_band: Ends, settles_c: Ends, peak_c: Ends, passes_ceiling: Sure,
 *     water_lost_ml_per_h: Ends, boils_at_c: float, path: list<array{min: float, water_c: float, oil_c: float, water_ml: float}>}
 */
final readonly class WarmthQuestions
{
    /** What is not known of a pot that has not been learned: its heat and its loss, as shares. From memory, coarse. */
    private const WATTS_SPREAD = 0.1;

    private const LOSS_SPREAD = 0.2;

    public function __construct(private Kitchen $kitchen) {}

    /**
     * Hours at warmth from a log.
     *
     * @param  array<mixed>  $document band {low, target, ceiling} and readings, each {at: ISO 8601 or seconds, c}
     * @return array<string, mixed>
     *
     * @throws WarmthException
     */
    public function warmHours(array $document): array
    {
        $readings = [];
        foreach (is_array($document['readings'] ?? null) ? $document['readings'] : [] as $reading) {
            $readings[] = [self::moment(is_array($reading) ? $reading['at'] ?? null : null), self::number($reading, 'c', 'readings')];
        }
        $band = is_array($document['band'] ?? null) ? $document['band'] : [];
        $hours = WarmHours::over(
            $readings,
            Band::of(self::number($band, 'low', 'band'), self::number($band, 'target', 'band'), self::number($band, 'ceiling', 'band')),
            WarmHours::reachOf($readings),
        );
        $range = $hours->range();
        $planned = is_numeric($document['planned_h'] ?? null) ? (float) $document['planned_h'] : null;

        return [
            'warm_h' => round($hours->hours(), 4),
            'low_h' => round($range['low'], 4),
            'high_h' => round($range['high'], 4),
            'in_band_h' => round($hours->plainHours(), 4),
            'over_min' => round($hours->minutesOver(), 2),
            'gap_min' => round($hours->gapMinutes(), 2),
            'peak_c' => $hours->peak(),
            'readings' => $hours->count(),
            'share' => $planned !== null && $planned > 0 ? round($hours->hours() / $planned, 4) : null,
            'says' => $this->says($hours),
        ];
    }

    /**
     * What a pot will do from cold, with the range its unlearned heat and loss leave open.
     *
     * @param  array<mixed>  $document the parts of a Pot, hours, a band, and poured_c where the water is not as cold as the room
     * @return Foretold
     *
     * @throws WarmthException
     */
    public function pot(array $document): array
    {
        $parts = [];
        foreach ($document as $name => $value) {
            if (is_int($value) || is_float($value)) {
                $parts[(string) $name] = (float) $value;
            }
        }
        $hours = $parts['hours'] ?? 8.0;
        if (! is_finite($hours) || $hours < 0.1 || $hours > 72) {
            throw WarmthException::pot('The time', 'hours', 0.1, 72, 'h');
        }
        $band = is_array($document['band'] ?? null) ? $document['band'] : ['low' => 43, 'target' => 49, 'ceiling' => 60];
        $band = Band::of(self::number($band, 'low', 'band'), self::number($band, 'target', 'band'), self::number($band, 'ceiling', 'band'));
        [$low, $ceiling] = [$band->low, $band->ceiling];
        $poured = $parts['poured_c'] ?? null;
        if ($poured !== null && ! ($poured >= 0 && $poured <= 100)) {
            throw WarmthException::pot('The water poured in', 'poured_c', 0, 100, '°C');
        }
        unset($parts['hours'], $parts['poured_c']);
        $parts += ['watts' => NAN, 'loss_w_per_k' => NAN];
        $going = fn (Pot $pot): PotRun => PotRun::of($pot, $hours, $poured, oilC: $pot->roomC);
        $run = $going(Pot::of($parts));
        $cooler = $going(
            Pot::of(
                [
                    'watts' => $parts['watts'] * (1 - self::WATTS_SPREAD),
                    'loss_w_per_k' => $parts['loss_w_per_k'] * (1 + self::LOSS_SPREAD),
                ] + $parts,
            ),
        );
        $hotter = $going(
            Pot::of(
                [
                    'watts' => $parts['watts'] * (1 + self::WATTS_SPREAD),
                    'loss_w_per_k' => $parts['loss_w_per_k'] * (1 - self::LOSS_SPREAD),
                ] + $parts,
            ),
        );
        $runs = [$run, $cooler, $hotter];

        return [
            'model' => 'Two lumps, water and jars, losing heat to the room and steam to the air. Coarse until the pot is '.
                'learned from a warm-up.',
            'minutes_to_band' => self::ends($runs, fn (PotRun $r): ?float => ($s = $r->reaches($low)) === null ? null : round($s / 60, 1)),
            'settles_c' => self::ends($runs, fn (PotRun $r): float => round($r->pot->steady(), 2)),
            'peak_c' => self::ends($runs, fn (PotRun $r): float => round($r->peak(), 2)),
            'passes_ceiling' => self::ends($runs, fn (PotRun $r): bool => $r->peak() > $ceiling),
            'water_lost_ml_per_h' => self::ends($runs, fn (PotRun $r): float => round($r->pot->losesAt($r->pot->steady()) * 3.6e6, 1)),
            'boils_at_c' => round($run->pot->boilsAt(), 2),
            'path' => array_values(
                array_map(
                    fn (array $point) => [
                        'min' => round($point['s'] / 60),
                        'water_c' => round($point['water'], 2),
                        'oil_c' => round($point['oil'], 2),
                        'water_ml' => round($point['kg'] * 1000),
                    ],
                    array_filter($run->path, fn (int $i) => $i % 10 === 0, ARRAY_FILTER_USE_KEY),
                ),
            ),
        ];
    }

    /**
     * @template T
     *
     * @param  array{PotRun, PotRun, PotRun}  $runs as it is, cooler and hotter
     * @param  \Closure(PotRun): T  $of
     * @return array{value: T, cooler: T, hotter: T}
     */
    private static function ends(array $runs, \Closure $of): array
    {
        return ['value' => $of($runs[0]), 'cooler' => $of($runs[1]), 'hotter' => $of($runs[2])];
    }

    /**
     * Jars in a cooker: where each stands, and its water.
     *
     * @param  array<mixed>  $document cooker {shape, length_mm, width_mm, height_mm}, jars, each {brim_ml, height_mm,
     *     level_mm, contents_g}, and school
     * @return array<string, mixed>
     *
     * @throws CookerException
     */
    public function bath(array $document): array
    {
        $cooker = is_array($document['cooker'] ?? null) ? $document['cooker'] : [];
        $shape = Fields::text($cooker, 'shape') ?? 'round';
        $length = self::number($cooker, 'length_mm', 'cooker');
        $core = Cooker::measured(
            '',
            'the cooker',
            $shape,
            $length,
            is_numeric($cooker['width_mm'] ?? null) ? (float) $cooker['width_mm'] : $length,
            self::number($cooker, 'height_mm', 'cooker'),
        );
        $jars = [];
        foreach (is_array($document['jars'] ?? null) ? $document['jars'] : [] as $jar) {
            $measured = Jar::measured('', 'jar', self::number($jar, 'brim_ml', 'jars'), self::number($jar, 'height_mm', 'jars'));
            $jars[] = [
                'called' => 'jar',
                'brim_ml' => $measured->brimMl,
                'height_mm' => $measured->heightMm,
                'diameter_mm' => $measured->diameterMm(),
                'level_mm' => self::number($jar, 'level_mm', 'jars'),
                'bed_mm' => 0.0,
                'contents_g' => self::number($jar, 'contents_g', 'jars'),
            ];
        }
        $school = Fields::text($document, 'school') ?? 'rim';
        if (! isset(WaterBath::DEPTHS[$school])) {
            throw new CookerException(
                'unknown',
                'Water goes to the rim, a quarter or half of the way up, or there is none: rim, quarter, half or none.',
                'school',
            );
        }
        $bath = WaterBath::of($core, $jars, $school);

        return [
            'jars' => array_map(
                fn (array $jar) => [
                    'x_mm' => round($jar['x'], 1),
                    'y_mm' => round($jar['y'], 1),
                    'outer_mm' => round($jar['d'], 1),
                    'floats_at_mm' => $jar['floats_at'] === null ? null : round($jar['floats_at'], 1),
                ],
                $bath->jars,
            ),
            'most_of_the_widest' => Packing::most($core, max([0.0, ...array_column($bath->jars, 'd')])),
            'full_mm' => round($bath->fullMm, 1),
            'low_mm' => round($bath->lowMm, 1),
            'pour_ml' => round($bath->waterMl($bath->fullMm), 1),
            'open_m2' => round($bath->openM2(), 5),
            'held_by_floating' => $bath->heldByFloating,
        ];
    }

    /**
     * A pot learned from one logged warm-up.
     *
     * @param  array<mixed>  $document the parts of a Pot but for its heat and its loss, readings, each {s, c}, and of: oil or water
     * @return array<string, mixed>
     *
     * @throws WarmthException
     */
    public function learn(array $document): array
    {
        $parts = ['watts' => 100.0, 'loss_w_per_k' => 1.5];
        foreach ($document as $name => $value) {
            if ((is_int($value) || is_float($value)) && ! array_key_exists((string) $name, $parts)) {
                $parts[(string) $name] = (float) $value;
            }
        }
        $readings = [];
        foreach (is_array($document['readings'] ?? null) ? $document['readings'] : [] as $reading) {
            $readings[] = [self::number($reading, 's', 'readings'), self::number($reading, 'c', 'readings')];
        }
        $fit = PotFit::through(
            Pot::of($parts + ['water_kg' => NAN]),
            $readings,
            Fields::text($document, 'of') === 'water' ? 'water' : 'oil',
        );

        return [
            'watts' => round($fit->watts, 3),
            'watts_error' => round($fit->wattsError, 3),
            'loss_w_per_k' => round($fit->lossWPerK, 4),
            'loss_error' => round($fit->lossError, 4),
            'rms_c' => round($fit->rms, 4),
        ];
    }

    /**
     * The sun over a place, day by day; and a jar in it, where one is given.
     *
     * @param  array<mixed>  $document latitude, longitude, from (YYYY-MM-DD), days; jar {diameter_mm, level_mm, oil_kg,
     *     herb_kg, glass_kg}, facing, bag and cloud for a jar
     * @return array<string, mixed>
     *
     * @throws WarmthException
     */
    public function sun(array $document): array
    {
        $sun = Sun::over(self::number($document, 'latitude', 'place'), self::number($document, 'longitude', 'place'));
        $from = Fields::text($document, 'from') ?? $this->kitchen->today()->format('Y-m-d');
        $day = Day::read($from, new \DateTimeZone('UTC'));
        $days = is_int($document['days'] ?? null) ? $document['days'] : 1;
        if ($day === null || $days < 1 || $days > 400) {
            throw WarmthException::pot('The days', 'days', 1, 400, 'from a day written like 2026-12-12');
        }
        $rows = [];
        $jar = is_array($document['jar'] ?? null) ? $this->inSun($sun, $document, $document['jar'], $day, $days) : null;
        for ($i = 0; $i < $days; $i++, $day = $day->modify('+1 day')) {
            $highest = $light = 0.0;
            for ($minute = 0; $minute < 1440; $minute += 10) {
                $height = $sun->position($day->modify("+{$minute} minutes"))['height'];
                $highest = max($highest, $height);
                $light += Sun::clearSky($height) / 6 / 1000;
            }
            $rows[] = [
                'day' => $day->format('Y-m-d'),
                'length_h' => round($sun->dayLength($day), 3),
                'highest' => round($highest, 2),
                'clear_kwh_m2' => round($light, 3),
            ];
        }

        return $jar === null ? ['days' => $rows] : ['days' => $rows, 'jar' => $jar];
    }

    /**
     * @param  array<mixed>  $document
     * @param  array<mixed>  $jar
     * @return list<array<string, mixed>>
     */
    private function inSun(Sun $sun, array $document, array $jar, \DateTimeImmutable $from, int $days): array
    {
        $of = fn (string $key): float => self::number($jar, $key, 'jar');
        $cloud = is_numeric($document['cloud'] ?? null) ? max(0.0, min(1.0, (float) $document['cloud'])) : 0.5;
        $facing = is_numeric($document['facing'] ?? null) ? (float) $document['facing'] : null;
        $sky = [];
        for ($i = 0; $i < $days; $i++) {
            $sky[] = [
                'day' => $from->modify("+{$i} days"),
                'cloud' => $cloud,
                'low_c' => $this->kitchen->roomC - 8,
                'high_c' => $this->kitchen->roomC,
            ];
        }
        $rows = SunJar::of(
            $sun,
            [
                'diameter_mm' => $of('diameter_mm'),
                'level_mm' => $of('level_mm'),
                'oil_kg' => $of('oil_kg'),
                'herb_kg' => $of('herb_kg'),
                'glass_kg' => $of('glass_kg'),
            ],
            $facing,
            ($document['bag'] ?? false) === true,
            $this->kitchen->roomC,
        )->through($sky);

        return array_map(
            fn (array $row) => [
                'day' => $row['day'],
                'mean_c' => round($row['mean_c'], 2),
                'peak_c' => round($row['peak_c'], 2),
                'warm_h' => round($row['warm_h'], 2),
                'shelf_h' => round($row['shelf_h'], 2),
            ],
            $rows,
        );
    }

    /**
     * The end an infusion goes towards.
     *
     * @param  array<mixed>  $document looks, each {t, y}
     * @return array<string, mixed>
     *
     * @throws WarmthException
     */
    public function fit(array $document): array
    {
        $looks = [];
        foreach (is_array($document['looks'] ?? null) ? $document['looks'] : [] as $look) {
            $looks[] = [self::number($look, 't', 'looks'), self::number($look, 'y', 'looks')];
        }
        $fit = Approach::through($looks);
        [$left, $error] = $fit->toCome();

        return [
            'end' => round($fit->max, 6),
            'end_error' => round($fit->maxError, 6),
            'rate' => round($fit->rate, 8),
            'rate_error' => round($fit->rateError, 8),
            'to_come' => round($left, 4),
            'to_come_error' => round($error, 4),
            'nine_tenths_at' => round($fit->when(0.9), 2),
            'says' => sprintf(
                'About %d %% is still to come, give or take %d.',
                (int) round($left * 100),
                max(1, (int) round($error * 100)),
            ),
        ];
    }

    private function says(WarmHours $hours): string
    {
        $says = AmountWriter::span($hours->hours()).' at warmth.';
        if ($hours->minutesOver() > 0) {
            $says .= sprintf(
                ' %s over the ceiling; the peak was %s.',
                AmountWriter::span($hours->minutesOver() / 60),
                $this->kitchen->warmth($hours->peak() ?? 0.0),
            );
        }
        if ($hours->gapMinutes() > 0) {
            $says .= sprintf(' Nothing is known of %s.', AmountWriter::span($hours->gapMinutes() / 60));
        }

        return $says;
    }

    private static function moment(mixed $at): int
    {
        if (is_int($at)) {
            return $at;
        }
        try {
            return is_string($at) && preg_match('/^\d{4}-\d\d-\d\dT/', $at) === 1
                ? (new \DateTimeImmutable($at))->getTimestamp()
                : throw WarmthException::order();
        } catch (\Exception) {
            throw WarmthException::order();
        }
    }

    private static function number(mixed $from, string $key, string $field): float
    {
        $value = is_array($from) ? $from[$key] ?? null : null;

        return (is_int($value) || is_float($value)) && is_finite((float) $value)
            ? (float) $value
            : throw new WarmthException('unreadable', sprintf('“%s” must be a number.', $key), $field);
    }
}
