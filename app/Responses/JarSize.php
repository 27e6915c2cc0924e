<?php

namespace App\Responses;

use Kettle\Vessel\Jar;
use OpenApi\Attributes as OA;

/** A jar size, a bowl or a pan on the house's list. */
#[OA\Schema(schema: 'JarSize')]
final readonly class JarSize
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $called,
        #[OA\Property] public float $height_mm,
        #[OA\Property] public float $diameter_mm,
        #[OA\Property] public string $text,
        #[OA\Property(enum: Jar::KINDS)] public string $kind,
    ) {}
}
