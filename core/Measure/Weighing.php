<?php

declare(strict_types=1);

namespace Kettle\Measure;

/** What is in a vessel, from what both weigh together and what the vessel weighs. */
final class Weighing
{
    /**
     * @return float g
     *
     * @throws AmountException when the vessel alone weighs as much
     */
    public static function net(float $grossG, float $tareG): float
    {
        return $grossG > $tareG && $tareG >= 0
            ? $grossG - $tareG
            : throw new AmountException(
                'not_above_zero',
                sprintf(
                    'Together they weigh %s and the empty jug %s: there would be nothing in it. Weigh both again.',
                    AmountWriter::plain($grossG, Kind::Mass),
                    AmountWriter::plain($tareG, Kind::Mass),
                ),
                'gross',
            );
    }
}
