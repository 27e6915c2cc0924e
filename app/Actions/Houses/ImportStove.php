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

/** Takes in what ExportStove gave out. What is here already stays; a pot that was warm then is cold now. */
final readonly class ImportStove
{
    public function __construct(private CurrentHouse $current, private TakeReadings $readings, private KitchenFactory $kitchens) {}

    /**
     * @param  array<string, mixed>  $house as its schema has it
     * @return int how many cookers, sessions, absences, days and pictures were added
     */
    public function __invoke(array $house): int
    {
        /**
         * @var array{cookers?: list<array<string, mixed>>, sessions?: list<array<string, mixed>>,
         *     absences?: list<array<string, mixed>>, weather?: list<array<string, mixed>>, photos?: list<array<string,
         *     mixed>>} $house
         */
        return $this->cookers($house['cookers'] ?? []) +
            $this->sessions($house['sessions'] ?? []) +
            $this->absences($house['absences'] ?? []) +
            $this->weather($house['weather'] ?? []) +
            $this->photos($house['photos'] ?? []);
    }

    /** @param  list<array<string, mixed>>  $rows */
    private function cookers(array $rows): int
    {
        $here = Cooker::withTrashed()->get();
        $likeness = fn (mixed $called, mixed $length, mixed $height): string => $called.
            '|'.
            round((float) $length).
            '|'.
            round((float) $height);
        // Those every house begins with are alike by name and measure, not by id.
        $known = $here->pluck('uid')->flip();
        $alike = $here->map(fn (Cooker $cooker) => $likeness($cooker->called, $cooker->length_mm, $cooker->height_mm))->flip();
        $added = 0;
        foreach ($rows as $row) {
            if ($known->has((string) $row['id']) || $alike->has($likeness($row['called'], $row['length_mm'], $row['height_mm']))) {
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

    /** @param  list<array<string, mixed>>  $rows */
    private function sessions(array $rows): int
    {
        $known = StoveSession::query()->pluck('uid')->flip();
        $batches = Batch::query()->pluck('id', 'uid');
        $cookers = Cooker::withTrashed()->pluck('id', 'uid');
        $added = 0;
        foreach ($rows as $row) {
            if ($known->has((string) $row['id'])) {
                continue;
            }
            $started = Carbon::parse((string) $row['started_at']);
            $ended = Carbon::parse((string) ($row['ended_at'] ?? $row['started_at']));
            /** @var array<string, mixed> $setUp */
            $setUp = $row['set_up'];
            $session = StoveSession::query()->create([
                'uid' => $row['id'],
                'cooker_id' => $cookers->get((string) ($row['cooker'] ?? '')),
                'set_up' => $setUp,
                'setting' => $row['setting'],
                'band' => $row['band'],
                'state' => StoveSession::ENDED,
                'speed' => 1,
                'started_at' => $started,
                'switched_at' => $ended,
                'ended_at' => $ended,
                'filled_at' => $started,
                'filled_ml' => $setUp['water_ml'],
                'shaken_at' => $started,
                'version' => 1,
            ]);
            /** @var list<array<string, mixed>> $jars */
            $jars = $row['jars'];
            foreach ($jars as $jar) {
                if ($batches->has((string) $jar['batch'])) {
                    StoveJar::query()->create([
                        'stove_session_id' => $session->id,
                        'batch_id' => $batches->get((string) $jar['batch']),
                        'count' => $jar['count'],
                        'planned_h' => $jar['planned_h'],
                        'had_h' => $jar['had_h'],
                        'hours' => $jar['hours'] ?? 0,
                        'logged_h' => $jar['hours'] ?? 0,
                        'in_at' => Carbon::parse((string) $jar['in_at']),
                        'out_at' => Carbon::parse((string) ($jar['out_at'] ?? ($row['ended_at'] ?? $row['started_at']))),
                    ]);
                }
            }
            /** @var list<array<string, mixed>> $events */
            $events = $row['events'];
            StoveEvent::query()->insert(
                array_map(
                    fn (array $event) => [
                        'house_id' => $this->current->house()->id,
                        'stove_session_id' => $session->id,
                        'kind' => $event['kind'],
                        'data' => json_encode($event['kept'] ?? $event['data'], JSON_THROW_ON_ERROR),
                        'by' => $event['by'],
                        'happened_at' => Carbon::parse((string) $event['happened_at']),
                    ],
                    $events,
                ),
            );
            $this->log($session, $row);
            $added++;
        }

        return $added;
    }

    /** @param  array<string, mixed>  $row */
    private function log(StoveSession $session, array $row): void
    {
        /** @var list<array{int, float}> $readings */
        $readings = $row['readings'];
        $probe =
            Probe::query()->where('kind', Probe::HAND)->first() ??
            Probe::query()->create(['uid' => Str::ulid()->toString(), 'called' => 'by eye', 'kind' => Probe::HAND]);
        StoveProbe::query()->create(['stove_session_id' => $session->id, 'probe_id' => $probe->id, 'gathered' => []]);
        ($this->readings)($session, $probe, array_map(fn (array $r) => ['at' => $r[0], 'c' => $r[1]], $readings));
    }

    /** @param  list<array<string, mixed>>  $rows */
    private function absences(array $rows): int
    {
        $known = Absence::query()->pluck('uid')->flip();
        $added = 0;
        foreach ($rows as $row) {
            if (! $known->has((string) $row['id'])) {
                Absence::query()->create([
                    'uid' => $row['id'],
                    'called' => $row['called'],
                    'from_at' => Carbon::parse((string) $row['from']),
                    'to_at' => Carbon::parse((string) $row['to']),
                ]);
                $added++;
            }
        }
        $this->kitchens->forgetPresence();

        return $added;
    }

    /** @param  list<array<string, mixed>>  $rows */
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

    /** @param  list<array<string, mixed>>  $rows */
    private function photos(array $rows): int
    {
        $known = Photo::query()->pluck('uid')->flip();
        $batches = Batch::query()->pluck('id', 'uid');
        $added = 0;
        foreach ($rows as $row) {
            $jpeg = base64_decode((string) $row['jpeg'], true);
            $kind = $jpeg === false ? false : @getimagesizefromstring($jpeg);
            if ($jpeg === false || $kind === false || $kind[2] !== IMAGETYPE_JPEG || strlen($jpeg) > 1_000_000) {
                throw ImportException::notOurs('the pictures', 'one is not a small JPEG');
            }
            if (! $known->has((string) $row['id']) && $batches->has((string) $row['batch'])) {
                Photo::query()->create(['uid' => $row['id'], 'batch_id' => $batches->get((string) $row['batch']), 'jpeg' => $jpeg]);
                $added++;
            }
        }

        return $added;
    }
}
