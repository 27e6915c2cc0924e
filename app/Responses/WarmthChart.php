<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** The warmth of a session: moments in s; each point its moment, least, most and mean, degrees C. */
#[OA\Schema(schema: 'WarmthChart')]
final readonly class WarmthChart
{
    /**
     * @param  list<list<float>>  $points
     * @param  list<list<float>>  $model
     * @param  list<ChartMark>  $marks
     * @param  list<ChartMark>  $hours
     */
    public function __construct(
        #[OA\Property] public int $from,
        #[OA\Property] public int $to,
        #[OA\Property] public int $now,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number')))] public array $points,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number')))] public array $model,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ChartMark::class))] public array $marks,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ChartMark::class))] public array $hours,
    ) {}
}
