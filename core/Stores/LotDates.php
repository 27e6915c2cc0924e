<?php

declare(strict_types=1);

namespace Kettle\Stores;

/** The days of a lot, where they are known. */
final readonly class LotDates
{
    public function __construct(
        public ?\DateTimeImmutable $gotOn = null,
        public ?\DateTimeImmutable $openedOn = null,
        public ?\DateTimeImmutable $bestBefore = null,
    ) {}
}
