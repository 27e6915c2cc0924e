<?php

declare(strict_types=1);

namespace Kettle\Vessel;

use Kettle\Material\HerbForm;

/**
 * Where herb and oil stand in a jar, mm from the bottom.
 *
 * Dry herb fills m/(rho_loose A); under oil, poked and swollen, it makes a bed of m/(rho_settled A);
 * oil and the herb's own volume reach (V + m/rho_particle)/A. Source: arithmetic of a cylinder.
 */
final readonly class Levels
{
    private function __construct(
        public Jar $jar,
        public float $dryFillMm,
        public float $bedMm,
        public float $levelMm,
    ) {
    }

    public static function in(Jar $jar, HerbForm $form, float $herbG, float $oilMl): self
    {
        return new self(
            $jar,
            $jar->heightOf($form->loose->volumeOf($herbG)),
            $jar->heightOf($form->settled->volumeOf($herbG)),
            $jar->heightOf($oilMl + $form->particle->volumeOf($herbG)),
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
    public static function mostHerb(Jar $jar, HerbForm $form, float $mlPerGram, float $headspaceMm): float
    {
        $roomMl = $jar->volumeTo(max(0.0, $jar->heightMm - $headspaceMm));

        return $roomMl / ($mlPerGram + $form->particle->volumeOf(1.0));
    }

    /**
     * The leanest ratio needed for a cover, mL for each gram, in a jar filled to its headspace.
     * Rounded up to the next half; null when the jar is too low for that cover, or it takes over 1:30.
     */
    public static function ratioThatCovers(Jar $jar, HerbForm $form, float $coverMm, float $headspaceMm): ?float
    {
        $level = $jar->heightMm - $headspaceMm;
        $bed = $level - $coverMm;
        if ($bed <= 0) {
            return null;
        }
        $mlPerGram = $level / ($bed * $form->settled->gramsPerMl) - $form->particle->volumeOf(1.0);
        $rounded = ceil($mlPerGram * 2) / 2;

        return $rounded > 30 ? null : max(1.0, $rounded);
    }
}
