<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** One board of the Shelf. */
#[OA\Schema(schema: 'ShelfPart')]
final readonly class ShelfPart
{
    /**
     * @param  list<ShelfJar>  $jars
     */
    public function __construct(
        #[OA\Property] public string $part,
        #[OA\Property] public string $name,
        #[OA\Property] public int $total,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ShelfJar::class))] public array $jars,
        #[OA\Property] public ?string $next,
    ) {}
}
