<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A thing in the Almanac, as a list has it. */
#[OA\Schema(schema: 'AlmanacEntry')]
final readonly class AlmanacEntry
{
    public function __construct(
        #[OA\Property(enum: ['plant', 'oil', 'method', 'caution', 'fault'])] public string $kind,
        #[OA\Property] public string $key,
        #[OA\Property] public string $name,
        #[OA\Property] public string $says,
    ) {}
}
