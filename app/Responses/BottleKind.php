<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A bottle size on the house's list. */
#[OA\Schema(schema: 'BottleKind')]
final readonly class BottleKind
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $called,
        #[OA\Property] public float $capacity_ml,
    ) {}
}
