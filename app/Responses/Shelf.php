<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** Every jar, board by board. */
#[OA\Schema(schema: 'Shelf')]
final readonly class Shelf
{
    /**
     * @param  list<ShelfPart>  $parts
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: ShelfPart::class))] public array $parts,
        #[OA\Property] public bool $empty,
    ) {}
}
