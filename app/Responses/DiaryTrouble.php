<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A batch for whose warmth no time fits. */
#[OA\Schema(schema: 'DiaryTrouble')]
final readonly class DiaryTrouble
{
    public function __construct(
        #[OA\Property] public string $batch,
        #[OA\Property] public string $herb,
        #[OA\Property] public string $says,
    ) {}
}
