<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** What an invitation offers. */
#[OA\Schema(schema: 'InviteView')]
final readonly class InviteView
{
    public function __construct(
        #[OA\Property] public string $house,
        #[OA\Property(enum: ['keeper', 'helper', 'reader'])] public string $role,
    ) {}
}
