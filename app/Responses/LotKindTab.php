<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A kind of thing in Stores, and how many lots of it there are. */
#[OA\Schema(schema: 'LotKindTab')]
final readonly class LotKindTab
{
    public function __construct(#[OA\Property] public string $kind, #[OA\Property] public string $name, #[OA\Property] public int $count) {}
}
