<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A day of a jar in the sun: hours warm to the hand, and what the day was worth in hours on the shelf. */
#[OA\Schema(schema: 'SunDay')]
final readonly class SunDay
{
    public function __construct(
        #[OA\Property] public string $day,
        #[OA\Property] public string $text,
        #[OA\Property] public float $mean_c,
        #[OA\Property] public float $peak_c,
        #[OA\Property] public string $peak_text,
        #[OA\Property] public float $warm_h,
        #[OA\Property] public float $worth,
        #[OA\Property] public float $cloud,
        #[OA\Property] public string $daylight_text,
        #[OA\Property] public bool $measured,
    ) {}
}
