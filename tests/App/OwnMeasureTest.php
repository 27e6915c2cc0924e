<?php

use App\Models\OwnThing;

/** A spoon of the house's own, and a school of its own: entered, planned with, found in the Almanac, taken out and in. */
it('writes amounts in a spoon of its own', function () {
    $spoon = ['kind' => 'measure', 'name' => 'blue scoop', 'also' => ['scoop'], 'holds_ml' => '42'];
    $this->atHouse('POST', '/own', ['own' => $spoon])
        ->assertOk()
        ->assertJsonPath('id', 'own-blue-scoop');
    // Sent again after an answer that was lost, it is there once.
    $this->atHouse('POST', '/own', ['own' => $spoon])->assertOk();
    expect(OwnThing::query()->count())->toBe(1);
    $plan = $this->atHouse('POST', '/reckon', ['wish' => ['herb' => ['id' => 'calendula', 'amount' => '3 scoops'], 'oils' => ['olive']]])
        ->assertOk()
        ->json();
    expect($plan['figures']['herb_mass']['value'])->toEqualWithDelta(12.6, 0.01);
    $lot = $this->atHouse('POST', '/lots', ['lot' => ['kind' => 'carrier', 'material' => 'olive', 'amount' => '10 blue scoops']])
        ->assertOk()
        ->json('lot');
    expect($lot['left'])->toEqualWithDelta(420, 1e-6);
    expect($this->atHouse('GET', '/almanac?kind=measure')->json('entries.0.says'))
        ->toBe('one is 42 mL')
        ->and($this->atHouse('GET', '/almanac/measure/own-blue-scoop')->assertOk()->json('entered'))
        ->toBeTrue();
});

it('keeps hours and warmth of its own as a school, also in what was begun by it when it is away', function () {
    $school = ['kind' => 'school', 'name' => 'low and slow', 'method' => 'slow-cooker', 'hours' => '6 to 8 h', 'warmth' => '38 °C'];
    $this->atHouse('POST', '/own', ['own' => ['warmth' => '90 °C'] + $school])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'warmth');
    $this->atHouse('POST', '/own', ['own' => $school])->assertOk();
    $ways = array_column($this->atHouse('GET', '/materials')->json('methods'), 'schools', 'id');
    expect(array_column($ways['slow-cooker'], 'name'))->toContain('low and slow');
    $wish = ['herb' => ['id' => 'calendula'], 'oils' => ['olive'], 'method' => 'slow-cooker', 'school' => 'own-low-and-slow'];
    $batch = $this->atHouse('POST', '/batches', ['wish' => $wish])
        ->assertOk()
        ->json();
    $this->atHouse('PUT', '/own/own-low-and-slow', ['version' => 0, 'own' => ['away' => true] + $school])->assertOk();
    $ways = array_column($this->atHouse('GET', '/materials')->json('methods'), 'schools', 'id');
    expect(array_column($ways['slow-cooker'], 'name'))->not->toContain('low and slow');
    expect(
        json_encode(
            $this->atHouse('GET', "/batches/{$batch['id']}")
                ->assertOk()
                ->json(),
            JSON_UNESCAPED_UNICODE,
        ),
    )->toContain('low and slow');
    $page = $this->atHouse('GET', '/almanac/school/own-low-and-slow')->assertOk()->json();
    expect($page['says'])->toContain('in the slow cooker, at 38 °C')->and(array_column($page['own'], 'text'))->not->toBe([]);
});

it('gives a recipe out with what any house can read', function () {
    $this->atHouse('POST', '/own', ['own' => ['kind' => 'measure', 'name' => 'scoop', 'holds_ml' => 40]])->assertOk();
    $this->atHouse('POST', '/own', ['own' => ['kind' => 'plant', 'name' => 'wild fuchsia', 'form' => 'flower-heads']])->assertOk();
    $recipe = $this->atHouse('POST', '/recipes', [
        'name' => 'Hedge oil',
        'wish' => ['herbs' => [['id' => 'own-wild-fuchsia', 'amount' => '5 scoops']], 'oils' => ['olive']],
    ])->assertSuccessful();
    $id = $recipe->json('id') ?? $recipe->json('recipe.id');
    $file = $this->atHouse('GET', "/recipes/{$id}/recipe.json")
        ->assertOk()
        ->json();
    expect($file['wish']['herbs'])->toBe([['name' => 'wild fuchsia', 'form' => 'flower-heads', 'amount' => '200 mL']]);
});
