<?php

declare(strict_types=1);

namespace Kettle\Melt;

/** How a pot turned out on the cold spoon, or in use: too soft, right, or too hard, in a room of so many degrees. */
final readonly class Verdict
{
    public const RIGHT = 'right';

    public const TOO_SOFT = 'too-soft';

    public const TOO_HARD = 'too-hard';

    public const ALL = [self::TOO_SOFT, self::RIGHT, self::TOO_HARD];

    /** How far off, in parts of beeswax in one part of the whole: from memory, coarse. */
    public const FAR = ['a-little' => 0.02, 'plainly' => 0.04, 'far' => 0.08];

    /**
     * @param  float  $firmness it was made to
     * @param  string  $is of ALL
     * @param  string  $by of FAR; means nothing where it was right
     */
    public function __construct(public float $firmness, public string $is, public string $by = 'plainly', public ?float $roomC = null) {}

    /** The firmness it should have had, in a cool room. */
    public function points(Firmness $rule): float
    {
        $far = self::FAR[$this->by] ?? self::FAR['plainly'];
        $off = match ($this->is) {
            self::TOO_SOFT => $far,
            self::TOO_HARD => -$far,
            default => 0.0,
        };

        // What was right in a warm room is firmer than it need be in a cool one.
        return max(0.0, $this->firmness + $off - ($this->roomC === null ? 0.0 : $rule->softer($this->roomC)));
    }

    /** How surely it says so. */
    public function sd(): float
    {
        return $this->is === self::RIGHT ? 0.015 : (self::FAR[$this->by] ?? self::FAR['plainly']) / 2;
    }
}
