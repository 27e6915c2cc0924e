<?php

namespace App\Actions\Recipes;

use App\Actions\Clash;
use App\Actions\Melt\ProductHouse;
use App\Actions\Stores\StockLedger;
use App\House\KitchenFactory;
use App\Models\Recipe;
use App\Models\RecipeVersion;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Kettle\Melt\Melting;
use Kettle\Reason\Said;
use Kettle\Recipe\Planning;
use Kettle\Recipe\WishException;
use Kettle\Share\RecipeException;
use Kettle\Share\RecipeFile;

/** Keeps a wish under a name; kept again it is a new version, and how it was stays beside. */
final readonly class SaveRecipe
{
    public function __construct(private Planning $planning, private KitchenFactory $kitchens, private ProductHouse $houses) {}

    /**
     * @param  array<mixed>  $wish one that can be planned
     *
     * @throws WishException|RecipeException
     */
    public function add(string $name, string $note, array $wish): Recipe
    {
        [$shared, $says] = $this->checked($name, $wish);

        return DB::transaction(function () use ($name, $note, $shared, $says): Recipe {
            $recipe = Recipe::query()->create(['uid' => Str::ulid()->toString(), 'name' => $name, 'version' => 1]);
            $this->version($recipe, $name, $note, $shared, $says);

            return $recipe;
        });
    }

    /**
     * @param  array<mixed>  $wish
     *
     * @throws WishException|RecipeException|Clash
     */
    public function edit(Recipe $recipe, string $name, string $note, array $wish, int $version): Recipe
    {
        [$shared, $says] = $this->checked($name, $wish);

        return DB::transaction(function () use ($recipe, $name, $note, $shared, $says, $version): Recipe {
            $locked = Recipe::query()->whereKey($recipe->id)->lockForUpdate()->firstOrFail();
            if ($locked->version !== $version) {
                throw new Clash('Somebody kept another version of this recipe meanwhile. Look at it, and keep yours again.', [
                    'version' => $locked->version,
                ]);
            }
            $locked->fill(['name' => $name, 'version' => $version + 1])->save();
            $this->version($locked, $name, $note, $shared, $says);

            return $locked;
        });
    }

    /**
     * @param  array<mixed>  $wish
     * @return array{array<string, mixed>, Said} the wish as it is kept, and what it makes
     */
    private function checked(string $name, array $wish): array
    {
        if ($name === '') {
            throw RecipeException::nameless();
        }
        if (RecipeFile::isProduct($wish)) {
            return $this->product($wish);
        }
        $shared = RecipeFile::shared($wish);
        $plan = $this->planning->plan($shared, $this->kitchens->forWish($shared));

        return [
            $shared,
            Said::of('recipe.makes', [
                'name' => $plan->name(),
                'ratio' => $plan->amounts->ratio->text(),
                'method' => ['method' => $plan->wish->method->id],
            ]),
        ];
    }

    /**
     * @param  array<mixed>  $wish for a product; what is poured from the house's own bottles is kept as the oils it was made of, and
     *     what was boiled here as a decoction or an extract
     * @return array{array<string, mixed>, Said}
     */
    private function product(array $wish): array
    {
        $house = $this->houses->of($wish);
        $oils = [];
        foreach (is_array($wish['oils'] ?? null) ? $wish['oils'] : [] as $oil) {
            $batch = is_array($oil) && is_string($oil['batch'] ?? null) ? $house->infused[$oil['batch']] ?? null : null;
            $shares = $batch?->blend->massShares() ?? [];
            foreach ($shares as $each) {
                // An amount is of one oil; of several it is parts.
                $oils[] =
                    count($shares) === 1 && is_array($oil)
                        ? ['id' => $each['carrier']->id] + array_diff_key($oil, ['batch' => true])
                        : ['id' => $each['carrier']->id, 'parts' => round($each['share'], 4)];
            }
            if ($batch === null) {
                $oils[] = $oil;
            }
        }
        $plain = function (mixed $part) use ($house): mixed {
            $pot = is_array($part) && is_string($part['boil'] ?? null) ? $house->boiled[$part['boil']] ?? null : null;

            return $pot === null || ! is_array($part) ? $part : ['id' => $pot->as] + array_diff_key($part, ['boil' => true]);
        };
        if (is_array($wish['others'] ?? null)) {
            $wish['others'] = array_map($plain, $wish['others']);
        }
        if (isset($wish['water'])) {
            $wish['water'] = $plain($wish['water']);
        }
        $shared = RecipeFile::shared(['oils' => $oils] + $wish);
        $plan = (new Melting($this->planning->tables()))->plan($shared, $this->houses->of($shared));

        return [$shared, Said::just(['run' => array_column($plan->sentence, 'text')])];
    }

    /** @param  array<string, mixed>  $wish */
    private function version(Recipe $recipe, string $name, string $note, array $wish, Said $says): void
    {
        RecipeVersion::query()->create([
            'recipe_id' => $recipe->id,
            'number' => $recipe->version,
            'name' => $name,
            'says' => $says,
            'note' => $note,
            'wish' => $wish,
            'by' => StockLedger::who(),
            'made_at' => Carbon::now(),
        ]);
    }
}
