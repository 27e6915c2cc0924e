<?php

declare(strict_types=1);

namespace Kettle\Ask;

use Kettle\Material\HerbMix;
use Kettle\Recipe\Kitchen;
use Kettle\Recipe\Supplies;
use Kettle\Stores\Allocation;
use Kettle\Stores\Lot;
use Kettle\Stores\LotKind;

/**
 * From which lots of a house a pot is filled: the oldest that may be used first, as much as there is. What Stores has not
 * counted was there all the same.
 *
 * @phpstan-type Take array{lot: string, amount: float}
 */
final readonly class BoilNeeds
{
    public function __construct(private Kitchen $kitchen) {}

    /** @return list<Take> g of each herb, by its share */
    public function herbs(?HerbMix $mix, float $grams): array
    {
        $takes = [];
        if ($mix === null) {
            return [];
        }
        foreach ($mix->shares() as $i => $share) {
            $part = $mix->parts[$i];
            $takes = [...$takes, ...$this->of(fn (Lot $lot) => Supplies::isOf($lot, $part), $grams * $share, $part->lot)];
        }

        return $takes;
    }

    /** @return list<Take> mL of an oil, or g of what else goes in */
    public function material(LotKind $kind, string $id, float $amount): array
    {
        return $this->of(fn (Lot $lot) => $lot->kind === $kind && $lot->material === $id, $amount);
    }

    /**
     * @param  \Closure(Lot): bool  $is
     * @return list<Take>
     */
    private function of(\Closure $is, float $amount, string $first = ''): array
    {
        return array_map(
            fn (array $take) => ['lot' => $take['lot']->id, 'amount' => round($take['amount'], 3)],
            Allocation::of(array_values(array_filter($this->kitchen->lots, $is)), $amount, $this->kitchen->today(), $first)->takes,
        );
    }
}
