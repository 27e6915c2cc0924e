<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** What may be seen of an oil, a jar or a product. */
#[OA\Schema(schema: 'FaultSigns')]
final readonly class FaultSigns
{
    /** @param  list<FaultSign>  $signs */
    public function __construct(#[OA\Property(type: 'array', items: new OA\Items(ref: FaultSign::class))] public array $signs) {}
}
