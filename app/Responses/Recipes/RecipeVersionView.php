<?php

namespace App\Responses\Recipes;

use App\OpenApi\Schema;

/** How a recipe was. */
final readonly class RecipeVersionView
{
    /**
     * @param  array<string, mixed>  $wish
     */
    public function __construct(
        public int $number,
        public string $name,
        public string $note,
        public string $by,
        public string $at,
        #[Schema(['$ref' => '#/components/schemas/AnyWish'])] public array $wish,
    ) {}
}
