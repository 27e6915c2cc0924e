<?php

declare(strict_types=1);

namespace Kettle\Melt;

use Kettle\Material\Blend;
use Kettle\Material\Herb;
use Kettle\Material\State;

/** An oil of the house's own, bottled or to be: what it was made of, how much is left, and until when it is good. */
final readonly class Infused
{
    public const SOUND = 'sound';

    public const DISCARDED = 'discarded';

    /**
     * @param  string  $called "calendula oil of 6 November"
     * @param  array<string, mixed>  $said the same as a sentence keeps it; empty for as it is called
     * @param  string  $code as its label has it; empty where it has none
     * @param  list<array{plant: Herb, state: State}>  $herbs
     * @param  ?float  $leftMl null where nobody counts
     * @param  ?float  $costPerMl in the house's currency
     * @param  list<string>  $allergens of its lots, beyond those of its oils
     * @param  bool  $food whether every part of it is known to be of food grade
     * @param  bool  $coldOnly whether it keeps in the refrigerator and nowhere else
     * @param  ?\DateTimeImmutable  $from when it can be poured, of one that stands yet; null for one in its bottles
     * @param  ?ToInfuse  $toInfuse of one that is not begun yet
     * @param  string  $is SOUND or DISCARDED
     */
    public function __construct(
        public string $id,
        public string $called,
        public Blend $blend,
        public string $code = '',
        public array $herbs = [],
        public ?float $leftMl = null,
        public ?\DateTimeImmutable $bestBefore = null,
        public ?float $costPerMl = null,
        public array $allergens = [],
        public bool $food = false,
        public bool $coldOnly = false,
        public string $is = self::SOUND,
        public array $said = [],
        public ?\DateTimeImmutable $from = null,
        public ?ToInfuse $toInfuse = null,
    ) {}

    /** Whether there is none of it yet. */
    public function isToCome(): bool
    {
        return $this->from !== null || $this->toInfuse !== null;
    }
}
