<?php

namespace App\Actions\Houses;

use App\Actions\Stove\TakeReadings;
use App\House\KitchenFactory;
use App\Models\Absence;
use App\Models\Cooker;
use App\Models\Photo;
use App\Models\StoveEvent;
use App\Models\StoveJar;
use App\Models\StoveSession;
use App\Models\WeatherDay;

/** Cookers, what was warm in them, days away, weather and pictures, as docs/formats/house.schema.json. */
final readonly class ExportStove
{
    public function __construct(private KitchenFactory $kitchens) {}

    /** Of a long log so many points go out, each the mean of its while. */
    private const READINGS = 1500;

    /** @return array<string, mixed> */
    public function __invoke(): array
    {
        return [
            'cookers' => array_values(
                Cooker::withTrashed()
                    ->orderBy('id')
                    ->get()
                    ->map(
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
                    )
                    ->all(),
            ),
            'sessions' => array_values(
                StoveSession::query()
                    ->where('speed', 1)
                    ->orderBy('id')
                    ->with(['cooker', 'jars.batch:id,uid,house_id', 'probes', 'events'])
                    ->get()
                    ->map($this->session(...))
                    ->all(),
            ),
            'absences' => array_values(
                Absence::query()
                    ->whereNull('calendar_id')
                    ->orderBy('from_at')
                    ->get()
                    ->map(
                        fn (Absence $each) => [
                            'id' => $each->uid,
                            'called' => $each->called,
                            'from' => Exported::moment($each->from_at),
                            'to' => Exported::moment($each->to_at),
                        ],
                    )
                    ->all(),
            ),
            'weather' => array_values(
                WeatherDay::query()
                    ->orderBy('day')
                    ->get()
                    ->map(
                        fn (WeatherDay $day) => [
                            'day' => $day->day->format('Y-m-d'),
                            'cloud' => (float) $day->cloud,
                            'low_c' => (float) $day->low_c,
                            'high_c' => (float) $day->high_c,
                        ],
                    )
                    ->all(),
            ),
            'photos' => array_values(
                Photo::query()
                    ->orderBy('id')
                    ->get()
                    ->map(
                        fn (Photo $photo) => [
                            'id' => $photo->uid,
                            'batch' => $photo->batch->uid ?? '',
                            'jpeg' => base64_encode($photo->jpeg),
                        ],
                    )
                    ->all(),
            ),
        ];
    }

    /** @return array<string, mixed> */
    private function session(StoveSession $session): array
    {
        $readings = [];
        foreach ($session->probes->sortBy('probe_id')->take(1) as $probe) {
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

        return [
            'id' => $session->uid,
            'cooker' => $session->cooker?->uid,
            'set_up' => $session->set_up,
            'setting' => $session->setting,
            'band' => $session->band,
            'started_at' => Exported::moment($session->started_at),
            'ended_at' => $session->ended_at === null ? null : Exported::moment($session->ended_at),
            'jars' => array_values(
                $session->jars
                    ->map(
                        fn (StoveJar $jar) => [
                            'batch' => $jar->batch->uid,
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
}
