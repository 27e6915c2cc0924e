<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** Something in Stores to see to. */
#[OA\Schema(schema: 'StoreTask')]
final readonly class StoreTask
{
    public function __construct(
        #[OA\Property] public string $lot,
        #[OA\Property] public string $called,
        #[OA\Property(enum: ['past', 'ageing', 'low'])] public string $rank,
        #[OA\Property] public string $says,
    ) {}
}
