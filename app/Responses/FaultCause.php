<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A likely cause, with the evidence for and against it. */
#[OA\Schema(schema: 'FaultCause')]
final readonly class FaultCause
{
    /**
     * @param  list<string>  $for
     * @param  list<string>  $against
     */
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $name,
        #[OA\Property(enum: ['likely', 'possible', 'less likely'])] public string $likely,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $for,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $against,
        #[OA\Property] public string $test,
        #[OA\Property] public string $do,
        #[OA\Property] public string $keep,
    ) {}
}
