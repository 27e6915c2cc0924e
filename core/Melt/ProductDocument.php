<?php

declare(strict_types=1);

namespace Kettle\Melt;

use Kettle\Reason\Note;
use Kettle\Reason\Said;
use Kettle\Recipe\Kitchen;
use Kettle\Recipe\Planning;

/** A product's plan as a document: `answers` of "melt" in docs/formats/reckon.schema.json. */
final readonly class ProductDocument
{
    public function __construct(private Planning $planning, private Kitchen $kitchen, private MeltTable $table) {}

    /** @return array<string, mixed> in this cook's words */
    public function of(ProductPlan $plan): array
    {
        return $this->told($this->record($plan));
    }

    /**
     * @param  array<mixed>  $record of record(), of this plan or of one kept earlier
     * @return array<string, mixed> in this cook's words
     */
    public function told(array $record): array
    {
        $told = $this->planning->told($record, $this->kitchen);
        $sentence = is_array($told['sentence'] ?? null) ? $told['sentence'] : [];

        return ['text' => implode('', array_filter(array_column($sentence, 'text'), is_string(...)))] + $told;
    }

    /** @return array<string, mixed> numbers, codes, and sentences as they are kept */
    public function record(ProductPlan $plan): array
    {
        $ingredients = $plan->ingredients();
        $warmth = $plan->warmth;

        return [
            'product' => [
                'id' => $plan->wish->product->id,
                'name' => Said::just(['product' => $plan->wish->product->id]),
                'vessel' => $plan->wish->product->vessel,
                'method' => $plan->wish->product->method,
                'note' => Said::just(['product_note' => $plan->wish->product->id]),
            ],
            'sentence' => $plan->sentence,
            'figures' => $this->planning->figureRecords($plan->figures),
            'pot' => $this->pot($plan),
            'rule' => $this->rule($plan),
            'tins' => [
                'vessel' => $plan->wish->product->vessel,
                'sizes' => array_map(
                    fn (array $tin) => ['ml' => $tin['ml'], 'holds_ml' => round($tin['holds'], 3), 'count' => $tin['count']],
                    $plan->tins->tins,
                ),
                'count' => $plan->tins->count(),
                'wished' => $plan->tins->wished,
                'left_ml' => round($plan->tins->leftMl, 3),
            ],
            'cautions' => array_map(fn (Note $note) => $note->toArray(), $plan->notes),
            'steps' => $plan->steps,
            'leaf' => $warmth === null ? null : $plan->wish->leaf?->document($warmth),
            'days' => $plan->days?->document(),
            'ingredients' => [
                'cook' => array_map(fn (mixed $name) => $name instanceof Said ? $name : Said::just($name), $ingredients->cook()),
                'inci' => $ingredients->inci(),
                'allergens' => $ingredients->allergens,
                'fragrance' => $ingredients->fragrance,
            ],
        ];
    }

    /** @return list<array<string, mixed>> in the order of weighing */
    private function pot(ProductPlan $plan): array
    {
        $reads = 0.0;
        $pot = [];
        foreach (ProductSteps::order($plan->pot) as $each) {
            $cool = $each->part->kind->goesInCool();
            $reads += $cool ? 0.0 : $each->grams;
            $drops = $each->part->scent?->drops($each->grams, $this->kitchen->dropsPerMl);
            $pot[] = [
                'id' => $each->part->key(),
                'kind' => $each->part->kind->value,
                'name' => Said::just($each->part->said),
                'grams' => round($each->grams, 4),
                'ml' => round($each->ml(), 4),
                'share' => round($plan->pot->share($each), 6),
                'text' => Said::just($drops === null ? ['g' => $each->grams] : ['drops' => $drops]),
                'share_text' => Said::just(['share' => $plan->pot->share($each)]),
                'volume_text' => Said::just(['mL' => $each->ml()]),
                'reads_text' => $cool ? null : Said::just(['g' => $reads]),
                'cool' => $cool,
                'drops' => $drops === null ? null : (int) $drops,
            ];
        }

        return $pot;
    }

    /** @return array<string, mixed> the rule of firmness and where this stands on it */
    private function rule(ProductPlan $plan): array
    {
        $firmness = $this->table->firmness();
        $names = [];
        foreach ($plan->pot->weighed as $each) {
            $names[$each->part->key()] = $each->part->said;
        }

        return [
            'firmness' => round($plan->pot->firmness, 6),
            'text' => Said::just(['firmness' => $plan->pot->firmness]),
            'band' => $firmness->band($plan->pot->firmness)['id'],
            'by_wax' => $plan->wish->waxes !== [],
            'bands' => $firmness->bands,
            'bears_c' => $plan->wish->bearsC,
            'moves' => array_map(
                fn (array $move) => [
                    'id' => $move['id'],
                    'firmness' => round($move['firmness'], 6),
                    'says' => Said::of('melt.move', [
                        'mass' => ['g' => $move['grams']],
                        'part' => $names[$move['id']],
                        'firmness' => ['firmness' => $move['firmness']],
                    ]),
                ],
                $plan->moves,
            ),
            'learned' => $plan->seen === null
                    ? null
                    : ['mean' => round($plan->seen->mean, 6), 'verdicts' => $plan->seen->verdicts, 'steps' => $plan->seen->steps] +
                        $plan->seen->range(),
        ];
    }
}
