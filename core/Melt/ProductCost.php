<?php

declare(strict_types=1);

namespace Kettle\Melt;

use Kettle\Reason\Figure;
use Kettle\Reason\Reason;
use Kettle\Stores\Allocation;
use Kettle\Stores\Lot;
use Kettle\Stores\LotKind;

/** What a product costs: each part from its lot or its batch, and the hands where the house has put a price on them. */
final readonly class ProductCost
{
    private function __construct(private float $cost, private bool $whole, private bool $any, private float $hands) {}

    public static function of(Composition $pot, House $house, float $handsMin): self
    {
        $cost = 0.0;
        $whole = true;
        $any = false;
        foreach ($pot->weighed as $each) {
            $of = self::ofPart($each, $house);
            $of === null ? ($whole = false) : ($cost += $of);
            $any = $any || $of !== null;
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

    /** @return list<Lot> of one material */
    public static function lotsOf(LotKind $kind, string $material, House $house): array
    {
        return array_values(array_filter($house->kitchen->lots, fn (Lot $lot) => $lot->kind === $kind && $lot->material === $material));
    }

    /** In the house's currency; null where some of it has no price. */
    private static function ofPart(Weighed $each, House $house): ?float
    {
        $part = $each->part;
        if ($part->infused !== null) {
            return $part->infused->costPerMl === null ? null : $part->infused->costPerMl * $each->ml();
        }
        $byVolume = $part->kind === PartKind::Oil;
        $lots = self::lotsOf($byVolume ? LotKind::Carrier : LotKind::Wax, $part->id, $house);
        $cost = Allocation::of($lots, $byVolume ? $each->ml() : $each->grams, $house->kitchen->today())->cost();

        return $cost['whole'] && $cost['cost'] > 0 ? $cost['cost'] : null;
    }
}
