<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** An oil to choose. */
#[OA\Schema(schema: 'OilChoice')]
final readonly class OilChoice
{
    /**
     * @param  list<string>  $allergens
     */
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $name,
        #[OA\Property] public string $note,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $allergens,
    ) {}
}
