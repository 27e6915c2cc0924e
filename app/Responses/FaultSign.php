<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** Something that may be seen or smelled. */
#[OA\Schema(schema: 'FaultSign')]
final readonly class FaultSign
{
    /** @param  bool  $discard whether it means: throw away, whatever the cause */
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $says,
        #[OA\Property] public bool $discard,
    ) {}
}
