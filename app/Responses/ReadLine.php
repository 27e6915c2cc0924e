<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** What was made of a line of a recipe. */
#[OA\Schema(schema: 'ReadLine')]
final readonly class ReadLine
{
    public function __construct(
        #[OA\Property] public string $line,
        #[OA\Property] public string $as,
        #[OA\Property] public string $says,
        #[OA\Property] public bool $guess,
    ) {}
}
