<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** What the house has learned of its yields. */
#[OA\Schema(schema: 'YieldList')]
final readonly class YieldList
{
    /** @param  list<YieldLine>  $lines */
    public function __construct(#[OA\Property(type: 'array', items: new OA\Items(ref: YieldLine::class))] public array $lines) {}
}
