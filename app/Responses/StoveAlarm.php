<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** Something to be said of a pot just now. */
#[OA\Schema(schema: 'StoveAlarm')]
final readonly class StoveAlarm
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property(enum: ['stop', 'care', 'note'])] public string $rank,
        #[OA\Property] public string $says,
    ) {}
}
