<?php

declare(strict_types=1);

namespace Kettle\Melt;

use Kettle\Reason\Figure;
use Kettle\Reason\Reason;

/** What a product costs: each part from its lot or its batch, and the hands where the house has put a price on them. */
final readonly class ProductCost
{
    private function __construct(private float $cost, private bool $whole, private bool $any, private float $hands) {}

    public static function of(Product $product, Composition $pot, TinFilling $tins, House $house, float $handsMin): self
    {
        $cost = 0.0;
        $whole = true;
        $any = false;
        foreach ($pot->weighed as $each) {
            $of = self::ofPart($each, $house);
            $of === null ? ($whole = false) : ($cost += $of);
            $any = $any || $of !== null;
        }
        foreach ($tins->tins as $tin) {
            // Tins that Stores does not count are nobody's cost.
            $of = FromStores::tins($product, $tin['ml'], $tin['count'], $house);
            if ($of->any && $tin['count'] > 0) {
                $cost += $of->cost()['cost'];
                $whole = $whole && $of->cost()['whole'];
            }
        }
        $hands = $house->hourRate === null ? 0.0 : ($house->hourRate * $handsMin) / 60;

        return new self($cost, $whole, $any, $hands);
    }

    /**
     * @return list<Figure> in all, and of one tin where all are of a size; none where nothing has a price
     */
    public function figures(float $totalG, int $tins): array
    {
        if (! $this->any) {
            return [];
        }
        $why = [Reason::rule($this->whole ? 'cost' : 'cost-in-part')];
        if ($this->hands > 0) {
            $why[] = Reason::rule('melt-cost-hands', ['hands' => ['money' => round($this->hands, 2)]]);
        }
        $all = $this->cost + $this->hands;
        $figures = [
            Figure::exactly('cost', round($all, 2), 'money', ...$why),
            Figure::exactly('cost_per_100_g', round(($all / $totalG) * 100, 2), 'money', ...$why),
        ];
        if ($tins > 0) {
            $figures[] = Figure::exactly('cost_per_tin', round($all / $tins, 2), 'money', ...$why);
        }

        return $figures;
    }

    /** In the house's currency; null where some of it has no price. */
    private static function ofPart(Weighed $each, House $house): ?float
    {
        $part = $each->part;
        if ($part->infused !== null) {
            return $part->infused->costPerMl === null ? null : $part->infused->costPerMl * $each->ml();
        }
        $cost = FromStores::of($each, $house)?->cost() ?? ['cost' => 0.0, 'whole' => false];

        return $cost['whole'] && $cost['cost'] > 0 ? $cost['cost'] : null;
    }
}
