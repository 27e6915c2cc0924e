<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A private address for calendars; shown this once. */
#[OA\Schema(schema: 'FeedMade')]
final readonly class FeedMade
{
    public function __construct(#[OA\Property] public string $address) {}
}
