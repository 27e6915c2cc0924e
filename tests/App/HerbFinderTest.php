<?php

/** @return list<string> names, in their order */
function foundHerbs(object $case, string $typed): array
{
    return array_column(
        $case
            ->atHouse('GET', '/herbs?q='.rawurlencode($typed))
            ->assertOk()
            ->json('herbs'),
        'name',
    );
}

it('finds a herb by any of its names, in any language listed, and says by which', function (string $typed, string $name, string $by) {
    $found = $this->atHouse('GET', '/herbs?q='.rawurlencode($typed))
        ->assertOk()
        ->json('herbs');
    $herb = array_column($found, null, 'name')[$name];
    expect($herb['says'])->toContain($by);
})->with([
    ['calen', 'calendula', ''],
    ['Prunella', 'self-heal', 'also Prunella vulgaris'],
    ['balm of gil', 'poplar bud', 'also balm of gilead'],
    ['tulsi', 'holy basil', 'also tulsi'],
    ['cilantro', 'coriander leaf', 'also cilantro'],
    ['jeera', 'cumin seed', 'also jeera'],
]);

it('has what Stores has first, then what was used lately, and then the others by name', function () {
    $this->batch(['herb' => ['id' => 'yarrow']]);
    $this->batch(['herb' => ['id' => 'heather']]);
    $this->atHouse('POST', '/lots', ['lot' => ['kind' => 'herb', 'material' => 'mugwort', 'amount' => '40 g']])->assertOk();
    $this->atHouse('POST', '/lots', ['lot' => ['kind' => 'herb', 'called' => 'bog pea', 'amount' => '40 g']])->assertOk();
    $found = foundHerbs($this, '');
    expect(array_slice($found, 0, 5))
        ->toBe(['bog pea', 'mugwort', 'heather', 'yarrow', 'agrimony'])
        ->and(count($found))
        ->toBeGreaterThan(150);
    expect($this->atHouse('GET', '/herbs?q=bog')->json('herbs.0'))->toBe([
        'id' => '',
        'name' => 'bog pea',
        'part' => '',
        'form' => 'thin-leaf',
        'says' => 'not in the Almanac',
        'here' => true,
    ]);
    // Used up, it is no longer there.
    expect(foundHerbs($this, 'zzz'))->toBe([]);
});

it('offers nothing deadly', function () {
    expect(foundHerbs($this, 'monkshood'))->toBe([])->and(foundHerbs($this, 'wolfsbane'))->toBe([]);
});
