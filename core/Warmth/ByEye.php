<?php

declare(strict_types=1);

namespace Kettle\Warmth;

use Kettle\Measure\AmountReader;
use Kettle\Measure\Figures;
use Kettle\Measure\Kind;
use Kettle\Measure\Unit;
use Kettle\Reason\RefusedException;

/** A warmth somebody read off a thermometer in a pot, and typed. */
final readonly class ByEye
{
    /** Jars are warmed in liquid water or dry air, above its ice: ITS-90 has the ice point of water at 0 degrees C. */
    private const LEAST = 0.0;

    /** @param  bool  $fahrenheit whether a bare number is of those degrees */
    public function __construct(private AmountReader $amounts, private bool $fahrenheit) {}

    /**
     * @param  Band  $band what the pot is meant to have: a bare number outside it that would be inside in the other degrees is asked about
     * @return float degrees C
     *
     * @throws RefusedException about `warmth`
     */
    public function read(string $typed, Band $band): float
    {
        $plain = preg_replace('/([cf])\.$/iu', '$1', trim($typed)) ?? $typed;
        try {
            $amount = $this->amounts->read($plain, Kind::Temperature, $this->fahrenheit ? '°F' : '°C');
        } catch (RefusedException) {
            throw WarmthException::noReading($typed)->about('warmth');
        }
        if ($amount->low !== $amount->high || preg_match('#\d\s*[/⁄]\s*\d#u', Figures::ofAmount($plain)) === 1) {
            throw WarmthException::readRange($typed);
        }
        $celsius = $amount->value;
        $bare = preg_match('/\p{L}/u', preg_replace('/\b(?:about|approx|ca|circa|deg|degrees?)\b/iu', '', $plain) ?? '') !== 1;
        if ($bare && ! $band->holds($celsius) && $band->holds($this->otherwise($celsius))) {
            throw WarmthException::otherDegrees($typed, $this->fahrenheit);
        }

        return $celsius >= self::LEAST && $celsius <= Readings::MOST ? round($celsius, 2) : throw WarmthException::notOfPot($typed);
    }

    /** What the number would be in the other degrees, in degrees C. */
    private function otherwise(float $celsius): float
    {
        $fahrenheit = Unit::make('°F');

        return $this->fahrenheit ? $fahrenheit->fromBase($celsius) : $fahrenheit->toBase($celsius);
    }
}
