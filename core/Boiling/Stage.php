<?php

declare(strict_types=1);

namespace Kettle\Boiling;

/** How far a pot that is boiled down has come. */
enum Stage: string
{
    case Planned = 'planned';
    case On = 'on';
    case Off = 'off';
    case Made = 'made';
    case Gone = 'gone';
    case Discarded = 'discarded';

    /** @return list<self> of what stands at the stove yet */
    public static function open(): array
    {
        return [self::Planned, self::On, self::Off];
    }

    /** Whether it stands at the stove yet. */
    public function isOpen(): bool
    {
        return in_array($this, self::open(), true);
    }

    /** Whether it has been over a flame and is no further. */
    public function isBegun(): bool
    {
        return $this === self::On || $this === self::Off;
    }
}
