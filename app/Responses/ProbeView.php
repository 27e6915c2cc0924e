<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A thermometer of the house. */
#[OA\Schema(schema: 'ProbeView')]
final readonly class ProbeView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $called,
        #[OA\Property] public string $kind,
        #[OA\Property] public string $kind_text,
        #[OA\Property] public bool $busy,
    ) {}
}
