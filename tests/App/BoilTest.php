<?php

/** @return array<string, mixed> */
function boilDown(array $body, int $status = 200): array
{
    return test()->atHouse('POST', '/boil', $body)->assertStatus($status)->json();
}

it('reckons a decoction as it was typed, pot and all', function () {
    $answer = boilDown([
        'what' => 'decoction',
        'hardness' => 'very-hard',
        'herb' => '100 g',
        'width' => '20 cm',
        'height' => '18 cm',
        'rate' => '450 mL an hour',
    ]);
    expect($answer['figures']['water_volume']['value'])
        ->toEqualWithDelta(1600, 0.01)
        ->and($answer['figures']['hours']['text'])
        ->toBe('2.7 h')
        ->and($answer['stages'][0]['pot']['diameter_mm'])
        ->toEqualWithDelta(200, 0.01);
});

it('plans the long oil with its days, in the house’s own words', function () {
    $answer = boilDown([
        'what' => 'long-oil',
        'stage' => 'whole',
        'oil' => '2.4 L',
        'hardness' => 'medium',
        'hours_a_day' => '8 h',
        'width' => '36 cm',
        'height' => '30 cm',
    ]);
    expect(array_column($answer['stages'], 'stage'))
        ->toBe(['decoction', 'cleanse', 'cook'])
        ->and(array_sum(array_column($answer['days'], 'hours')))
        ->toBeGreaterThan(20)
        ->and(max(array_column($answer['days'], 'hours')))
        ->toBeLessThanOrEqual(8)
        ->and(array_column($answer['notes'], 'id'))
        ->toContain('metals')
        ->and($answer['days'][0]['says'])
        ->toMatch('/\d\d:\d\d to \d\d:\d\d$/');
});

it('weighs a glycerin extract, and answers which solvent', function () {
    expect(boilDown(['what' => 'glycerin', 'total' => '250 g', 'share' => '80 %'])['figures']['glycerin_mass']['value'])->toEqualWithDelta(
        200,
        0.01,
    );
    $answer = $this->atHouse('GET', '/solvents?herb=marshmallow-root&use=salve')->assertOk()->json();
    expect($answer['oil'])->toBeFalse()->and($answer['says'])->toContain('slime');
});

it('refuses in a sentence, at its field', function (array $body, string $field) {
    expect(array_column(boilDown($body, 422)['faults'], 'field'))->toContain($field);
})->with([
    'nothing' => [[], 'what'],
    'no amount' => [['what' => 'decoction', 'hardness' => 'soft'], 'want'],
    'a pot too small' => [['what' => 'long-oil', 'stage' => 'cleanse', 'oil' => '2 L', 'width' => '20 cm', 'height' => '20 cm'], 'width'],
    'a width of words' => [['what' => 'long-oil', 'stage' => 'cleanse', 'oil' => '2 L', 'width' => 'wide', 'height' => '20 cm'], 'width'],
    'a rate of nothing' => [['what' => 'decoction', 'hardness' => 'soft', 'want' => '1 L', 'rate' => '0 mL'], 'rate'],
    'forty hours a day' => [['what' => 'long-oil', 'stage' => 'cleanse', 'oil' => '1 L', 'hours_a_day' => '40'], 'hours_a_day'],
    'little glycerin' => [['what' => 'glycerin', 'total' => '100 g', 'share' => '5'], 'share'],
    'a herb nobody knows' => [['what' => 'decoction', 'herbs' => ['moonwort'], 'want' => '1 L'], 'herbs.0'],
]);

it('refuses a plant or a use nobody knows', function () {
    $this->atHouse('GET', '/solvents?herb=moonwort')->assertStatus(422);
    $this->atHouse('GET', '/solvents?herb=calendula&use=soup')->assertStatus(422);
});
