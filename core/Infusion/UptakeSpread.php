<?php

declare(strict_types=1);

namespace Kettle\Infusion;

use Kettle\Material\Tables;

/** How much the oil left in herb varies, mL/g: from house to house, from batch to batch, and by measuring. */
final readonly class UptakeSpread
{
    /**
     * @param  float  $measuring of the oil poured and got, as a share of it
     * @param  float  $oddFrom standard deviations from the house's others
     */
    private function __construct(public float $house, public float $batch, public float $measuring, public float $oddFrom)
    {
    }

    public static function of(Tables $tables): self
    {
        $spread = $tables->table('uptake')->row('spread');
        $value = fn (string $key): float => $spread->row($key)->number('value');

        return new self($value('between_houses'), $value('between_batches'), $value('measuring'), $value('odd_from'));
    }

    /**
     * Variance of one batch's uptake about the house's usual, (mL/g)^2: from batch to batch, and of measuring,
     * which weighs more the less herb there was.
     *
     * @param  float  $dryG herb, dry-equivalent
     */
    public function variance(float $oilMl, float $dryG): float
    {
        return $this->batch ** 2 + ($this->measuring * $oilMl / $dryG) ** 2;
    }

    /**
     * How far one batch lies from what the others say, in standard deviations.
     *
     * @param  array{mean: float, sd: float}  $others
     */
    public static function distance(float $uptake, float $variance, array $others): float
    {
        return ($uptake - $others['mean']) / sqrt($others['sd'] ** 2 + $variance);
    }

    /** Whether that is further than is usual. */
    public function isOdd(float $distance): bool
    {
        return abs($distance) > $this->oddFrom;
    }
}
