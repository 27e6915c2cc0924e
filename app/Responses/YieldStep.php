<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** One batch of a form and way, and what the house’s figure was after it. */
#[OA\Schema(schema: 'YieldStep')]
final readonly class YieldStep
{
    /** @param  float  $uptake mL in each g */
    public function __construct(
        #[OA\Property] public string $batch,
        #[OA\Property] public string $code,
        #[OA\Property] public float $uptake,
        #[OA\Property] public float $mean,
        #[OA\Property] public float $low,
        #[OA\Property] public float $high,
        #[OA\Property] public bool $odd,
    ) {}
}
