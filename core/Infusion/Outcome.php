<?php

declare(strict_types=1);

namespace Kettle\Infusion;

use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Reason\Said;

/** What came out of the cloth against what was expected, mL. */
final readonly class Outcome
{
    private function __construct(
        public float $actualMl,
        public float $shareOfExpected,
        public string $verdict,
        public ?float $uptakeMlPerG,
    ) {}

    /**
     * @param  float  $oilInMl what was poured on
     * @param  array{low: float, value: float, high: float}  $expected
     *
     * @throws YieldException when nothing came out, or more than went in
     */
    public static function of(float $actualMl, float $oilInMl, float $herbG, array $expected): self
    {
        if ($actualMl <= 0) {
            throw YieldException::nothing();
        }
        // Measuring jugs differ by a per cent or two; more than that out than in is a slip.
        if ($actualMl > $oilInMl * 1.02) {
            throw YieldException::moreThanWentIn(AmountWriter::plain($actualMl, Kind::Volume), AmountWriter::plain($oilInMl, Kind::Volume));
        }
        $verdict = match (true) {
            $actualMl < $expected['low'] => 'less',
            $actualMl > $expected['high'] => 'more',
            default => 'as expected',
        };

        return new self(
            $actualMl,
            $expected['value'] > 0 ? $actualMl / $expected['value'] : 1.0,
            $verdict,
            $herbG > 0 ? max(0.0, $oilInMl - $actualMl) / $herbG : null,
        );
    }

    /** With what to look for when it surprises. */
    public function says(): Said
    {
        return Said::of('outcome.'.str_replace(' ', '-', $this->verdict), ['share' => ['%' => round($this->shareOfExpected * 100)]]);
    }
}
