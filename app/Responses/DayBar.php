<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** The day drawn to scale, from getting up to bed. */
#[OA\Schema(schema: 'DayBar')]
final readonly class DayBar
{
    /**
     * @param  list<DayMark>  $marks
     */
    public function __construct(
        #[OA\Property] public string $wake,
        #[OA\Property] public string $bed,
        #[OA\Property] public ?float $now,
        #[OA\Property] public string $now_text,
        #[OA\Property(type: 'array', items: new OA\Items(ref: DayMark::class))] public array $marks,
    ) {}
}
