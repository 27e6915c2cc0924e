<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A jar standing in a cooker, mm from the middle of its floor. */
#[OA\Schema(schema: 'BathJar')]
final readonly class BathJar
{
    public function __construct(
        #[OA\Property] public string $called,
        #[OA\Property] public float $x,
        #[OA\Property] public float $y,
        #[OA\Property] public float $d,
        #[OA\Property] public float $height,
        #[OA\Property] public float $level,
        #[OA\Property] public float $bed,
    ) {}
}
