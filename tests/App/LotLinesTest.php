<?php

use App\Models\Lot;

it('reads lots from lines, keeps nothing, and says what is in the way', function () {
    $read = $this->atHouse('POST', '/lots/read', [
        'lines' => "260 g calendula, dried, walled garden, 27 July, 8.50\nheather\n200 mL emu oil\n3 parsecs heather",
    ])
        ->assertOk()
        ->json();
    expect($read['sound'])
        ->toBe(1)
        ->and(array_column($read['lots'][0]['cells'], 'text', 'as'))
        ->toBe([
            'material' => 'calendula',
            'amount' => '260 g',
            'state' => 'dried',
            'got_where' => 'from walled garden',
            'got_on' => 'got 27 July 2026',
            'price' => '8.50',
        ]);
    expect($read['lots'][1]['faults'])
        ->toBe(['How much it is was not said.'])
        ->and($read['lots'][2]['faults'][0])
        ->toContain('emu oil')
        ->and($read['lots'][3]['faults'])
        ->not->toBe([]);
    expect(Lot::query()->withoutGlobalScopes()->count())->toBe(0);
});

it('takes in all of them or none, once', function () {
    $good = ['kind' => 'herb', 'material' => 'calendula', 'amount' => '260 g'];
    $this->atHouse('POST', '/lots/many', ['lots' => [$good, ['kind' => 'carrier', 'material' => 'olive', 'amount' => 'a lake']]])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'lots.1.amount');
    expect(Lot::query()->withoutGlobalScopes()->count())->toBe(0);
    $lots = [$good, ['kind' => 'carrier', 'material' => 'olive', 'amount' => '1 L', 'price' => '9']];
    foreach ([1, 2] as $_) {
        $this->atHouse('POST', '/lots/many', ['lots' => $lots], key: 'the-same-press-twice')
            ->assertOk()
            ->assertJsonCount(2, 'lots');
    }
    expect(Lot::query()->withoutGlobalScopes()->count())->toBe(2);
});

it('knows an oil of the house’s own by its name on a lid', function () {
    $this->atHouse('POST', '/own', ['own' => ['kind' => 'oil', 'name' => 'emu oil', 'like' => 'lard']])->assertOk();
    $read = $this->atHouse('POST', '/lots/read', ['lines' => '200 mL emu oil'])
        ->assertOk()
        ->json('lots.0');
    expect($read['faults'])->toBe([])->and($read['lot']['material'])->toBe('own-emu-oil');
});

it('refuses what is no lines', function (mixed $lines) {
    $this->atHouse('POST', '/lots/read', ['lines' => $lines])->assertStatus(422);
})->with([[''], [['x']], [str_repeat('a', 8001)]]);
