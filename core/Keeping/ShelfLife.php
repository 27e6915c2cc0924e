<?php

declare(strict_types=1);

namespace Kettle\Keeping;

use Kettle\Material\Blend;
use Kettle\Material\Carrier;
use Kettle\Material\State;

/**
 * How long an infused oil keeps, in months from straining, cool and dark.
 *
 * The weakest oil decides (the cautious school, and the default); the blend school adds the rates,
 * 1/months, by volume share. Neither passes what the state of the herb allows. Months from memory.
 */
final readonly class ShelfLife
{
    /** Dried herb allows one to two years: common practice, no source. */
    public const DRIED_HERB_CAP = 24.0;

    /** Wilted or fresh herb leaves water behind: about six months, at most a year. Common practice, no source. */
    public const WET_HERB_CAP = 6.0;

    public const WET_HERB_MOST = 12.0;

    /** A bottle kept by a window or stove loses about this much: from memory, coarse. */
    public const SPREAD = 0.25;

    private function __construct(
        public float $months,
        public float $lowMonths,
        public float $highMonths,
        public float $byRates,
        public Carrier $weakest,
        public bool $capped,
    ) {
    }

    public static function of(Blend $blend, State $state): self
    {
        [$cap, $most] = $state->isWet() ? [self::WET_HERB_CAP, self::WET_HERB_MOST] : [self::DRIED_HERB_CAP, self::DRIED_HERB_CAP];
        $weakest = null;
        $rate = 0.0;
        foreach ($blend->shares() as $oil) {
            $rate += $oil['share'] / $oil['carrier']->monthsOpened;
            if ($weakest === null || $oil['carrier']->monthsOpened < $weakest->monthsOpened) {
                $weakest = $oil['carrier'];
            }
        }
        assert($weakest !== null);
        $byRates = min($cap, 1 / $rate);
        $months = min($cap, $weakest->monthsOpened);

        return new self(
            $months,
            $months * (1 - self::SPREAD),
            min($most, max($byRates, $months * (1 + self::SPREAD))),
            $byRates,
            $weakest,
            $weakest->monthsOpened > $cap,
        );
    }

    /** A day so many months on; a fraction of a month counts 30.44 days. */
    public static function after(\DateTimeImmutable $day, float $months): \DateTimeImmutable
    {
        $whole = (int) floor($months);
        $days = (int) round(($months - $whole) * 30.44);
        $first = $day->modify('first day of this month')->modify("+{$whole} months");
        $date = min((int) $day->format('j'), (int) $first->format('t'));

        return $first->setDate((int) $first->format('Y'), (int) $first->format('n'), $date)->modify("+{$days} days");
    }
}
