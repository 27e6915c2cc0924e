<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** All the warmth a batch has had. */
#[OA\Schema(schema: 'BatchWarmth')]
final readonly class BatchWarmth
{
    /**
     * @param  list<BatchSession>  $sessions
     */
    public function __construct(
        #[OA\Property] public string $had_text,
        #[OA\Property] public string $planned_text,
        #[OA\Property] public float $share,
        #[OA\Property] public ?string $next_text,
        #[OA\Property(type: 'array', items: new OA\Items(ref: BatchSession::class))] public array $sessions,
    ) {}
}
