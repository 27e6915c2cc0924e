<?php

declare(strict_types=1);

namespace Kettle\Melt;

use Kettle\Material\Herb;
use Kettle\Material\State;

/** A decoction or a glycerin extract of the house's own: of what it was boiled, how much is left, and until when it is good. */
final readonly class Boiled
{
    public const SOUND = 'sound';

    /** Over the flame yet, or not begun. */
    public const NOT_YET = 'not-yet';

    public const GONE = 'gone';

    public const STANDS = [self::SOUND, self::NOT_YET, self::GONE];

    /**
     * @param  string  $called "decoction of comfrey"
     * @param  array<string, mixed>  $said the same as a sentence keeps it; empty for as it is called
     * @param  string  $as the addition of data/additions.json that it is
     * @param  list<array{plant: Herb, state: State}>  $herbs
     * @param  ?float  $leftG null where nobody counts
     * @param  bool  $food whether every part of it is known to be of food grade
     * @param  value-of<self::STANDS>  $stands
     * @param  bool  $byWeight whether it is counted in g, and not in mL
     */
    public function __construct(
        public string $id,
        public string $called,
        public string $as,
        public string $code = '',
        public array $herbs = [],
        public ?float $leftG = null,
        public ?\DateTimeImmutable $bestBefore = null,
        public bool $food = false,
        public string $stands = self::SOUND,
        public array $said = [],
        public bool $byWeight = false,
    ) {}

    /** So much of it in what it is counted in: g or mL. */
    public function unitsOf(Weighed $each): float
    {
        return $this->byWeight ? $each->grams : $each->ml();
    }
}
