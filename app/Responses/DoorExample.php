<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** One making as the core reckons it, for the picture at the door: a jar, what comes out of it, and the bottles. */
#[OA\Schema(schema: 'DoorExample')]
final readonly class DoorExample
{
    public function __construct(
        #[OA\Property] public string $jar_called,
        #[OA\Property] public float $height_mm,
        #[OA\Property] public float $diameter_mm,
        #[OA\Property] public float $bed_mm,
        #[OA\Property] public float $level_mm,
        #[OA\Property] public string $herb_text,
        #[OA\Property] public string $oil_text,
        #[OA\Property] public string $days_text,
        #[OA\Property] public float $out_mm,
        #[OA\Property] public string $out_text,
        #[OA\Property] public int $bottles,
        #[OA\Property] public float $bottle_ml,
        #[OA\Property] public string $bottle_text,
        #[OA\Property] public string $label_text,
    ) {}
}
