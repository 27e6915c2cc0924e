<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A sign that a jar is done, and what the records say of it. */
#[OA\Schema(schema: 'DoneSign')]
final readonly class DoneSign
{
    /** @param  ?bool  $known null where only eye and nose can tell */
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $says,
        #[OA\Property] public ?bool $known,
        #[OA\Property] public string $evidence,
    ) {}
}
