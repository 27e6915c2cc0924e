<?php

declare(strict_types=1);

namespace Kettle\Vessel;

use Kettle\Material\HerbMix;
use Kettle\Material\Lying;

/**
 * Where herb and oil stand in a jar, mm from the bottom.
 *
 * Dry herb fills m/(rho_loose A); under oil, poked and swollen, it makes a bed of m/(rho_settled A);
 * oil and the herb's own volume reach (V + m/rho_particle)/A. Source: arithmetic of a cylinder.
 */
final readonly class Levels
{
    /** Oil over the bed, as a part of the bed, under which it is told: common practice, no source. */
    private const LEAST_COVER = 0.1;

    private function __construct(public Jar $jar, public float $dryFillMm, public float $bedMm, public float $levelMm) {}

    /** @param  Lying  $lying how the herb is put into the jar */
    public static function in(Jar $jar, HerbMix $mix, float $herbG, float $oilMl, Lying $lying = Lying::Loose): self
    {
        return new self(
            $jar,
            $jar->heightOf(($lying === Lying::Loose ? $mix->looseMlPerG : $mix->mlPerG($lying)) * $herbG),
            $jar->heightOf($mix->settledMlPerG * $herbG),
            $jar->heightOf($oilMl + $mix->ownMlPerG * $herbG),
        );
    }

    public function coverMm(): float
    {
        return $this->levelMm - $this->bedMm;
    }

    public function headspaceMm(): float
    {
        return $this->jar->heightMm - $this->levelMm;
    }

    /** The most herb a jar takes at a ratio, g, leaving so much headspace. */
    public static function mostHerb(Jar $jar, HerbMix $mix, float $mlPerGram, float $headspaceMm): float
    {
        $roomMl = $jar->volumeTo(max(0.0, $jar->heightMm - $headspaceMm));

        return $roomMl / ($mlPerGram + $mix->ownMlPerG);
    }

    /**
     * The leanest ratio needed for a cover, in a jar filled to its headspace, in parts of the ratio of which
     * each gram as it lies counts for so much. Rounded up to the next half; null when the jar is too low
     * for that cover, or it takes over 1:30.
     */
    /** Whether the oil stands so far over the bed that what swells, or floats a little, stays under. */
    public function isWellCovered(): bool
    {
        return $this->coverMm() >= self::LEAST_COVER * $this->bedMm - 0.5;
    }
}
