<?php

declare(strict_types=1);

namespace Kettle\Melt;

/** A part as it was wished for: so many parts, or a share of the whole, or an amount. */
final readonly class Going
{
    /**
     * @param  ?float  $share of the whole, by weight
     * @param  ?float  $grams where an amount was said
     * @param  string  $typed as somebody wrote it
     * @param  bool  $byCup whether a weight was made of a cup or spoon of something in pellets or grains
     */
    private function __construct(
        public Part $part,
        public float $parts,
        public ?float $share,
        public ?float $grams,
        public string $typed,
        public bool $byCup,
    ) {}

    /** @param  float  $parts by volume for oils, by weight for waxes */
    public static function parts(Part $part, float $parts = 1.0): self
    {
        return new self($part, $parts, null, null, '', false);
    }

    public static function share(Part $part, float $share): self
    {
        return new self($part, 1.0, $share, null, '', false);
    }

    public static function amount(Part $part, float $grams, string $typed, bool $byCup = false): self
    {
        return new self($part, 1.0, null, $grams, $typed, $byCup);
    }

    /** Its share of the whole; only of one that has one. */
    public function shareOf(): float
    {
        return $this->share ?? 0.0;
    }

    public function gramsOf(): float
    {
        return $this->grams ?? 0.0;
    }
}
