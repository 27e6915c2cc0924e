<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A look at the colour or the scent of a jar. */
#[OA\Schema(schema: 'LookPoint')]
final readonly class LookPoint
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public float $at,
        #[OA\Property] public float $value,
        #[OA\Property] public string $text,
        #[OA\Property] public string $by,
        #[OA\Property] public string $when,
        #[OA\Property] public ?string $swatch,
        #[OA\Property] public ?string $photo,
    ) {}
}
