<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** Something named, by its id. */
#[OA\Schema(schema: 'Ref')]
final readonly class Ref
{
    public function __construct(#[OA\Property] public string $id, #[OA\Property] public string $name) {}
}
