<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A jar in the sun: what it gathered, what is to come, and whether the sun is worth it here and now. */
#[OA\Schema(schema: 'SunView')]
final readonly class SunView
{
    /**
     * @param  list<SunReady>  $ready
     * @param  list<SunDay>  $days
     */
    public function __construct(
        #[OA\Property] public string $says,
        #[OA\Property] public bool $better,
        #[OA\Property] public string $gathered_text,
        #[OA\Property] public string $range_text,
        #[OA\Property] public float $share,
        #[OA\Property] public string $warm_text,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SunReady::class))] public array $ready,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SunDay::class))] public array $days,
        #[OA\Property] public float $room_c,
        #[OA\Property] public float $scale_c,
        #[OA\Property] public float $warm_c,
        #[OA\Property] public string $model,
        #[OA\Property] public bool $placed,
        #[OA\Property] public bool $bag,
        #[OA\Property] public bool $outdoors,
    ) {}
}
