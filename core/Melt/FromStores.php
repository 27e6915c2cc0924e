<?php

declare(strict_types=1);

namespace Kettle\Melt;

use Kettle\Measure\Kind;
use Kettle\Stores\Allocation;
use Kettle\Stores\Lot;
use Kettle\Stores\LotKind;

/** Which lots of a house so much of a part comes from, and which tins. */
final class FromStores
{
    /** Null for what has no lots: bottles of the house's own, water. */
    public static function of(Weighed $each, House $house): ?Allocation
    {
        $kind = $each->part->lots;
        if ($kind === null || $each->part->kind === PartKind::Water) {
            return null;
        }

        return Allocation::of(
            self::lots($kind, $each->part->id, $house),
            $kind->measure() === Kind::Volume ? $each->ml() : $each->grams,
            $house->kitchen->today(),
        );
    }

    /** So many tins, pots, tubes or bottles of a size, as many of them as there are. */
    public static function tins(Product $product, float $ml, int $count, House $house): Allocation
    {
        $lots = $product->has(Product::IN_BOTTLES) ? self::bottles($ml, $house) : self::lots(LotKind::Tin, Lot::tinOf($ml), $house);

        return Allocation::of($lots, (float) $count, $house->kitchen->today());
    }

    /** @return list<Lot> bottles of a size, however the house calls them: one of 1 fl oz is one of 30 mL */
    private static function bottles(float $ml, House $house): array
    {
        return array_values(
            array_filter(
                $house->kitchen->lots,
                fn (Lot $lot) => $lot->kind === LotKind::Bottle && abs(($house->bottleMl[$lot->material] ?? 0.0) - $ml) < $ml * 0.02,
            ),
        );
    }

    /** @return list<Lot> of one material */
    private static function lots(LotKind $kind, string $material, House $house): array
    {
        return array_values(array_filter($house->kitchen->lots, fn (Lot $lot) => $lot->kind === $kind && $lot->material === $material));
    }
}
