<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** Where a bottle of a batch is, or went. */
#[OA\Schema(schema: 'TraceLine')]
final readonly class TraceLine
{
    public function __construct(#[OA\Property] public int $number, #[OA\Property] public string $says, #[OA\Property] public bool $here) {}
}
