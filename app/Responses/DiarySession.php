<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A cooker warm with some batches, in the days to come. */
#[OA\Schema(schema: 'DiarySession')]
final readonly class DiarySession
{
    /**
     * @param  list<string>  $batches
     */
    public function __construct(
        #[OA\Property] public string $cooker,
        #[OA\Property] public string $herbs,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $batches,
        #[OA\Property] public ?string $task,
        #[OA\Property] public float $from,
        #[OA\Property] public float $to,
        #[OA\Property] public string $text,
        #[OA\Property] public bool $on,
    ) {}
}
