<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** What the simulated scale shows. */
#[OA\Schema(schema: 'ScaleView')]
final readonly class ScaleView
{
    /**
     * @param  ?float  $grams null while nothing is on it
     * @param  string  $on what stands on it
     */
    public function __construct(
        #[OA\Property] public ?float $grams,
        #[OA\Property] public string $text,
        #[OA\Property] public bool $stable,
        #[OA\Property] public bool $over,
        #[OA\Property] public string $on,
    ) {}
}
