<?php

namespace App\Actions\Houses;

use OpenApi\Attributes as OA;

/** What an import brought in. */
#[OA\Schema(schema: 'Imported')]
final readonly class Imported
{
    public function __construct(
        #[OA\Property] public int $batches,
        #[OA\Property] public int $entries,
        #[OA\Property] public int $jars,
        #[OA\Property] public int $bottles,
        #[OA\Property] public int $already_here,
        #[OA\Property] public int $lots,
        #[OA\Property] public int $recipes,
        #[OA\Property] public string $says,
    ) {}
}
