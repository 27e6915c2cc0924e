<?php

declare(strict_types=1);

namespace Kettle\Melt;

use Kettle\Recipe\Kitchen;

/** The house a product is made in: its kitchen, its own bottled oils, and what its pots have shown so far. */
final readonly class House
{
    /**
     * @param  array<string, Infused>  $infused by id, those that were asked about
     * @param  array<string, Boiled>  $boiled by id, those that were asked about
     * @param  list<Verdict>  $verdicts oldest first
     * @param  ?float  $lossShare of a pot, left in it and the jug, as seen here; null for the usual
     * @param  ?float  $hourRate what an hour of hands is worth, in the house's currency
     * @param  ?Kitchen  $bench the kitchen an oil that is not begun yet would be infused in; null for the same
     * @param  array<string, float>  $bottleMl of the house's sizes of bottles, by id
     */
    public function __construct(
        public Kitchen $kitchen,
        public array $infused = [],
        public array $verdicts = [],
        public ?float $lossShare = null,
        public ?float $hourRate = null,
        public array $bottleMl = [],
        public ?Kitchen $bench = null,
        public array $boiled = [],
    ) {}
}
