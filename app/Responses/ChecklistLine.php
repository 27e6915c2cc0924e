<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** What such labels usually carry, and whether this one does. */
#[OA\Schema(schema: 'ChecklistLine')]
final readonly class ChecklistLine
{
    public function __construct(
        #[OA\Property] public string $says,
        #[OA\Property] public bool $there,
        #[OA\Property] public string $source,
    ) {}
}
