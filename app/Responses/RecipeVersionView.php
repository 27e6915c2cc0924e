<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** How a recipe was. */
#[OA\Schema(schema: 'RecipeVersionView')]
final readonly class RecipeVersionView
{
    /**
     * @param  array<string, mixed>  $wish
     */
    public function __construct(
        #[OA\Property] public int $number,
        #[OA\Property] public string $name,
        #[OA\Property] public string $note,
        #[OA\Property] public string $by,
        #[OA\Property] public string $at,
        #[OA\Property(ref: '#/components/schemas/Wish')] public array $wish,
    ) {}
}
