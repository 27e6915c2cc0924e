<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** What became of weather out of a file. */
#[OA\Schema(schema: 'WeatherTaken')]
final readonly class WeatherTaken
{
    /**
     * @param  list<RefusedReading>  $refused
     */
    public function __construct(
        #[OA\Property] public int $taken,
        #[OA\Property(type: 'array', items: new OA\Items(ref: RefusedReading::class))] public array $refused,
    ) {}
}
