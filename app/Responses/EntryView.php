<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A line of the logbook. */
#[OA\Schema(schema: 'EntryView')]
final readonly class EntryView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $kind,
        #[OA\Property] public string $title,
        #[OA\Property] public ?string $note,
        #[OA\Property] public string $by,
        #[OA\Property] public string $when,
        #[OA\Property] public ?string $corrects,
        #[OA\Property] public bool $struck,
        #[OA\Property] public bool $can_undo,
        #[OA\Property] public bool $can_correct,
    ) {}
}
