<?php

namespace App\Responses\Boil;

use App\OpenApi\Schema;
use App\Responses\Shape;

/** What is boiled down: amounts, the pot, the days, what to watch for. */
final readonly class BoilView extends Shape
{
    /**
     * @param  string  $what decoction, long-oil or glycerin
     * @param  list<BoilPiece>  $sentence
     * @param  ?string  $hardness it went by
     * @param  array<string, mixed>  $figures
     * @param  list<BoilStage>  $stages
     * @param  list<BoilDay>  $days
     * @param  list<BoilSign>  $signs
     * @param  list<BoilNote>  $notes
     */
    public function __construct(
        public string $what,
        public array $sentence,
        public ?string $hardness,
        #[Schema(['type' => 'object', 'additionalProperties' => ['$ref' => '#/components/schemas/Figure']])] public array $figures,
        public array $stages,
        public array $days,
        public array $signs,
        public array $notes,
    ) {}
}
