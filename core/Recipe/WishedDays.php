<?php

declare(strict_types=1);

namespace Kettle\Recipe;

/** When a wish is to be begun, or ready; null where nobody said. */
final readonly class WishedDays
{
    public function __construct(public ?\DateTimeImmutable $start, public ?\DateTimeImmutable $readyBy) {}
}
