<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A warm session that moved, and why. */
#[OA\Schema(schema: 'DiaryMoveView')]
final readonly class DiaryMoveView
{
    public function __construct(
        #[OA\Property] public string $batch,
        #[OA\Property] public string $herb,
        #[OA\Property] public string $was_text,
        #[OA\Property] public string $is_text,
        #[OA\Property] public string $why,
    ) {}
}
