<?php

declare(strict_types=1);

namespace Kettle\Keeping;

use Kettle\Caution\ColdKept;

/** What is known of how an oil was made and is kept. Days in the house's zone. */
final readonly class KeptFacts
{
    /**
     * @param  \DateTimeImmutable  $filledAt when the oil went on
     * @param  string  $kept of ColdKept::KEPT
     * @param  list<array{hours: float, celsius: float}>  $heat what warmth it had
     * @param  array<string, array{opened: ?\DateTimeImmutable, best_before: ?\DateTimeImmutable}>  $lots of its oils, by carrier id
     * @param  string  $place,$glass,$antioxidant ids of data/keeping.json
     * @param  bool  $byRates the school that adds rates, instead of the weakest oil
     */
    public function __construct(
        public \DateTimeImmutable $filledAt,
        public \DateTimeImmutable $strainedAt,
        public string $kept = ColdKept::SHELF,
        public array $heat = [],
        public array $lots = [],
        public string $place = 'cool-dark',
        public string $glass = 'dark',
        public string $antioxidant = 'none',
        public bool $byRates = false,
    ) {
    }
}
