<?php

namespace App\Words;

use App\Actions\Batches\Records;
use App\House\Kitchens;
use App\Http\Shapes\FaultCause;
use App\Http\Shapes\FaultsFound;
use App\Http\Shapes\FaultSign;
use App\Http\Shapes\FaultSigns;
use App\Models\Batch;
use App\Models\LotMove;
use App\Models\StoveJar;
use Illuminate\Support\Carbon;
use Kettle\Batch\Line\Strained;
use Kettle\Batch\Line\TaskLine;
use Kettle\Batch\Logbook;
use Kettle\Batch\PlannedHerb;
use Kettle\Fault\FaultFinder;
use Kettle\Infusion\Method;
use Kettle\Material\Carrier;
use Kettle\Material\Herb;
use Kettle\Material\HerbForm;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Recipe\Bench;
use Kettle\Stores\Condition;
use Kettle\Stores\LotKind;

/** What the records of a batch say for and against each fault. */
final readonly class FaultWords
{
    /** An oil of this oxidisability or more takes up oxygen readily: between olive, about 2, and grapeseed, about 7. From memory. */
    private const POLY_FROM = 4.0;

    /** Sets, or clouds, in a refrigerator, degrees C. */
    private const COLD_C = 10.0;

    /** Fewer hours at warmth than this share of the planned are too few. */
    private const ENOUGH = 0.85;

    private const SESSIONS = 6;

    public function __construct(
        private Bench $bench,
        private Records $records,
        private Kitchens $kitchens,
        private Times $times,
        private StoveWords $stove,
        private FaultFinder $finder,
    ) {
    }

    public function signs(): FaultSigns
    {
        return new FaultSigns(array_map(fn (array $sign) => new FaultSign($sign['id'], $sign['says'], $sign['discard']), $this->finder->signs()));
    }

    /** @param  list<string>  $signs */
    public function found(array $signs, ?Batch $batch): FaultsFound
    {
        $found = $this->finder->find($signs, $batch === null ? [] : $this->facts($batch));

        return new FaultsFound($found['keep'], $found['says'], array_map(fn (array $cause) => new FaultCause(
            $cause['id'], $cause['name'], $cause['likely'], $cause['for'], $cause['against'], $cause['test'], $cause['do'], $cause['keep'],
        ), $found['causes']));
    }

    /** @return array<string, array<string, string>> by fact, the words it is said with */
    public function facts(Batch $batch): array
    {
        $log = $this->records->log($batch);

        return array_filter([
            ...$this->ofTheHerb($batch, $log),
            ...$this->ofTheOils($batch),
            ...$this->ofTheWarmth($batch),
            ...$this->ofTheDays($batch),
            ...$this->ofTheLots($batch),
        ], fn (?array $words) => $words !== null);
    }

    /** @return array<string, array<string, string>|null> */
    private function ofTheHerb(Batch $batch, Logbook $log): array
    {
        $plan = $batch->plan;
        $state = $plan->state->value;
        $wet = $plan->state->isWet();
        $forms = array_values(array_filter(array_map(fn (PlannedHerb $herb): ?HerbForm => $this->bench->cupboard()->forms()[$herb->form] ?? null, $plan->herbs)));
        $plants = $plan->plants($this->bench->cupboard());
        $form = fn (string ...$ids): ?array => ($found = array_values(array_filter($forms, fn (HerbForm $form) => in_array($form->id, $ids, true)))) === [] ? null : ['form' => $found[0]->name];
        $mucilage = array_values(array_filter($plants, fn (Herb $herb) => str_contains(mb_strtolower($herb->note), 'mucilage')));
        $seen = array_merge([], ...array_map(fn (TaskLine $line) => $line->seen, $log->all(TaskLine::class)));
        $strained = $log->last(Strained::class);
        $way = $strained->way ?? $plan->way;
        $cover = $plan->figureOrNull('cover');

        return [
            'wet-herb' => $wet ? ['state' => $state] : null,
            'dry-herb' => $wet ? null : [],
            'squeezed-wet' => $wet && $way !== 'drained' ? ['way' => $way] : null,
            'drained' => $way === 'drained' ? [] : null,
            'pressed' => $way === 'pressed' ? [] : null,
            'powder' => $form('powder', 'tea-bag') === null ? null : [],
            'woody' => $form('twig', 'root', 'seed-berry'),
            'fluffy' => $form('fluffy-flower'),
            'mucilage' => $mucilage === [] ? null : ['mucilage' => $mucilage[0]->note],
            'lean' => preg_match('/1:(\d+(?:\.\d+)?)/', $plan->ratio, $m) === 1 && (float) $m[1] > 12 ? ['ratio' => $m[0]] : null,
            'thin-cover' => $cover !== null && $cover < 15 ? ['cover' => AmountWriter::plain($cover, Kind::Length)] : null,
            'herb-above-seen' => in_array(TaskLine::HERB_ABOVE, $seen, true) ? [] : null,
            'drops-seen' => in_array(TaskLine::DROPS_WIPED, $seen, true) ? [] : null,
            'not-weighed' => $strained !== null && ! $strained->weighed ? [] : null,
        ];
    }

    /** @return array<string, array<string, string>|null> */
    private function ofTheOils(Batch $batch): array
    {
        $kitchen = $this->kitchens->plain();
        $carriers = array_map(fn (array $oil): Carrier => $oil['carrier'], $batch->plan->blend($this->bench->cupboard())->shares());
        $first = fn (\Closure $is): ?Carrier => array_values(array_filter($carriers, $is))[0] ?? null;
        $hard = $first(fn (Carrier $oil) => $oil->setsBelowC > $kitchen->roomC);
        $clouds = $first(fn (Carrier $oil) => $oil->setsBelowC > 0 && $oil->setsBelowC <= $kitchen->roomC);
        $poly = $first(fn (Carrier $oil) => ($oil->oxidisability() ?? 0) >= self::POLY_FROM);
        $as = $batch->keptAs();

        return [
            'hard-fat' => $hard === null ? null : ['hard' => ucfirst($hard->name)],
            'clouds-cold' => $clouds === null ? null : ['clouds' => ucfirst($clouds->name)],
            'liquid-warm' => $hard === null ? ['room' => $kitchen->warmth($kitchen->roomC)] : null,
            'liquid-cold' => $first(fn (Carrier $oil) => $oil->setsBelowC > self::COLD_C) === null && $clouds === null ? [] : null,
            'poly-oil' => $poly === null ? null : ['poly' => ucfirst($poly->name), 'oxidisability' => (string) round($poly->oxidisability() ?? 0, 1)],
            'cold-place' => $as->place === 'fridge' ? [] : null,
            'warm-place' => $as->place === 'warm' ? [] : null,
            'clear-glass' => $as->glass === 'clear' ? [] : null,
            'kitchen' => $batch->purpose === 'kitchen' ? [] : null,
            'cool-room' => $kitchen->roomC < 15 ? ['room' => $kitchen->warmth($kitchen->roomC)] : null,
        ];
    }

    /** @return array<string, array<string, string>|null> */
    private function ofTheWarmth(Batch $batch): array
    {
        $method = $this->records->of($batch)->method();
        $course = $this->records->course($batch);
        $planned = $batch->plan->method->hours;
        $had = $course->warmed->hours();
        $over = null;
        $jars = StoveJar::query()->where('batch_id', $batch->id)->whereHas('session', fn ($query) => $query->where('speed', 1))->orderByDesc('id')->limit(self::SESSIONS)
            ->with(['session.jars.batch', 'session.probes.probe', 'session.cooker'])->get();
        foreach ($jars as $jar) {
            $over = $this->stove->view($jar->session)->over_text ?? $over;
        }
        $usual = $method->schools[0]->usualH;
        $overWater = $method->has(Method::IN_WATER) ? [] : null;

        return [
            'over-ceiling' => $over === null ? null : ['over' => lcfirst($over)],
            'under-warm' => $method->heated && $batch->strained_at !== null && $had < self::ENOUGH * $planned ? ['had' => StoveWords::hours($had), 'hours' => AmountWriter::span($planned)] : null,
            'cold-method' => $method->heated ? null : [],
            'steam' => $overWater,
            'in-water' => $overWater,
            'flame' => $method->has(Method::OVER_FLAME) ? [] : null,
            'short' => $planned > 0 && $planned < $usual ? ['hours' => AmountWriter::span($planned)] : null,
        ];
    }

    /** @return array<string, array<string, string>|null> */
    private function ofTheDays(Batch $batch): array
    {
        $now = Carbon::now();
        $strained = $batch->strained_at ?? $now;
        $over = $batch->filled_at === null ? 0 : $this->times->daysBetween($batch->strain_at, $strained);
        $early = $batch->strained_at === null || $batch->filled_at === null ? 0 : (int) round($batch->shelf->hours / 24) - $this->times->daysBetween($batch->filled_at, $batch->strained_at);
        $unsettled = $batch->bottled_at !== null && $batch->strained_at !== null && $batch->bottled_at->getTimestamp() - $batch->strained_at->getTimestamp() < 20 * 3600;

        return [
            'overdue' => $over > 7 ? ['over' => (string) $over] : null,
            'cut-short' => ! $batch->shelf->heated && $early > 3 ? ['early' => (string) $early] : null,
            'not-settled' => $unsettled ? [] : null,
            'headspace' => $batch->bottles()->where('state', 'in')->whereRaw('left_ml < filled_ml / 2')->exists() ? [] : null,
            'past-best' => $batch->best_before->isPast() ? [] : null,
            'past-use' => $batch->use_by !== null && $batch->use_by->isPast() ? [] : null,
        ];
    }

    /** @return array<string, array<string, string>|null> what was known of its lots when they were used */
    private function ofTheLots(Batch $batch): array
    {
        $facts = ['herb-aged' => null, 'oil-aged' => null, 'old-lot' => null, 'herb-never-checked' => null];
        $zone = $this->kitchens->now()->getTimezone();
        foreach (LotMove::query()->where('batch_id', $batch->id)->where('kind', 'taken')->with('lot')->orderBy('id')->get() as $move) {
            $lot = $move->lot->core($zone);
            // As it stood on that day; a verdict given since says nothing of then, but is all there is to say.
            $condition = Condition::of($lot, $this->kitchens->local($move->happened_at)->setTime(0, 0), $this->bench->cupboard());
            if ($lot->kind === LotKind::Herb) {
                $facts['herb-aged'] ??= $condition->is === Condition::SOUND ? null : ['why' => lcfirst($condition->reasons[0])];
                $facts['herb-never-checked'] ??= $move->lot->checked_at === null ? [] : null;
            } elseif ($lot->kind === LotKind::Carrier) {
                $facts['oil-aged'] ??= $condition->is === Condition::SOUND ? null : ['why' => lcfirst($condition->reasons[0])];
                $facts['old-lot'] ??= $condition->is === Condition::PAST ? [] : null;
            }
        }

        return $facts;
    }
}
