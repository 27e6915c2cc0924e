<?php

require_once dirname(__DIR__).'/Pressed.php';

it('has everything the tables know, each with a page of sources', function (string $kind, int $least) {
    $entries = $this->atHouse('GET', "/almanac?kind={$kind}")
        ->assertOk()
        ->json('entries');
    expect(count($entries))->toBeGreaterThanOrEqual($least);
    foreach ($entries as $entry) {
        $page = $this->atHouse('GET', "/almanac/{$entry['kind']}/{$entry['key']}")
            ->assertOk()
            ->json();
        expect($page['name'])->toBe($entry['name'])->and($page['facts'])->not->toBe([]);
        foreach ($page['facts'] as $fact) {
            expect($fact['source'])->not->toBe('')->and($fact['text'])->not->toContain('{');
        }
    }
})->with([['plant', 70], ['oil', 24], ['method', 8], ['wax', 12], ['scent', 30], ['product', 20], ['caution', 60], ['fault', 18]]);

it('shows a plant with its cautions and what the house made of it', function () {
    $path = bottledBatch(['herb' => ['id' => 'arnica'], 'oils' => ['olive']], '250 mL', [50 => 2]);
    $this->atHouse('POST', '/lots', ['lot' => ['kind' => 'herb', 'material' => 'arnica', 'amount' => '40 g']])->assertOk();
    $page = $this->atHouse('GET', '/almanac/plant/arnica')->assertOk()->json();
    expect(array_column($page['cautions'], 'id'))
        ->toBe(['unbroken-skin', 'daisy-family'])
        ->and($page['own'][0]['text'])
        ->toContain('Arnica in olive oil')
        ->and($page['own'][0]['to'])
        ->toBe(ltrim(str_replace('/batches/', 'batch/', $path), '/'))
        ->and(implode(' ', array_column($page['own'], 'text')))
        ->toContain('In Stores: arnica, 40 g')
        ->toContain('stays in each gram here');
    expect($this->atHouse('GET', '/almanac/plant/garlic')->json('facts.5.text'))->toContain('soured first, 1 part to 3');
    expect($this->atHouse('GET', '/almanac/caution/daisy-family')->json('lines.0'))
        ->toContain('calendula')
        ->toContain('yarrow');
});

it('keeps the house’s own note, and shows a clash', function () {
    $path = '/almanac/plant/calendula';
    $write = fn (string $note, int $version, $as = null) => $this->atHouse(
        'PUT',
        "{$path}/note",
        ['note' => $note, 'version' => $version],
        $as,
    );
    $write('Pick at noon.', 0)
        ->assertOk()
        ->assertJsonPath('note', 'Pick at noon.')
        ->assertJsonPath('note_by', 'Keeper')
        ->assertJsonPath('note_version', 1);
    $write('Mine as well.', 0)->assertStatus(409);
    $write('Pick at noon, dry whole.', 1)->assertOk()->assertJsonPath('note_version', 2);
    $write('Late.', 1)->assertStatus(409);
    $write('', 2)->assertOk()->assertJsonPath('note', '');
    $write(str_repeat('x', 5001), 3)->assertStatus(422);
    $this->atHouse('PUT', '/almanac/plant/triffid/note', ['note' => 'x', 'version' => 0])->assertNotFound();
    // Another house has its own.
    $this->house = $this->aHouse($this->keeper, 'Other');
    $this->atHouse('GET', $path)->assertJsonPath('note', '')->assertJsonPath('note_version', 0);
});

it('is found from anywhere, by name, and looked through by what it says', function () {
    $find = fn (string $typed) => array_column($this->atHouse('GET', '/find?q='.urlencode($typed))->json('found'), 'path', 'name');
    expect($find('Althaea'))
        ->toBe(['Marshmallow root' => 'almanac/plant/marshmallow-root'])
        ->and($find('jojoba'))
        ->toHaveKey('Jojoba')
        ->and($find('slow cooker'))
        ->toContain('almanac/method/slow-cooker')
        ->and($find('mould'))
        ->toContain('almanac/fault/mould')
        ->and($find('botul'))
        ->toContain('almanac/caution/botulism')
        // A fault by what is seen of it, and a name without its marks.
        ->and($find('cloudy'))
        ->toContain('almanac/fault/water')
        ->and($find('st johns'))
        ->toContain('almanac/plant/st-johns-wort');
    expect($this->atHouse('GET', '/almanac?kind=caution&q=spores')->json('entries'))->not->toBe([]);
    $this->atHouse('GET', '/almanac')->assertOk()->assertJsonPath('entries.0.kind', 'plant');
    $this->atHouse('GET', '/almanac?kind=nonsense')->assertStatus(422)->assertJsonPath('faults.0.field', 'kind');
    $this->atHouse('GET', '/almanac?q[]=x')->assertStatus(422)->assertJsonPath('faults.0.field', 'q');
    $this->atHouse('GET', '/almanac/plant/nosuch')->assertNotFound();
    $this->atHouse('GET', '/almanac/nosuch/calendula')->assertNotFound();
});

it('shows an oil with figures that stand within the published ones', function (string $oil, array $iodine, array $density) {
    $facts = array_column(
        $this->atHouse('GET', "/almanac/oil/{$oil}")
            ->assertOk()
            ->json('facts'),
        'text',
        'name',
    );
    expect((float) $facts['Iodine value'])
        ->toBeGreaterThanOrEqual($iodine[0])
        ->toBeLessThanOrEqual($iodine[1])
        ->and((float) $facts['Density at 20 °C'])
        ->toBeGreaterThanOrEqual($density[0])
        ->toBeLessThanOrEqual($density[1])
        ->and(str_contains($facts['Iodine value'], 'a drying oil'))
        ->toBe($iodine[0] > 130);
})->with([
    // Codex Stan 33 (olive) and 210 (the others), iodine value and relative density at 20 C; from memory.
    'olive' => ['olive', [75, 94], [0.91, 0.916]],
    'sweet almond' => ['sweet-almond', [85, 109], [0.911, 0.929]],
    'flaxseed' => ['flaxseed', [170, 211], [0.925, 0.935]],
    'groundnut' => ['groundnut', [77, 107], [0.909, 0.92]],
]);

it('names of an oil what a label must, and whether it is food', function (string $oil, string $inci, string $food, ?string $contains) {
    $facts = array_column(
        $this->atHouse('GET', "/almanac/oil/{$oil}")
            ->assertOk()
            ->json('facts'),
        'text',
        'name',
    );
    expect($facts['INCI name'])
        ->toBe($inci)
        ->and($facts['For the kitchen'])
        ->toBe($food)
        ->and($facts['Contains'] ?? null)
        ->toBe($contains);
})->with([
    // INCI names as the European inventory has them, from memory; allergens of Regulation (EU) 1169/2011, Annex II.
    ['jojoba', 'Simmondsia Chinensis Seed Oil', 'not sold as food', null],
    ['sweet-almond', 'Prunus Amygdalus Dulcis Oil', 'sold as food', 'almond (tree nuts)'],
    ['sesame', 'Sesamum Indicum Seed Oil', 'sold as food', 'sesame'],
    ['olive', 'Olea Europaea Fruit Oil', 'sold as food', null],
]);

it('gives the schools of a method side by side, with their heat and never over what', function () {
    $page = $this->atHouse('GET', '/almanac/method/slow-cooker')->assertOk()->json();
    expect(count($page['facts']))->toBeGreaterThan(1);
    foreach ($page['facts'] as $school) {
        expect($school['text'])->toMatch('/^\d.* to .*, usually .*, at .*°.* and never over .*°/')->and($school['source'])->not->toBe('');
    }
    $cold = $this->atHouse('GET', '/almanac/method/cold')->assertOk()->json('facts.0.text');
    expect($cold)->toContain('usually')->not->toContain('never over');
});

it('says of a caution how much it weighs and where it is shown, and of a fault what to do', function () {
    $facts = array_column($this->atHouse('GET', '/almanac/caution/botulism')->assertOk()->json('facts'), 'text', 'name');
    expect($facts['Rank'])->toBe('stop: it is not done so')->and($facts['Shown at'])->toContain('bench');
    $fault = array_column($this->atHouse('GET', '/almanac/fault/mould')->assertOk()->json('facts'), 'text', 'name');
    expect($fault['Shows as'])->toContain('fur')->and($fault['Keep it?'])->toBe('no: throw it away');
    // Splinters cannot be strained out: common practice, no source.
    $cracked = array_column($this->atHouse('GET', '/almanac/fault/shock')->assertOk()->json('facts'), 'text', 'name');
    expect($cracked['Do'])->toContain('Throw all of it away');
});
