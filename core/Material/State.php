<?php

declare(strict_types=1);

namespace Kettle\Material;

/** How much of its water a plant has given up. */
enum State: string
{
    case Dried = 'dried';
    case Wilted = 'wilted';
    case Fresh = 'fresh';

    /** Whether water is still in it, which spoils oil. */
    public function isWet(): bool
    {
        return $this !== self::Dried;
    }

    /**
     * Share of water it holds where nobody weighed it: common practice, no source. Fresh herb is mostly water, wilted
     * has given up some.
     */
    public function usualWater(): float
    {
        return match ($this) {
            self::Dried => 0.0,
            self::Wilted => 0.65,
            self::Fresh => 0.85,
        };
    }

    /** The wetter of two: one wet herb makes a wet jar. */
    public function orWetter(self $other): self
    {
        return max(array_search($this, self::cases(), true), array_search($other, self::cases(), true)) === 0
            ? self::Dried
            : ($this === self::Fresh || $other === self::Fresh
                ? self::Fresh
                : self::Wilted);
    }
}
