<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** How the house’s own figure narrowed, batch by batch. */
#[OA\Schema(schema: 'YieldView')]
final readonly class YieldView
{
    /** @param  list<YieldStep>  $steps */
    public function __construct(
        #[OA\Property] public YieldLine $line,
        #[OA\Property(type: 'array', items: new OA\Items(ref: YieldStep::class))] public array $steps,
    ) {}
}
