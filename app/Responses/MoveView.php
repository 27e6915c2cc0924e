<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** What came into a lot or went out of it. */
#[OA\Schema(schema: 'MoveView')]
final readonly class MoveView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $text,
        #[OA\Property] public string $at,
        #[OA\Property] public string $by,
        #[OA\Property] public string $note,
        #[OA\Property] public ?string $batch,
        #[OA\Property] public ?string $batch_name,
    ) {}
}
