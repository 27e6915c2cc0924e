<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A reading that was not taken, and why. */
#[OA\Schema(schema: 'RefusedReading')]
final readonly class RefusedReading
{
    public function __construct(#[OA\Property] public int $row, #[OA\Property] public string $sentence) {}
}
