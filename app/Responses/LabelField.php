<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A line that may stand on the label. */
#[OA\Schema(schema: 'LabelField')]
final readonly class LabelField
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $name,
        #[OA\Property] public string $text,
        #[OA\Property] public bool $on,
    ) {}
}
