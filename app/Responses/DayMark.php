<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A moment on the bar of the day, as a share of it. */
#[OA\Schema(schema: 'DayMark')]
final readonly class DayMark
{
    public function __construct(#[OA\Property] public float $at, #[OA\Property] public string $text) {}
}
