<?php

namespace App\Pages\Stove;

use App\Actions\Batches\Records;
use App\Actions\Stove\SetUp;
use App\House\KitchenFactory;
use App\House\Times;
use App\Models\Batch;
use App\Models\Cooker;
use App\Models\Probe;
use App\Models\StoveJar;
use App\Models\StoveProbe;
use App\Models\StoveSession;
use App\Pages\Boil\BoilList;
use App\Pages\Making\LeafPresenter;
use App\Responses\Choice;
use App\Responses\Stove\PanCard;
use App\Responses\Stove\StovePage;
use App\Responses\Stove\StoveWaiting;
use Illuminate\Database\Eloquent\Collection;
use Kettle\Diary\CookerPlace;
use Kettle\Diary\Progress;
use Kettle\Diary\Routine;
use Kettle\Diary\Stage;
use Kettle\Diary\Step;
use Kettle\Diary\Task;
use Kettle\Infusion\Method;
use Kettle\Measure\AmountWriter;
use Kettle\Reason\RefusedException;
use Kettle\Vessel\WaterBath;
use Kettle\Warmth\Band;
use Kettle\Warmth\ByEye;

/** The Stove as a place: what is warm, what wants warmth, what there is to warm it in; and readings as files have them. */
final readonly class StovePresenter
{
    private const SESSIONS = 12;

    private const ENDED = 5;

    private const WAITING = 24;

    public function __construct(
        private PotPresenter $words,
        private Warmths $warmths,
        private CookerPresenter $cookers,
        private Records $records,
        private KitchenFactory $kitchens,
        private Times $times,
        private SetUp $setUp,
        private LeafPresenter $leaves,
        private BoilList $boils,
    ) {}

    public function page(): StovePage
    {
        $with = ['jars.batch', 'probes.probe', 'cooker'];
        $running = StoveSession::query()
            ->where('state', '!=', StoveSession::ENDED)
            ->orderByDesc('id')
            ->limit(self::SESSIONS)
            ->with($with)
            ->get();
        $ended = StoveSession::query()->where('state', StoveSession::ENDED)->orderByDesc('id')->limit(self::ENDED)->with($with)->get();
        $used = $running->where('speed', 1)->pluck('cooker_id')->flip();
        $busy = StoveProbe::query()->whereIn('stove_session_id', $running->pluck('id'))->pluck('probe_id')->flip();

        $cookers = Cooker::query()->orderBy('id')->get();
        [$waiting, $pans] = $this->waiting($cookers);

        return new StovePage(
            sessions: array_values($running->map($this->words->card(...))->all()),
            waiting: $waiting,
            pans: $pans,
            leaves: $this->leaves->standing(),
            boils: $this->boils->open(),
            cookers: array_values($cookers->map(fn (Cooker $cooker) => $this->cookers->cooker($cooker, isset($used[$cooker->id])))->all()),
            probes: array_values(
                Probe::query()
                    ->where('kind', '!=', Probe::HAND)
                    ->orderBy('id')
                    ->limit(40)
                    ->get()
                    ->map(fn (Probe $probe) => $this->cookers->probe($probe, isset($busy[$probe->id])))
                    ->all(),
            ),
            ended: array_values($ended->map($this->words->card(...))->all()),
        );
    }

    /**
     * A warmth as it was read and typed, in degrees C. Without its unit it is in the cook's own degrees.
     *
     * @throws RefusedException
     */
    public function byEye(string $typed, Band $band): float
    {
        $kitchen = $this->kitchens->plain();

        return (new ByEye($kitchen->reader(), $kitchen->fahrenheit))->read($typed, $band);
    }

    /**
     * @param  Collection<int, Cooker>  $cookers
     * @return array{list<StoveWaiting>, list<PanCard>} what waits for a cooker, and what is done in a pan
     */
    private function waiting(Collection $cookers): array
    {
        $standing = StoveJar::standing()->pluck('batch_id');
        $batches = Batch::query()
            ->whereIn('stage', [Stage::Planned, Stage::Steeping])
            ->where('shelf->heated', true)
            ->whereNotIn('id', $standing)
            ->orderBy('start_at')
            ->orderBy('id')
            ->limit(self::WAITING)
            ->with('entries')
            ->get();
        $availability = $this->kitchens->availability();
        $places = $this->kitchens->places($cookers);
        $waiting = $pans = [];
        foreach ($batches as $batch) {
            $routine = $this->records->of($batch)->routine();
            $progress = $this->records->progress($batch, availability: $availability);
            if ($progress->warmed->left($routine->hours) <= 0 && $progress->warmed->onSince === null) {
                continue;
            }
            if ($routine->method->has(Method::IN_PAN)) {
                $pans[] = $this->pan($batch, $progress, $routine);
            } elseif ($batch->plan->method->targetC !== null) {
                $waiting[] = $this->jars(
                    $batch,
                    $progress,
                    $routine,
                    array_map(
                        fn (CookerPlace $place) => $place->cooker->id,
                        array_values(array_filter($places, fn (CookerPlace $place) => in_array($routine->method->id, $place->kinds, true))),
                    ),
                );
            }
        }

        return [$waiting, $pans];
    }

    /** @param  list<string>  $cookers those its method is done in */
    private function jars(Batch $batch, Progress $progress, Routine $routine, array $cookers): StoveWaiting
    {
        $method = $batch->plan->method;
        $next = $batch->diary?->next();
        $warmUp = $routine->warmUpMin > 0 ? ', after about '.AmountWriter::span($routine->warmUpMin / 60).' getting warm' : '';

        return new StoveWaiting(
            $batch->uid,
            $batch->code,
            $batch->herb_name,
            $batch->shelf->jar,
            $this->kitchens->words()->thing(['method' => $method->id]),
            $this->warmths->warmth($method->targetOrUsual()),
            ($progress->warmed->hours() > 0
                ? AmountWriter::clockSpan($progress->warmed->hours()).' of '.AmountWriter::clockSpan($routine->hours).' had'
                : AmountWriter::clockSpan($routine->hours).' at warmth').$warmUp,
            $next === null ? '' : $this->times->due($next),
            $batch->stage === Stage::Steeping,
            $batch->diary?->cooker,
            $this->kitchens->words()->of($batch->diary?->says) ?: null,
            array_map(fn (string $school) => new Choice($school, WaterBath::DEPTHS[$school]), $this->setUp->depths([$batch])),
            // Glass that hangs in its water goes in while everything is cold.
            $routine->method->warming->water === 'rim' ? 'hand-hot' : 'cold',
            $cookers,
        );
    }

    private function pan(Batch $batch, Progress $progress, Routine $routine): PanCard
    {
        $method = $batch->plan->method;
        $open = array_values(
            array_filter($progress->tasks, fn (Task $task) => $task->open && in_array($task->step, [Step::WarmOn, Step::WarmOff], true)),
        );
        $stir = array_values(array_filter($progress->tasks, fn (Task $task) => $task->step === Step::Shake))[0] ?? null;
        $off = array_values(array_filter($progress->tasks, fn (Task $task) => $task->step === Step::WarmOff))[0] ?? null;
        $since = $progress->warmed->onSince;
        $ceiling = $method->ceilingC ?? 105.0;

        return new PanCard(
            $batch->uid,
            $batch->code,
            $batch->herb_name,
            $batch->shelf->jar,
            $since !== null,
            ($open[0] ?? null)?->key(),
            $since === null ? null : $stir?->key(),
            $since === null
                ? ($batch->stage === Stage::Steeping
                    ? 'oil and herb are in it'
                    : 'not filled yet')
                : 'on the flame since '.$this->times->clock($since),
            $since === null
                ? 'Stir it all the while; never leave the flame.'
                : ($stir === null || $stir->dueAt <= $this->kitchens->now()
                    ? 'Stir it now.'
                    : 'Stir next at '.$this->times->clock($stir->dueAt).'.'),
            'about '.$this->warmths->warmth($method->targetC ?? 95.0).', never over '.$this->warmths->warmth($ceiling),
            $off === null
                ? ''
                : ($since === null
                    ? 'by its signs, about '.AmountWriter::span($routine->minutesFor($routine->hours) / 60).' on the flame'
                    : 'by its signs, about '.$this->times->clock($off->dueAt)),
            $routine->coldWithinH !== null
                ? 'Cool it fast, the pan in cold water, and strain it at once.'
                : ($routine->standsH > 0
                    ? 'Then it stands '.AmountWriter::span($routine->standsH).' before it is strained.'
                    : 'Then it is strained.'),
            array_map(fn (string $id, string $says) => new Choice($id, $says), array_keys(Method::SIGNS), Method::SIGNS),
        );
    }
}
