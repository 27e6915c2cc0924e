<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** What to watch for. */
#[OA\Schema(schema: 'CardNote')]
final readonly class CardNote
{
    public function __construct(#[OA\Property] public bool $care, #[OA\Property] public string $says) {}
}
