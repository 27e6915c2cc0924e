<?php

namespace App\Actions\Houses;

use App\Actions\Stove\TakeReadings;
use App\House\KitchenFactory;
use App\Models\Absence;
use App\Models\Batch;
use App\Models\Cooker;
use App\Models\Photo;
use App\Models\Probe;
use App\Models\StoveEvent;
use App\Models\StoveJar;
use App\Models\StoveProbe;
use App\Models\StoveSession;
use App\Models\Tenancy\CurrentHouse;
use App\Models\WeatherDay;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
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
 */
final readonly class ImportStove
{
    public function __construct(private CurrentHouse $current, private TakeReadings $readings, private KitchenFactory $kitchens) {}

    /**
     * @param  HouseFile  $house
     * @return int how many cookers, sessions, absences, days and pictures were added
     */
    public function __invoke(array $house): int
    {
        return $this->cookers($house['cookers'] ?? []) +
            $this->sessions($house['sessions'] ?? []) +
            $this->absences($house['absences'] ?? []) +
            $this->weather($house['weather'] ?? []) +
            $this->photos($house['photos'] ?? []);
    }

    /** @param  list<CookerRow>  $rows */
    private function cookers(array $rows): int
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

    /** @param  list<SessionRow>  $rows */
    private function sessions(array $rows): int
    {
        $known = StoveSession::query()->pluck('uid')->flip();
        $batches = Batch::query()->pluck('id', 'uid');
        $cookers = Cooker::withTrashed()->pluck('id', 'uid');
        $added = 0;
        foreach ($rows as $row) {
            if ($known->has($row['id'])) {
                continue;
            }
            $started = Carbon::parse($row['started_at']);
            $ended = Carbon::parse($row['ended_at'] ?? $row['started_at']);
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
                        'hours' => $jar['hours'] ?? 0,
                        'logged_h' => $jar['hours'] ?? 0,
                        'in_at' => Carbon::parse($jar['in_at']),
                        'out_at' => Carbon::parse($jar['out_at'] ?? ($row['ended_at'] ?? $row['started_at'])),
                    ]);
                }
            }
            StoveEvent::query()->insert(
                array_map(
                    fn (array $event) => [
                        'house_id' => $this->current->house()->id,
                        'stove_session_id' => $session->id,
                        'kind' => $event['kind'],
                        'data' => json_encode($event['kept'] ?? $event['data'], JSON_THROW_ON_ERROR),
                        'by' => $event['by'],
                        'happened_at' => Carbon::parse($event['happened_at']),
                    ],
                    $row['events'],
                ),
            );
            $this->log($session, $row);
            $added++;
        }

        return $added;
    }

    /** @param  SessionRow  $row */
    private function log(StoveSession $session, array $row): void
    {
        $probe =
            Probe::query()->where('kind', Probe::HAND)->first() ??
            Probe::query()->create(['uid' => Str::ulid()->toString(), 'called' => 'by eye', 'kind' => Probe::HAND]);
        StoveProbe::query()->create(['stove_session_id' => $session->id, 'probe_id' => $probe->id, 'gathered' => []]);
        ($this->readings)($session, $probe, array_map(fn (array $r) => ['at' => $r[0], 'c' => $r[1]], $row['readings']));
    }

    /** @param  list<AbsenceRow>  $rows */
    private function absences(array $rows): int
    {
        $known = Absence::query()->pluck('uid')->flip();
        $added = 0;
        foreach ($rows as $row) {
            if (! $known->has($row['id'])) {
                Absence::query()->create([
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

    /** @param  list<DayRow>  $rows */
    private function weather(array $rows): int
    {
        $added = 0;
        foreach (array_chunk($rows, 200) as $part) {
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

    /** @param  list<PhotoRow>  $rows */
    private function photos(array $rows): int
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
}
