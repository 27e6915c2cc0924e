<?php

namespace App\Http\Controllers;

use App\Actions\Recipes\SaveRecipe;
use App\House\KitchenFactory;
use App\Http\Requests;
use App\Models\Recipe;
use App\OpenApi\Adds;
use App\OpenApi\Edits;
use App\OpenApi\Reads;
use App\OpenApi\Removes;
use App\Pages\Recipes\RecipePresenter;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use Kettle\Ask\Questions;
use Kettle\Recipe\Planning;
use Kettle\Share\RecipeFile;
use Kettle\Share\SchemaOrg;

/** Wishes kept under a name, shared as files, and read from wherever they were written. */
final class RecipesController extends Controller
{
    public function __construct(
        private readonly SaveRecipe $recipes,
        private readonly Planning $planning,
        private readonly KitchenFactory $kitchens,
        private readonly RecipePresenter $page,
    ) {}

    #[Reads('/houses/{house}/recipes', 'RecipeList', 'The recipes of the house', ['q'])]
    public function index(Request $request): JsonResponse
    {
        return $this->json($this->page->list(mb_substr(trim($this->asked($request, 'q')), 0, 80)));
    }

    #[Reads('/houses/{house}/recipes/{recipe}', 'RecipeView', 'A recipe and its versions')]
    public function show(Recipe $recipe): JsonResponse
    {
        return $this->recipe($recipe);
    }

    #[Adds('/houses/{house}/recipes', 'RecipeView', 'Keep a wish under a name', 'KeepRecipe')]
    public function save(Requests\SaveRecipe $form): JsonResponse
    {
        return $this->recipe(
            $this->recipes->add(
                $form->string('name')->trim()->toString(),
                $form->string('note')->trim()->toString(),
                (array) $form->input('wish'),
            ),
        );
    }

    #[Edits('/houses/{house}/recipes/{recipe}', 'RecipeView', 'Keep a new version', 'EditRecipe')]
    public function edit(Requests\EditRecipe $form, Recipe $recipe): JsonResponse
    {
        return $this->recipe(
            $this->recipes->edit(
                $recipe,
                $form->string('name')->trim()->toString(),
                $form->string('note')->trim()->toString(),
                (array) $form->input('wish'),
                $form->integer('version'),
            ),
        );
    }

    #[Removes('/houses/{house}/recipes/{recipe}', '', 'Take a recipe off the list')]
    public function remove(Recipe $recipe): JsonResponse
    {
        $recipe->delete();

        return $this->nothing();
    }

    #[Adds('/houses/{house}/recipes/read', 'ReadRecipeView', 'Read a recipe however it is written; nothing is kept', 'ReadRecipe')]
    public function read(Requests\ReadRecipe $form, Questions $questions): JsonResponse
    {
        return $this->json($this->page->read($questions->recipes()->read($form->string('text')->toString(), $this->kitchens->plain())));
    }

    #[
        Reads(
            '/houses/{house}/recipes/{recipe}/recipe.json',
            'application/json',
            'A recipe as our own file, docs/formats/recipe.schema.json',
        ),
    ]
    public function file(Recipe $recipe): JsonResponse
    {
        return $this->download(
            RecipeFile::write($recipe->name, $recipe->newest->note, $recipe->newest->wish),
            $recipe,
            'json',
            'application/json',
        );
    }

    #[Reads('/houses/{house}/recipes/{recipe}/recipe.jsonld', 'application/ld+json', 'A recipe as schema.org Recipe')]
    public function schemaOrg(Recipe $recipe): JsonResponse
    {
        $kitchen = $this->kitchens->forWish($recipe->newest->wish);

        return $this->download(
            SchemaOrg::write($recipe->name, $recipe->newest->note, $this->planning->plan($recipe->newest->wish, $kitchen), $kitchen),
            $recipe,
            'jsonld',
            'application/ld+json',
        );
    }

    /** @param  array<string, mixed>  $document */
    private function download(array $document, Recipe $recipe, string $ending, string $type): JsonResponse
    {
        return new JsonResponse(
            $document,
            200,
            [
                'Content-Type' => $type,
                'Content-Disposition' => 'attachment; filename="'.(Str::slug($recipe->name) ?: 'recipe').'.'.$ending.'"',
            ],
            JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT,
        );
    }

    private function recipe(Recipe $recipe): JsonResponse
    {
        return $this->json($this->page->view($recipe));
    }
}
