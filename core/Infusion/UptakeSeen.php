<?php

declare(strict_types=1);

namespace Kettle\Infusion;

use Kettle\Material\Tables;

/**
 * What a house's own batches of one form, got out in one way, say of the oil left in each gram.
 *
 * A normal prior for what is usual in the house, updated by normal observations: the closed form, kept
 * as two sums, so that five thousand batches are as light as one. The table's own spread is the two
 * taken together: from house to house, and from batch to batch.
 */
final readonly class UptakeSeen
{
    /**
     * @param  float  $weight sum of 1/variance
     * @param  float  $weighted sum of uptake/variance, mL/g
     */
    private function __construct(public int $batches, public float $weight, public float $weighted)
    {
    }

    public static function none(): self
    {
        return new self(0, 0.0, 0.0);
    }

    public static function sums(int $batches, float $weight, float $weighted): self
    {
        return new self($batches, $weight, $weighted);
    }

    /** @param  float  $variance of this observation about the house's usual */
    public function with(float $uptake, float $variance): self
    {
        return new self($this->batches + 1, $this->weight + 1 / $variance, $this->weighted + $uptake / $variance);
    }

    public function without(float $uptake, float $variance): self
    {
        return new self($this->batches - 1, max(0.0, $this->weight - 1 / $variance), $this->weighted - $uptake / $variance);
    }

    /**
     * @return array{mean: float, sd: float, next_sd: float} of the house's usual; and of the next batch
     */
    public function posterior(float $priorMean, Tables $tables): array
    {
        [$house, $batch] = self::spread($tables);
        $precision = 1 / $house ** 2 + $this->weight;
        $mean = ($priorMean / $house ** 2 + $this->weighted) / $precision;

        return ['mean' => $mean, 'sd' => sqrt(1 / $precision), 'next_sd' => sqrt(1 / $precision + $batch ** 2)];
    }

    /**
     * Whether one batch lies further than is usual from what the others say.
     *
     * @param  array{mean: float, sd: float}  $others
     */
    public static function isOdd(float $uptake, float $variance, array $others, Tables $tables): bool
    {
        return abs(self::distance($uptake, $variance, $others)) > $tables->table('uptake')->row('spread')->row('odd_from')->number('value');
    }

    /**
     * In standard deviations of one batch about what the others say.
     *
     * @param  array{mean: float, sd: float}  $others
     */
    public static function distance(float $uptake, float $variance, array $others): float
    {
        return ($uptake - $others['mean']) / sqrt($others['sd'] ** 2 + $variance);
    }

    /**
     * Variance of one batch's uptake about the house's usual, (mL/g)^2: from batch to batch, and of measuring
     * the oil poured and the oil got, which weighs more the less herb there was.
     *
     * @param  float  $dryG herb, dry-equivalent
     */
    public static function variance(float $oilMl, float $dryG, Tables $tables): float
    {
        [, $batch, $measuring] = self::spread($tables);

        return $batch ** 2 + ($measuring * $oilMl / $dryG) ** 2;
    }

    /** @return array{float, float, float} between houses, between batches, of measuring */
    private static function spread(Tables $tables): array
    {
        $spread = $tables->table('uptake')->row('spread');
        $value = fn (string $key): float => $spread->row($key)->number('value');

        return [$value('between_houses'), $value('between_batches'), $value('measuring')];
    }
}
