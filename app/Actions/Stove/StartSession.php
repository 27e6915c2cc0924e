<?php

namespace App\Actions\Stove;

use App\Actions\Batches\Records;
use App\Actions\Batches\RecordTask;
use App\House\KitchenFactory;
use App\Models\Batch;
use App\Models\Cooker;
use App\Models\Probe;
use App\Models\StoveEvent;
use App\Models\StoveJar;
use App\Models\StoveProbe;
use App\Models\StoveSession;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Kettle\Diary\DiaryException;
use Kettle\Diary\Stage;
use Kettle\Measure\Kind;
use Kettle\Vessel\CookerException;
use Kettle\Warmth\Band;
use Kettle\Warmth\WarmthException;

/** Jars go into a cooker, water round them, and it is switched on. */
final readonly class StartSession
{
    public function __construct(
        private KitchenFactory $kitchens,
        private SetUp $setUp,
        private Records $records,
        private RecordTask $record,
        private PlanDiary $diary,
        private Forecast $forecast,
    ) {}

    /**
     * @param  list<string>  $uids of batches
     * @param  string  $watch hand, or the id of a probe
     * @param  ?float  $pouredC warmth of the water poured in; the room's when null
     * @param  string  $confirmed why it is switched on although it is foretold to pass the ceiling
     * @param  int  $speed 1, or how many times as fast as the clock a trial with a simulated probe goes
     *
     * @throws \Kettle\Reason\RefusedException
     */
    public function __invoke(
        string $cookerUid,
        string $setting,
        array $uids,
        string $school,
        string $watch,
        ?string $water,
        int $speed,
        ?float $pouredC = null,
        string $confirmed = '',
    ): StoveSession {
        $batches = $this->batches($uids, $speed > 1);
        $cooker = $this->setUp->cooker($cookerUid, $setting);
        $probe = $this->probe($watch);
        if ($speed > 1 && $probe->kind !== Probe::SIMULATED) {
            throw new WarmthException('unfit', 'Only a trial with the simulated thermometer can run faster than the clock.', 'speed');
        }
        $band = $this->band($batches, $cooker);
        $bath = $this->setUp->bath($cooker, $batches, $school);
        $ml = $bath->waterMl($bath->fullMm);
        if ($water !== null && trim($water) !== '' && $bath->isDry()) {
            throw new CookerException(
                'unfit',
                sprintf('%s takes no water: it holds its warmth by itself.', ucfirst($cooker->called)),
                'water',
            );
        }
        if ($water !== null && trim($water) !== '') {
            try {
                $ml = $this->kitchens->plain()->measured()->within($water, Kind::Volume, 'mL', 50, 30_000)->value;
            } catch (\Kettle\Reason\RefusedException $refused) {
                throw $refused->about('water');
            }
            if ($ml > $bath->waterMl($bath->cooker->heightMm) + 1) {
                throw new CookerException(
                    'no_room',
                    sprintf(
                        'So much water does not go into %s round the jars: it takes %d mL to its brim.',
                        $cooker->called,
                        (int) $bath->waterMl($bath->cooker->heightMm),
                    ),
                    'water',
                );
            }
        }

        $pouredC = $bath->isDry() ? null : $pouredC;
        $setUp = $this->setUp->keep($cooker, $batches, $bath, $ml);
        $hours = min(50.0, max([0.0, ...array_map(fn (Batch $batch) => $batch->plan->method->hours, $batches)]) + 2);
        $said = $this->forecast->foretell($setUp, $setting, $band, $hours, $pouredC);
        $stop = $this->forecast->stop($setting, (float) $said['peak_c']['value'], $said['passes_ceiling']['value'] === true, $band);
        if ($stop !== null && $speed === 1 && trim($confirmed) === '') {
            $instead = $this->forecast->instead($cooker, $setting, $setUp, $band, $hours, $pouredC);
            throw new CookerException(
                'stop',
                $this->kitchens->words()->of($stop).
                    ' '.
                    ($instead === []
                        ? 'Switch it on and off by hand and stay by, or take another cooker'
                        : 'Take '.implode(' or ', $instead).' instead').
                    '; or say why you switch it on all the same, and that is kept.',
                'confirmed',
            );
        }
        $setUp += ['poured_c' => $pouredC] + ['model' => $this->forecast->path($said), 'foretold' => Forecast::keep($said)];

        return DB::transaction(function () use (
            $cooker,
            $setting,
            $batches,
            $probe,
            $band,
            $setUp,
            $ml,
            $speed,
            $stop,
            $confirmed,
        ): StoveSession {
            // Two people at once: the second sees what the first has begun.
            Cooker::query()->whereKey($cooker->id)->lockForUpdate()->first();
            $speed === 1 && $cooker->inUse() && throw CookerException::inUse($cooker->called)->about('cooker');
            $now = Carbon::now();
            $session = StoveSession::query()->create([
                'uid' => Str::ulid()->toString(),
                'cooker_id' => $cooker->id,
                'set_up' => $setUp,
                'setting' => $setting,
                'band' => ['low' => $band->low, 'target' => $band->target, 'ceiling' => $band->ceiling],
                'state' => StoveSession::ON,
                'speed' => $speed,
                'started_at' => $now,
                'switched_at' => $now,
                'filled_at' => $now,
                'filled_ml' => $ml,
                'shaken_at' => $now,
                'version' => 1,
            ]);
            StoveProbe::query()->create(['stove_session_id' => $session->id, 'probe_id' => $probe->id, 'gathered' => []]);
            foreach ($batches as $batch) {
                $progress = $this->records->progress($batch);
                StoveJar::query()->create([
                    'stove_session_id' => $session->id,
                    'batch_id' => $batch->id,
                    'count' => $this->setUp->jar($batch)['count'],
                    'planned_h' => $batch->plan->method->hours,
                    'had_h' => round($progress->warmed->hours(), 3),
                    'in_at' => $now,
                ]);
                if ($speed === 1 && $progress->warmed->onSince === null) {
                    ($this->record)(
                        $batch,
                        'warm_on'.($progress->warmed->nth() > 1 ? '-'.$progress->warmed->nth() : ''),
                        'done',
                        $stop === null ? null : trim($confirmed),
                        null,
                        against: $stop,
                    );
                }
            }
            self::note(
                $session,
                'started',
                ['setting' => $setting] + ($stop === null ? [] : ['stop' => $stop->toArray(), 'confirmed' => trim($confirmed)]),
            );
            $speed === 1 && ($this->diary)();

            return $session;
        });
    }

    /**
     * @param  array<string, mixed>  $data
     * @param  ?Carbon  $at when it was done; null for now
     */
    public static function note(StoveSession $session, string $kind, array $data = [], ?Carbon $at = null): StoveEvent
    {
        $user = Auth::user();

        return StoveEvent::query()->create([
            'stove_session_id' => $session->id,
            'kind' => $kind,
            'data' => $data,
            'by' => $user instanceof \App\Models\User ? $user->name : 'Warm Kettle',
            'happened_at' => $at ?? Carbon::now(),
        ]);
    }

    /**
     * @param  list<string>  $uids
     * @return list<Batch>
     */
    private function batches(array $uids, bool $trial): array
    {
        $found = Batch::query()->whereIn('uid', $uids)->orderBy('id')->get();
        if ($uids === [] || $found->count() !== count(array_unique($uids))) {
            throw CookerException::noJars();
        }
        foreach ($found as $batch) {
            if (! $trial && $batch->stage !== Stage::Steeping) {
                throw DiaryException::nothingToWarm($batch->herb_name)->about('batches');
            }
            if (! $trial && StoveJar::standing()->where('batch_id', $batch->id)->exists()) {
                throw DiaryException::standsInACooker($batch->herb_name)->about('batches');
            }
        }

        return array_values($found->all());
    }

    /** @param  list<Batch>  $batches */
    private function band(array $batches, Cooker $cooker): Band
    {
        $target = $ceiling = null;
        foreach ($batches as $batch) {
            $method = $batch->plan->method;
            if ($method->targetC === null || $method->ceilingC === null || ! in_array($method->id, $cooker->methods, true)) {
                throw (new CookerException(
                    'unfit',
                    sprintf(
                        'The %s is not planned for %s. Plan it for that method, or take another cooker.',
                        $batch->herb_name,
                        $cooker->called,
                    ),
                ))->about('batches');
            }
            if ($target !== null && abs($target - $method->targetC) > 2) {
                throw (new CookerException(
                    'unfit',
                    sprintf(
                        'These want different warmths, %s and %s: they cannot stand in one water.',
                        $this->kitchens->plain()->warmth($target),
                        $this->kitchens->plain()->warmth($method->targetC),
                    ),
                ))->about('batches');
            }
            $target ??= $method->targetC;
            $ceiling = min($ceiling ?? INF, $method->ceilingC);
        }

        return Band::about($target ?? 49.0, $ceiling ?? 60.0);
    }

    private function probe(string $watch): Probe
    {
        if ($watch === Probe::HAND) {
            return Probe::query()->where('kind', Probe::HAND)->first() ??
                Probe::query()->create(['uid' => Str::ulid()->toString(), 'called' => 'by eye', 'kind' => Probe::HAND]);
        }
        $probe =
            Probe::query()->where('uid', $watch)->first() ??
            throw new WarmthException('unknown', 'Say how its warmth is watched: by eye, or by which thermometer.', 'watch');
        $probe->stands() && throw WarmthException::standsElsewhere($probe->called)->about('watch');
        if ($probe->kind === Probe::SIMULATED) {
            $probe->update(['state' => null]);
        }

        return $probe;
    }
}
