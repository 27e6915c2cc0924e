<?php

declare(strict_types=1);

namespace Kettle\Making;

use Kettle\Batch\Stored;
use Kettle\Melt\FromStores;
use Kettle\Melt\House;
use Kettle\Melt\Product;
use Kettle\Melt\ProductPlan;
use Kettle\Melt\ProductSteps;
use Kettle\Melt\Weighed;
use Kettle\Reason\Note;
use Kettle\Reason\Said;

/** The plan a product was begun with. It never changes: what was done instead is in its logbook. */
final readonly class FrozenProduct
{
    /** What is kept of a plan beyond its document. */
    public const KEPT = ['parts', 'eaten', 'scent_ceiling', 'loss_share', 'whipped', 'labels'];

    /**
     * @param  array<mixed>  $document as it was frozen
     * @param  Pot  $pot as it was planned
     * @param  bool  $byWax whether wax decides how firm it is
     * @param  list<string>  $steps ids, in order
     * @param  list<string>  $fragrance allergens that must be named
     * @param  float  $ceiling of all scents together, a part of 1
     * @param  float  $whipped how many times its own volume it is expected to fill; 1 for what is not whipped
     */
    private function __construct(
        public array $document,
        public Pot $pot,
        public string $product,
        public string $vessel,
        public bool $eaten,
        public bool $byWax,
        public array $steps,
        public array $fragrance,
        public float $ceiling,
        public float $lossShare,
        public float $whipped,
        public float $whippedMost,
        public string $bestBefore,
        public ?LeafIn $leaf = null,
    ) {}

    /**
     * What is kept of a plan: its document, and every part with all that is reckoned from it later.
     *
     * @param  array<string, mixed>  $record of ProductDocument
     * @return array<mixed>
     */
    public static function keep(ProductPlan $plan, array $record, House $house, float $lossShare): array
    {
        $limits = [];
        foreach ($plan->scents->each as $each) {
            $limits[$each['oil']->id] = $each['limit'];
        }
        // Begun, there is no other way any more, and no other day.
        unset($record['days']);
        $record['cautions'] = array_map(fn (Note $note) => $note->said() + ['ways' => []], $plan->notes);

        return Said::kept(
            $record + [
                'parts' => array_map(
                    fn (Weighed $each) => PotPart::of(
                        $each,
                        $house->kitchen->dropsPerMl,
                        self::lots($each, $house),
                        $limits[$each->part->id] ?? null,
                    )->kept(),
                    ProductSteps::order($plan->pot),
                ),
                'eaten' => $plan->wish->product->has(Product::KITCHEN),
                'scent_ceiling' => $plan->scents->ceiling / 100,
                'loss_share' => $lossShare,
                'whipped' => $plan->wish->product->whipped,
                'labels' => $plan->labels,
            ],
        );
    }

    /** @param  array<mixed>  $document of keep(), as JSON would read it back */
    public static function of(array $document): self
    {
        $plan = new Stored($document);
        $product = $plan->part('product');
        $whipped = $plan->numbers('whipped');

        return new self(
            $document,
            new Pot(array_map(PotPart::read(...), $plan->parts('parts'))),
            $product->text('id'),
            $product->text('vessel', 'tin'),
            $plan->flag('eaten'),
            $plan->part('rule')->flag('by_wax'),
            array_map(fn (Stored $step) => $step->text('id'), $plan->parts('steps')),
            $plan->part('ingredients')->texts('fragrance'),
            $plan->number('scent_ceiling', 1.0),
            $plan->number('loss_share', 0.03),
            $whipped[1] ?? 1.0,
            $whipped[2] ?? 1.0,
            $plan->part('figures')->part('best_before')->text('value', '9999-12-31'),
            LeafIn::read($plan->part('leaf')),
        );
    }

    /** How far its tins are filled, a part of 1. */
    public function fill(): float
    {
        $size = $this->tins()[0] ?? null;

        return $size === null || $size['ml'] <= 0 ? 0.95 : $size['holds_ml'] / $size['ml'];
    }

    /** @return list<array{ml: float, holds_ml: float, count: int}> sizes it was planned to be poured into */
    public function tins(): array
    {
        return array_map(
            fn (Stored $size) => ['ml' => $size->number('ml'), 'holds_ml' => $size->number('holds_ml'), 'count' => $size->count('count')],
            (new Stored($this->document))->part('tins')->parts('sizes'),
        );
    }

    /**
     * From which lots so much of a part comes.
     *
     * @return list<array{lot: string, amount: float}> in the lots' own unit
     */
    public static function lots(Weighed $each, House $house): array
    {
        return array_map(
            fn (array $take) => ['lot' => $take['lot']->id, 'amount' => round($take['amount'], 3)],
            FromStores::of($each, $house)->takes ?? [],
        );
    }
}
