<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** What the find box reached. */
#[OA\Schema(schema: 'FoundList')]
final readonly class FoundList
{
    /**
     * @param  list<Found>  $found
     */
    public function __construct(#[OA\Property(type: 'array', items: new OA\Items(ref: Found::class))] public array $found) {}
}
