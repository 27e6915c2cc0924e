<?php

require_once dirname(__DIR__).'/Pressed.php';

it('has everything the tables know, each with a page of sources', function (string $kind, int $least) {
    $entries = $this->atHouse('GET', "/almanac?kind={$kind}")->assertOk()->json('entries');
    expect(count($entries))->toBeGreaterThanOrEqual($least);
    foreach ($entries as $entry) {
        $page = $this->atHouse('GET', "/almanac/{$entry['kind']}/{$entry['key']}")->assertOk()->json();
        expect($page['name'])->toBe($entry['name'])->and($page['facts'])->not->toBe([]);
        foreach ($page['facts'] as $fact) {
            expect($fact['source'])->not->toBe('')->and($fact['text'])->not->toContain('{');
        }
    }
})->with([['plant', 70], ['oil', 24], ['method', 8], ['caution', 40], ['fault', 18]]);

it('shows a plant with its cautions and what the house made of it', function () {
    $path = bottledBatch(['herb' => ['id' => 'arnica'], 'oils' => ['olive']], '250 mL', [50 => 2]);
    $this->atHouse('POST', '/lots', ['lot' => ['kind' => 'herb', 'material' => 'arnica', 'amount' => '40 g']])->assertOk();
    $page = $this->atHouse('GET', '/almanac/plant/arnica')->assertOk()->json();
    expect(array_column($page['cautions'], 'id'))->toBe(['unbroken-skin', 'daisy-family'])
        ->and($page['own'][0]['text'])->toContain('Arnica in olive oil')->and($page['own'][0]['to'])->toBe(ltrim(str_replace('/batches/', 'batch/', $path), '/'))
        ->and(implode(' ', array_column($page['own'], 'text')))->toContain('In Stores: arnica, 40 g')->toContain('stays in each gram here');
    expect($this->atHouse('GET', '/almanac/plant/garlic')->json('facts.5.text'))->toContain('soured first, 1 part to 3');
    expect($this->atHouse('GET', '/almanac/caution/daisy-family')->json('lines.0'))->toContain('calendula')->toContain('yarrow');
});

it('keeps the house’s own note, and shows a clash', function () {
    $path = '/almanac/plant/calendula';
    $write = fn (string $note, int $version, $as = null) => $this->atHouse('PUT', "{$path}/note", ['note' => $note, 'version' => $version], $as);
    $write('Pick at noon.', 0)->assertOk()->assertJsonPath('note', 'Pick at noon.')->assertJsonPath('note_by', 'Keeper')->assertJsonPath('note_version', 1);
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
    expect($find('Althaea'))->toBe(['Marshmallow root' => 'almanac/plant/marshmallow-root'])
        ->and($find('jojoba'))->toHaveKey('Jojoba')
        ->and($find('slow cooker'))->toContain('almanac/method/slow-cooker')
        ->and($find('mould'))->toContain('almanac/fault/mould')
        ->and($find('botul'))->toContain('almanac/caution/botulism');
    expect($this->atHouse('GET', '/almanac?kind=caution&q=spores')->json('entries'))->not->toBe([]);
    $this->atHouse('GET', '/almanac?kind=nonsense')->assertOk()->assertJsonPath('entries.0.kind', 'plant');
    $this->atHouse('GET', '/almanac?kind[]=plant&q[]=x')->assertOk();
    $this->atHouse('GET', '/almanac/plant/nosuch')->assertNotFound();
    $this->atHouse('GET', '/almanac/nosuch/calendula')->assertNotFound();
});
