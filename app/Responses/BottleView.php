<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A bottle: what it held, what is left, where it went. */
#[OA\Schema(schema: 'BottleView')]
final readonly class BottleView
{
    public function __construct(
        #[OA\Property] public int $number,
        #[OA\Property] public string $called,
        #[OA\Property] public string $filled,
        #[OA\Property] public float $filled_ml,
        #[OA\Property] public string $left,
        #[OA\Property] public float $left_ml,
        #[OA\Property(enum: ['in', 'used', 'given', 'thrown'])] public string $state,
        #[OA\Property] public string $to,
    ) {}
}
