<?php

use App\Models\OwnThing;

/** @param  array<string, mixed>  $more */
function seaHolly(array $more = []): array
{
    return ['kind' => 'plant', 'name' => 'sea holly', 'form' => 'thick-leaf', 'family' => 'carrot', ...$more];
}

it('takes in a plant of the house’s own, plans with it, and tells its cautions wherever it goes', function () {
    $this->atHouse('POST', '/own', ['own' => seaHolly()])
        ->assertOk()
        ->assertJsonPath('id', 'own-sea-holly')
        ->assertJsonPath('cautions.0.id', 'sunlight')
        ->assertJsonPath('version', 0);
    expect(array_column($this->atHouse('GET', '/materials')->json('herbs'), 'id'))->toContain('own-sea-holly');
    expect(array_column($this->atHouse('GET', '/almanac?kind=plant')->json('entries'), 'own', 'key')['own-sea-holly'])->toBeTrue();
    $page = $this->atHouse('GET', '/almanac/plant/own-sea-holly')->assertOk()->json();
    expect($page['name'])
        ->toBe('Sea holly')
        ->and($page['entered'])
        ->toBeTrue()
        ->and(array_column($page['cautions'], 'id'))
        ->toBe(['sunlight', 'look-alike', 'own-unasked'])
        ->and(implode(' ', array_column($page['facts'], 'text')))
        ->toContain('what it may do to people and animals')
        ->and(array_unique(array_column($page['facts'], 'source')))
        ->not->toContain('');

    $lot = $this->atHouse('POST', '/lots', ['lot' => ['kind' => 'herb', 'material' => 'sea holly', 'amount' => '90 g']])
        ->assertOk()
        ->json('lot');
    expect($lot['material'])->toBe('own-sea-holly');
    $wish = ['herb' => ['id' => 'own-sea-holly'], 'oils' => ['olive']];
    $plan = $this->atHouse('POST', '/reckon', ['wish' => $wish])
        ->assertOk()
        ->json();
    expect(array_column($plan['notes'], 'id'))->toContain('own-unasked')->toContain('sunlight');

    // Begun only when somebody has read that nobody knows it.
    $this->atHouse('POST', '/batches', ['wish' => $wish])->assertStatus(422);
    $batch = $this->atHouse('POST', '/batches', ['wish' => $wish, 'acknowledged' => ['own-unasked']])
        ->assertOk()
        ->json();
    expect($batch['name'])->toBe('Sea holly in olive oil');
});

it('knows by now what was not known, also in what was made before', function () {
    $this->atHouse('POST', '/own', ['own' => seaHolly(['family' => 'other', 'concerns' => []])])->assertOk();
    $id = $this->atHouse('POST', '/batches', ['wish' => ['herb' => ['id' => 'own-sea-holly'], 'oils' => ['olive']]])
        ->assertOk()
        ->json('id');
    expect(array_column($this->atHouse('GET', "/batches/{$id}")->json('cautions'), 'id'))->not->toContain('pregnancy');
    $this->atHouse('PUT', '/own/own-sea-holly', ['version' => 0, 'own' => seaHolly(['name' => 'sea eryngo', 'concerns' => ['pregnancy']])])
        ->assertOk()
        ->assertJsonPath('version', 1);
    $batch = $this->atHouse('GET', "/batches/{$id}")->json();
    expect(array_column($batch['cautions'], 'id'))->toContain('pregnancy')->and($batch['name'])->toContain('Sea');
});

it('is entered once, however often it is sent, and by two at once', function () {
    $first = $this->atHouse('POST', '/own', ['own' => seaHolly()])
        ->assertOk()
        ->json();
    expect(
        $this->atHouse('POST', '/own', ['own' => seaHolly()])
            ->assertOk()
            ->json(),
    )->toBe($first);
    $this->atHouse('POST', '/own', ['own' => seaHolly(['food' => 'yes'])])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'name');
    expect(OwnThing::query()->withoutGlobalScopes()->count())->toBe(1);
    $this->atHouse('PUT', '/own/own-sea-holly', ['version' => 0, 'own' => seaHolly(['water' => '70'])])->assertOk();
    $this->atHouse('PUT', '/own/own-sea-holly', ['version' => 0, 'own' => seaHolly(['water' => '75'])])->assertStatus(409);
    // The same again, after an answer that was lost.
    $this->atHouse('PUT', '/own/own-sea-holly', ['version' => 0, 'own' => seaHolly(['water' => '70'])])
        ->assertOk()
        ->assertJsonPath('version', 1);
});

it('refuses by field what is not understood', function (array $own, string $field) {
    $this->atHouse('POST', '/own', ['own' => $own])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', $field);
    expect(OwnThing::query()->withoutGlobalScopes()->count())->toBe(0);
})->with([
    'an impossible density' => [['kind' => 'oil', 'name' => 'lead oil', 'density' => 11.3], 'density'],
    'two hundred letters' => [seaHolly(['name' => str_repeat('a', 200)]), 'name'],
    'a picture' => [seaHolly(['name' => '🌿']), 'name'],
    'a field nobody knows' => [seaHolly(['colour' => 'blue']), 'colour'],
    'one of the tables' => [seaHolly(['name' => 'marigold, Calendula officinalis', 'also' => ['Calendula']]), 'also'],
    'no kind' => [['name' => 'x'], 'kind'],
    'a list for a name' => [['kind' => 'oil', 'name' => ['x']], 'name'],
]);

it('is of its house alone', function () {
    $this->atHouse('POST', '/own', ['own' => seaHolly()])->assertOk();
    $mine = $this->house;
    $this->house = $this->aHouse($this->keeper, 'Other House');
    expect(array_column($this->atHouse('GET', '/materials')->json('herbs'), 'id'))->not->toContain('own-sea-holly');
    // A plant that kills is named in every house, and another's own in none.
    expect(array_column($this->atHouse('GET', '/materials')->json('not_offered'), 'name'))
        ->toContain('hemlock')
        ->not->toContain('sea holly');
    $this->atHouse('GET', '/own/own-sea-holly')->assertNotFound();
    $this->atHouse('POST', '/reckon', ['wish' => ['herb' => ['id' => 'own-sea-holly'], 'oils' => ['olive']]])->assertStatus(422);
    $this->atHouse('POST', '/own', ['own' => seaHolly(['water' => '40'])])->assertOk();
    $this->house = $mine;
    expect($this->atHouse('GET', '/own/own-sea-holly')->json('own.water'))->toBeNull();
});

it('offers no longer what was put away, and goes out and comes in with the house', function () {
    $this->atHouse('POST', '/own', ['own' => seaHolly(['concerns' => []])])->assertOk();
    $this->atHouse('POST', '/own', ['own' => ['kind' => 'oil', 'name' => 'yangu oil', 'like' => 'olive']])->assertOk();
    $id = $this->atHouse('POST', '/batches', ['wish' => ['herb' => ['id' => 'own-sea-holly'], 'oils' => ['own-yangu-oil']]])
        ->assertOk()
        ->json('id');
    $this->atHouse('PUT', '/own/own-sea-holly', ['version' => 0, 'own' => seaHolly(['concerns' => [], 'away' => true])])->assertOk();
    $materials = $this->atHouse('GET', '/materials')->json();
    expect(array_column($materials['herbs'], 'id'))
        ->not->toContain('own-sea-holly')
        ->and(array_column($materials['oils'], 'id'))
        ->toContain('own-yangu-oil');
    expect($this->atHouse('GET', "/batches/{$id}")->json('name'))->toBe('Sea holly in yangu oil');

    $file = $this->atHouse('GET', '/export')->assertOk()->getContent();
    $own = json_decode((string) $file, true)['own'];
    expect(array_column($own, 'id'))
        ->toBe(['own-sea-holly', 'own-yangu-oil'])
        ->and($own[0]['away'])
        ->toBeTrue();
    $this->house = $this->aHouse($this->keeper, 'Other House');
    $this->atHouse('POST', '/import', (array) json_decode((string) $file, true))->assertOk()->assertJsonPath('batches', 1);
    expect($this->atHouse('GET', '/own/own-yangu-oil')->json('own.like'))->toBe('olive');
    expect($this->atHouse('GET', "/batches/{$id}")->json('name'))->toBe('Sea holly in yangu oil');
});

it('comes in from a house that had it before the tables did', function () {
    $file = (array) json_decode((string) $this->atHouse('GET', '/export')->assertOk()->getContent(), true);
    $file['own'] = [['kind' => 'plant', 'id' => 'own-tulsi', 'name' => 'tulsi', 'form' => 'thin-leaf', 'concerns' => []]];
    $this->house = $this->aHouse($this->keeper, 'Other House');
    $this->atHouse('POST', '/import', $file)->assertOk();
    expect($this->atHouse('GET', '/own/own-tulsi')->assertOk()->json('own.name'))->toBe('tulsi');
    // What is learned of it later is written all the same; a name is not given that another goes by.
    $this->atHouse('PUT', '/own/own-tulsi', ['version' => 0, 'own' => ['concerns' => ['pregnancy']] + $file['own'][0]])
        ->assertOk()
        ->assertJsonPath('cautions.0.id', 'pregnancy');
    $this->atHouse('PUT', '/own/own-tulsi', ['version' => 1, 'own' => ['name' => 'holy basil'] + $file['own'][0]])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'name');
    $this->atHouse('PUT', '/own/own-tulsi', ['version' => 1, 'own' => ['also' => ['cilantro']] + $file['own'][0]])->assertStatus(422);
    // What cannot be read at all is refused by its name, and nothing of the file is kept.
    $file['own'][] = ['kind' => 'oil', 'name' => 'lead oil', 'density' => 11];
    $this->house = $this->aHouse($this->keeper, 'Third House');
    $this->atHouse('POST', '/import', $file)->assertStatus(422);
    $this->atHouse('GET', '/own/own-tulsi')->assertNotFound();
});
