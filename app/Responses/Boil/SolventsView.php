<?php

namespace App\Responses\Boil;

use App\Responses\Choice;
use App\Responses\Shape;

/** Which solvent at all, for a plant and a use. */
final readonly class SolventsView extends Shape
{
    /**
     * @param  ?bool  $oil whether it should be an oil; null where the tables do not say
     * @param  list<Choice>  $uses
     * @param  list<SolventRow>  $solvents the best first
     */
    public function __construct(
        public string $herb,
        public string $name,
        public ?bool $oil,
        public string $says,
        public string $why,
        public array $uses,
        public array $solvents,
    ) {}
}
