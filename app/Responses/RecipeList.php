<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** The recipes of the house. */
#[OA\Schema(schema: 'RecipeList')]
final readonly class RecipeList
{
    /**
     * @param  list<RecipeLine>  $recipes
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: RecipeLine::class))] public array $recipes,
        #[OA\Property] public int $total,
    ) {}
}
