<?php

declare(strict_types=1);

namespace Kettle\Keeping;

use Kettle\Caution\ColdStorage;

/** What is known of how an oil was made and is kept. Days in the house's zone. */
final readonly class StorageFacts
{
    /**
     * @param  \DateTimeImmutable  $filledAt when the oil went on
     * @param  string  $storage of ColdStorage::ALL
     * @param  list<array{hours: float, celsius: float}>  $heat what warmth it had
     * @param  array<string, array{opened: ?\DateTimeImmutable, best_before: ?\DateTimeImmutable}>  $lots of its oils, by carrier id
     * @param  string  $place,$glass,$antioxidant ids of data/keeping.json
     * @param  bool  $byRates the school that adds rates, instead of the weakest oil
     * @param  float  $water of the wettest herb when it went in, fraction of its weight; means nothing for dried herb
     * @param  bool  $watery whether a wet one of them is a watery plant, that wants the refrigerator
     * @param  bool  $kitchen whether it is eaten: then what is wet has four days, however it was to be kept
     * @param  bool  $onHerb whether it is never strained, and stands on its herb until it is used up
     * @param  ?\DateTimeImmutable  $printed the best-before day that stands on an oil bought infused
     */
    public function __construct(
        public \DateTimeImmutable $filledAt,
        public \DateTimeImmutable $strainedAt,
        public string $storage = ColdStorage::SHELF,
        public array $heat = [],
        public array $lots = [],
        public string $place = 'cool-dark',
        public string $glass = 'dark',
        public string $antioxidant = 'none',
        public bool $byRates = false,
        public float $water = 0.8,
        public bool $watery = false,
        public bool $kitchen = false,
        public ?\DateTimeImmutable $printed = null,
        public bool $onHerb = false,
    ) {}

    /** Hours of warmth it had. */
    public function heatH(): float
    {
        return array_sum(array_column($this->heat, 'hours'));
    }
}
