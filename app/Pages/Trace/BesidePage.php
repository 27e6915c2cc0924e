<?php

namespace App\Pages\Trace;

use App\Actions\Batches\LotsUsed;
use App\Actions\Melt\BottledOils;
use App\Actions\Melt\MakingRecords;
use App\House\KitchenFactory;
use App\House\Times;
use App\Models\Batch;
use App\Models\Lot;
use App\Models\Making;
use App\Pages\Batch\BatchPresenter;
use App\Responses\Choice;
use App\Responses\Trace\BesideRow;
use App\Responses\Trace\BesideView;
use Illuminate\Database\Eloquent\Builder;
use Kettle\Recipe\Words;
use Kettle\Trace\Beside;

/** What a batch or a product was, in numbers and words, beside another of its kind. */
final readonly class BesidePage
{
    private const OTHERS = 40;

    public function __construct(private MakingRecords $makings, private KitchenFactory $kitchens, private Times $times) {}

    public function batches(Batch $one, ?Batch $other): BesideView
    {
        return $this->view(
            $one,
            $other,
            $this->ofBatch($one),
            $other === null ? null : $this->ofBatch($other),
            Batch::query()->select(BatchPresenter::COLUMNS),
        );
    }

    public function products(Making $one, ?Making $other): BesideView
    {
        return $this->view(
            $one,
            $other,
            $this->ofMaking($one),
            $other === null ? null : $this->ofMaking($other),
            Making::query()->select(Making::LISTED),
        );
    }

    /**
     * @param  array<string, array{string, float|string, string}>  $values name, value, and as it is said, by what it is
     * @param  ?array<string, array{string, float|string, string}>  $beside
     * @param  Builder<Batch>|Builder<Making>  $others of the same kind
     */
    private function view(Batch|Making $one, Batch|Making|null $other, array $values, ?array $beside, Builder $others): BesideView
    {
        $found = $beside === null ? [] : Beside::of(self::values($values), self::values($beside));
        $choices = [];
        foreach ($others->whereKeyNot($one->id)->orderByDesc('id')->limit(self::OTHERS)->get() as $each) {
            $choices[] = new Choice($each->uid, self::called($each));
        }

        return new BesideView(
            self::called($one),
            $other === null ? '' : self::called($other),
            array_map(
                fn (array $each) => new BesideRow(
                    $each['id'],
                    $values[$each['id']][0] ?? ($beside[$each['id']][0] ?? ''),
                    $values[$each['id']][2] ?? '',
                    $beside[$each['id']][2] ?? '',
                    round($each['by'], 4),
                ),
                $found,
            ),
            $beside === null ? 0 : count($values + $beside) - count($found),
            $choices,
        );
    }

    private static function called(Batch|Making $thing): string
    {
        return "{$thing->code}, {$thing->name}";
    }

    /**
     * @param  array<string, array{string, float|string, string}>  $all
     * @return array<string, float|string>
     */
    private static function values(array $all): array
    {
        return array_map(fn (array $each) => $each[1], $all);
    }

    /** @return array<string, array{string, float|string, string}> */
    private function ofBatch(Batch $batch): array
    {
        $words = $this->kitchens->words();
        $plan = $batch->plan;
        $all = [
            'herbs' => ['Herb', $batch->herb_name, $batch->herb_name],
            'oils' => ['Oil', $batch->oils_name, $batch->oils_name],
            'method' => ['Way', $plan->method->id, $words->thing(['method' => $plan->method->id])],
            'state' => ['State', $plan->state->value, $plan->state->value],
            'ratio' => ['Ratio', $plan->ratio, $plan->ratio],
        ];
        $figures = [
            'herb_mass' => ['Herb went in', 'g'],
            'oil_volume' => ['Oil went in', 'mL'],
            'cost_per_100' => ['Cost of 100 mL', 'money'],
        ];
        foreach ($figures as $id => [$name, $unit]) {
            $this->put($all, $id, $name, $plan->figureOrNull($id), $unit, $words);
        }
        if ($batch->filled_at !== null && $batch->strained_at !== null) {
            $days = (float) $this->times->daysBetween($batch->filled_at, $batch->strained_at);
            $all['days'] = ['Days on the herb', $days, (int) $days.' days'];
        }
        $this->put($all, 'out', 'Came out', $batch->strained_ml === null ? null : (float) $batch->strained_ml, 'mL', $words);
        $expected = $plan->figureOrNull('yield_volume');
        if ($batch->strained_ml !== null && $expected !== null && $expected > 0) {
            $this->put($all, 'of_expected', 'Of what was expected', (float) $batch->strained_ml / $expected, 'share', $words);
        }
        $lots = implode(', ', array_map(fn (Lot $lot) => $lot->called, LotsUsed::of($batch)));
        if ($lots !== '') {
            $all['lots'] = ['Lots', implode(' ', array_map(fn (Lot $lot) => $lot->uid, LotsUsed::of($batch))), $lots];
        }
        if ($batch->origin !== '') {
            $all['origin'] = ['Plant from', $batch->origin, $batch->origin];
        }
        $all['best_before'] = ['Best before', $batch->best_before->format('Y-m-d'), $this->times->date($batch->best_before)];

        return $all;
    }

    /** @return array<string, array{string, float|string, string}> */
    private function ofMaking(Making $making): array
    {
        $words = $this->kitchens->words();
        $state = $this->makings->state($making);
        $shares = [];
        $all = ['product' => ['What it is', $making->product, $words->thing(['product' => $making->product])]];
        foreach ($state->pot->parts as $part) {
            // Of which oil is told below; here, how much of it is oil.
            $id = $part->batch === null ? $part->id : 'oil of the house';
            $name = $part->batch === null ? ucfirst($words->thing($part->said)) : 'Oil of the house';
            $shares[$id] = ($shares[$id] ?? 0.0) + $part->grams / max(1e-9, $state->pot->massG);
            $this->put($all, "part.{$id}", $name, $shares[$id], 'share', $words);
        }
        $this->put($all, 'total', 'In all', $state->pot->massG, 'g', $words);
        $this->put($all, 'firmness', 'How firm', $state->pot->firmness, 'firmness', $words);
        $all['mends'] = ['Times mended', (float) $state->mends, (string) $state->mends];
        $this->put($all, 'loss', 'Stayed in pot and jug', $state->loss, 'share', $words);
        if ($state->tins !== []) {
            $all['tins'] = ['Filled', (float) count($state->tins), (string) count($state->tins)];
        }
        $from = $making->batches->map(fn (Batch $batch) => $batch->code.', '.$words->thing(BottledOils::said($batch)))->implode('; ');
        if ($from !== '') {
            $all['from'] = ['Poured from', $making->batches->pluck('uid')->sort()->implode(' '), $from];
        }
        $all['best_before'] = ['Best before', $making->best_before->format('Y-m-d'), $this->times->date($making->best_before)];

        return $all;
    }

    /** @param  array<string, array{string, float|string, string}>  $all */
    private function put(array &$all, string $id, string $name, ?float $value, string $unit, Words $words): void
    {
        if ($value !== null) {
            $all[$id] = [$name, $value, $words->thing([$unit => $value])];
        }
    }
}
