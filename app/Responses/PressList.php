<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** Batches that want the press. */
#[OA\Schema(schema: 'PressList')]
final readonly class PressList
{
    /**
     * @param  list<ShelfJar>  $to_strain
     * @param  list<ShelfJar>  $resting
     * @param  list<ShelfJar>  $bottled
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: ShelfJar::class))] public array $to_strain,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ShelfJar::class))] public array $resting,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ShelfJar::class))] public array $bottled,
    ) {}
}
