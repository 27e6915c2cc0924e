<?php

namespace App\Pages\Batch;

use App\Actions\Stove\SetUp;
use App\Devices\SimulatedWeather;
use App\House\KitchenFactory;
use App\Models\Batch;
use App\Models\Tenancy\CurrentHouse;
use App\Models\WeatherDay;
use App\Responses\Batch\SunDay;
use App\Responses\Batch\SunReady;
use App\Responses\Batch\SunView;
use Illuminate\Support\Carbon;
use Kettle\Time\Dates;
use Kettle\Vessel\WaterBath;
use Kettle\Warmth\Sun;
use Kettle\Warmth\SunJar;

/** A jar on the sunny sill of this house: its days so far, the days to come under three skies, and whether it is worth it. */
final readonly class SunPresenter
{
    /** What the commonest jar has on the shelf, hours: four weeks. The sun is measured by it. */
    private const SHELF_H = 672.0;

    private const SKIES = ['clear' => 0.15, 'mixed' => 0.55, 'dull' => 0.92];

    private const MOST_DAYS = 120;

    /** What the model leaves open of the sunlight taken in, as a share. */
    private const SPREAD = 0.3;

    /** Where a house has not said: the middle of the temperate belt, and marked so. */
    private const LATITUDE = 52.0;

    public function __construct(
        private CurrentHouse $current,
        private KitchenFactory $kitchens,
        private SetUp $setUp,
        private SimulatedWeather $weather,
    ) {}

    /** A batch that stands in the sun. */
    public function of(Batch $batch, bool $bag, bool $outdoors): SunView
    {
        $jar = $this->setUp->jar($batch);
        $from = $this->kitchens->local($batch->filled_at ?? Carbon::now())->setTime(0, 0);
        $until = $batch->strained_at === null ? null : $this->kitchens->local($batch->strained_at)->setTime(0, 0);

        return $this->view(
            [
                'diameter_mm' => $jar['diameter_mm'],
                'level_mm' => $jar['level_mm'],
                'oil_kg' => $jar['oil_kg'],
                'herb_kg' => $jar['herb_kg'],
                'glass_kg' => WaterBath::glassG($jar['diameter_mm'], $jar['height_mm']) / 1000,
            ],
            $from,
            $until,
            $bag,
            $outdoors,
        );
    }

    /** A pint jar put out today: is it worth it, here and now? */
    public function here(bool $bag, bool $outdoors): SunView
    {
        return $this->view(
            ['diameter_mm' => 73.8, 'level_mm' => 93.0, 'oil_kg' => 0.32, 'herb_kg' => 0.07, 'glass_kg' => 0.24],
            $this->kitchens->now()->setTime(0, 0),
            null,
            $bag,
            $outdoors,
        );
    }

    /** @param  array{diameter_mm: float, level_mm: float, oil_kg: float, herb_kg: float, glass_kg: float}  $jar */
    private function view(array $jar, \DateTimeImmutable $from, ?\DateTimeImmutable $until, bool $bag, bool $outdoors): SunView
    {
        $house = $this->current->house();
        $placed = $house->latitude !== null && $house->longitude !== null;
        $sun = Sun::over((float) ($house->latitude ?? self::LATITUDE), (float) ($house->longitude ?? 0));
        $room = (float) $house->room_c;
        $facing = $outdoors ? null : (float) $house->facing;
        $today = $this->kitchens->now()->setTime(0, 0);
        $end = $until ?? $today;
        $past = $from < $end ? (int) $from->diff($end)->days : 0;
        $first = $past > self::MOST_DAYS ? $end->modify('-'.self::MOST_DAYS.' days') : $from;
        $days = $this->days($sun, $first, min($past, self::MOST_DAYS));
        $run = fn (float $gain): array => SunJar::of($sun, $jar, $facing, $bag, $room, $gain)->through($days);
        $rows = $run(1.0);
        $sum = fn (array $rows, string $key): float => array_sum(array_column($rows, $key));
        $gathered = $sum($rows, 'shelf_h');
        $ready = [];
        $worth = 0.0;
        foreach (self::SKIES as $sky => $cloud) {
            $ahead = $this->ahead($sun, $end, $cloud);
            $path = SunJar::of($sun, $jar, $facing, $bag, $room)->through($ahead);
            $sky === 'mixed' && ($worth = $sum(array_slice($path, 1, 14), 'shelf_h') / (24 * 14));
            $ready[] = new SunReady(
                $sky,
                $until !== null ? '' : $this->readyOn($path, $gathered, $end),
                // Of the two weeks to come: the sun does not stand still for longer.
                sprintf('%s h a day warm to the hand', round($sum(array_slice($path, 1, 14), 'warm_h') / 14, 1)),
            );
        }
        $better = $worth >= SunJar::WORTH;
        $shown = array_slice($rows, -28);
        if ($shown === []) {
            $shown = array_slice(SunJar::of($sun, $jar, $facing, $bag, $room)->through($days = $this->days($sun, $today, 7)), 0, 7);
        }
        $skies = [];
        foreach ($days as $each) {
            $skies[$each['day']->format('Y-m-d')] = $each;
        }

        return new SunView(
            says: $better
                ? sprintf('In the sun a day here is worth about %s on the shelf just now, under a mixed sky.', $this->times($worth))
                : 'This month, here, sun and shelf are the same: put it where it is handy, and count by the weeks of the shelf.',
            better: $better,
            gathered_text: sprintf('%s of %s days of the shelf', round($gathered / 24, 1), self::SHELF_H / 24),
            range_text: sprintf(
                '%s to %s',
                round($sum($run(1 - self::SPREAD), 'shelf_h') / 24, 1),
                round($sum($run(1 + self::SPREAD), 'shelf_h') / 24, 1),
            ),
            share: round(min(1.0, $gathered / self::SHELF_H), 4),
            warm_text: sprintf('%d h warm to the hand so far', (int) round($sum($rows, 'warm_h'))),
            ready: $ready,
            days: array_map(
                fn (array $row) => new SunDay(
                    $row['day'],
                    Dates::say(new \DateTimeImmutable($row['day']), 'short_weekday'),
                    round($row['mean_c'], 1),
                    round($row['peak_c'], 1),
                    $this->kitchens->plain()->warmth($row['peak_c']),
                    round($row['warm_h'], 1),
                    round($row['shelf_h'] / 24, 2),
                    (float) $skies[$row['day']]['cloud'],
                    sprintf('%d h %02d of day', ...self::hm($sun->dayLength(new \DateTimeImmutable($row['day'])))),
                    (bool) $skies[$row['day']]['measured'],
                ),
                $shown,
            ),
            room_c: $room,
            scale_c: max(45.0, ceil(max([0.0, ...array_column($shown, 'peak_c')]) / 5) * 5),
            warm_c: SunJar::WARM_C,
            model: 'A model, from memory and coarse: clear-sky light, less what the clouds keep, on one lump of oil. '.
                ($placed
                    ? 'Weather simulated where no real days were read in.'
                    : 'The house has not said where it is; a middling latitude was taken. Say it in House.'),
            placed: $placed,
            bag: $bag,
            outdoors: $outdoors,
        );
    }

    /**
     * @param  list<array{shelf_h: float}>  $path
     */
    private function readyOn(array $path, float $gathered, \DateTimeImmutable $from): string
    {
        foreach ($path as $i => $day) {
            $gathered += $day['shelf_h'];
            if ($gathered >= self::SHELF_H) {
                return Dates::say($from->modify("+{$i} days"), 'short_weekday');
            }
        }

        return 'not within four months';
    }

    /**
     * @return list<array{day: \DateTimeImmutable, cloud: float, low_c: float, high_c: float, measured: bool}> as they were,
     *     read in or simulated
     */
    private function days(Sun $sun, \DateTimeImmutable $from, int $count): array
    {
        $known = WeatherDay::query()
            ->whereBetween('day', [$from->format('Y-m-d'), $from->modify("+{$count} days")->format('Y-m-d')])
            ->get()
            ->keyBy(fn (WeatherDay $each) => $each->day->format('Y-m-d'));
        $days = [];
        for ($i = 0; $i < $count; $i++) {
            $day = $from->modify("+{$i} days");
            $was = $known->get($day->format('Y-m-d'));
            $days[] =
                $was === null
                    ? ['day' => $day, ...$this->weather->on($sun->latitude, $sun->longitude, $day), 'measured' => false]
                    : [
                        'day' => $day,
                        'cloud' => (float) $was->cloud,
                        'low_c' => (float) $was->low_c,
                        'high_c' => (float) $was->high_c,
                        'measured' => true,
                    ];
        }

        return $days;
    }

    /** @return list<array{day: \DateTimeImmutable, cloud: float, low_c: float, high_c: float}> */
    private function ahead(Sun $sun, \DateTimeImmutable $from, float $cloud): array
    {
        $days = [];
        for ($i = 0; $i < self::MOST_DAYS; $i++) {
            $day = $from->modify("+{$i} days");
            $days[] = ['day' => $day, ...$this->weather->on($sun->latitude, $sun->longitude, $day), 'cloud' => $cloud];
        }

        return $days;
    }

    private function times(float $factor): string
    {
        return $factor < 1.6 ? sprintf('%d h', (int) round($factor * 24)) : sprintf('%s days', round($factor, 1));
    }

    /** @return array{int, int} */
    private static function hm(float $hours): array
    {
        $minutes = (int) round($hours * 60);

        return [intdiv($minutes, 60), $minutes % 60];
    }
}
