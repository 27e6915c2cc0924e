<?php

declare(strict_types=1);

namespace Kettle\Vessel;

use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;

/**
 * The bottles, of several sizes, that leave the least oil over; of equals the one with the fewest of the smallest.
 *
 * A bounded subset sum, exact to a tenth of a millilitre. Which sums can be reached is kept as a string
 * of one byte for each tenth, and joined by shifting and OR-ing whole strings, which PHP does in C.
 */
final readonly class BestFilling
{
    public const MOST_SIZES = 12;

    public const MOST_ML = 20_000.0;

    private const PER_ML = 10;

    /**
     * @param  list<array{id: string, capacity: float, stock: ?int, fixed: int}>  $sizes mL; stock null where nobody counts;
     *                                                                              fixed is how many are wished for in any case
     *
     * @throws FillingException when there is no oil, there are too many sizes, or the fixed ones hold more than there is
     */
    public static function of(float $oilMl, array $sizes): Filling
    {
        self::check($oilMl, $sizes);
        $fixed = [];
        $left = $oilMl;
        $room = Filling::MOST;
        foreach ($sizes as $size) {
            $fixed[$size['id']] = $size['fixed'];
            $left -= $size['fixed'] * $size['capacity'];
            $room -= $size['fixed'];
        }
        if ($left < -1e-6) {
            throw FillingException::moreThanThereIs(
                AmountWriter::plain($oilMl - $left, Kind::Volume),
                AmountWriter::plain($oilMl, Kind::Volume),
            );
        }
        $counts = self::fill(max(0.0, $left), $sizes, $room);
        $bottles = array_map(
            fn (array $size) => [
                'id' => $size['id'],
                'capacity' => $size['capacity'],
                'count' => $counts[$size['id']] + $fixed[$size['id']],
            ],
            $sizes,
        );
        usort($bottles, fn (array $a, array $b) => $b['capacity'] <=> $a['capacity']);

        return Filling::asFilled($oilMl, $bottles);
    }

    /**
     * @param  list<array{id: string, capacity: float, stock: ?int, fixed: int}>  $sizes
     * @return array<string, int> by id
     */
    private static function fill(float $ml, array $sizes, int $room): array
    {
        usort($sizes, fn (array $a, array $b) => $b['capacity'] <=> $a['capacity']);
        $tenths = array_map(fn (array $size) => (int) round($size['capacity'] * self::PER_ML), $sizes);
        // In steps of what all sizes share, such as 5 mL, there is far less to go through.
        $step = array_reduce($tenths, self::gcd(...), 0) ?: 1;
        $cells = intdiv((int) floor($ml * self::PER_ML + 1e-6), $step);
        $counts = array_fill_keys(array_column($sizes, 'id'), 0);
        $reached = "\1".str_repeat("\0", $cells);
        $before = [];
        foreach ($sizes as $i => $size) {
            // Filled to the last tenth: smaller bottles cannot better it.
            if ($reached[$cells] === "\1") {
                break;
            }
            $before[$i] = $reached;
            $width = intdiv($tenths[$i], $step);
            $most = min($size['stock'] === null ? $room : max(0, $size['stock'] - $size['fixed']), $room, intdiv($cells, $width));
            // 1, 2, 4 ... and the rest make every count up to the most.
            for ($some = 1; $most > 0; $some *= 2) {
                $some = min($some, $most);
                $most -= $some;
                $reached |= str_repeat("\0", $some * $width).substr($reached, 0, $cells + 1 - $some * $width);
            }
        }
        // Back from the fullest that can be reached, with as few of the smallest as will do.
        $at = (int) strrpos($reached, "\1");
        for ($i = count($before) - 1; $i >= 0; $i--) {
            $width = intdiv($tenths[$i], $step);
            for ($count = 0; $before[$i][$at] !== "\1"; $count++) {
                $at -= $width;
            }
            $counts[$sizes[$i]['id']] = $count;
        }

        return self::within($counts, $room);
    }

    /**
     * @param  array<string, int>  $counts largest bottles first
     * @return array<string, int> as many as may be, where there would be too many to call it a kitchen's filling
     */
    private static function within(array $counts, int $room): array
    {
        foreach ($counts as $id => $count) {
            $counts[$id] = min($count, $room);
            $room -= $counts[$id];
        }

        return $counts;
    }

    private static function gcd(int $a, int $b): int
    {
        while ($b !== 0) {
            [$a, $b] = [$b, $a % $b];
        }

        return $a;
    }

    /** @param  list<array{id: string, capacity: float, stock: ?int, fixed: int}>  $sizes */
    private static function check(float $oilMl, array $sizes): void
    {
        if (! is_finite($oilMl) || $oilMl <= 0 || $oilMl > self::MOST_ML) {
            throw new FillingException('out_of_range', 'Say how much oil there is to bottle: more than nothing, and at most 20 L.', 'oil');
        }
        if (count($sizes) > self::MOST_SIZES) {
            throw new FillingException(
                'too_many',
                sprintf('At most %d sizes of bottle are weighed against each other.', self::MOST_SIZES),
                'sizes',
            );
        }
        foreach ($sizes as $size) {
            if (! is_finite($size['capacity']) || $size['capacity'] < 0.5 || $size['capacity'] > self::MOST_ML) {
                throw new FillingException('out_of_range', 'A bottle holds between half a millilitre and 20 L.', 'sizes');
            }
            if ($size['fixed'] < 0 || $size['fixed'] > Filling::MOST) {
                throw FillingException::count($size['fixed']);
            }
            if ($size['stock'] !== null && $size['fixed'] > $size['stock']) {
                throw FillingException::notInStores($size['fixed'], $size['stock']);
            }
        }
    }
}
