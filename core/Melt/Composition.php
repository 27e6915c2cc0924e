<?php

declare(strict_types=1);

namespace Kettle\Melt;

/** What goes into the pot, part by part. Masses add, volumes add, hardness adds by weight. */
final readonly class Composition
{
    public float $totalG;

    public float $totalMl;

    /** Parts of beeswax in one part of the whole: X = sum(share x equivalent). */
    public float $firmness;

    /** @param  list<Weighed>  $weighed each part once */
    public function __construct(public array $weighed)
    {
        $grams = $ml = $hard = 0.0;
        foreach ($weighed as $each) {
            $grams += $each->grams;
            $ml += $each->ml();
            $hard += $each->grams * $each->part->hardness;
        }
        $this->totalG = $grams;
        $this->totalMl = $ml;
        $this->firmness = $grams > 0 ? $hard / $grams : 0.0;
    }

    /** @return list<Weighed> */
    public function of(PartKind ...$kinds): array
    {
        return array_values(array_filter($this->weighed, fn (Weighed $each) => in_array($each->part->kind, $kinds, true)));
    }

    /** g of those kinds. */
    public function gramsOf(PartKind ...$kinds): float
    {
        return array_sum(array_map(fn (Weighed $each) => $each->grams, $this->of(...$kinds)));
    }

    public function mlOf(PartKind ...$kinds): float
    {
        return array_sum(array_map(fn (Weighed $each) => $each->ml(), $this->of(...$kinds)));
    }

    public function share(Weighed $each): float
    {
        return $each->grams / $this->totalG;
    }

    public function gramsPerMl(): float
    {
        return $this->totalG / $this->totalMl;
    }

    /** With so many g more of a part. */
    public function with(Part $part, float $grams): self
    {
        return new self([...$this->weighed, new Weighed($part, $grams)]);
    }

    /**
     * The range of warmth in which it begins to run and the last of it is dissolved, degrees C; null for what pours cold.
     * Each fat dissolves as if the rest were a liquid oil (an ideal solution); it runs when what is still firm in it is under
     * the band called "pours".
     *
     * @return ?array{runs: float, clear: float}
     */
    public function melts(float $oilGramsPerMol, float $poursBelow): ?array
    {
        $fats = array_values(array_filter($this->weighed, fn (Weighed $each) => $each->part->fusion !== null && $each->grams > 0));
        if ($fats === [] || $this->firmness <= 0) {
            return null;
        }
        $clear = max(array_map(fn (Weighed $fat) => $fat->part->fusion?->dissolvesAt($this->share($fat), $oilGramsPerMol) ?? -INF, $fats));
        $firm = fn (float $celsius): float => array_sum(
            array_map(
                fn (Weighed $fat) => $fat->part->hardness *
                    ($fat->part->fusion?->stillSolid($this->share($fat), $celsius, $oilGramsPerMol) ?? 0.0),
                $fats,
            ),
        );
        // Firm by a butter alone, whose hardness counts for little: it runs where it is melted.
        $at = min($poursBelow, $this->firmness / 2);
        [$low, $high] = [-20.0, $clear];
        if ($firm($low) <= $at) {
            return ['runs' => $clear, 'clear' => $clear];
        }
        for ($i = 0; $i < 40; $i++) {
            $middle = ($low + $high) / 2;
            $firm($middle) > $at ? ($low = $middle) : ($high = $middle);
        }

        return ['runs' => ($low + $high) / 2, 'clear' => $clear];
    }
}
