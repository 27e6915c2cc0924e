<?php

namespace App\Pages\Recipes;

use App\House\KitchenFactory;
use App\House\Times;
use App\Models\Recipe;
use App\Models\RecipeVersion;
use App\Responses\Recipes\ReadLine;
use App\Responses\Recipes\ReadRecipeView;
use App\Responses\Recipes\RecipeLine;
use App\Responses\Recipes\RecipeList;
use App\Responses\Recipes\RecipeVersionView;
use App\Responses\Recipes\RecipeView;
use Kettle\Share\ReadRecipe;

/** The recipes of a house, and what was made of one that was pasted. */
final readonly class RecipePresenter
{
    private const SHOWN = 100;

    private const VERSIONS = 50;

    public function __construct(private Times $times, private KitchenFactory $kitchens) {}

    /** @param  string  $asked part of a name; empty for all */
    public function list(string $asked): RecipeList
    {
        $query = Recipe::query()->when(
            $asked !== '',
            fn ($recipes) => $recipes->where('name', 'like', '%'.addcslashes($asked, '%_\\').'%'),
        );
        $total = $query->count();
        $lines = $query
            ->with('newest')
            ->orderBy('name')
            ->limit(self::SHOWN)
            ->get()
            ->map(
                fn (Recipe $recipe) => new RecipeLine(
                    $recipe->uid,
                    $recipe->name,
                    $this->kitchens->words()->of($recipe->newest->says),
                    $recipe->version,
                    $this->times->date($recipe->newest->made_at),
                ),
            );

        return new RecipeList(array_values($lines->all()), $total);
    }

    public function view(Recipe $recipe): RecipeView
    {
        $versions = $recipe->versions()->orderByDesc('number')->limit(self::VERSIONS)->get();
        $newest = $versions->first();
        assert($newest !== null);
        $views = $versions->map(
            fn (RecipeVersion $version) => new RecipeVersionView(
                $version->number,
                $version->name,
                $version->note,
                $version->by,
                $this->times->logged($version->made_at),
                $version->wish,
            ),
        );

        return new RecipeView($recipe->uid, $recipe->name, $newest->note, $recipe->version, $newest->wish, array_values($views->all()));
    }

    public function read(ReadRecipe $read): ReadRecipeView
    {
        return new ReadRecipeView(
            $read->name,
            $read->note,
            $read->wish,
            array_map(fn (array $line) => new ReadLine($line['line'], $line['as'], $line['says'], $line['guess']), $read->lines),
            $read->notes,
        );
    }
}
