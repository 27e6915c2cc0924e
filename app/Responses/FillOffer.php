<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A filling: how many of each size, and what is left over. */
#[OA\Schema(schema: 'FillOffer')]
final readonly class FillOffer
{
    /** @param  list<FillLine>  $bottles */
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $says,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FillLine::class))] public array $bottles,
        #[OA\Property] public string $left_text,
    ) {}
}
