<?php

use App\Models\Tenancy\Ability;
use App\Models\Tenancy\Role;
use Illuminate\Routing\Route as Routed;
use Illuminate\Support\Facades\Route;

/** @return list<array{string, string, Ability}> every route of a house: method, address, what it takes */
function houseRoutes(): array
{
    $found = [];
    foreach (Route::getRoutes()->getRoutes() as $route) {
        assert($route instanceof Routed);
        if (! str_starts_with($route->uri(), 'api/houses/{house}')) {
            continue;
        }
        $may = array_values(array_filter($route->gatherMiddleware(), fn ($m) => is_string($m) && str_starts_with($m, 'can:')));
        expect($may)->toHaveCount(1, $route->uri());
        $found[] = [$route->methods()[0], $route->uri(), Ability::from(substr($may[0], 4))];
    }

    return $found;
}

it('lets each role through what is written by hand, and through no other', function (Role $role, string $letter) {
    // Never asked of the code: who may is read off the table, for each route there is.
    $may = [];
    foreach ((array) file(dirname(__DIR__).'/fixtures/roles.txt', FILE_IGNORE_NEW_LINES) as $line) {
        if (! str_starts_with((string) $line, '#')) {
            [$method, $uri, $who] = explode(' ', (string) $line);
            $may["{$method} {$uri}"] = str_contains($who, $letter);
        }
    }
    $batch = $this->batch();
    $person = $this->member($role);
    $address = fn (string $uri) => substr(
        strtr($uri, [
            '{house}' => $this->house->uid,
            '{batch}' => $batch->uid,
            '{jar}' => 'nojar',
            '{bottle}' => 'nobottle',
            '{person}' => 'nobody',
            '{invitation}' => 'none',
            '{lot}' => 'nolot',
            '{recipe}' => 'norecipe',
            '{session}' => 'nosession',
            '{cooker}' => 'nocooker',
            '{probe}' => 'noprobe',
            '{absence}' => 'none',
            '{calendar}' => 'none',
            '{kind}' => 'plant',
            '{key}' => 'calendula',
        ]),
        3,
    );
    expect(houseRoutes())->toHaveCount(count($may));
    foreach (houseRoutes() as [$method, $uri]) {
        $named = $method.' '.(substr($uri, strlen('api/houses/{house}')) ?: '/');
        expect($may)->toHaveKey($named);
        $status = $this->call_($method, $address($uri), [], $person)->getStatusCode();
        $may[$named] ? expect($status)->not->toBe(403, "{$role->value} {$named}") : expect($status)->toBe(403, "{$role->value} {$named}");
        expect($status)->toBeLessThan(500, "{$role->value} {$named}");
    }
})->with([[Role::Keeper, 'k'], [Role::Helper, 'h'], [Role::Reader, 'r']]);

it('is not there at all for a stranger, nor for somebody not signed in', function () {
    $batch = $this->batch();
    $stranger = $this->person('Stranger');
    $own = $this->aHouse($stranger, 'Elsewhere');
    foreach (houseRoutes() as [$method, $uri]) {
        $path = substr(strtr($uri, ['{house}' => $this->house->uid, '{batch}' => $batch->uid]), 3);
        $this->call_($method, $path, [], $stranger)->assertNotFound();
    }
    // Another house's batch asked for in one's own.
    $this->call_('GET', "/houses/{$own->uid}/batches/{$batch->uid}", [], $stranger)->assertNotFound();
    $this->call_('POST', "/houses/{$own->uid}/batches/{$batch->uid}/notes", ['note' => 'mine'], $stranger)->assertNotFound();
    $this->call_('POST', "/houses/{$own->uid}/batches", ['wish' => $this->wish(['jar' => $this->jarOf(505)->uid])], $stranger)
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'jar');
    auth()->logout();
    foreach (houseRoutes() as [$method, $uri]) {
        $this->json($method, '/'.strtr($uri, ['{house}' => $this->house->uid, '{batch}' => $batch->uid]))->assertUnauthorized();
    }
});

it('keeps one house’s lots and recipes from another’s people, in that house and in their own', function () {
    $lot = $this->atHouse('POST', '/lots', ['lot' => ['kind' => 'carrier', 'material' => 'olive', 'amount' => '1 L']])
        ->assertOk()
        ->json('lot.id');
    $recipe = $this->atHouse('POST', '/recipes', ['name' => 'Ours', 'wish' => $this->wish()])
        ->assertOk()
        ->json('id');
    $stranger = $this->person('Stranger');
    $own = $this->aHouse($stranger, 'Elsewhere');
    $asked = [
        ['GET', "/lots/{$lot}", []],
        ['DELETE', "/lots/{$lot}", []],
        ['POST', "/lots/{$lot}/count", ['amount' => '1 mL']],
        ['POST', "/lots/{$lot}/checks", ['answers' => []]],
        ['PATCH', "/lots/{$lot}", ['version' => 1, 'lot' => ['kind' => 'carrier', 'material' => 'olive', 'amount' => '2 L']]],
        ['GET', "/recipes/{$recipe}", []],
        ['GET', "/recipes/{$recipe}/recipe.json", []],
        ['GET', "/recipes/{$recipe}/recipe.jsonld", []],
        ['DELETE', "/recipes/{$recipe}", []],
        ['PATCH', "/recipes/{$recipe}", ['version' => 1, 'name' => 'Theirs', 'wish' => $this->wish()]],
    ];
    foreach ([$this->house->uid, $own->uid] as $house) {
        foreach ($asked as [$method, $path, $body]) {
            $this->call_($method, "/houses/{$house}{$path}", $body, $stranger)->assertNotFound();
        }
    }
    // Nor are they counted, found, or taken from there.
    $this->call_('GET', "/houses/{$own->uid}/stores", [], $stranger)->assertJsonPath('total', 0);
    $this->call_('GET', "/houses/{$own->uid}/recipes", [], $stranger)->assertJsonPath('total', 0);
    $this->call_('GET', "/houses/{$own->uid}/find?q=Ours", [], $stranger)->assertJsonCount(0, 'found');
    $this->call_('POST', "/houses/{$own->uid}/batches", ['wish' => $this->wish(['oils' => [['id' => 'olive', 'lot' => $lot]]])], $stranger)
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'oils.0.lot')
        ->assertJsonPath('faults.0.reason', 'unknown');
    $this->atHouse('GET', "/lots/{$lot}")->assertJsonPath('lot.left_text', '1 L');
    $this->atHouse('GET', "/recipes/{$recipe}")->assertJsonPath('name', 'Ours');
});

it('cannot ask for what belongs to a house without entering one', function () {
    app(App\Models\Tenancy\CurrentHouse::class)->leave();
    App\Models\Batch::query()->count();
})->throws(LogicException::class, 'No house has been entered.');

it('answers every address of the API in the problem form', function () {
    $this->getJson('/api/nowhere')
        ->assertNotFound()
        ->assertHeader('Content-Type', 'application/problem+json')
        ->assertJsonStructure(['type', 'title', 'status', 'detail']);
    $this->call_('PUT', '/session')->assertStatus(404);
});

it('describes every route in the API document, and no other', function () {
    $document = json_decode(App\Console\ApiDocument\Document::json(), true);
    $described = [];
    foreach ($document['paths'] as $path => $verbs) {
        foreach (array_keys($verbs) as $verb) {
            $described[] = strtoupper($verb).' /api'.$path;
        }
    }
    $routed = [];
    foreach (Route::getRoutes()->getRoutes() as $route) {
        if (str_starts_with($route->uri(), 'api/') && ! str_contains($route->uri(), '{any}')) {
            $routed[] = $route->methods()[0].' /'.$route->uri();
        }
    }
    sort($described);
    sort($routed);
    expect($described)->toBe($routed);
});
