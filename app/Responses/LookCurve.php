<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** Looks of one kind and the end they go towards; hours since it was filled, to draw by. */
#[OA\Schema(schema: 'LookCurve')]
final readonly class LookCurve
{
    /**
     * @param  list<LookPoint>  $points
     * @param  list<list<float>>  $curve
     * @param  list<ChartMark>  $marks
     */
    public function __construct(
        #[OA\Property] public string $kind,
        #[OA\Property] public string $says,
        #[OA\Property(type: 'array', items: new OA\Items(ref: LookPoint::class))] public array $points,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number')))] public array $curve,
        #[OA\Property] public ?float $end,
        #[OA\Property] public float $most,
        #[OA\Property] public float $hours,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ChartMark::class))] public array $marks,
    ) {}
}
