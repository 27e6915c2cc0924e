<?php

namespace App\Responses\Recipes;

use App\OpenApi\Schema;
use App\Responses\Shape;

/** A recipe and its versions, newest first. */
final readonly class RecipeView extends Shape
{
    /**
     * @param  array<string, mixed>  $wish
     * @param  list<RecipeVersionView>  $versions
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $note,
        public int $version,
        #[Schema(['$ref' => '#/components/schemas/AnyWish'])] public array $wish,
        public array $versions,
    ) {}
}
