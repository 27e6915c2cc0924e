<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** One fact, with where it comes from. */
#[OA\Schema(schema: 'AlmanacFact')]
final readonly class AlmanacFact
{
    public function __construct(
        #[OA\Property] public string $name,
        #[OA\Property] public string $text,
        #[OA\Property] public string $source,
    ) {}
}
