<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A while of a day, as shares of it from midnight to midnight. */
#[OA\Schema(schema: 'DayWhile')]
final readonly class DayWhile
{
    public function __construct(#[OA\Property] public float $from, #[OA\Property] public float $to, #[OA\Property] public string $text) {}
}
