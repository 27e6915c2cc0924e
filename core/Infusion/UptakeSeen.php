<?php

declare(strict_types=1);

namespace Kettle\Infusion;

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
    private function __construct(public int $batches, public float $weight, public float $weighted) {}

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

    public function less(self $other): self
    {
        return new self($this->batches - $other->batches, max(0.0, $this->weight - $other->weight), $this->weighted - $other->weighted);
    }

    public function without(float $uptake, float $variance): self
    {
        return new self($this->batches - 1, max(0.0, $this->weight - 1 / $variance), $this->weighted - $uptake / $variance);
    }

    /**
     * @return array{mean: float, sd: float, next_sd: float} of the house's usual; and of the next batch
     */
    public function posterior(float $priorMean, UptakeSpread $spread): array
    {
        $precision = 1 / $spread->house ** 2 + $this->weight;
        $mean = ($priorMean / $spread->house ** 2 + $this->weighted) / $precision;

        return ['mean' => $mean, 'sd' => sqrt(1 / $precision), 'next_sd' => sqrt(1 / $precision + $spread->batch ** 2)];
    }
}
