<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** An invitation that has not been used; its link is shown once, when made. */
#[OA\Schema(schema: 'Invite')]
final readonly class Invite
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property(enum: ['keeper', 'helper', 'reader'])] public string $role,
        #[OA\Property] public string $until,
        #[OA\Property] public ?string $link,
    ) {}
}
