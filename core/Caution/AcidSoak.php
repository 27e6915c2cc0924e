<?php

declare(strict_types=1);

namespace Kettle\Caution;

use Kettle\Material\Herb;

/**
 * Souring a wet kitchen herb before it goes into oil: 3 % citric acid by weight, 1 part of chopped garlic
 * to 3 parts of solution, 1 part of basil, oregano or rosemary to 10, for 24 hours or longer.
 * PNW 664 (Pacific Northwest Extension), from memory.
 */
final readonly class AcidSoak
{
    /** Citric acid, g in each g of solution. */
    public const STRENGTH = 0.03;

    public const HOURS = 24;

    /** Months a soured oil keeps, for its taste: our own caution, no source. */
    public const KEEPS_MONTHS = 2.0;

    private const PARTS = ['soured-1-3' => 3, 'soured-1-10' => 10];

    private function __construct(public float $herbG, public int $parts, public float $acidG, public float $waterG) {}

    /** Parts of solution to one of herb; null where no way was tested. */
    public static function partsFor(Herb $herb): ?int
    {
        foreach (self::PARTS as $trait => $parts) {
            if (in_array($trait, $herb->traits, true)) {
                return $parts;
            }
        }

        return null;
    }

    /**
     * @param  float  $herbG chopped, as it lies
     *
     * @throws CautionException where no way was tested for the plant
     */
    public static function for(Herb $herb, float $herbG): self
    {
        $parts = self::partsFor($herb) ?? throw CautionException::untested($herb->name);
        $solution = $parts * $herbG;

        return new self($herbG, $parts, $solution * self::STRENGTH, $solution * (1 - self::STRENGTH));
    }

    public function solutionG(): float
    {
        return $this->acidG + $this->waterG;
    }
}
