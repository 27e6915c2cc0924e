<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A recipe and its versions, newest first. */
#[OA\Schema(schema: 'RecipeView')]
final readonly class RecipeView
{
    /**
     * @param  array<string, mixed>  $wish
     * @param  list<RecipeVersionView>  $versions
     */
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $name,
        #[OA\Property] public string $note,
        #[OA\Property] public int $version,
        #[OA\Property(ref: '#/components/schemas/Wish')] public array $wish,
        #[OA\Property(type: 'array', items: new OA\Items(ref: RecipeVersionView::class))] public array $versions,
    ) {}
}
