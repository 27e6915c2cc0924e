<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** Something done, on the chart of a session. */
#[OA\Schema(schema: 'ChartMark')]
final readonly class ChartMark
{
    public function __construct(#[OA\Property] public int $at, #[OA\Property] public string $text) {}
}
