<?php

namespace App\Actions\Stove;

use App\Actions\Batches\Records;
use App\Actions\Batches\RecordTask;
use App\House\KitchenFactory;
use App\House\WhenDone;
use App\Models\Batch;
use App\Models\StoveJar;
use App\Models\StoveSession;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Kettle\Diary\DiaryException;
use Kettle\Diary\Step;
use Kettle\Measure\Kind;
use Kettle\Reason\RefusedException;
use Kettle\Reason\Said;
use Kettle\Time\Dates;
use Kettle\Vessel\CookerException;

/**
 * What is done at a warm pot: switched, topped up, shaken, a jar taken out, ended. Each is a line of its logbook, and of the batches'.
 *
 * @phpstan-import-type Stood from Switching
 */
final readonly class Tend
{
    public const ACTS = ['pause', 'on', 'topped_up', 'shaken', 'setting', 'lid_on', 'lid_off', 'jar_out', 'end'];

    /** What goes in round the jars up to the brim, of what stands there at the full line: our own bound. */
    private const TO_THE_BRIM = 1.3;

    public function __construct(
        private KitchenFactory $kitchens,
        private TakeReadings $readings,
        private Records $records,
        private RecordTask $record,
        private PlanDiary $diary,
        private SetUp $setUp,
        private Forecast $forecast,
        private WhenDone $done,
    ) {}

    /**
     * @param  string  $what one of ACTS
     * @param  ?string  $with an amount, a setting, or the id of a batch, where one is wanted
     * @param  string  $confirmed why a setting is taken that is foretold to pass the ceiling
     *
     * @throws RefusedException
     */
    public function __invoke(StoveSession $session, string $what, ?string $with, string $confirmed = ''): void
    {
        // What is switched changes what is reckoned from then on, by every reading since.
        $this->done->isLate() && $what !== 'shaken' && throw DiaryException::onlyShakenThen();
        DB::transaction(function () use ($session, $what, $with, $confirmed): void {
            $locked = StoveSession::query()
                ->whereKey($session->id)
                ->lockForUpdate()
                ->with(['probes.probe', 'jars.batch'])
                ->firstOrFail();
            if ($locked->state === StoveSession::ENDED) {
                throw new DiaryException('not_open', 'This is over: the jars are out. Start anew to go on.');
            }
            $before = Switching::stands($locked);
            match ($what) {
                'pause' => $this->pause($locked, $before),
                'on' => $this->on($locked, $before),
                'topped_up' => $this->topUp($locked, $with),
                'shaken' => $this->shaken($locked),
                'setting' => $this->setting($locked, (string) $with, trim($confirmed), $before),
                'lid_on', 'lid_off' => $this->lid($locked, $what === 'lid_on', $before),
                'jar_out' => $this->takeOut($locked, (string) $with, $before),
                default => $this->end($locked, $before),
            };
            $locked->version++;
            $locked->save();
            $session->setRawAttributes($locked->getAttributes(), true);
            $session->unsetRelations();
        });
        $session->speed === 1 && ($this->diary)(Said::of('moved.cooker-free'));
    }

    /** @param  Stood  $before */
    private function pause(StoveSession $session, array $before): void
    {
        if ($session->state !== StoveSession::ON) {
            throw new DiaryException('not_open', 'It is off already.');
        }
        $entries = [];
        foreach ($this->standing($session) as $jar) {
            $entries = [...$entries, ...$this->off($session, $jar)];
        }
        $session->state = StoveSession::PAUSED;
        $session->switched_at = Carbon::now();
        StartSession::note($session, 'paused', ['before' => ['entries' => $entries] + $before]);
    }

    /** @param  Stood  $before */
    private function on(StoveSession $session, array $before): void
    {
        if ($session->state !== StoveSession::PAUSED) {
            throw new DiaryException('not_open', 'It is on already.');
        }
        $entries = [];
        foreach ($this->standing($session) as $jar) {
            if ($session->speed === 1) {
                $progress = $this->records->progress($jar->batch);
                $progress->warmed->onSince === null && ($entries[] = $this->task($jar->batch, Step::WarmOn, $progress->warmed->nth()));
            }
        }
        $session->state = StoveSession::ON;
        $session->switched_at = Carbon::now();
        $session->shaken_at = Carbon::now();
        StartSession::note($session, 'on', ['setting' => $session->setting, 'before' => ['entries' => $entries] + $before]);
    }

    private function topUp(StoveSession $session, ?string $typed): void
    {
        if (($session->set_up['dry'] ?? false) === true) {
            throw new CookerException('unfit', 'There is no water in it to top up: it holds its warmth by itself.', 'what');
        }
        $full = (float) $session->set_up['full_ml'];
        $now = $session->now();
        $first = $session->firstProbe();
        $log = $first === null ? null : $this->readings->log($session, $first->probe, $first->gathered);
        $left = max(0.0, (float) $session->filled_ml - ($log?->lostSinceFill($now) ?? 0.0) * 1000);
        $poured = null;
        if ($typed !== null && trim($typed) !== '') {
            try {
                $poured = $this->kitchens->plain()->measured()->within($typed, Kind::Volume, 'mL', 5, 20_000)->value;
            } catch (RefusedException $refused) {
                throw $refused->about('with');
            }
            // However much went off unseen, no more goes in than it holds.
            if ($poured > $full * self::TO_THE_BRIM) {
                throw CookerException::moreThanHolds((string) $typed, $full * self::TO_THE_BRIM)->about('with');
            }
        }
        $before = ['at' => $session->filled_at->toISOString(), 'ml' => (float) $session->filled_ml];
        $session->filled_ml = (string) round($poured === null ? $full : min($left + $poured, $full * self::TO_THE_BRIM), 2);
        $session->filled_at = Carbon::now();
        foreach ($session->probes as $probe) {
            $log = $this->readings->log($session, $probe->probe, $probe->gathered);
            $log->filled($now);
            TakeReadings::keep($probe, $log->toArray());
        }
        StartSession::note($session, 'topped_up', ['ml' => round($poured ?? max(0.0, $full - $left)), 'before' => $before]);
    }

    private function shaken(StoveSession $session): void
    {
        $at = $this->done->at();
        if ($at < $session->started_at) {
            throw DiaryException::outOfTurn(Dates::say($this->kitchens->local($session->started_at), 'moment'));
        }
        $before = ['at' => $session->shaken_at->toISOString(), 'entries' => []];
        $session->shaken_at = max($at, $session->shaken_at);
        foreach ($this->standing($session) as $jar) {
            if ($session->speed === 1 && $this->records->progress($jar->batch)->warmed->onSince !== null) {
                try {
                    $before['entries'][] = [$jar->batch->uid, ($this->record)($jar->batch, Step::Shake->value, 'done', null, null)->uid];
                } catch (DiaryException) {
                    // Its last hours: none is due any more.
                }
            }
        }
        StartSession::note($session, 'shaken', ['before' => $before], $at);
    }

    /** @param  Stood  $before */
    private function setting(StoveSession $session, string $name, string $confirmed, array $before): void
    {
        /** @var array{settings: list<array{name: string}>} $cooker */
        $cooker = $session->set_up['cooker'];
        if (! in_array($name, array_column($cooker['settings'], 'name'), true)) {
            throw new CookerException('unknown', sprintf('It has no setting “%s”.', mb_substr($name, 0, 40)), 'with');
        }
        // Left so, it comes to rest there.
        $steady = $this->setUp->pot($session->set_up, $name, (float) $session->filled_ml / 1000)->steady();
        $band = $session->core();
        $stop = $session->speed === 1 ? $this->forecast->stop($name, $steady, $steady > $band->ceiling, $band) : null;
        if ($stop !== null && $confirmed === '') {
            throw new CookerException(
                'stop',
                $this->kitchens->words()->of($stop).' Say why you set it so all the same, and that is kept; or leave it as it is.',
                'confirmed',
            );
        }
        $session->setting = $name;
        StartSession::note(
            $session,
            'setting',
            ['setting' => $name, 'before' => $before] + ($stop === null ? [] : ['stop' => $stop->toArray(), 'confirmed' => $confirmed]),
        );
    }

    /** @param  Stood  $before */
    private function lid(StoveSession $session, bool $on, array $before): void
    {
        $session->set_up = ['lid' => $on] + $session->set_up;
        StartSession::note($session, $on ? 'lid_on' : 'lid_off', ['before' => $before]);
    }

    /** @param  Stood  $before */
    private function takeOut(StoveSession $session, string $uid, array $before): void
    {
        $jar =
            $this->standing($session)->first(fn (StoveJar $jar) => $jar->batch->uid === $uid) ??
            throw (new DiaryException('not_open', 'That is not in this cooker.'))->about('with');
        $before = ['entries' => $this->out($session, $jar)] + $before;
        $data = ['batch' => $uid, 'herb' => Said::just($jar->batch->herbs)->toArray()];
        if (! $this->standing($session)->isEmpty()) {
            StartSession::note($session, 'jar_out', $data + ['before' => $before]);
        } else {
            // The last one out ends it: the two are one, and are taken back as one.
            $this->over($session, ['with' => StartSession::note($session, 'jar_out', $data)->id] + $before);
        }
    }

    /** @param  Stood  $before */
    private function end(StoveSession $session, array $before): void
    {
        $entries = [];
        foreach ($this->standing($session) as $jar) {
            $entries = [...$entries, ...$this->out($session, $jar)];
        }
        $this->over($session, ['entries' => $entries] + $before);
    }

    /** @param  Stood  $before */
    private function over(StoveSession $session, array $before): void
    {
        $session->state = StoveSession::ENDED;
        $session->ended_at = Carbon::now();
        $session->switched_at = Carbon::now();
        StartSession::note($session, Switching::ENDED, ['before' => $before]);
    }

    /** @return list<array{string, string}> what went into its batch's logbook: the batch and the entry */
    private function out(StoveSession $session, StoveJar $jar): array
    {
        $entries = $this->off($session, $jar);
        $jar->hours = (string) round($this->hours($session, $jar), 3);
        $jar->out_at = Carbon::now();
        $jar->save();

        return $entries;
    }

    /**
     * Off for one jar: what it gathered since it went on goes to its batch's logbook.
     *
     * @return list<array{string, string}> as out()
     */
    private function off(StoveSession $session, StoveJar $jar): array
    {
        if ($session->speed > 1) {
            return [];
        }
        $progress = $this->records->progress($jar->batch);
        if ($progress->warmed->onSince === null) {
            return [];
        }
        $hours = $this->hours($session, $jar);
        $entry = $this->task($jar->batch, Step::WarmOff, $progress->warmed->nth(), round(max(0.0, $hours - (float) $jar->logged_h), 3));
        $jar->logged_h = (string) round($hours, 3);
        $jar->save();

        return [$entry];
    }

    private function hours(StoveSession $session, StoveJar $jar): float
    {
        $hours = self::gathered($session, $jar)['hours'] ?? null;

        return is_numeric($hours) ? (float) $hours : 0.0;
    }

    /** @return array<string, mixed> what is kept of the thermometer this jar goes by */
    public static function gathered(StoveSession $session, StoveJar $jar): array
    {
        $probe = $session->probes->firstWhere('probe_id', $jar->probe_id) ?? $session->firstProbe();

        return $probe->gathered ?? [];
    }

    /** @return \Illuminate\Support\Collection<int, StoveJar> */
    private function standing(StoveSession $session): \Illuminate\Support\Collection
    {
        return $session->jars->filter(fn (StoveJar $jar) => $jar->out_at === null)->values()->toBase();
    }

    /**
     * @param  ?float  $warmH hours at warmth that a thermometer counted
     * @return array{string, string} the batch and the entry
     */
    private function task(Batch $batch, Step $step, int $nth, ?float $warmH = null): array
    {
        return [$batch->uid, ($this->record)($batch, $step->key($nth), 'done', null, null, warmH: $warmH)->uid];
    }
}
