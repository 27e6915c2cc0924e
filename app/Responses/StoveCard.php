<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A pot that is warm, at a glance. */
#[OA\Schema(schema: 'StoveCard')]
final readonly class StoveCard
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $cooker,
        #[OA\Property] public string $jars,
        #[OA\Property] public string $state,
        #[OA\Property] public string $state_text,
        #[OA\Property] public ?string $warmth_text,
        #[OA\Property] public float $share,
        #[OA\Property] public string $left_text,
        #[OA\Property] public ?StoveAlarm $alarm,
        #[OA\Property] public bool $trial,
    ) {}
}
