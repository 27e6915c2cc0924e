<?php

declare(strict_types=1);

namespace Kettle\Infusion;

use Kettle\Material\Tables;

/** How much the oil left in herb varies, mL/g: from house to house, from batch to batch, and by measuring. */
final readonly class UptakeSpread
{
    /** Batches of which a median says something. */
    private const ENOUGH = 4;

    /** A normal's standard deviation in median absolute deviations. */
    private const NORMAL = 1.4826;

    /**
     * @param  float  $measuring of the oil poured and got, as a share of it
     * @param  float  $oddFrom standard deviations from the house's others
     */
    private function __construct(public float $house, public float $batch, public float $measuring, public float $oddFrom) {}

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
        return $this->batch ** 2 + (($this->measuring * $oilMl) / $dryG) ** 2;
    }

    /**
     * How far one batch lies from the house's usual, in standard deviations.
     *
     * @param  array{float, float}  $usual of `middle`
     */
    public function apart(float $uptake, float $variance, array $usual): float
    {
        [$middle, $scatter] = $usual;

        return ($uptake - $middle) / sqrt($scatter ** 2 + $variance);
    }

    /**
     * What is usual in a house, by the median of its batches and their median absolute deviation (1.4826 of it is a
     * normal's standard deviation): one spill moves neither, and so accuses no good batch. Of fewer than four batches
     * the trade's own figure is the usual.
     *
     * @param  list<float>  $all of the house, the one that is looked at among them
     * @param  float  $prior mL left in each gram, as the trade has it
     * @return array{float, float} the usual, and how far batches lie from it beyond what measuring does
     */
    public function middle(array $all, float $prior): array
    {
        if (count($all) < self::ENOUGH) {
            return [$prior, $this->house];
        }
        $middle = self::median($all);

        return [$middle, self::NORMAL * self::median(array_map(fn (float $each) => abs($each - $middle), $all))];
    }

    /** @param  non-empty-list<float>  $values */
    private static function median(array $values): float
    {
        sort($values);
        $half = intdiv(count($values), 2);

        return count($values) % 2 === 1 ? $values[$half] : ($values[$half - 1] + $values[$half]) / 2;
    }

    /** Whether that is further than is usual. */
    public function isOdd(float $distance): bool
    {
        return abs($distance) > $this->oddFrom;
    }
}
