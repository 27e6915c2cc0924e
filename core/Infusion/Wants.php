<?php

declare(strict_types=1);

namespace Kettle\Infusion;

use Kettle\Material\State;
use Kettle\Vessel\Jar;

/** What a way of infusing wants: of herb, of vessels and of the house. */
final readonly class Wants
{
    /**
     * @param  list<State>  $states of herb it is for; empty for any
     * @param  non-empty-list<string>  $vessels of Jar::KINDS: what herb and oil may stand in, the usual first
     * @param  ?float  $usualOilMl oil to begin with where nobody said how much; null where the vessel says it
     * @param  list<string>  $things ids of things it needs
     * @param  ?float  $brimSwingC K a jar filled to its brim goes above the warmth it was filled at; null where none is filled so
     */
    public function __construct(
        public float $headspaceMm,
        private array $states = [],
        public array $vessels = [Jar::JAR],
        public ?float $usualOilMl = null,
        public array $things = [],
        public ?float $brimSwingC = null,
    ) {}

    public function suits(State $state): bool
    {
        return $this->states === [] || in_array($state, $this->states, true);
    }
}
