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

    /** So many tins of a size; as many of them as there are. */
    public static function tins(float $ml, int $count, House $house): Allocation
    {
        return Allocation::of(self::lots(LotKind::Tin, Lot::tinOf($ml), $house), (float) $count, $house->kitchen->today());
    }

    /** @return list<Lot> of one material */
    private static function lots(LotKind $kind, string $material, House $house): array
    {
        return array_values(array_filter($house->kitchen->lots, fn (Lot $lot) => $lot->kind === $kind && $lot->material === $material));
    }
}
