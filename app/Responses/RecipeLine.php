<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A recipe in the list. */
#[OA\Schema(schema: 'RecipeLine')]
final readonly class RecipeLine
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $name,
        #[OA\Property] public string $sentence,
        #[OA\Property] public int $version,
        #[OA\Property] public string $changed,
    ) {}
}
