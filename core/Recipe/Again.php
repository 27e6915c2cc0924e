<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Material\HerbMix;
use Kettle\Measure\Ratio;

/** A past batch wished for once more: as it was, or so many times as large, its ratio and parts held. */
final class Again
{
    /**
     * @param  array<mixed>  $wish as it was written
     * @param  array<mixed>  $plan the document it made
     * @param  ?float  $times null leaves the size open, to be given from any side
     * @return array<string, mixed>
     *
     * @throws WishException when it cannot be scaled so
     */
    public static function wish(array $wish, array $plan, ?float $times = null): array
    {
        if ($times !== null && ($times < 0.05 || $times > 20)) {
            throw WishException::one('times', 'out_of_range', 'A batch is made again between a twentieth and twenty times its size.');
        }
        $again = WishReader::tidy($wish);
        unset($again['start'], $again['ready_by'], $again['begun'], $again['before']);
        $again = self::inOilsByThemselves($again, $plan);
        if ($times === 1.0) {
            // As it was written, but for what was in the cupboard then.
            return [
                ...$again,
                'herbs' => WishReader::withoutLots($again['herbs'] ?? null),
                'oils' => WishReader::withoutLots($again['oils'] ?? null),
            ];
        }
        unset($again['finished'], $again['by_jar'], $again['oil_amount'], $again['jars'], $again['jar']);
        $figures = is_array($plan['figures'] ?? null) ? $plan['figures'] : [];
        $number = fn (string $id): float => is_array($figures[$id] ?? null) && is_numeric($figures[$id]['value'] ?? null)
            ? (float) $figures[$id]['value']
            : 0.0;
        $herbs = is_array($again['herbs'] ?? null) ? array_values($again['herbs']) : [];
        $parts = is_array($plan['herbs'] ?? null) ? array_values($plan['herbs']) : [];
        foreach ($herbs as $i => $herb) {
            $herb = (array) $herb;
            // Weighed when picked, its water is known; of another weight that is what is kept.
            if (isset($herb['picked']) && is_array($parts[$i] ?? null) && is_numeric($parts[$i]['water'] ?? null)) {
                $herb['water'] = (string) round((float) $parts[$i]['water'] * 100, 1);
            }
            unset($herb['amount'], $herb['picked']);
            if (count($herbs) > 1 && is_array($parts[$i] ?? null) && is_numeric($parts[$i]['share'] ?? null)) {
                $herb['parts'] = (string) round((float) $parts[$i]['share'] * 100, 2);
            }
            $herbs[$i] = $herb;
        }
        $again['herbs'] = WishReader::withoutLots($herbs);
        $again['oils'] = self::oils(WishReader::withoutLots($again['oils'] ?? null), $plan);
        if (is_string($plan['ratio'] ?? null) && ! isset($wish['ratio'])) {
            $ratio =
                $number('oil_volume') /
                max(0.001, self::dry($parts, $number('herb_mass'), ($again['basis'] ?? Sizing::DRY) === Sizing::DRY));
            if ($ratio >= 1 && $ratio <= Ratio::LEANEST) {
                $again['ratio'] = '1:'.round($ratio, 3);
            }
        }
        if ($times !== null) {
            $again['oil_amount'] = round($number('oil_volume') * $times, 1).' mL';
        }

        return $again;
    }

    /**
     * The oil it was made in is used up: once more it is made in oils like those that were in it.
     *
     * @param  array<string, mixed>  $wish
     * @param  array<mixed>  $plan
     * @return array<string, mixed>
     */
    private static function inOilsByThemselves(array $wish, array $plan): array
    {
        if (! isset($wish['in_oil'])) {
            return $wish;
        }
        unset($wish['in_oil']);
        $wish['oils'] = [];
        foreach (is_array($plan['oils'] ?? null) ? $plan['oils'] : [] as $oil) {
            if (is_array($oil) && is_string($oil['id'] ?? null) && is_numeric($oil['share'] ?? null)) {
                $wish['oils'][] = ['id' => $oil['id'], 'parts' => (string) round((float) $oil['share'] * 100, 3)];
            }
        }

        return $wish;
    }

    /**
     * Oils that were measured out each are as many parts of another amount.
     *
     * @param  list<mixed>  $oils
     * @param  array<mixed>  $plan
     * @return list<mixed>
     */
    private static function oils(array $oils, array $plan): array
    {
        $planned = is_array($plan['oils'] ?? null) ? array_values($plan['oils']) : [];
        foreach ($oils as $i => $oil) {
            if (is_array($oil) && isset($oil['amount'])) {
                unset($oil['amount']);
                $share = is_array($planned[$i] ?? null) ? $planned[$i]['share'] ?? null : null;
                $oils[$i] = count($oils) > 1 && is_numeric($share) ? ['parts' => (string) round((float) $share * 100, 3)] + $oil : $oil;
            }
        }

        return $oils;
    }

    /**
     * The grams the ratio was of.
     *
     * @param  array<mixed>  $parts
     */
    private static function dry(array $parts, float $herbG, bool $asDry): float
    {
        if (! $asDry || $parts === []) {
            return $herbG;
        }
        $dry = 0.0;
        foreach ($parts as $part) {
            if (is_array($part) && is_numeric($part['share'] ?? null) && is_numeric($part['water'] ?? null)) {
                $dry += HerbMix::dryEquivalent($herbG * (float) $part['share'], (float) $part['water']);
            }
        }

        return $dry > 0 ? $dry : $herbG;
    }
}
