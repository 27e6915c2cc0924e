<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** Days away. */
#[OA\Schema(schema: 'AbsenceView')]
final readonly class AbsenceView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $called,
        #[OA\Property] public string $text,
    ) {}
}
