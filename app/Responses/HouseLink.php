<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A house somebody belongs to, and their part in it. */
#[OA\Schema(schema: 'HouseLink')]
final readonly class HouseLink
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $name,
        #[OA\Property(enum: ['keeper', 'helper', 'reader'])] public string $role,
    ) {}
}
