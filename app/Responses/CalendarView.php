<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A calendar read in for its busy times. */
#[OA\Schema(schema: 'CalendarView')]
final readonly class CalendarView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $called,
        #[OA\Property] public string $text,
    ) {}
}
