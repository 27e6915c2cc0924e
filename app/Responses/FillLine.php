<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** So many bottles of a size. */
#[OA\Schema(schema: 'FillLine')]
final readonly class FillLine
{
    public function __construct(
        #[OA\Property] public string $size,
        #[OA\Property] public string $called,
        #[OA\Property] public float $capacity_ml,
        #[OA\Property] public int $count,
    ) {}
}
