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
    ['st johns', 'St John’s wort', ''],
    // Nothing goes by it; what may be meant is shown as no more than that.
    ['marshmellow', 'marshmallow root', 'Nothing goes by “marshmellow”; this is near it'],
    ['calandula', 'calendula', 'Nothing goes by “calandula”; this is near it'],
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
    expect(foundHerbs($this, 'zzz'))->toBe([]);
});

it('knows of what Stores has: in what form a herb is that the tables do not know, while there is any of it', function () {
    $put = fn (array $lot): string => $this->atHouse('POST', '/lots', ['lot' => ['kind' => 'herb', 'amount' => '40 g'] + $lot])
        ->assertOk()
        ->json('lot.id');
    $root = $put(['called' => 'bog root', 'form' => 'root']);
    $yarrow = array_map(fn (string $state): string => $put(['material' => 'yarrow', 'state' => $state]), ['dried', 'fresh']);
    $here = fn (): array => array_column(
        array_filter($this->atHouse('GET', '/herbs?q=')->json('herbs'), fn (array $herb) => $herb['here']),
        'form',
        'name',
    );
    expect(array_keys($here()))
        ->toBe(['bog root', 'yarrow'])
        ->and($here()['bog root'])
        ->toBe('root');
    $other = $this->aHouse($this->keeper, 'Another');
    expect(array_filter($this->call_('GET', "/houses/{$other->uid}/herbs?q=")->json('herbs'), fn (array $herb) => $herb['here']))->toBe([]);
    foreach ([$root => ['yarrow'], $yarrow[0] => ['yarrow'], $yarrow[1] => []] as $lot => $left) {
        $this->atHouse('POST', "/lots/{$lot}/count", ['amount' => '0'])->assertOk();
        expect(array_keys($here()))->toBe($left);
    }
});

it('offers nothing deadly', function () {
    expect(foundHerbs($this, 'monkshood'))->toBe([])->and(foundHerbs($this, 'wolfsbane'))->toBe([]);
});
