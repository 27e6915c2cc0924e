<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** What a batch took from a lot. */
#[OA\Schema(schema: 'LotUsed')]
final readonly class LotUsed
{
    public function __construct(
        #[OA\Property] public string $lot,
        #[OA\Property] public string $called,
        #[OA\Property] public string $text,
    ) {}
}
