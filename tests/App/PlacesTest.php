<?php

/*
 * web/places.json says once which code an address opens and what it asks for first. What is fetched beside the page has to be
 * what is asked for after it, or it is fetched twice.
 */

use Illuminate\Support\Facades\Route;
use Illuminate\Support\Str;
use Tests\AppCase;

/** @return list<array{address: string, script: string, asks: list<string>}> */
function placesOf(): array
{
    /** @var list<array{address: string, script: string, asks: list<string>}> $places */
    $places = json_decode((string) file_get_contents(base_path('web/places.json')), true);

    return $places;
}

/** @return list<string> what a page asks for beside itself */
function askedBeside(AppCase $test, string $path): array
{
    preg_match_all('/<link rel="preload" href="([^"]*)" as="fetch" crossorigin>/', (string) $test->get($path)->getContent(), $found);

    return $found[1];
}

beforeEach(fn () => $this->actingAs($this->keeper));

it('fetches the code and the first answers of each address beside its page', function (string $address, string $script, array $asks) {
    $page = $this->get("/h/{$this->house->uid}/{$address}")
        ->assertOk()
        ->getContent();
    expect(askedBeside($this, "/h/{$this->house->uid}/{$address}"))->toBe(
        array_map(fn (string $path) => "/api/houses/{$this->house->uid}{$path}", $asks),
    );
    $built = json_decode((string) file_get_contents(public_path('build/.vite/manifest.json')), true)["web/{$script}.tsx"]['file'];
    expect($page)->toContain("<link rel=\"modulepreload\" href=\"/build/{$built}\">");
})->with([
    'a place' => ['today', 'today/Today', ['/today']],
    'one asked for twice' => ['bench', 'bench/Bench', ['', '/materials']],
    'a recipe, and not the list of them' => ['recipes/01k', 'recipes/RecipePage', ['/recipes/01k']],
    'what has a name of its own before what is named' => ['recipes/read', 'recipes/ReadRecipe', []],
    'a warm pot' => ['stove/01k', 'stove/Pot', ['/stove/01k']],
    'a pot that boils' => ['stove/boil/01k', 'boil/BoilingPot', ['/boils/01k']],
    'its label' => ['stove/boil/01k/print', 'labels/Labels', ['/boils/01k/label']],
    'what would be written otherwise' => ['stores/a%22b', 'stores/LotPage', ['/lots/a%22b']],
]);

it('fetches nothing of a house beside an address that is none', function (string $address) {
    expect(
        $this->get("/h/{$this->house->uid}{$address}")
            ->assertOk()
            ->getContent(),
    )->not->toContain('as="fetch"');
})->with(['', '/nowhere', '/today/and/more', '/recipes/a/b']);

it('asks with the page for what its place asks first, and of no stranger', function () {
    $house = $this->house->uid;
    auth()->logout();
    expect(askedBeside($this, "/h/{$house}/today"))->toBe([]);
    $this->actingAs($this->keeper);
    $batch = strtolower((string) Str::ulid());
    expect(askedBeside($this, "/h/{$house}/today"))
        ->toBe(["/api/houses/{$house}/today"])
        ->and(askedBeside($this, "/h/{$house}/bench"))
        ->toBe(["/api/houses/{$house}", "/api/houses/{$house}/materials"])
        ->and(askedBeside($this, "/h/{$house}/batch/{$batch}"))
        ->toBe(["/api/houses/{$house}/batches/{$batch}"])
        ->and(askedBeside($this, "/h/{$house}/bench/card"))
        ->toBe([])
        ->and(askedBeside($this, "/h/{$house}/batch/{$batch}/print"))
        ->toBe(["/api/houses/{$house}/batches/{$batch}/label"])
        ->and(askedBeside($this, '/'))
        ->toBe([])
        ->and(askedBeside($this, '/h/%22%3E%3Cb%3E/today'))
        ->toBe(['/api/houses/%22%3E%3Cb%3E/today']);
});

it('names files there are, and questions that the house answers', function () {
    $uris = array_map(fn ($route) => preg_replace('/\{[^}]+\}/', '*', $route->uri()), Route::getRoutes()->getRoutesByMethod()['GET']);
    foreach (placesOf() as ['address' => $address, 'script' => $script, 'asks' => $asks]) {
        expect(is_file(base_path("web/{$script}.tsx")))->toBeTrue($script);
        foreach ($asks as $path) {
            expect(in_array('api/houses/*'.preg_replace('/:\w+/', '*', $path), $uris, true))->toBeTrue("{$address} asks {$path}");
        }
    }
});
