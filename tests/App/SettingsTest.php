<?php

use App\Models\House;

/** @return array<string, mixed> what every change of a house's settings says, as the house stands */
function settingsNow(mixed $test): array
{
    $house = $test->atHouse('GET', '')->json();

    return array_intersect_key($house, array_flip(['version', 'name', 'time_zone', 'measures', 'wake', 'bed', 'drops_per_ml']));
}

it('reads a setting as it is typed', function (array $typed, array $kept) {
    $answer = $this->atHouse('PATCH', '', [...settingsNow($this), ...$typed])->assertOk();
    foreach ($kept as $field => $value) {
        expect($answer->json($field))->toEqual($value);
    }
})->with([
    'by the twelve-hour clock' => [['wake' => '6.30am', 'bed' => '10pm'], ['wake' => '06:30', 'bed' => '22:00']],
    'drops with a comma' => [['drops_per_ml' => '18,5'], ['drops_per_ml' => 18.5]],
    'drops by their name' => [['drops_per_ml' => '25 drops'], ['drops_per_ml' => 25]],
    'metres' => [['height_m' => '15 m'], ['height_m' => 15]],
    'below the sea' => [['height_m' => '-3'], ['height_m' => -3]],
    'minutes of a degree' => [['latitude' => '59°15′ N', 'longitude' => '2°36′ W'], ['latitude' => 59.25, 'longitude' => -2.6]],
    'numbers' => [['latitude' => 59.25, 'longitude' => -2.6], ['latitude' => 59.25, 'longitude' => -2.6]],
    'money by its sign' => [['currency' => '£', 'hour_rate' => '£9.50'], ['currency' => 'GBP', 'hour_rate' => 9.5]],
    'money in small letters' => [['currency' => 'eur'], ['currency' => 'EUR']],
    'no money' => [['currency' => ''], ['currency' => '']],
    'a room in Fahrenheit' => [['room' => '68 F'], ['room_c' => 20]],
    'a room at freezing' => [['room' => '0 C'], ['room_c' => 0]],
    'hours at home' => [
        ['home' => ['7-8.30, 17-22', 'from 6pm', 'out', 'all day', '', '-', 'until 9']],
        ['home' => ['07:00-08:30, 17:00-22:00', '18:00-23:59', '-', '', '', '-', '00:00-09:00']],
    ],
    'what there is' => [['things' => ['shelf', 'pan']], ['things' => ['shelf', 'pan']]],
]);

it('says all that is wrong at once', function () {
    $answer = $this->atHouse('PATCH', '', [
        ...settingsNow($this),
        ...['wake' => 'early', 'room' => 'oven', 'currency' => 'ZZZ', 'home' => ['mornings', '', '9-5', '', '', '', '']],
    ])->assertStatus(422);
    expect(array_column($answer->json('faults'), 'field'))->toBe(['wake', 'home.0', 'home.2', 'room', 'currency']);
});

it('leaves out what an older house may have had to work with, so that the rest of it can be kept', function () {
    $this->house->forceFill(['things' => ['shelf', 'samovar']])->save();
    expect($this->atHouse('GET', '')->json('things'))->toBe(['shelf']);
});

it('refuses a setting beside it, and keeps what stood', function (array $typed, string $field, string $says) {
    $before = settingsNow($this);
    $answer = $this->atHouse('PATCH', '', [...$before, ...$typed])->assertStatus(422);
    expect($answer->json('faults.0.field'))->toBe($field)->and($answer->json('faults.0.sentence'))->toContain($says);
    expect(settingsNow($this))
        ->toEqual($before)
        ->and(House::query()->value('version'))
        ->toBe($before['version']);
})->with([
    'no time' => [['wake' => 'early'], 'wake', '“early” is not a time of day'],
    'bed before getting up' => [['bed' => '05:00'], 'bed', 'at least four hours after'],
    'drops nobody counted' => [['drops_per_ml' => 'many'], 'drops_per_ml', 'must be a number'],
    'no drops' => [['drops_per_ml' => ''], 'drops_per_ml', 'Fill in how many drops are a millilitre'],
    'a height in feet' => [['height_m' => '50 ft'], 'height_m', 'must be a whole number'],
    'no height' => [['height_m' => ''], 'height_m', 'must be a whole number'],
    'north in the east' => [['latitude' => '59', 'longitude' => '2.6 N'], 'longitude', 'must be a number'],
    'half a place' => [['latitude' => '59', 'longitude' => null], 'longitude', 'Fill in'],
    'money of no country' => [['currency' => 'ZZZ'], 'currency', '“ZZZ” is the money of no one country'],
    'a sign of many' => [['currency' => '$'], 'currency', '“$” is the money of no one country'],
    'an hour in other money' => [['currency' => 'GBP', 'hour_rate' => '€9'], 'hour_rate', 'must be a number'],
    'a room like an oven' => [['room' => '100 C'], 'room', 'A room is between 0 °C and 40 °C'],
    'a room in words' => [['room' => 'cold'], 'room', 'cannot be read as a temperature'],
    'no hours' => [['home' => ['', 'mornings', '', '', '', '', '']], 'home.1', '“mornings” is not a while of the day'],
    'hours that overlap' => [['home' => ['7-9, 8-10', '', '', '', '', '', '']], 'home.0', 'is not a while of the day'],
    'a thing nobody knows' => [['things' => ['shelf', 'samovar']], 'things.1', '“samovar” is not among'],
]);

it('has no two jars, bottles, cookers or thermometers of one name', function (string $path, array $body) {
    $this->atHouse('POST', $path, ['called' => 'the twin', ...$body])->assertOk();
    foreach (['the twin', 'The Twin', '  the twin '] as $called) {
        $this->atHouse('POST', $path, ['called' => $called, ...$body])
            ->assertStatus(422)
            ->assertJsonPath('faults.0.field', 'called')
            ->assertSee('told apart');
    }
    $this->atHouse('POST', $path, ['called' => 'the other twin', ...$body])->assertOk();
    // What another house calls so is nothing to this one.
    $this->house = $this->aHouse($this->keeper, 'Second house');
    $this->atHouse('POST', $path, ['called' => 'the twin', ...$body])->assertOk();
})->with([
    ['/jars', ['brim' => '500 mL', 'height' => '12 cm']],
    ['/bottles', ['capacity' => '60 mL']],
    ['/cookers', ['shape' => 'round', 'length' => '21 cm', 'height' => '13 cm', 'method' => 'slow-cooker']],
    ['/probes', ['kind' => 'sends']],
]);
