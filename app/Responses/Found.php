<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** Something the find box reached. */
#[OA\Schema(schema: 'Found')]
final readonly class Found
{
    public function __construct(
        #[OA\Property] public string $kind,
        #[OA\Property] public string $name,
        #[OA\Property] public string $detail,
        #[OA\Property] public string $path,
    ) {}
}
