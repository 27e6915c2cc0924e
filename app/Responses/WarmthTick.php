<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A mark on a thermometer. */
#[OA\Schema(schema: 'WarmthTick')]
final readonly class WarmthTick
{
    public function __construct(#[OA\Property] public float $c, #[OA\Property] public string $text) {}
}
