<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A school of a method. */
#[OA\Schema(schema: 'SchoolChoice')]
final readonly class SchoolChoice
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $name,
        #[OA\Property] public string $span,
        #[OA\Property] public string $why,
    ) {}
}
