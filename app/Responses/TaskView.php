<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** One thing to do, in words. */
#[OA\Schema(schema: 'TaskView')]
final readonly class TaskView
{
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public string $step,
        #[OA\Property] public string $place,
        #[OA\Property] public string $batch,
        #[OA\Property] public string $code,
        #[OA\Property] public string $title,
        #[OA\Property] public string $detail,
        #[OA\Property] public string $due_at,
        #[OA\Property] public string $due_text,
        #[OA\Property] public bool $overdue,
        #[OA\Property] public bool $open,
        #[OA\Property] public bool $waiting,
        #[OA\Property(description: 'Past the hours it may be used: it is thrown away.')] public bool $danger,
        #[OA\Property] public bool $skippable,
        #[OA\Property] public bool $at_press,
        #[OA\Property] public int $minutes,
    ) {}
}
