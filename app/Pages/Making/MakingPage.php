<?php

namespace App\Pages\Making;

use App\Actions\Melt\BottledOils;
use App\Actions\Melt\MakingDocument;
use App\Actions\Melt\MakingRecords;
use App\House\KitchenFactory;
use App\House\Times;
use App\Models\Batch;
use App\Models\Making;
use App\Models\MakingEntry;
use App\Pages\Boil\PotsTaken;
use App\Pages\Stores\StoresPresenter;
use App\Responses\Making\FillView;
use App\Responses\Making\FromView;
use App\Responses\Making\MakingCard;
use App\Responses\Making\MakingList;
use App\Responses\Making\MakingView;
use App\Responses\Making\PotNow;
use App\Responses\Making\StepView;
use App\Responses\Making\TinView;
use App\Responses\Making\ToMend;
use Illuminate\Support\Facades\DB;
use Kettle\Batch\Stored;
use Kettle\Diary\Stage as BatchStage;
use Kettle\Making\MakingState;
use Kettle\Making\PotPart;
use Kettle\Making\Stage;
use Kettle\Making\TinState;
use Kettle\Material\Tables;
use Kettle\Melt\MeltTable;
use Kettle\Reason\Said;
use Kettle\Recipe\Words;

/** Everything of one product for its page, and products in a list. */
final readonly class MakingPage
{
    /** Lines of the logbook on one page; older ones are in the export. */
    private const ENTRIES = 100;

    private const LISTED = 40;

    /** So near, what was weighed is as planned, as a share of it: a kitchen scale and a hand that pours. Common practice, no source. */
    private const AS_PLANNED = 0.03;

    public function __construct(
        private MakingRecords $records,
        private MakingEntryPresenter $entryWords,
        private StoresPresenter $stores,
        private KitchenFactory $kitchens,
        private Times $times,
        private MakingDocument $documents,
        private Tables $tables,
        private LeafPresenter $leaf,
        private PotsTaken $pots,
    ) {}

    public function of(Making $making): MakingView
    {
        $making->load('entries', 'batches');
        $entries = $making->entries->sortByDesc('id')->take(self::ENTRIES);
        $corrected = MakingEntry::corrected($making->entries);
        $state = $this->records->state($making);
        $words = $this->kitchens->words();
        $inside = $state->ingredients();
        $firmness = MeltTable::of($this->tables)->firmness();

        return new MakingView(
            id: $making->uid,
            code: $making->code,
            name: $making->name,
            product: $making->product,
            vessel: $making->plan->vessel,
            stage: $making->stage->value,
            stage_text: $this->stage($making),
            version: $making->version,
            plan: $this->documents->told($making->plan->document),
            wish: $making->wish,
            pot: $this->pot($state, $words),
            mass_text: $words->thing(['g' => $state->pot->massG]),
            volume_text: $words->thing(['mL' => $state->pot->ml]),
            in_pot_g: round($state->inPot()->massG, 4),
            in_pot_firmness: round($state->inPot()->firmness, 6),
            firmness: round($state->pot->firmness, 6),
            firmness_text: $words->thing(['firmness' => $state->pot->firmness]),
            band: $firmness->band($state->pot->firmness)['id'],
            by_wax: $making->plan->byWax,
            mends: $state->mends,
            to_mend: $state->toMend === null || ! $state->stage->isOpen() ? null : new ToMend($state->toMend->is, $state->toMend->by),
            steps: $this->steps($making, $state, $words),
            leaf: $state->leaf === null ? null : $this->leaf->view($state->leaf),
            fill: array_map(
                fn (array $tin) => new FillView($tin['ml'], $words->thing(['mL' => $tin['ml']]), $tin['count']),
                $state->filling(),
            ),
            tins: array_map(
                fn (TinState $tin) => new TinView(
                    $tin->number,
                    $tin->ml,
                    $words->thing(['mL' => $tin->ml]),
                    $words->thing(['g' => $tin->grams]),
                    $tin->state,
                    $tin->to,
                    $tin->price === null ? null : $words->thing(['money' => $tin->price]),
                ),
                $state->tins,
            ),
            tins_left: $making->tins_left,
            stands: $making->stands,
            best_before: $this->times->date($making->goodUntil()),
            from: [...$this->fromBatches($making, $words), ...$this->pots->into($making), ...$this->fromLots($making)],
            ingredients: array_map(fn (mixed $name) => $words->thing($name instanceof Said ? $name->toArray() : $name), $inside->cook()),
            inci: $inside->inci(),
            allergens: $inside->allergens,
            warnings: $this->warnings($making, $words),
            entries: array_values($entries->map(fn (MakingEntry $entry) => $this->entryWords->view($entry, $making, $corrected))->all()),
            entries_total: $making->entries->count(),
        );
    }

    /** Products that are not poured yet, and those of which some still stands somewhere; the last begun first. */
    public function listed(): MakingList
    {
        $rows = fn (Stage ...$stages) => Making::query()
            ->select(Making::LISTED)
            ->whereIn('stage', $stages)
            ->orderByDesc('begun_at')
            ->orderByDesc('id')
            ->limit(self::LISTED + 1);
        $open = $rows(...Stage::open())->get();
        $made = $rows(Stage::Poured)->where('holds', true)->get();

        return new MakingList(
            array_map($this->card(...), array_slice(array_values($open->all()), 0, self::LISTED)),
            array_map($this->card(...), array_slice(array_values($made->all()), 0, self::LISTED)),
            $made->count() > self::LISTED,
        );
    }

    public function card(Making $making): MakingCard
    {
        return new MakingCard(
            $making->uid,
            $making->code,
            $making->name,
            MeltTable::of($this->tables)->products()[$making->product]->vessel ?? 'tin',
            $making->stage->value,
            $this->stage($making),
            $making->tins,
            $making->tins_left,
            $making->stands,
            $this->times->date($making->goodUntil()),
            $making->goodUntil() < $this->kitchens->now()->format('Y-m-d'),
        );
    }

    private function stage(Making $making): string
    {
        return match ($making->stage) {
            Stage::Planned => 'begun, nothing weighed yet',
            Stage::Making => 'in the pot',
            Stage::Poured => sprintf(
                'poured on %s; %s',
                $this->times->date($making->poured_at ?? $making->begun_at),
                match (true) {
                    $making->tins_left === 0 => 'all of it gone',
                    $making->tins_left === $making->tins => 'all of it here',
                    default => "{$making->tins_left} of {$making->tins} here",
                },
            ),
            Stage::Discarded => 'thrown away',
        };
    }

    /** @return list<PotNow> */
    private function pot(MakingState $state, Words $words): array
    {
        $reads = 0.0;
        $pot = [];
        foreach ($state->pot->parts as $part) {
            $reads += $part->isCool() ? 0.0 : $part->grams;
            $pot[] = new PotNow(
                $part->id,
                $part->kind->value,
                $words->thing($part->said),
                round($part->grams, 4),
                round($part->ml(), 4),
                round($part->grams / max(1e-9, $state->pot->massG), 6),
                $words->thing($part->amount()),
                $words->thing(['share' => $part->grams / max(1e-9, $state->pot->massG)]),
                $part->isCool() ? null : $words->thing(['g' => $reads]),
                $part->isCool(),
                $state->isIn($part->id),
            );
        }

        return $pot;
    }

    /** @return list<StepView> what goes in last by what there is by now, and not by what was planned */
    private function steps(Making $making, MakingState $state, Words $words): array
    {
        return array_map(function (Stored $step) use ($making, $state, $words): StepView {
            $id = $step->text('id');
            $says = $step->said('says');
            if (in_array($id, MakingState::LAST, true) && $says !== null && ! $state->isDone($id)) {
                $says = Said::of(
                    $says->code,
                    [
                        'parts' => [
                            'all' => array_map(
                                fn (PotPart $part) => Said::of('melt.of', ['amount' => $part->amount(), 'part' => $part->said]),
                                $state->pot->cool(true)->parts,
                            ),
                        ],
                    ] + $says->with,
                );
            }
            if (str_starts_with($id, 'weigh.')) {
                $part = substr($id, 6);
                $says =
                    $this->weighed($making, $state, $part) ??
                    (($state->stage->isOpen() && ! $state->isDone($id) ? $this->weighing($state, $part) : null) ?? $says);
            }
            $does = match (true) {
                str_starts_with($id, 'weigh.') => 'weigh',
                $id === 'spoon' => 'spoon',
                in_array($id, ['pour', 'fill'], true) => 'pour',
                default => 'step',
            };

            return new StepView($id, $words->of($says), $does, $state->isDone($id));
        }, (new Stored($making->plan->document))->parts('steps'));
    }

    /** What was weighed, and beside it what was planned where it is not that; null of what was not weighed. */
    private function weighed(Making $making, MakingState $state, string $id): ?Said
    {
        $grams = $state->weighed[$id] ?? null;
        $part = $making->plan->pot->part($id);
        if ($grams === null || $part === null) {
            return null;
        }
        $as = ['mass' => ['g' => $grams], 'part' => $part->said];

        return abs($grams - $part->grams) <= self::AS_PLANNED * $part->grams
            ? Said::of('melt.step.in', $as)
            : Said::of('melt.step.in-otherwise', $as + ['planned' => ['g' => $part->grams]]);
    }

    /** What is to be weighed next, on a scale that has on it what went in, and how much of it goes with that. */
    private function weighing(MakingState $state, string $id): ?Said
    {
        $part = $state->pot->part($id);
        $reads = $state->readsWith($id);
        if ($part === null || $reads === null) {
            return null;
        }
        $weigh = Said::of($reads - $part->grams < 1e-9 ? 'melt.step.weigh' : 'melt.step.weigh-on', [
            'mass' => ['g' => $part->grams],
            'part' => $part->said,
            'reads' => ['g' => $reads],
        ]);
        $times = $state->weighedTimes();

        return abs($times - 1) <= self::AS_PLANNED
            ? $weigh
            : Said::just([
                'in_a_row' => [
                    $weigh,
                    Said::of($times > 1 ? 'melt.step.more-in' : 'melt.step.less-in', [
                        'share' => ['share' => round($times > 1 ? $times - 1 : 1 - $times, 2)],
                        'keeps' => ['g' => $part->grams * $times],
                    ]),
                ],
            ]);
    }

    /** @return list<FromView> */
    private function fromBatches(Making $making, Words $words): array
    {
        $ml = DB::table('making_batches')->where('making_id', $making->id)->pluck('ml', 'batch_id');

        return array_values(
            $making->batches
                ->map(
                    fn (Batch $batch) => new FromView(
                        'batch',
                        $batch->uid,
                        $batch->code.', '.$words->thing(BottledOils::said($batch)),
                        $words->thing(['mL' => is_numeric($ml[$batch->id] ?? null) ? (float) $ml[$batch->id] : 0.0]),
                    ),
                )
                ->all(),
        );
    }

    /** @return list<FromView> */
    private function fromLots(Making $making): array
    {
        return array_map(
            fn (array $each) => new FromView('lot', $each['lot']->uid, $each['lot']->called, $each['amount_text']),
            $this->stores->taken($making),
        );
    }

    /** @return list<string> */
    private function warnings(Making $making, Words $words): array
    {
        $warnings = [];
        foreach ($making->batches as $batch) {
            if ($batch->stage === BatchStage::Discarded) {
                $warnings[] = sprintf(
                    '%s (%s) was thrown away since. Do not use what is left of this, and tell whoever has some of it.',
                    ucfirst($words->thing(BottledOils::said($batch))),
                    $batch->code,
                );
            }
        }
        if ($making->tins_left > 0 && $making->goodUntil() < $this->kitchens->now()->format('Y-m-d')) {
            $warnings[] = 'It is past its day. Smell it before anybody uses it, and rather throw it away.';
        }

        return $warnings;
    }
}
