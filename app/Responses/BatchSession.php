<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A warm session of a batch. */
#[OA\Schema(schema: 'BatchSession')]
final readonly class BatchSession
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $text,
        #[OA\Property] public string $had_text,
        #[OA\Property] public ?string $over_text,
        #[OA\Property] public WarmthChart $chart,
        #[OA\Property] public WarmthScale $scale,
    ) {}
}
