<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** Fillings to choose from, and the antioxidant the oil wants. */
#[OA\Schema(schema: 'FillingView')]
final readonly class FillingView
{
    /**
     * @param  list<FillOffer>  $offers
     * @param  array<string, mixed>  $vitamin_e
     * @param  array<string, mixed>  $rosemary
     * @param  bool  $advised whether it is kept long enough to want any
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: FillOffer::class))] public array $offers,
        #[
            OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(ref: '#/components/schemas/Figure')),
        ]
        public array $vitamin_e,
        #[
            OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(ref: '#/components/schemas/Figure')),
        ]
        public array $rosemary,
        #[OA\Property] public bool $advised,
    ) {}
}
