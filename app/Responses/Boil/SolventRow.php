<?php

namespace App\Responses\Boil;

use App\Responses\Shape;

/** What one solvent takes from a plant. */
final readonly class SolventRow extends Shape
{
    /**
     * @param  list<SolventTakes>  $takes
     * @param  bool  $fits whether it goes into what is to be made
     * @param  bool  $planned whether it is planned here
     */
    public function __construct(
        public string $id,
        public string $name,
        public array $takes,
        public bool $fits,
        public string $keeps,
        public string $how,
        public string $mixes,
        public bool $planned,
    ) {}
}
