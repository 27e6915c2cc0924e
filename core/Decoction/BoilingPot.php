<?php

declare(strict_types=1);

namespace Kettle\Decoction;

use Kettle\Material\Tables;
use Kettle\Warmth\Air;

/** An open, round pot that something is boiled down in. */
final readonly class BoilingPot
{
    private const LEAST_MM = 80.0;

    private const MOST_MM = 1000.0;

    /** Half damp air: from memory. */
    private const HUMIDITY = 0.5;

    private function __construct(public float $diameterMm, public float $heightMm) {}

    /** @throws DecoctionException */
    public static function measured(float $diameterMm, float $heightMm): self
    {
        foreach (['diameter_mm' => $diameterMm, 'height_mm' => $heightMm] as $field => $mm) {
            if (! is_finite($mm) || $mm < self::LEAST_MM || $mm > self::MOST_MM) {
                throw DecoctionException::pot($field);
            }
        }

        return new self($diameterMm, $heightMm);
    }

    public function areaM2(): float
    {
        return (M_PI / 4) * ($this->diameterMm / 1000) ** 2;
    }

    public function brimMl(): float
    {
        return $this->areaM2() * $this->heightMm * 1000;
    }

    /** How high so much stands in it, mm; also above its rim. */
    public function levelMm(float $ml): float
    {
        return $ml / ($this->areaM2() * 1000);
    }

    public function mlAt(float $mm): float
    {
        return $mm * $this->areaM2() * 1000;
    }

    /** From where on it boils over: froth wants a tenth of the height, and what froths a quarter. */
    public function overMm(bool $froths, Tables $tables): float
    {
        return $this->heightMm *
            $tables
                ->table('decoction')
                ->row('pot')
                ->number($froths ? 'over_at_frothing' : 'over_at');
    }

    /**
     * Water that leaves it in an hour, mL, kept between two warmths: by the form for open water that the Stove reckons with.
     *
     * @param  bool  $underOil whether oil lies on the water, which holds some of it back: coarse, from memory
     * @return array{low: float, value: float, high: float}
     */
    public function losesPerH(float $lowC, float $highC, float $roomC, bool $underOil, Tables $tables): array
    {
        $air = Air::saturation($roomC) * self::HUMIDITY;
        $at = fn (float $celsius): float => Air::evaporation($this->areaM2(), min(99.9, $celsius), $air) * 3600 * 1000;
        $held = $underOil ? $tables->table('decoction')->row('pot')->number('under_oil') : 1.0;

        return ['low' => $at($lowC) * $held, 'value' => ($at(($lowC + $highC) / 2) * (1 + $held)) / 2, 'high' => $at($highC)];
    }
}
