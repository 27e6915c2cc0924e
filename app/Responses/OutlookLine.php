<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A figure the model gives, with its range. */
#[OA\Schema(schema: 'OutlookLine')]
final readonly class OutlookLine
{
    public function __construct(
        #[OA\Property] public string $label,
        #[OA\Property] public string $text,
        #[OA\Property] public ?string $range_text,
    ) {}
}
