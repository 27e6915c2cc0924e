<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** What a form keeps of its oil when it is got out in one way. */
#[OA\Schema(schema: 'YieldLine')]
final readonly class YieldLine
{
    public function __construct(
        #[OA\Property] public string $form,
        #[OA\Property] public string $form_name,
        #[OA\Property] public string $way,
        #[OA\Property] public int $batches,
        #[OA\Property] public float $mean,
        #[OA\Property] public float $low,
        #[OA\Property] public float $high,
        #[OA\Property] public float $prior,
        #[OA\Property] public string $says,
    ) {}
}
