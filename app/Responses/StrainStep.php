<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A step of straining, and why. */
#[OA\Schema(schema: 'StrainStep')]
final readonly class StrainStep
{
    public function __construct(#[OA\Property] public string $id, #[OA\Property] public string $says, #[OA\Property] public string $why) {}
}
