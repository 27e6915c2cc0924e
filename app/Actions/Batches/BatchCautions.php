<?php

namespace App\Actions\Batches;

use App\Actions\Boil\PotsUsed;
use App\House\KitchenFactory;
use App\Models\Batch;
use App\Models\Lot;
use Kettle\Caution\Facts;
use Kettle\Reason\Said;
use Kettle\Recipe\Planning;

/** What the cautions of a batch are asked of: its plan, its lots, what it is for now, and what is late. */
final readonly class BatchCautions
{
    public function __construct(private Planning $planning, private Records $records, private KitchenFactory $kitchens) {}

    public function facts(Batch $batch): Facts
    {
        $ceiling = $batch->plan->method->ceilingC;
        $until = $batch->use_by === null ? null : $this->kitchens->local($batch->use_by);
        $lots = array_map(
            fn (Lot $lot) => ['called' => $lot->called, 'food' => $lot->food_grade, 'how' => $lot->got_how, 'allergens' => $lot->allergens],
            LotsUsed::of($batch),
        );
        // What a pot was boiled with that is no lot of Stores: milk, and its like.
        foreach (PotsUsed::of($batch) as $boil) {
            if ($boil->plan->allergens !== []) {
                $lots[] = ['called' => $boil->name, 'food' => true, 'how' => '', 'allergens' => $boil->plan->allergens];
            }
        }

        return $batch->plan
            ->facts($this->planning->cupboard(), $this->records->of($batch)->method(), $batch->purpose ?: $batch->plan->purpose, $lots, [
                'ceiling' => $ceiling === null ? null : ['C' => $ceiling],
                ...$until === null ? [] : ['use_by' => ['dated_moment' => $until]],
                'best_before' => ['short_day' => $batch->best_before->format('Y-m-d')],
            ])
            ->and($this->records->lateness($batch)->isWarmTooLong() ? ['warm-too-long' => true] : []);
    }

    /** What a caution that holds says; null where it does not, or no longer. */
    public function says(Batch $batch, string $id): ?Said
    {
        $facts = $this->facts($batch);
        foreach ($this->planning->rules()->holding($facts) as $rule) {
            if ($rule->id === $id) {
                return $this->planning->rules()->told($rule, $facts)->says;
            }
        }

        return null;
    }
}
