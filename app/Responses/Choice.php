<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** One of several, by name. */
#[OA\Schema(schema: 'Choice')]
final readonly class Choice
{
    public function __construct(#[OA\Property] public string $id, #[OA\Property] public string $name) {}
}
