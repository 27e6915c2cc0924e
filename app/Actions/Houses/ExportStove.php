<?php

namespace App\Actions\Houses;

use App\Actions\Stove\TakeReadings;
use App\House\KitchenFactory;
use App\Models\Absence;
use App\Models\BusyCalendar;
use App\Models\Cooker;
use App\Models\Photo;
use App\Models\Probe;
use App\Models\StoveEvent;
use App\Models\StoveJar;
use App\Models\StoveProbe;
use App\Models\StoveSession;
use App\Models\WeatherDay;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\LazyCollection;

/** Cookers, what was warm in them, days away, weather and pictures, as docs/formats/house.schema.json. */
final readonly class ExportStove
{
    public function __construct(private KitchenFactory $kitchens) {}

    /** Of a long log so many points go out, each the mean of its while. */
    private const READINGS = 1500;

    /**
     * @param  bool  $whole every reading of every thermometer, and pictures as files beside; else what fits one JSON file
     * @return array<string, iterable<array<string, mixed>>>
     */
    public function __invoke(bool $whole): array
    {
        return [
            'cookers' => Cooker::withTrashed()->lazyById(Exported::AT_ONCE)->map(
                fn (Cooker $cooker) => [
                    'id' => $cooker->uid,
                    'called' => $cooker->called,
                    'shape' => $cooker->shape,
                    'length_mm' => (float) $cooker->length_mm,
                    'width_mm' => (float) $cooker->width_mm,
                    'height_mm' => (float) $cooker->height_mm,
                    'methods' => $cooker->methods,
                    'settings' => $cooker->settings,
                    'loss_w_per_k' => (float) $cooker->loss_w_per_k,
                    'vessel_j_per_k' => (float) $cooker->vessel_j_per_k,
                    'learned' => $cooker->learned,
                    'retired' => $cooker->trashed(),
                ],
            ),
            'sessions' => StoveSession::query()
                ->where('speed', 1)
                ->with(['cooker', 'jars.batch:id,uid,house_id', 'probes.probe', 'events'])
                ->lazyById(Exported::AT_ONCE)
                ->map(fn (StoveSession $session) => $this->session($session, $whole)),
            'absences' => Absence::query()
                ->whereNull('calendar_id')
                ->orderBy('from_at')
                ->orderBy('id')
                ->lazy(Exported::AT_ONCE)
                ->map(self::away(...)),
            'weather' => WeatherDay::query()->orderBy('day')->lazy(Exported::AT_ONCE)->map(
                fn (WeatherDay $day) => [
                    'day' => $day->day->format('Y-m-d'),
                    'cloud' => (float) $day->cloud,
                    'low_c' => (float) $day->low_c,
                    'high_c' => (float) $day->high_c,
                ],
            ),
            'photos' => $whole
                ? self::photos()
                : Photo::query()->with('batch:id,uid,house_id')->lazyById(4)->map(
                    fn (Photo $photo) => [
                        'id' => $photo->uid,
                        'batch' => $photo->batch->uid ?? '',
                        'jpeg' => base64_encode($photo->jpeg),
                    ],
                ),
            ...$whole ? ['thermometers' => self::thermometers(), 'readings' => self::readings(), 'calendars' => self::calendars()] : [],
        ];
    }

    /** @return iterable<array<string, mixed>> which there are; each is a file of its own */
    private static function photos(): iterable
    {
        return Photo::query()
            ->select(['id', 'house_id', 'uid', 'batch_id'])
            ->with('batch:id,uid,house_id')
            ->lazyById(Exported::AT_ONCE)
            ->map(
                fn (Photo $photo) => [
                    'id' => $photo->uid,
                    'batch' => $photo->batch->uid ?? '',
                    'file' => Exported::picture($photo->uid),
                ],
            );
    }

    /** @return iterable<string, string> the pictures themselves, by their file */
    public function pictures(): iterable
    {
        foreach (
            Photo::query()
                ->select(['id', 'house_id', 'uid', 'jpeg'])
                ->lazyById(4) as $photo
        ) {
            yield Exported::picture($photo->uid) => $photo->jpeg;
        }
    }

    /** @return iterable<array<string, mixed>> their keys stay here: a sender is given a new one where it comes to */
    private static function thermometers(): iterable
    {
        return Probe::withTrashed()->lazyById(Exported::AT_ONCE)->map(
            fn (Probe $probe) => [
                'id' => $probe->uid,
                'called' => $probe->called,
                'kind' => $probe->kind,
                'retired' => $probe->trashed(),
            ],
        );
    }

    /** @return \Generator<int, array<string, mixed>> of each thermometer in each session, a thousand to a line */
    private static function readings(): \Generator
    {
        $sessions = StoveSession::query()
            ->where('speed', 1)
            ->select(['id', 'house_id', 'uid'])
            ->with('probes.probe');
        foreach ($sessions->lazyById(Exported::AT_ONCE) as $session) {
            foreach ($session->probes->sortBy('probe_id') as $standing) {
                foreach (LazyCollection::make(fn () => TakeReadings::all($session->id, $standing->probe_id))->chunk(1000) as $part) {
                    yield [
                        'session' => $session->uid,
                        'thermometer' => $standing->probe->uid,
                        'readings' => array_values($part->all()),
                    ];
                }
            }
        }
    }

    /** @return iterable<array<string, mixed>> read in for when somebody is busy */
    private static function calendars(): iterable
    {
        return BusyCalendar::query()
            ->with(['absences' => fn ($query) => $query->orderBy('from_at')->orderBy('id')])
            ->lazyById(Exported::AT_ONCE)
            ->map(
                fn (BusyCalendar $calendar) => [
                    'id' => $calendar->uid,
                    'called' => $calendar->called,
                    'busy' => array_values($calendar->absences->map(self::away(...))->all()),
                ],
            );
    }

    /** @return array<string, mixed> */
    private static function away(Absence $each): array
    {
        return [
            'id' => $each->uid,
            'called' => $each->called,
            'from' => Exported::moment($each->from_at),
            'to' => Exported::moment($each->to_at),
        ];
    }

    /** @return array<string, mixed> */
    private function session(StoveSession $session, bool $whole): array
    {
        $readings = [];
        foreach ($session->probes->sortBy('probe_id')->take($whole ? 0 : 1) as $probe) {
            foreach (
                TakeReadings::thinned(
                    $session->id,
                    $probe->probe_id,
                    $session->started_at->getTimestamp() - 600,
                    $session->now(),
                    self::READINGS,
                ) as [$at, , , $mean]
            ) {
                $readings[] = [$at, $mean];
            }
        }

        $probes = $session->probes->mapWithKeys(fn (StoveProbe $each) => [$each->probe_id => $each->probe->uid]);

        return [
            'id' => $session->uid,
            'cooker' => $session->cooker?->uid,
            'set_up' => $session->set_up,
            'setting' => $session->setting,
            'band' => $session->band,
            'started_at' => Exported::moment($session->started_at),
            'ended_at' => $session->ended_at === null ? null : Exported::moment($session->ended_at),
            ...$session->ended_at === null ? ['last_at' => Exported::moment(self::last($session))] : [],
            ...$whole
                ? [
                    'thermometers' => array_values(
                        $session->probes->sortBy('probe_id')->map(fn (StoveProbe $each) => $each->probe->uid)->all(),
                    ),
                ]
                : [],
            'jars' => array_values(
                $session->jars
                    ->map(
                        fn (StoveJar $jar) => [
                            'batch' => $jar->batch->uid,
                            ...$whole ? ['thermometer' => $probes->get($jar->probe_id ?? 0)] : [],
                            'count' => $jar->count,
                            'planned_h' => (float) $jar->planned_h,
                            'had_h' => (float) $jar->had_h,
                            'hours' => $jar->hours === null ? null : (float) $jar->hours,
                            'in_at' => Exported::moment($jar->in_at),
                            'out_at' => $jar->out_at === null ? null : Exported::moment($jar->out_at),
                        ],
                    )
                    ->all(),
            ),
            'events' => array_values(
                $session->events
                    ->map(
                        fn (StoveEvent $event) => [
                            'kind' => $event->kind,
                            ...array_map(fn (array|object $each) => (object) $each, $this->kitchens->words()->toldAndKept($event->data)),
                            'by' => $event->by,
                            'happened_at' => Exported::moment($event->happened_at),
                        ],
                    )
                    ->all(),
            ),
            'readings' => $readings,
        ];
    }

    /** Of one that runs: when it was last known to. Where the house is taken to, it ends then. */
    private static function last(StoveSession $session): Carbon
    {
        $at = DB::table('readings')->where('stove_session_id', $session->id)->max('at');
        $event = $session->events->max('happened_at');

        return max(
            $session->started_at,
            is_numeric($at) ? Carbon::createFromTimestampUTC((int) $at) : $session->started_at,
            $event instanceof Carbon ? $event : $session->started_at,
        );
    }
}
