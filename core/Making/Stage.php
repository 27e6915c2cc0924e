<?php

declare(strict_types=1);

namespace Kettle\Making;

/** Where a product stands. */
enum Stage: string
{
    case Planned = 'planned';
    case Making = 'making';
    case Poured = 'poured';
    case Discarded = 'discarded';

    public function isOpen(): bool
    {
        return $this === self::Planned || $this === self::Making;
    }
}
