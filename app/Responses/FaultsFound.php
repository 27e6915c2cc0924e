<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** What is likely wrong, in the order to check. */
#[OA\Schema(schema: 'FaultsFound')]
final readonly class FaultsFound
{
    /** @param  list<FaultCause>  $causes */
    public function __construct(
        #[OA\Property(enum: ['keep', 'use-soon', 'discard-if-eaten', 'discard'])] public string $keep,
        #[OA\Property] public string $says,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FaultCause::class))] public array $causes,
    ) {}
}
