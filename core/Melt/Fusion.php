<?php

declare(strict_types=1);

namespace Kettle\Melt;

use Kettle\Material\Wax;

/**
 * How a wax or butter melts: where, with how much heat, and how heavy its molecules are; and so where it is dissolved in a
 * liquid oil. Of an ideal solution, ln x = -(H/R)(1/T - 1/Tm), x the share of its molecules (Schröder and van Laar, in any
 * text on physical chemistry).
 */
final readonly class Fusion
{
    /** The gas constant, J/(mol K). */
    private const R = 8.314462618;

    private const ZERO_C = 273.15;

    /** @param  float  $joulesPerMol heat of fusion */
    private function __construct(
        public float $meltsFromC,
        public float $meltsToC,
        private float $joulesPerMol,
        private float $gramsPerMol,
    ) {}

    /** Null for what does not melt. */
    public static function of(Wax $wax): ?self
    {
        return $wax->meltsFromC === null || $wax->meltsToC === null || $wax->fusionJPerG === null || $wax->gramsPerMol === null
            ? null
            : new self($wax->meltsFromC, $wax->meltsToC, $wax->fusionJPerG * $wax->gramsPerMol, $wax->gramsPerMol);
    }

    /**
     * Where the last of it is dissolved, degrees C.
     *
     * @param  float  $share of the whole by weight, over 0 and at most 1
     * @param  float  $oilGramsPerMol of what it is dissolved in
     */
    public function dissolvesAt(float $share, float $oilGramsPerMol): float
    {
        $own = $share / $this->gramsPerMol;
        $x = $own / ($own + (1 - $share) / $oilGramsPerMol);
        $melts = ($this->meltsFromC + $this->meltsToC) / 2 + self::ZERO_C;

        return 1 / (1 / $melts - (self::R * log($x)) / $this->joulesPerMol) - self::ZERO_C;
    }

    /**
     * What of it is still solid at a warmth, as a share of the whole: the rest of the whole dissolves as much of it as it can.
     *
     * @param  float  $share of the whole by weight
     */
    public function stillSolid(float $share, float $celsius, float $oilGramsPerMol): float
    {
        $dissolved = $this->dissolvedAt($celsius, $oilGramsPerMol);

        return $dissolved >= 1 ? 0.0 : max(0.0, $share - ((1 - $share) * $dissolved) / (1 - $dissolved));
    }

    /** The share by weight of it in a liquid that has dissolved as much as it can; 1 where all of it is melted. */
    public function dissolvedAt(float $celsius, float $oilGramsPerMol): float
    {
        $melts = ($this->meltsFromC + $this->meltsToC) / 2 + self::ZERO_C;
        $x = min(1.0, exp(-($this->joulesPerMol / self::R) * (1 / ($celsius + self::ZERO_C) - 1 / $melts)));
        $own = $x * $this->gramsPerMol;

        return $own / ($own + (1 - $x) * $oilGramsPerMol);
    }
}
