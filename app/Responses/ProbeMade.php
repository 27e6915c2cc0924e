<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A thermometer added; its key is shown this once. */
#[OA\Schema(schema: 'ProbeMade')]
final readonly class ProbeMade
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $called,
        #[OA\Property] public string $kind,
        #[OA\Property] public ?string $key,
        #[OA\Property] public string $address,
    ) {}
}
