<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** When it may be ready, under one sky. */
#[OA\Schema(schema: 'SunReady')]
final readonly class SunReady
{
    public function __construct(
        #[OA\Property] public string $sky,
        #[OA\Property] public string $text,
        #[OA\Property] public string $warm_text,
    ) {}
}
