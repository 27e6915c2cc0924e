<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A herb to choose. */
#[OA\Schema(schema: 'HerbChoice')]
final readonly class HerbChoice
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $name,
        #[OA\Property] public string $latin,
        #[OA\Property] public string $part,
        #[OA\Property] public string $form,
        #[OA\Property] public bool $kitchen,
        #[OA\Property(enum: ['dried', 'wilted', 'fresh'])] public string $best,
        #[OA\Property] public string $note,
    ) {}
}
