<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** The water of a session. */
#[OA\Schema(schema: 'StoveWater')]
final readonly class StoveWater
{
    public function __construct(
        #[OA\Property] public string $text,
        #[OA\Property] public string $loses_text,
        #[OA\Property] public ?string $top_up_text,
    ) {}
}
