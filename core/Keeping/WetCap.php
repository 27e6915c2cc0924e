<?php

declare(strict_types=1);

namespace Kettle\Keeping;

use Kettle\Caution\AcidSoak;
use Kettle\Caution\ColdStorage;
use Kettle\Material\Row;
use Kettle\Material\State;
use Kettle\Reason\Reason;

/**
 * How many months the water left behind by the herb allows, however good the oil is: by how wet it went in, whether
 * it is a watery plant, how long it was warm and open, and whether it stands in the cold. data/keeping.json, `wet`.
 */
final readonly class WetCap
{
    /** Wet herb is told at the best as a year: common practice, no source. */
    private const MOST = 12.0;

    /** @param  list<Reason>  $reasons */
    private function __construct(public float $months, public float $most, public array $reasons = [], public bool $coldOnly = false) {}

    /** @param  Row  $keeping data/keeping.json */
    public static function of(State $state, StorageFacts $facts, bool $cold, Row $keeping): self
    {
        if ($facts->storage === ColdStorage::SOURED) {
            return new self(AcidSoak::KEEPS_MONTHS, AcidSoak::KEEPS_MONTHS);
        }
        if (! $state->isWet()) {
            $months = $keeping->row('unstrained')->number('value');

            return $facts->onHerb
                ? new self($months, $months, [Reason::rule('keeps-unstrained', ['months' => $months])])
                : new self(ShelfLife::DRIED_HERB_CAP, ShelfLife::DRIED_HERB_CAP);
        }
        $wet = $keeping->row('wet');
        $hours = $facts->heatH();
        $cooked = self::cooked($hours, $wet);
        if ($facts->watery && $hours < 1.0) {
            return match (true) {
                ! $cold => new self(
                    $wet->row('watery_not_cold')->number('value'),
                    $wet->row('watery')->number('low'),
                    [Reason::rule('keeps-watery-warm')],
                    true,
                ),
                $cooked !== null => new self(
                    $cooked,
                    $cooked,
                    [Reason::rule('keeps-cooked', ['hours' => round($hours, 2), 'months' => $cooked])],
                    true,
                ),
                default => new self(
                    $wet->row('watery')->number('value'),
                    $wet->row('watery')->number('high'),
                    [Reason::rule('keeps-watery')],
                    true,
                ),
            };
        }
        $factor = $cold ? $wet->row('cold_factor')->number('value') : 1.0;
        $months = $cooked ?? self::byWater($facts->water, $wet);
        $reasons = [
            $cooked !== null
                ? Reason::rule('keeps-cooked', ['hours' => round($hours, 2), 'months' => $cooked])
                : Reason::rule('keeps-damp', ['water' => round($facts->water * 100), 'months' => round($months, 1)]),
            ...$cold ? [Reason::rule('keeps-wet-cold', ['factor' => $factor])] : [],
        ];

        return new self(min(self::MOST, $months * $factor), self::MOST, $reasons);
    }

    /** Months by hours of warmth under an open lid; null where it had none. */
    private static function cooked(float $hours, Row $wet): ?float
    {
        $months = null;
        foreach ($hours > 0 ? $wet->rows('cooked') : [] as $row) {
            $months = $hours >= $row->number('from_h') ? $row->number('months') : $months;
        }

        return $months;
    }

    /** Between nearly dry and as wet as it grew, evenly. */
    private static function byWater(float $water, Row $wet): float
    {
        [$damp, $full] = [$wet->row('damp'), $wet->row('full')];
        $part = ($water - $damp->number('at_water')) / ($full->number('at_water') - $damp->number('at_water'));

        return $damp->number('value') + max(0.0, min(1.0, $part)) * ($full->number('value') - $damp->number('value'));
    }
}
