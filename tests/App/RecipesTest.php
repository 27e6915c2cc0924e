<?php

use App\Models\Tenancy\Role;
use Illuminate\Support\Facades\DB;
use Opis\JsonSchema\Validator;

/** @param  array<string, mixed>  $more */
function kept($test, array $more = []): array
{
    return $test
        ->atHouse(
            'POST',
            '/recipes',
            $more + [
                'name' => 'Harbour hands',
                'note' => 'For the fair.',
                'wish' => [
                    'herbs' => [['id' => 'calendula', 'parts' => '2'], ['id' => 'self-heal']],
                    'oils' => [['id' => 'olive', 'parts' => '3'], ['id' => 'jojoba']],
                    'finished' => ['count' => '6', 'size' => '50 mL'],
                    'ready_by' => '2027-03-01',
                ],
            ],
        )
        ->assertOk()
        ->json();
}

it('keeps a wish under a name, without the day it was for', function () {
    $recipe = kept($this);
    expect($recipe['version'])
        ->toBe(1)
        ->and($recipe['wish'])
        ->not->toHaveKey('ready_by')
        ->and($recipe['versions'][0]['by'])
        ->toBe('Keeper');
    $this->atHouse('GET', '/recipes')
        ->assertJsonPath('recipes.0.name', 'Harbour hands')
        ->assertJsonPath('recipes.0.sentence', 'Calendula and self-heal in olive oil and jojoba, 1:7, cold, on a shelf');
    $this->atHouse('GET', '/find?q=harbour')
        ->assertJsonPath('found.0.kind', 'recipe')
        ->assertJsonPath('found.0.path', 'recipes/'.$recipe['id']);
});

it('keeps how it was, version by version', function () {
    $recipe = kept($this);
    $wish = [...$recipe['wish'], 'oils' => ['olive']];
    $this->atHouse('PATCH', "/recipes/{$recipe['id']}", [
        'name' => 'Harbour hands',
        'note' => 'No jojoba.',
        'wish' => $wish,
        'version' => 1,
    ])
        ->assertOk()
        ->assertJsonPath('version', 2)
        ->assertJsonPath('note', 'No jojoba.')
        ->assertJsonPath('versions.0.number', 2)
        ->assertJsonPath('versions.1.number', 1)
        ->assertJsonPath('versions.1.note', 'For the fair.');
    $this->atHouse('PATCH', "/recipes/{$recipe['id']}", ['name' => 'Late', 'note' => '', 'wish' => $wish, 'version' => 1])->assertStatus(
        409,
    );
    $this->atHouse('GET', "/recipes/{$recipe['id']}")->assertJsonPath('name', 'Harbour hands');
    expect(fn () => DB::table('recipe_versions')->update(['name' => 'x']))->toThrow(
        Illuminate\Database\QueryException::class,
        'append-only',
    );
});

it('keeps only what can be planned', function () {
    $this->atHouse('POST', '/recipes', [
        'name' => 'Too thick',
        'wish' => ['herbs' => [['id' => 'linden-blossom']], 'oils' => ['olive'], 'ratio' => '1:2'],
    ])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'ratio');
    $this->atHouse('POST', '/recipes', ['name' => ' ', 'wish' => ['herbs' => [['id' => 'self-heal']], 'oils' => ['olive']]])->assertStatus(
        422,
    );
    $this->atHouse('POST', '/recipes', ['name' => str_repeat('x', 121), 'wish' => ['oils' => ['olive']]])->assertStatus(422);
    $this->atHouse('POST', '/recipes', ['name' => 'x', 'wish' => 'calendula'])->assertStatus(422);
    $this->atHouse('GET', '/recipes')->assertJsonPath('total', 0);
});

it('goes out as a file of ours, and comes in as it was', function () {
    $recipe = kept($this);
    $file = $this->atHouse('GET', "/recipes/{$recipe['id']}/recipe.json")
        ->assertOk()
        ->assertHeader('Content-Disposition', 'attachment; filename="harbour-hands.json"');
    $schema = json_decode((string) file_get_contents(base_path('docs/formats/recipe.schema.json')));
    expect((new Validator())->validate(json_decode($file->getContent()), $schema)->isValid())->toBeTrue();
    $this->atHouse('POST', '/recipes/read', ['text' => $file->getContent()])
        ->assertOk()
        ->assertJsonPath('name', 'Harbour hands')
        ->assertJsonPath('note', 'For the fair.')
        ->assertJsonPath('wish', $recipe['wish']);
});

it('goes out as schema.org Recipe', function () {
    $recipe = kept($this);
    $answer = $this->atHouse('GET', "/recipes/{$recipe['id']}/recipe.jsonld")->assertOk();
    expect($answer->headers->get('Content-Type'))->toBe('application/ld+json');
    $document = json_decode($answer->getContent(), true);
    expect($document['@type'])
        ->toBe('Recipe')
        ->and($document['recipeIngredient'])
        ->toHaveCount(4)
        ->and($document['recipeIngredient'][0])
        ->toMatch('/^\d+ g calendula, flower heads or petals, dried$/');
    $this->atHouse('POST', '/recipes/read', ['text' => $answer->getContent()])
        ->assertOk()
        ->assertJsonPath('wish', $recipe['wish']);
});

it('reads plain lines in the house’s own measures', function () {
    $this->atHouse('POST', '/recipes/read', ['text' => '1 cup oil, 3 tbsp dried flowers'])
        ->assertOk()
        ->assertJsonPath('wish.oil_amount', '1 cup')
        ->assertJsonPath('lines.0.guess', true)
        ->assertJsonPath('lines.1.as', 'herb');
    foreach (['', 'The sea is grey', '{"a":', '{"@type":"Person"}'] as $bad) {
        $this->atHouse('POST', '/recipes/read', ['text' => $bad])->assertStatus(422);
    }
    $this->atHouse('POST', '/recipes/read', ['text' => ['x']])->assertStatus(422);
});

it('is taken off the list', function () {
    $recipe = kept($this);
    $this->atHouse('DELETE', "/recipes/{$recipe['id']}")->assertNoContent();
    $this->atHouse('GET', "/recipes/{$recipe['id']}")->assertNotFound();
    $this->atHouse('GET', '/recipes')->assertJsonPath('total', 0);
});

it('is the house’s own', function () {
    $recipe = kept($this);
    $other = $this->person('Other');
    $house = $this->aHouse($other, 'Other');
    foreach ([['GET', ''], ['PATCH', ''], ['DELETE', ''], ['GET', '/recipe.json'], ['GET', '/recipe.jsonld']] as [$method, $path]) {
        $this->call_(
            $method,
            "/houses/{$house->uid}/recipes/{$recipe['id']}{$path}",
            ['name' => 'x', 'wish' => ['oils' => ['olive']], 'version' => 1],
            $other,
        )->assertNotFound();
    }
    $reader = $this->member(Role::Reader);
    $this->atHouse('GET', "/recipes/{$recipe['id']}/recipe.json", [], $reader)->assertOk();
    $this->atHouse('POST', '/recipes', ['name' => 'x', 'wish' => ['oils' => ['olive']]], $reader)->assertForbidden();
});

it('asks the database as often for many recipes as for few', function () {
    $count = function (): int {
        DB::enableQueryLog();
        DB::flushQueryLog();
        $this->atHouse('GET', '/recipes');

        return count(DB::getQueryLog());
    };
    kept($this);
    $few = $count();
    foreach (range(1, 8) as $n) {
        kept($this, ['name' => "Recipe {$n}"]);
    }
    expect($count())->toBe($few);
});

it('keeps a product as a recipe, gives it out as a file and as schema.org, and reads both back', function () {
    require_once dirname(__DIR__).'/Pressed.php';
    $batch = basename(bottledBatch(['herb' => ['id' => 'calendula']], '260 mL'));
    $wish = ['product' => 'salve', 'oils' => [['batch' => $batch]], 'firmness' => 'firm', 'tins' => [['ml' => 30, 'count' => 4]]];
    $kept = $this->atHouse('POST', '/recipes', ['name' => 'Harbour balm', 'note' => 'for the nets', 'wish' => $wish])->assertOk();
    // The house's own bottle is no part of it: whoever reads it pours from theirs.
    expect($kept->json('wish'))->toBe([
        'oils' => [['id' => 'sunflower']],
        'product' => 'salve',
        'firmness' => 'firm',
        'tins' => [['ml' => 30, 'count' => 4]],
    ]);
    expect($this->atHouse('GET', '/recipes')->json('recipes.0.sentence'))->toStartWith('Four 30 mL tins of salve');
    $id = $kept->json('id');
    $file = $this->atHouse('GET', "/recipes/{$id}/recipe.json")->assertOk();
    $schema = json_decode((string) file_get_contents(base_path('docs/formats/recipe.schema.json')));
    expect((new Opis\JsonSchema\Validator())->validate(json_decode($file->getContent()), $schema)->isValid())->toBeTrue();
    $linked = $this->atHouse('GET', "/recipes/{$id}/recipe.jsonld")->assertOk();
    expect($linked->json('recipeYield'))
        ->toBe('4 tins')
        ->and($linked->json('recipeIngredient.1'))
        ->toMatch('/^\d+ g beeswax$/')
        ->and($linked->json('recipeInstructions.0.text'))
        ->toStartWith('Wash the tins');
    foreach ([$file, $linked] as $answer) {
        $read = $this->atHouse('POST', '/recipes/read', ['text' => $answer->getContent()])->assertOk();
        expect($read->json('wish'))->toEqual($kept->json('wish'))->and($read->json('name'))->toBe('Harbour balm');
        $this->atHouse('POST', '/melt/reckon', ['wish' => $read->json('wish')])->assertOk();
    }
    // The next version of it; and what cannot be made, or is no wish, is not kept.
    $this->atHouse('PATCH', "/recipes/{$id}", [
        'name' => 'Harbour balm',
        'note' => '',
        'version' => 1,
        'wish' => ['firmness' => 'salve'] + $kept->json('wish'),
    ])
        ->assertOk()
        ->assertJsonPath('version', 2);
    $this->atHouse('POST', '/recipes', ['name' => 'x', 'wish' => ['product' => 'soap']])->assertStatus(422);
    $this->atHouse('POST', '/recipes', ['name' => 'x', 'wish' => ['product' => 'salve', 'verdicts' => []]])->assertStatus(422);
    // It goes with the house.
    $out = json_decode($this->atHouse('GET', '/export')->getContent(), true);
    $this->house = $this->aHouse($this->keeper, 'Second house');
    $this->atHouse('POST', '/import', $out)->assertOk();
    expect($this->atHouse('GET', "/recipes/{$id}")->json('wish.firmness'))->toBe('salve');
});

it('gives out a product made of the house’s own wax by the wax’s name', function () {
    $this->atHouse('POST', '/own', ['own' => ['kind' => 'wax', 'name' => 'heather wax', 'like' => 'beeswax']])->assertOk();
    $wish = ['product' => 'salve', 'oils' => ['olive'], 'waxes' => [['id' => 'own-heather-wax']], 'firmness' => 'firm', 'total' => '100 g'];
    $kept = $this->atHouse('POST', '/recipes', ['name' => 'Heather salve', 'wish' => $wish])->assertOk();
    $file = $this->atHouse('GET', "/recipes/{$kept->json('id')}/recipe.json")->assertOk();
    expect($file->json('wish.waxes'))->toBe([['id' => 'heather wax']]);
    // Read where it is known it is that wax; where it is not, it is asked about.
    $read = $this->atHouse('POST', '/recipes/read', ['text' => $file->getContent()])
        ->assertOk()
        ->json('wish');
    $this->atHouse('POST', '/melt/reckon', ['wish' => $read])->assertOk();
    $this->house = $this->aHouse($this->keeper, 'Second house');
    $this->atHouse('POST', '/melt/reckon', ['wish' => $read])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'waxes.0')
        ->assertJsonPath('faults.0.sentence', 'No wax or butter is called “heather wax” here. Choose one from the list.')
        ->assertJsonPath(
            'sentence',
            fn (array $said) => implode('', array_column($said, 'text')) ===
                '100 g of salve, firm in a cool room, from olive oil, with heather wax.',
        );
});

it('keeps a product that was wanted by a day as a recipe for any day, with the oil still to be infused and the leaf', function () {
    $wish = [
        'product' => 'salve',
        'oils' => [['infuse' => ['herbs' => [['id' => 'calendula']], 'oils' => ['olive'], 'method' => 'cold']]],
        'leaf' => ['id' => 'plantain-leaf', 'amount' => '20 g'],
    ];
    $kept = $this->atHouse('POST', '/recipes', [
        'name' => 'For the fair',
        'wish' => $wish + ['ready_by' => now()->modify('+90 days')->format('Y-m-d')],
    ])->assertOk();
    expect($kept->json('wish'))->toEqual($wish);
    $file = $this->atHouse('GET', "/recipes/{$kept->json('id')}/recipe.json")->assertOk();
    $schema = json_decode((string) file_get_contents(base_path('docs/formats/recipe.schema.json')));
    expect((new Opis\JsonSchema\Validator())->validate(json_decode($file->getContent()), $schema)->isValid())->toBeTrue();
    $this->atHouse('GET', "/recipes/{$kept->json('id')}/recipe.jsonld")->assertOk();
});

it('keeps no two recipes under one name, and a name on one line', function () {
    $first = kept($this);
    $wish = ['herbs' => [['id' => 'self-heal']], 'oils' => ['olive']];
    $this->atHouse('POST', '/recipes', ['name' => 'HARBOUR hands ', 'wish' => $wish])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'name')
        ->assertSee('here already');
    $other = $this->atHouse('POST', '/recipes', ['name' => "For\n the\tnets", 'wish' => $wish])
        ->assertOk()
        ->assertJsonPath('name', 'For the nets')
        ->json();
    $edit = fn (string $id, string $name) => $this->atHouse('PATCH', "/recipes/{$id}", ['name' => $name, 'wish' => $wish, 'version' => 1]);
    $edit($other['id'], 'Harbour hands')->assertStatus(422);
    // Its own name is its own still, and one that was taken off the list is free again.
    $edit($first['id'], 'harbour hands')->assertOk();
    $this->atHouse('DELETE', "/recipes/{$first['id']}")->assertSuccessful();
    $edit($other['id'], 'Harbour hands')->assertOk();
});

it('writes who and what on one line', function () {
    $this->call_('PATCH', '/me', ['name' => "Mo\r\nof the  Quay\u{0007}"])->assertOk();
    expect($this->keeper->refresh()->name)->toBe('Mo of the Quay');
});
