<?php

namespace App\Actions\Houses;

use App\Actions\Transfers\Choices;
use App\House\KitchenFactory;
use App\Models\Absence;
use App\Models\Batch;
use App\Models\BusyCalendar;
use App\Models\Cooker;
use App\Models\Photo;
use App\Models\StoveEvent;
use App\Models\StoveJar;
use App\Models\StoveSession;
use App\Models\Tenancy\CurrentHouse;
use App\Models\WeatherDay;
use Illuminate\Support\Arr;
use Illuminate\Support\Carbon;
use Kettle\Reason\RefusedException;

/**
 * Takes in what ExportStove gave out. What is here already stays; a pot that was warm then is cold now.
 *
 * @phpstan-import-type HouseFile from ImportHouse
 * @phpstan-import-type CookerRow from ImportHouse
 * @phpstan-import-type SessionRow from ImportHouse
 * @phpstan-import-type AbsenceRow from ImportHouse
 * @phpstan-import-type DayRow from ImportHouse
 * @phpstan-import-type PhotoRow from ImportHouse
 * @phpstan-import-type CalendarRow from ImportHouse
 */
final readonly class ImportStove
{
    public function __construct(private CurrentHouse $current, private ImportReadings $measured, private KitchenFactory $kitchens) {}

    /**
     * @param  HouseFile  $house
     * @return int how many cookers, sessions, absences, days and pictures were added
     */
    public function __invoke(array $house, Choices $choices): int
    {
        $added = $this->cookers($house['cookers']) + $this->measured->thermometers($house['thermometers'], $choices->thermometers);
        $sessions = $this->sessions($house['sessions']);
        $this->measured->readings($house['readings'], $sessions);
        $this->measured->warmed($sessions);

        return $added +
            count($sessions) +
            $this->absences($house['absences']) +
            $this->calendars($house['calendars'], $choices->calendars) +
            $this->weather($house['weather']) +
            $this->photos($house['photos']);
    }

    /** @param  iterable<CookerRow>  $rows */
    private function cookers(iterable $rows): int
    {
        $here = Cooker::withTrashed()->get();
        $likeness = fn (string $called, float|int|string $length, float|int|string $height): string => $called.
            '|'.
            round((float) $length).
            '|'.
            round((float) $height);
        // Those every house begins with are alike by name and measure, not by id.
        $known = $here->pluck('uid')->flip();
        $alike = $here->map(fn (Cooker $cooker) => $likeness($cooker->called, $cooker->length_mm, $cooker->height_mm))->flip();
        $added = 0;
        foreach ($rows as $row) {
            if ($known->has($row['id']) || $alike->has($likeness($row['called'], $row['length_mm'], $row['height_mm']))) {
                continue;
            }
            $cooker = new Cooker([
                'uid' => $row['id'],
                ...array_intersect_key(
                    $row,
                    array_flip([
                        'called',
                        'shape',
                        'length_mm',
                        'width_mm',
                        'height_mm',
                        'methods',
                        'settings',
                        'loss_w_per_k',
                        'vessel_j_per_k',
                        'learned',
                    ]),
                ),
            ]);
            try {
                $cooker->core();
            } catch (RefusedException $refused) {
                throw ImportException::notOurs('the cookers', lcfirst($refused->sentence));
            }
            $cooker->save();
            $row['retired'] === true && $cooker->delete();
            $added++;
        }

        return $added;
    }

    /**
     * @param  iterable<SessionRow>  $rows
     * @return array<string, int> those that were added, ids by uid
     */
    private function sessions(iterable $rows): array
    {
        $known = StoveSession::query()->pluck('uid')->flip();
        $batches = Batch::query()->pluck('id', 'uid');
        $cookers = Cooker::withTrashed()->pluck('id', 'uid');
        $probes = $this->measured->known();
        $added = [];
        foreach ($rows as $row) {
            if ($known->has($row['id'])) {
                continue;
            }
            $started = Carbon::parse($row['started_at']);
            $ended = self::ended($row);
            $session = StoveSession::query()->create([
                'uid' => $row['id'],
                'cooker_id' => $cookers->get($row['cooker'] ?? ''),
                'set_up' => $row['set_up'],
                'setting' => $row['setting'],
                'band' => $row['band'],
                'state' => StoveSession::ENDED,
                'speed' => 1,
                'started_at' => $started,
                'switched_at' => $ended,
                'ended_at' => $ended,
                'filled_at' => $started,
                'filled_ml' => $row['set_up']['water_ml'],
                'shaken_at' => $started,
                'version' => 1,
            ]);
            foreach ($row['jars'] as $jar) {
                if ($batches->has($jar['batch'])) {
                    StoveJar::query()->create([
                        'stove_session_id' => $session->id,
                        'batch_id' => $batches->get($jar['batch']),
                        'count' => $jar['count'],
                        'planned_h' => $jar['planned_h'],
                        'had_h' => $jar['had_h'],
                        'probe_id' => $probes->get($jar['thermometer'] ?? ''),
                        'hours' => $jar['hours'] ?? null,
                        'logged_h' => $jar['hours'] ?? 0,
                        'in_at' => Carbon::parse($jar['in_at']),
                        'out_at' => isset($jar['out_at']) ? Carbon::parse($jar['out_at']) : $ended,
                    ]);
                }
            }
            StoveEvent::query()->insert(
                array_map(
                    fn (array $event) => [
                        'house_id' => $this->current->house()->id,
                        'stove_session_id' => $session->id,
                        'kind' => $event['kind'],
                        // What would take it back is of the house it came from: here it is over.
                        'data' => json_encode(Arr::except((array) ($event['kept'] ?? $event['data']), 'before'), JSON_THROW_ON_ERROR),
                        'by' => $event['by'],
                        'happened_at' => Carbon::parse($event['happened_at']),
                    ],
                    $row['events'],
                ),
            );
            $this->measured->stood($session, $row, $probes);
            $added[$row['id']] = $session->id;
        }

        return $added;
    }

    /**
     * One that still ran ends where it was last known to.
     *
     * @param  SessionRow  $row
     */
    private static function ended(array $row): Carbon
    {
        $last = $row['readings'] === [] ? null : max(array_column($row['readings'], 0));
        $at = $row['ended_at'] ?? ($row['last_at'] ?? null);

        return match (true) {
            $at !== null => Carbon::parse($at),
            $last !== null => Carbon::createFromTimestampUTC($last),
            default => Carbon::parse($row['started_at']),
        };
    }

    /**
     * When a calendar that was read in says that somebody is busy.
     *
     * @param  iterable<CalendarRow>  $rows
     */
    private function calendars(iterable $rows, bool $chosen): int
    {
        $known = BusyCalendar::query()->pluck('uid')->flip();
        $added = 0;
        foreach ($rows as $row) {
            if ($chosen && ! $known->has($row['id'])) {
                $calendar = BusyCalendar::query()->create(['uid' => $row['id'], 'called' => $row['called']]);
                $this->absences($row['busy'], $calendar->id);
                $added++;
            }
        }

        return $added;
    }

    /** @param  iterable<AbsenceRow>  $rows */
    private function absences(iterable $rows, ?int $calendar = null): int
    {
        $known = Absence::query()->pluck('uid')->flip();
        $added = 0;
        foreach ($rows as $row) {
            if (! $known->has($row['id'])) {
                Absence::query()->create([
                    'calendar_id' => $calendar,
                    'uid' => $row['id'],
                    'called' => $row['called'],
                    'from_at' => Carbon::parse($row['from']),
                    'to_at' => Carbon::parse($row['to']),
                ]);
                $added++;
            }
        }
        $this->kitchens->forgetPresence();

        return $added;
    }

    /** @param  iterable<DayRow>  $rows */
    private function weather(iterable $rows): int
    {
        $added = 0;
        foreach (self::parts($rows) as $part) {
            $added += WeatherDay::query()->insertOrIgnore(
                array_map(
                    fn (array $day) => [
                        'house_id' => $this->current->house()->id,
                        'day' => $day['day'],
                        'cloud' => $day['cloud'],
                        'low_c' => $day['low_c'],
                        'high_c' => $day['high_c'],
                    ],
                    $part,
                ),
            );
        }

        return $added;
    }

    /** @param  iterable<PhotoRow>  $rows */
    private function photos(iterable $rows): int
    {
        $known = Photo::query()->pluck('uid')->flip();
        $batches = Batch::query()->pluck('id', 'uid');
        $added = 0;
        foreach ($rows as $row) {
            $jpeg = base64_decode($row['jpeg'], true);
            $kind = $jpeg === false ? false : @getimagesizefromstring($jpeg);
            if ($jpeg === false || $kind === false || $kind[2] !== IMAGETYPE_JPEG || strlen($jpeg) > 1_000_000) {
                throw ImportException::notOurs('the pictures', 'one is not a small JPEG');
            }
            if (! $known->has($row['id']) && $batches->has($row['batch'])) {
                Photo::query()->create(['uid' => $row['id'], 'batch_id' => $batches->get($row['batch']), 'jpeg' => $jpeg]);
                $added++;
            }
        }

        return $added;
    }

    /**
     * @param  iterable<DayRow>  $rows
     * @return \Generator<int, list<DayRow>> of a statement each
     */
    private static function parts(iterable $rows): \Generator
    {
        $part = [];
        foreach ($rows as $row) {
            $part[] = $row;
            if (count($part) === 200) {
                yield $part;
                $part = [];
            }
        }
        if ($part !== []) {
            yield $part;
        }
    }
}
