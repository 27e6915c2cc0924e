<?php

declare(strict_types=1);

namespace Kettle\Making;

use Kettle\Time\Later;

/** A leaf that is in the pot: since when, when it is stirred next, and when it is sieved. No hour of it ever moves later. */
final readonly class LeafWatch
{
    private function __construct(
        public LeafIn $leaf,
        public \DateTimeImmutable $since,
        public \DateTimeImmutable $stirBy,
        public \DateTimeImmutable $sieveFrom,
        public \DateTimeImmutable $sieveBy,
        public ?float $celsius,
    ) {}

    /** @param  ?float  $celsius as it was last read */
    public static function of(LeafIn $leaf, \DateTimeImmutable $since, \DateTimeImmutable $stirred, ?float $celsius): self
    {
        $sieveBy = Later::hours($since, $leaf->mostH);

        return new self(
            $leaf,
            $since,
            min($sieveBy, Later::minutes($stirred, (int) round($leaf->stirMin))),
            Later::hours($since, $leaf->leastH),
            $sieveBy,
            $celsius,
        );
    }

    public function isTooWarm(): bool
    {
        return $this->celsius !== null && $this->celsius > $this->leaf->ceilingC;
    }

    public function isTooCool(): bool
    {
        return $this->celsius !== null && $this->celsius < $this->leaf->lowC;
    }
}
