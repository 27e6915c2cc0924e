<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A size of bottle: how many Stores has, null where nobody counts them. */
#[OA\Schema(schema: 'FillSize')]
final readonly class FillSize
{
    public function __construct(
        #[OA\Property] public string $size,
        #[OA\Property] public string $called,
        #[OA\Property] public float $capacity_ml,
        #[OA\Property] public ?int $stock,
    ) {}
}
