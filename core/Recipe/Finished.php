<?php

declare(strict_types=1);

namespace Kettle\Recipe;

/** What is to come out of the cloth: so many mL, perhaps as so many bottles or tins of a size. */
final readonly class Finished
{
    /**
     * @param  float  $ml in all
     * @param  string  $said in the cook's words: "300 mL", "six 50 mL bottles"
     * @param  bool  $surely nine times in ten, else as often as not
     * @param  int  $count of bottles or tins, alike; one for an amount
     */
    public function __construct(public float $ml, public string $said, public bool $surely, public int $count = 1) {}

    /** What each bottle holds, mL. */
    public function eachMl(): float
    {
        return round($this->ml / $this->count, 3);
    }
}
