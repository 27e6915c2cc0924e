<?php

use Illuminate\Support\Facades\Route;
use Illuminate\Support\Str;

/** @return list<array{string, string}> every write of the API */
function writes(): array
{
    $writes = [];
    foreach (Route::getRoutes()->getRoutes() as $route) {
        foreach (array_intersect($route->methods(), ['POST', 'PUT', 'PATCH', 'DELETE']) as $method) {
            if (
                str_starts_with($route->uri(), 'api/') &&
                ! str_contains($route->uri(), '{any}') &&
                ! str_ends_with($route->uri(), 'api/session')
            ) {
                $writes[] = [$method, substr($route->uri(), 3)];
            }
        }
    }

    return $writes;
}

it('answers no write with a fault of its own, whatever the body', function (mixed $value) {
    $batch = $this->batch();
    $fields = [
        'wish',
        'origin',
        'repeats',
        'version',
        'task',
        'outcome',
        'reason',
        'until',
        'batches',
        'note',
        'corrects',
        'entry',
        'amount',
        'bottles',
        'name',
        'email',
        'password',
        'present',
        'house',
        'time_zone',
        'measures',
        'wake',
        'bed',
        'drops_per_ml',
        'called',
        'brim',
        'height',
        'capacity',
        'role',
        'temperature',
        'amounts',
        'lot',
        'answers',
        'csv',
        'do',
        'text',
        'hours',
        'water',
        'fresh',
        'now',
        'form',
        'currency',
        'room_c',
        'things',
        'cooker',
        'setting',
        'watch',
        'school',
        'speed',
        'what',
        'with',
        'warmth',
        'readings',
        'shape',
        'length',
        'width',
        'method',
        'kind',
        'from',
        'to',
        'ics',
    ];
    $lot = $this->atHouse('POST', '/lots', ['lot' => ['kind' => 'herb', 'material' => 'calendula', 'amount' => '100 g']])->json('lot.id');
    $recipe = $this->atHouse('POST', '/recipes', ['name' => 'Kept', 'wish' => $this->wish()])->json('id');
    $warm = $this->batch(['method' => 'slow-cooker']);
    $this->fill($warm);
    $cooker = $this->atHouse('GET', '/stove')->json('cookers.0');
    $session = $this->atHouse('POST', '/stove', [
        'cooker' => $cooker['id'],
        'setting' => 'Warm',
        'batches' => [$warm->uid],
        'watch' => 'hand',
    ])
        ->assertOk()
        ->json('id');
    $body = array_fill_keys($fields, $value);
    foreach (writes() as [$method, $uri]) {
        $path = strtr($uri, [
            '{house}' => $this->house->uid,
            '{batch}' => $batch->uid,
            '{token}' => 'x',
            '{jar}' => 'x',
            '{bottle}' => 'x',
            '{person}' => 'x',
            '{invitation}' => 'x',
            '{lot}' => $lot,
            '{recipe}' => $recipe,
            '{session}' => $session,
            '{cooker}' => 'x',
            '{probe}' => 'x',
            '{absence}' => 'x',
            '{calendar}' => 'x',
            '{kind}' => 'plant',
            '{key}' => 'calendula',
        ]);
        $status = $this->call_($method, $path, $body)->status();
        expect($status)->toBeLessThan(500, "{$method} {$uri}");
    }
})->with([
    'nothing' => [null],
    'a text' => ['x'],
    'a number' => [7],
    'a negative' => [-1],
    'a fraction' => [0.1],
    'true' => [true],
    'an empty list' => [[]],
    'lists in lists' => [[[[]]]],
    'an object' => [['a' => 'b']],
    'a list of texts' => [['a', 'b']],
    'a wish' => [['herb' => ['id' => 'self-heal'], 'oils' => ['olive']]],
    'a long text' => [str_repeat('x', 6000)],
    'a nul' => ["a\0b"],
    'right to left' => ["\u{202E}אבג"],
    'four bytes' => ['🫖🌿'],
    'a quote' => ["'; DROP TABLE batches; --"],
    'markup' => ['<script>alert(1)</script>'],
    'a great number' => ['99999999999999999999999999'],
]);

it('reads each field of a lot, whatever is in it, or refuses it', function (mixed $value) {
    foreach (Kettle\Stores\LotReader::FIELDS as $field) {
        foreach (['herb' => 'calendula', 'carrier' => 'olive', 'wax' => 'beeswax', 'jar' => $this->jarOf(505)->uid] as $kind => $material) {
            $lot = [...['kind' => $kind, 'material' => $material, 'amount' => '7'], $field => $value];
            expect($this->atHouse('POST', '/lots', ['lot' => $lot])->status())->toBeIn([200, 422], "{$kind}.{$field}");
        }
    }
})->with([
    'a list' => [[['x']]],
    'true' => [true],
    'a long text' => [str_repeat('é', 3000)],
    'a great number' => [1e300],
    'less than nothing' => ['-5'],
    'a nul' => ["a\0b"],
    'a day that is none' => ['2026-02-30'],
    'a year far off' => ['9999-12-31'],
    'four bytes' => ['🫖'],
    'a quote' => ["'; DROP TABLE lots; --"],
]);

it('answers odd addresses in the problem form', function (string $path) {
    $answer = $this->atHouse('GET', $path);
    expect($answer->status())->toBeIn([200, 404, 422]);
})->with([
    ['/batches/x'],
    ['/batches/'.str_repeat('a', 300)],
    ['/batches/%00'],
    ['/batches/%F0%9F%AB%96'],
    ['/shelf?part=nothing'],
    ['/shelf?part[]=steeping'],
    ['/shelf?part=steeping&after=eyJ4IjoxfQ'],
    ['/find?q[]=x'],
    ['/find?q=%25%25'],
    ['/stores?q[]=x'],
    ['/stores?kind=nothing&after=%00'],
    ['/lots/x'],
    ['/lots/%F0%9F%AB%96'],
    ['/recipes/'.str_repeat('a', 300)],
    ['/recipes/x/recipe.json'],
    ['/oils?purpose[]=salve'],
    ['/oils?purpose=nothing'],
    ['/batches/x/again'],
    ['/nothing/at/all'],
]);

it('takes a write only with a token of the page, when it is on', function () {
    $this->getJson('/api/me');
    // In tests the framework passes the token check by; the middleware must be there nonetheless.
    $route = collect(Route::getRoutes()->getRoutes())->first(
        fn ($r) => $r->uri() === 'api/session' && in_array('POST', $r->methods(), true),
    );
    $guards = array_filter(
        app('router')->gatherRouteMiddleware($route),
        fn ($m) => is_string($m) && is_a($m, Illuminate\Foundation\Http\Middleware\VerifyCsrfToken::class, true),
    );
    expect($guards)->toHaveCount(1);
});

it('keeps each person’s keys apart', function () {
    $key = Str::random(20);
    $helper = $this->member(App\Models\Tenancy\Role::Helper);
    $first = $this->atHouse('POST', '/batches', ['wish' => $this->wish()], key: $key)->json('id');
    $second = $this->atHouse('POST', '/batches', ['wish' => $this->wish()], $helper, $key)->json('id');
    expect($second)->not->toBe($first);
});
