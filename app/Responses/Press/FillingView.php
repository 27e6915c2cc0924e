<?php

namespace App\Responses\Press;

use App\OpenApi\Schema;
use App\Responses\Shape;

/** Fillings to choose from, and the antioxidant the oil wants. */
final readonly class FillingView extends Shape
{
    /**
     * @param  list<FillOffer>  $offers
     * @param  array<string, mixed>  $vitamin_e
     * @param  array<string, mixed>  $rosemary
     * @param  bool  $advised whether it is kept long enough to want any
     */
    public function __construct(
        public array $offers,
        #[Schema(['type' => 'object', 'additionalProperties' => ['$ref' => '#/components/schemas/Figure']])] public array $vitamin_e,
        #[Schema(['type' => 'object', 'additionalProperties' => ['$ref' => '#/components/schemas/Figure']])] public array $rosemary,
        public bool $advised,
    ) {}
}
