<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** All of one kind. */
#[OA\Schema(schema: 'AlmanacList')]
final readonly class AlmanacList
{
    /** @param  list<AlmanacEntry>  $entries */
    public function __construct(#[OA\Property(type: 'array', items: new OA\Items(ref: AlmanacEntry::class))] public array $entries) {}
}
