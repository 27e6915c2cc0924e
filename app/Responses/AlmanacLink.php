<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** Something of this house it has to do with. */
#[OA\Schema(schema: 'AlmanacLink')]
final readonly class AlmanacLink
{
    /** @param  string  $to a path within the house */
    public function __construct(#[OA\Property] public string $text, #[OA\Property] public string $to) {}
}
