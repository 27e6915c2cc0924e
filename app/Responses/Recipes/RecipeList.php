<?php

namespace App\Responses\Recipes;

use App\Responses\Shape;

/** The recipes of the house. */
final readonly class RecipeList extends Shape
{
    /**
     * @param  list<RecipeLine>  $recipes
     */
    public function __construct(public array $recipes, public int $total) {}
}
