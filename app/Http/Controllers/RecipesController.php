<?php

namespace App\Http\Controllers;

use App\Actions\Melt\ProductHouse;
use App\Actions\Recipes\SaveRecipe;
use App\House\KitchenFactory;
use App\Http\Requests;
use App\Models\Recipe;
use App\OpenApi\Operation;
use App\Pages\Recipes\RecipePresenter;
use App\Responses\Recipes\ReadRecipeView;
use App\Responses\Recipes\RecipeList;
use App\Responses\Recipes\RecipeView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Kettle\Ask\Questions;
use Kettle\Melt\Melting;
use Kettle\Melt\MeltTable;
use Kettle\Melt\Product;
use Kettle\Melt\ProductDocument;
use Kettle\Recipe\Planning;
use Kettle\Share\ForAnyHouse;
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

    #[Operation('The recipes of the house', query: ['q'])]
    public function index(Request $request): RecipeList
    {
        return $this->page->list(mb_substr(trim($this->asked($request, 'q')), 0, 80));
    }

    #[Operation('A recipe and its versions')]
    public function show(Recipe $recipe): RecipeView
    {
        return $this->recipe($recipe);
    }

    #[Operation('Keep a wish under a name')]
    public function save(Requests\SaveRecipe $form): RecipeView
    {
        return $this->recipe(
            $this->recipes->add(
                $form->string('name')->trim()->toString(),
                $form->string('note')->trim()->toString(),
                (array) $form->input('wish'),
            ),
        );
    }

    #[Operation('Keep a new version')]
    public function edit(Requests\EditRecipe $form, Recipe $recipe): RecipeView
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

    #[Operation('Take a recipe off the list')]
    public function remove(Recipe $recipe): Response
    {
        $recipe->delete();

        return $this->nothing();
    }

    #[Operation('Read a recipe however it is written; nothing is kept')]
    public function read(Requests\ReadRecipe $form, Questions $questions): ReadRecipeView
    {
        return $this->page->read($questions->recipes()->read($form->string('text')->toString(), $this->kitchens->plain()));
    }

    #[Operation('A recipe as our own file, docs/formats/recipe.schema.json', gives: 'application/json')]
    public function file(Recipe $recipe): JsonResponse
    {
        $wish = $recipe->newest->wish;
        // Whoever reads it has neither this house's plants nor its spoons.
        $wish = (new ForAnyHouse($this->kitchens->forWish($wish)))->of($wish);

        return $this->download(RecipeFile::write($recipe->name, $recipe->newest->note, $wish), $recipe, 'json', 'application/json');
    }

    #[Operation('A recipe as schema.org Recipe', gives: 'application/ld+json')]
    public function schemaOrg(Recipe $recipe, ProductHouse $houses): JsonResponse
    {
        if (RecipeFile::isProduct($recipe->newest->wish)) {
            return $this->download($this->product($recipe, $houses), $recipe, 'jsonld', 'application/ld+json');
        }
        $kitchen = $this->kitchens->forWish($recipe->newest->wish);

        return $this->download(
            SchemaOrg::write($recipe->name, $recipe->newest->note, $this->planning->plan($recipe->newest->wish, $kitchen), $kitchen),
            $recipe,
            'jsonld',
            'application/ld+json',
        );
    }

    /** @return array<string, mixed> */
    private function product(Recipe $recipe, ProductHouse $houses): array
    {
        $wish = $recipe->newest->wish;
        $tables = $this->planning->tables();
        $house = $houses->of($wish);
        $plan = (new Melting($tables))->plan($wish, $house);
        $told = (new ProductDocument($this->planning, $house->kitchen, MeltTable::of($tables)))->of($plan);

        return SchemaOrg::product($recipe->name, $recipe->newest->note, $told, $wish, $plan->wish->product->has(Product::KITCHEN));
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

    private function recipe(Recipe $recipe): RecipeView
    {
        return $this->page->view($recipe);
    }
}
