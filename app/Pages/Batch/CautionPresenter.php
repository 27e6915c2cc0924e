<?php

namespace App\Pages\Batch;

use App\Actions\Batches\BatchCautions;
use App\Actions\Batches\Records;
use App\House\KitchenFactory;
use App\House\Times;
use App\Models\Batch;
use App\Responses\Batch\CautionView;
use Kettle\Batch\Line\ReadCautions;
use Kettle\Caution\Caution;
use Kettle\Caution\Facts;
use Kettle\Recipe\Planning;

/** The cautions of a batch, from its plan, its lots and what it is for now; and who has read them. */
final readonly class CautionPresenter
{
    public function __construct(
        private Planning $planning,
        private Records $records,
        private BatchCautions $batches,
        private Times $times,
        private KitchenFactory $kitchens,
    ) {}

    /**
     * @param  ?string  $place of Caution::PLACES; null for all
     * @return list<CautionView>
     */
    public function of(Batch $batch, ?string $place = null): array
    {
        $facts = $this->batches->facts($batch);
        $read = $this->read($batch);

        return array_map(
            fn (Caution $rule) => $this->view($rule, $facts, $read[$rule->id] ?? null),
            $this->planning->rules()->holding($facts, $place),
        );
    }

    /** @return list<string> as short as a label wants them: those no label is without, or the others */
    public function short(Batch $batch, bool $must): array
    {
        $facts = $this->batches->facts($batch);
        $words = $this->kitchens->words();

        return array_values(
            array_filter(
                array_map(
                    fn (Caution $rule) => $rule->labelMust === $must ? $words->of($rule->label($facts)) : '',
                    $this->planning->rules()->holding($facts, 'label'),
                ),
            ),
        );
    }

    /** @param  ?string  $read by whom and when */
    public function view(Caution $rule, Facts $facts, ?string $read): CautionView
    {
        $told = $this->planning->rules()->told($rule, $facts);

        $words = $this->kitchens->words();

        return new CautionView(
            $told->id,
            $told->rank,
            $rule->places,
            $words->of($told->says),
            $words->of($told->why),
            $words->of($told->source),
            $told->acknowledge,
            $read,
        );
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
