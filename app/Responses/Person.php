<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** One of the people of a house. */
#[OA\Schema(schema: 'Person')]
final readonly class Person
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $name,
        #[OA\Property] public string $email,
        #[OA\Property(enum: ['keeper', 'helper', 'reader'])] public string $role,
        #[OA\Property] public bool $you,
    ) {}
}
