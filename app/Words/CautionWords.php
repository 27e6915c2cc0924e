<?php

namespace App\Words;

use App\Actions\Batches\LotsUsed;
use App\Actions\Batches\Records;
use App\House\Kitchens;
use App\Http\Shapes\CautionView;
use App\Models\Batch;
use App\Models\Lot;
use Kettle\Batch\Line\ReadCautions;
use Kettle\Caution\Caution;
use Kettle\Caution\ColdKept;
use Kettle\Caution\Facts;
use Kettle\Recipe\Bench;

/** The cautions of a batch, from its plan, its lots and what it is for now; and who has read them. */
final readonly class CautionWords
{
    public function __construct(private Bench $bench, private Records $records, private Kitchens $kitchens, private Times $times)
    {
    }

    /**
     * @param  ?string  $place of Caution::PLACES; null for all
     * @return list<CautionView>
     */
    public function of(Batch $batch, ?string $place = null): array
    {
        $facts = $this->facts($batch);
        $read = $this->read($batch);

        return array_map(fn (Caution $rule) => $this->view($rule, $facts, $read[$rule->id] ?? null), $this->bench->rules()->holding($facts, $place));
    }

    /** @return list<string> as short as a label wants them: those no label is without, or the others */
    public function short(Batch $batch, bool $must): array
    {
        $facts = $this->facts($batch);

        return array_values(array_filter(array_map(fn (Caution $rule) => $rule->labelMust === $must ? $rule->label($facts) : '', $this->bench->rules()->holding($facts, 'label'))));
    }

    /** @param  ?string  $read by whom and when */
    public function view(Caution $rule, Facts $facts, ?string $read): CautionView
    {
        $told = $this->bench->rules()->told($rule, $facts);

        return new CautionView($told['id'], $told['rank'], $rule->places, $told['says'], $told['why'], $told['source'], $told['acknowledge'], $read);
    }

    public function facts(Batch $batch): Facts
    {
        $kitchen = $this->kitchens->plain();
        $ceiling = $batch->plan->method->ceilingC;
        $lots = array_map(fn (Lot $lot) => ['called' => $lot->called, 'food' => $lot->food_grade, 'how' => $lot->got_how, 'allergens' => $lot->allergens], LotsUsed::of($batch));

        return $batch->plan->facts(
            $this->bench->cupboard(), $this->records->of($batch)->method(), $batch->purpose ?: $batch->plan->purpose, $lots,
            [
                'ceiling' => $ceiling === null ? '' : $kitchen->warmth($ceiling),
                'cold' => $kitchen->warmth(ColdKept::CELSIUS),
                'use_by' => $batch->use_by === null ? 'four days from filling' : $this->kitchens->local($batch->use_by)->format('j M Y, H:i'),
                'best_before' => $this->times->date($batch->best_before),
            ],
        )->and($this->records->lateness($batch)->isWarmTooLong() ? ['warm-too-long' => true] : []);
    }

    /** @return array<string, string> "K. Keeper, Tue 24 Nov, 10:10" by caution id */
    private function read(Batch $batch): array
    {
        $read = [];
        foreach ($this->records->log($batch)->standing as $entry) {
            if ($entry->line instanceof ReadCautions) {
                foreach ($entry->line->cautions as $caution) {
                    $read[$caution['id']] = $entry->by.', '.$this->times->logged($entry->at);
                }
            }
        }

        return $read;
    }
}
