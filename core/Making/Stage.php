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

    /** @return list<self> of what is begun and not poured yet */
    public static function open(): array
    {
        return [self::Planned, self::Making];
    }

    public function isOpen(): bool
    {
        return in_array($this, self::open(), true);
    }
}
