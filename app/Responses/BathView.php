<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A cooker with its jars and its water, to scale, mm. */
#[OA\Schema(schema: 'BathView')]
final readonly class BathView
{
    /**
     * @param  list<BathJar>  $jars
     */
    public function __construct(
        #[OA\Property] public string $shape,
        #[OA\Property] public float $length_mm,
        #[OA\Property] public float $width_mm,
        #[OA\Property] public float $height_mm,
        #[OA\Property] public float $full_mm,
        #[OA\Property] public float $low_mm,
        #[OA\Property] public float $now_mm,
        #[OA\Property] public string $full_text,
        #[OA\Property(type: 'array', items: new OA\Items(ref: BathJar::class))] public array $jars,
    ) {}
}
