<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A link to pass on, shown once. */
#[OA\Schema(schema: 'Link')]
final readonly class Link
{
    public function __construct(#[OA\Property] public string $link, #[OA\Property] public string $until) {}
}
