<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** How a lot smelled and looked on a day. */
#[OA\Schema(schema: 'CheckView')]
final readonly class CheckView
{
    public function __construct(
        #[OA\Property(enum: ['sound', 'soon', 'past'])] public string $verdict,
        #[OA\Property] public string $says,
        #[OA\Property] public string $at,
        #[OA\Property] public string $by,
    ) {}
}
