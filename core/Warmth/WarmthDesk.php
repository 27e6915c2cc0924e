<?php

declare(strict_types=1);

namespace Kettle\Warmth;

use Kettle\Diary\Day;
use Kettle\Measure\AmountWriter;
use Kettle\Recipe\Fields;
use Kettle\Recipe\Kitchen;

/** The questions of warmth as documents in and out, for `kettle reckon` and the application. */
final readonly class WarmthDesk
{
    /** What is not known of a pot that has not been learned: its heat and its loss, as shares. From memory, coarse. */
    private const WATTS_SPREAD = 0.10;

    private const LOSS_SPREAD = 0.20;

    public function __construct(private Kitchen $kitchen)
    {
    }

    /**
     * Hours at warmth from a log.
     *
     * @param  array<mixed>  $document band {low, target, ceiling} and readings, each {at: ISO 8601 or seconds, c}
     * @return array<string, mixed>
     *
     * @throws WarmthRefused
     */
    public function warmHours(array $document): array
    {
        $readings = [];
        foreach (is_array($document['readings'] ?? null) ? $document['readings'] : [] as $reading) {
            $readings[] = [self::moment(is_array($reading) ? $reading['at'] ?? null : null), self::number($reading, 'c', 'readings')];
        }
        $band = is_array($document['band'] ?? null) ? $document['band'] : [];
        $hours = WarmHours::over($readings, Band::of(self::number($band, 'low', 'band'), self::number($band, 'target', 'band'), self::number($band, 'ceiling', 'band')));
        $planned = is_numeric($document['planned_h'] ?? null) ? (float) $document['planned_h'] : null;

        return [
            'warm_h' => round($hours->hours(), 4), 'in_band_h' => round($hours->plainHours(), 4), 'over_min' => round($hours->minutesOver(), 2),
            'gap_min' => round($hours->gapMinutes(), 2), 'peak_c' => $hours->peak(), 'readings' => $hours->count(),
            'share' => $planned !== null && $planned > 0 ? round($hours->hours() / $planned, 4) : null,
            'says' => $this->says($hours),
        ];
    }

    /**
     * What a pot will do from cold, with the range its unlearned heat and loss leave open.
     *
     * @param  array<mixed>  $document the parts of a Pot, hours, a band, and poured_c where the water is not as cold as the room
     * @return array<string, mixed>
     *
     * @throws WarmthRefused
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
            throw WarmthRefused::pot('The time', 'hours', 0.1, 72, 'h');
        }
        $band = is_array($document['band'] ?? null) ? $document['band'] : ['low' => 43, 'target' => 49, 'ceiling' => 60];
        [$low, $ceiling] = [self::number($band, 'low', 'band'), self::number($band, 'ceiling', 'band')];
        $poured = $parts['poured_c'] ?? null;
        if ($poured !== null && ! ($poured >= 0 && $poured <= 100)) {
            throw WarmthRefused::pot('The water poured in', 'poured_c', 0, 100, '°C');
        }
        unset($parts['hours'], $parts['poured_c']);
        $parts += ['watts' => NAN, 'loss_w_per_k' => NAN];
        $going = fn (Pot $pot): PotRun => PotRun::of($pot, $hours, $poured, oilC: $pot->roomC);
        $run = $going(Pot::of($parts));
        $cooler = $going(Pot::of(['watts' => $parts['watts'] * (1 - self::WATTS_SPREAD), 'loss_w_per_k' => $parts['loss_w_per_k'] * (1 + self::LOSS_SPREAD)] + $parts));
        $hotter = $going(Pot::of(['watts' => $parts['watts'] * (1 + self::WATTS_SPREAD), 'loss_w_per_k' => $parts['loss_w_per_k'] * (1 - self::LOSS_SPREAD)] + $parts));
        $range = fn (\Closure $of): array => ['value' => $of($run), 'cooler' => $of($cooler), 'hotter' => $of($hotter)];

        return [
            'model' => 'Two lumps, water and jars, losing heat to the room and steam to the air. Coarse until the pot is learned from a warm-up.',
            'minutes_to_band' => $range(fn (PotRun $r): ?float => ($s = $r->reaches($low)) === null ? null : round($s / 60, 1)),
            'settles_c' => $range(fn (PotRun $r): float => round($r->settles(), 2)),
            'peak_c' => $range(fn (PotRun $r): float => round($r->peak(), 2)),
            'passes_ceiling' => $range(fn (PotRun $r): bool => $r->peak() > $ceiling),
            'water_lost_ml_per_h' => $range(fn (PotRun $r): float => round($r->waterLost() * 1000 / $hours, 1)),
            'boils_at_c' => round($run->pot->boilsAt(), 2),
            'path' => array_values(array_map(
                fn (array $point) => ['min' => round($point['s'] / 60), 'water_c' => round($point['water'], 2), 'oil_c' => round($point['oil'], 2), 'water_ml' => round($point['kg'] * 1000)],
                array_filter($run->path, fn (int $i) => $i % 10 === 0, ARRAY_FILTER_USE_KEY),
            )),
        ];
    }

    /**
     * The sun over a place, day by day.
     *
     * @param  array<mixed>  $document latitude, longitude, from (YYYY-MM-DD), days
     * @return array<string, mixed>
     *
     * @throws WarmthRefused
     */
    public function sun(array $document): array
    {
        $sun = Sun::over(self::number($document, 'latitude', 'place'), self::number($document, 'longitude', 'place'));
        $from = Fields::text($document, 'from') ?? $this->kitchen->today()->format('Y-m-d');
        $day = Day::read($from, new \DateTimeZone('UTC'));
        $days = is_int($document['days'] ?? null) ? $document['days'] : 1;
        if ($day === null || $days < 1 || $days > 400) {
            throw WarmthRefused::pot('The days', 'days', 1, 400, 'from a day written like 2026-12-12');
        }
        $rows = [];
        for ($i = 0; $i < $days; $i++, $day = $day->modify('+1 day')) {
            $highest = $light = 0.0;
            for ($minute = 0; $minute < 1440; $minute += 10) {
                $height = $sun->position($day->modify("+{$minute} minutes"))['height'];
                $highest = max($highest, $height);
                $light += Sun::clearSky($height) / 6 / 1000;
            }
            $rows[] = ['day' => $day->format('Y-m-d'), 'length_h' => round($sun->dayLength($day), 3), 'highest' => round($highest, 2), 'clear_kwh_m2' => round($light, 3)];
        }

        return ['days' => $rows];
    }

    /**
     * The end an infusion goes towards.
     *
     * @param  array<mixed>  $document looks, each {t, y}
     * @return array<string, mixed>
     *
     * @throws WarmthRefused
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
            'end' => round($fit->max, 6), 'end_error' => round($fit->maxError, 6), 'rate' => round($fit->rate, 8), 'rate_error' => round($fit->rateError, 8),
            'to_come' => round($left, 4), 'to_come_error' => round($error, 4), 'nine_tenths_at' => round($fit->when(0.9), 2),
            'says' => sprintf('About %d %% is still to come, give or take %d.', (int) round($left * 100), max(1, (int) round($error * 100))),
        ];
    }

    private function says(WarmHours $hours): string
    {
        $says = AmountWriter::span($hours->hours()).' at warmth.';
        if ($hours->minutesOver() > 0) {
            $says .= sprintf(' %s over the ceiling; the peak was %s.', AmountWriter::span($hours->minutesOver() / 60), $this->kitchen->warmth($hours->peak() ?? 0.0));
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
            return is_string($at) && preg_match('/^\d{4}-\d\d-\d\dT/', $at) === 1 ? (new \DateTimeImmutable($at))->getTimestamp() : throw WarmthRefused::order();
        } catch (\Exception) {
            throw WarmthRefused::order();
        }
    }

    private static function number(mixed $from, string $key, string $field): float
    {
        $value = is_array($from) ? $from[$key] ?? null : null;

        return is_int($value) || is_float($value) ? (float) $value : throw new WarmthRefused('unreadable', sprintf('“%s” must be a number.', $key), $field);
    }
}
