<?php

namespace App\Actions\Stores;

use OpenApi\Attributes as OA;

/** What becomes of a line of a file. */
#[OA\Schema(schema: 'CsvRow')]
final readonly class CsvRow
{
    public function __construct(
        #[OA\Property] public int $line,
        #[OA\Property(enum: ['added', 'changed', 'same', 'refused'])] public string $what,
        #[OA\Property] public string $name,
        #[OA\Property] public string $says,
    ) {}
}
