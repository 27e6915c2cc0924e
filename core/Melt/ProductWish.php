<?php

declare(strict_types=1);

namespace Kettle\Melt;

use Kettle\Material\Heed;

/** A product as somebody wishes for it, read: every part known, every amount in g. */
final readonly class ProductWish
{
    /**
     * @param  non-empty-list<Going>  $oils all by amount, or all by parts
     * @param  list<Going>  $waxes likewise
     * @param  list<Going>  $butters each by share or by amount
     * @param  list<Going>  $others likewise
     * @param  list<Going>  $scents likewise
     * @param  ?float  $firmness wanted, parts of beeswax in one part; null where wax does not decide it
     * @param  ?string  $word the word it was said with; null for a number
     * @param  bool  $firmnessSaid whether it was chosen, and not the product's own
     * @param  float  $bearsC the warmest room it must bear
     * @param  ?float  $totalG of all that goes into the pot
     * @param  ?float  $totalMl likewise
     * @param  list<Tin>  $tins
     * @param  list<string>  $for whom it is for, ids of data/melt.json
     * @param  ?Leaf  $leaf stirred in and sieved out
     * @param  ?\DateTimeImmutable  $readyBy the day it is wanted, at its beginning
     * @param  list<string>  $chosen words of the sentence that were chosen
     * @param  list<Heed>  $heeds what it is to be without, and to be given
     */
    public function __construct(
        public Product $product,
        public array $oils,
        public array $waxes,
        public array $butters,
        public array $others,
        public array $scents,
        public ?float $firmness,
        public ?string $word,
        public bool $firmnessSaid,
        public float $bearsC,
        public ?float $totalG,
        public ?float $totalMl,
        public array $tins,
        public array $for,
        public ?Leaf $leaf,
        public ?\DateTimeImmutable $readyBy,
        public array $chosen,
        public array $heeds = [],
    ) {}

    public function oilsByAmount(): bool
    {
        return $this->oils[0]->grams !== null;
    }

    public function waxesByAmount(): bool
    {
        return ($this->waxes[0] ?? null)?->grams !== null;
    }

    /** @return list<Going> */
    public function all(): array
    {
        return [...$this->oils, ...$this->butters, ...$this->waxes, ...$this->others, ...$this->scents];
    }

    /** Whether every tin's number was said, so that they say how much is to be made. */
    public function tinsSayHowMuch(): bool
    {
        return $this->tins !== [] && array_filter($this->tins, fn (Tin $tin) => $tin->count === null) === [];
    }
}
