<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** What became of readings. */
#[OA\Schema(schema: 'ReadingsTaken')]
final readonly class ReadingsTaken
{
    /**
     * @param  list<RefusedReading>  $refused
     */
    public function __construct(
        #[OA\Property] public int $taken,
        #[OA\Property] public int $doubled,
        #[OA\Property(type: 'array', items: new OA\Items(ref: RefusedReading::class))] public array $refused,
    ) {}
}
