<?php

declare(strict_types=1);

namespace Kettle\Melt;

use Kettle\Recipe\WishException;

/** A past product wished for once more: as it was, or so many times as much, its parts held to each other. */
final class ProductAgain
{
    private const LEAST = 0.05;

    private const MOST = 20.0;

    /**
     * @param  array<string, mixed>  $wish as it was written
     * @param  array<mixed>  $plan the document it made
     * @return array<string, mixed>
     *
     * @throws WishException when it cannot be scaled so
     */
    public static function wish(array $wish, array $plan, Product $product, float $times = 1.0): array
    {
        if ($times < self::LEAST || $times > self::MOST) {
            throw WishException::one('times', 'out_of_range', 'A product is made again between a twentieth and twenty times its size.');
        }
        // On any day, and not on the one it was wanted by.
        unset($wish['ready_by']);
        if ($times === 1.0) {
            return $wish;
        }
        $pot = [];
        foreach (is_array($plan['pot'] ?? null) ? $plan['pot'] : [] as $part) {
            if (is_array($part) && is_string($part['id'] ?? null)) {
                $pot[$part['id']] = $part;
            }
        }
        $byAmount = isset($wish['total']);
        foreach (['oils' => 'mL', 'waxes' => 'g', 'butters' => 'g', 'others' => 'g', 'essential_oils' => 'g'] as $list => $unit) {
            if (! is_array($wish[$list] ?? null)) {
                continue;
            }
            $scaled = array_map(fn (mixed $part) => is_array($part) ? self::scaled($part, $unit, $pot, $times) : $part, $wish[$list]);
            $byAmount = $byAmount || (in_array($list, ['oils', 'waxes'], true) && $scaled !== $wish[$list]);
            $wish[$list] = $scaled;
        }
        if (is_array($wish['leaf'] ?? null) && is_array($plan['leaf'] ?? null) && is_numeric($plan['leaf']['grams'] ?? null)) {
            $wish['leaf'] = ['amount' => round((float) $plan['leaf']['grams'] * $times, 2).' g'] + $wish['leaf'];
        }
        if (isset($wish['total'])) {
            $wish['total'] = round(array_sum(array_map(self::grams(...), $pot)) * $times, 2).' g';
        }
        if (! $byAmount) {
            $wish['tins'] = self::tins($wish['tins'] ?? null, $product, $times);
        }

        return $wish;
    }

    /**
     * Amounts and drops by what went in of it; shares stay.
     *
     * @param  array<mixed>  $part
     * @param  array<string, array<mixed>>  $pot by id
     * @return array<mixed>
     */
    private static function scaled(array $part, string $unit, array $pot, float $times): array
    {
        $id = match (true) {
            is_string($part['batch'] ?? null) => 'batch.'.$part['batch'],
            is_string($part['boil'] ?? null) => 'boil.'.$part['boil'],
            default => $part['id'] ?? '',
        };
        $went = is_string($id) ? $pot[$id] ?? null : null;
        if (isset($part['drops']) && is_numeric($part['drops'])) {
            return ['drops' => max(1, (int) round((float) $part['drops'] * $times))] + $part;
        }
        $much = $went[$unit === 'mL' ? 'ml' : 'grams'] ?? null;

        return isset($part['amount']) && is_numeric($much) ? ['amount' => round((float) $much * $times, 3).' '.$unit] + $part : $part;
    }

    /** @param  array<mixed>  $part */
    private static function grams(array $part): float
    {
        return is_numeric($part['grams'] ?? null) ? (float) $part['grams'] : 0.0;
    }

    /** @return list<array<mixed>> so many times as many of each size, and one at the least */
    private static function tins(mixed $tins, Product $product, float $times): array
    {
        $tins = is_array($tins) && $tins !== [] ? array_values($tins) : [['ml' => $product->usualMl]];

        return array_map(function (mixed $tin) use ($product, $times): array {
            $tin = is_array($tin) ? $tin : [];
            $count = is_int($tin['count'] ?? null) ? $tin['count'] : $product->usualCount;

            return ['count' => max(1, (int) round($count * $times))] + $tin;
        }, $tins);
    }
}
