<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A thermometer: its ends, its marks, the band and the ceiling, degrees C to draw by. */
#[OA\Schema(schema: 'WarmthScale')]
final readonly class WarmthScale
{
    /**
     * @param  list<WarmthTick>  $ticks
     */
    public function __construct(
        #[OA\Property] public float $low_c,
        #[OA\Property] public float $high_c,
        #[OA\Property(type: 'array', items: new OA\Items(ref: WarmthTick::class))] public array $ticks,
        #[OA\Property] public float $band_low_c,
        #[OA\Property] public float $band_high_c,
        #[OA\Property] public float $ceiling_c,
        #[OA\Property] public string $band_text,
        #[OA\Property] public string $ceiling_text,
    ) {}
}
