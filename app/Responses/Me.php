<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** Who is signed in, if anybody. */
#[OA\Schema(schema: 'Me')]
final readonly class Me
{
    /**
     * @param  list<HouseLink>  $houses
     */
    public function __construct(
        #[OA\Property] public bool $signed_in,
        #[OA\Property] public bool $demo_open,
        #[OA\Property] public string $id,
        #[OA\Property] public string $name,
        #[OA\Property] public string $email,
        #[OA\Property(enum: ['c', 'f'])] public string $temperature,
        #[OA\Property(enum: ['metric', 'kitchen'])] public string $amounts,
        #[OA\Property(type: 'array', items: new OA\Items(ref: HouseLink::class))] public array $houses,
    ) {}
}
