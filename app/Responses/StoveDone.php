<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A line of what was done at the stove. */
#[OA\Schema(schema: 'StoveDone')]
final readonly class StoveDone
{
    public function __construct(#[OA\Property] public string $text, #[OA\Property] public string $by, #[OA\Property] public string $when) {}
}
