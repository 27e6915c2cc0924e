<?php

use Kettle\Material\Blend;
use Kettle\Material\Cupboard;
use Kettle\Material\MaterialRefused;
use Kettle\Material\Tables;
use Kettle\Measure\Density;
use Opis\JsonSchema\Validator;

$folder = dirname(__DIR__, 2).'/data';

it('ships tables that keep to their schemas', function (string $table) use ($folder) {
    $data = json_decode((string) file_get_contents("{$folder}/{$table}.json"));
    $schema = json_decode((string) file_get_contents("{$folder}/schemas/{$table}.schema.json"));
    expect((new Validator)->validate($data, $schema)->isValid())->toBeTrue();
})->with(['sources', 'carriers', 'forms', 'herbs', 'vessels', 'methods', 'uptake', 'rules']);

it('names a source that exists for every rule', function () {
    $tables = Tables::shipped();
    $sources = array_map(fn ($row) => $row->text('id'), $tables->table('sources')->rows('rows'));
    foreach ($tables->table('rules')->rows('rows') as $id => $rule) {
        expect(in_array($rule->text('source'), $sources, true))->toBeTrue($id);
    }
});

it('gives every herb a form the tables know', function () {
    $cupboard = new Cupboard(Tables::shipped());
    foreach ($cupboard->herbs() as $herb) {
        expect($cupboard->form($herb->form)->id)->toBe($herb->form);
    }
});

// Codex Alimentarius CXS 210-1999 and CXS 33-1981, quoted from memory.
it('keeps oil densities within the published ranges', function () {
    $checked = 0;
    foreach (Tables::shipped()->table('carriers')->rows('rows') as $row) {
        $published = $row->rowOrNull('published_density');
        if ($published === null) {
            continue;
        }
        $cupboard = new Cupboard(Tables::shipped());
        $at = Density::ofOilAt($cupboard->carrier($row->text('id'))->at20->gramsPerMl, $published->number('at_c'))->gramsPerMl;
        // The range is for a relative density quoted to three places; half a unit of the last is given.
        expect($at)->toBeGreaterThanOrEqual($published->number('low') - 0.0005, $row->text('id'))->toBeLessThanOrEqual($published->number('high') + 0.0005, $row->text('id'));
        $checked++;
    }
    expect($checked)->toBeGreaterThan(10);
});

// AOCS Cd 1c-85 for the formula; Codex and pharmacopoeia ranges for the values, quoted from memory.
it('computes iodine values within the published ranges', function () {
    foreach (Tables::shipped()->table('carriers')->rows('rows') as $row) {
        $value = (new Cupboard(Tables::shipped()))->carrier($row->text('id'))->iodineValue();
        $published = $row->rowOrNull('published_iodine_value');
        if ($value === null || $published === null) {
            continue;
        }
        expect($value)->toBeGreaterThanOrEqual($published->number('low'), $row->text('id'))->toBeLessThanOrEqual($published->number('high'), $row->text('id'));
    }
});

it('blends: masses add, volumes add, and one oil is itself', function () {
    $cupboard = new Cupboard(Tables::shipped());
    $sunflower = $cupboard->carrier('sunflower');
    $jojoba = $cupboard->carrier('jojoba');
    expect(Blend::of([['carrier' => $sunflower, 'parts' => 3.0]])->density(20)->gramsPerMl)->toBe($sunflower->at20->gramsPerMl);
    // By hand: (2 x 0.920 + 1 x 0.866) / 3 = 0.902
    expect(Blend::of([['carrier' => $sunflower, 'parts' => 2.0], ['carrier' => $jojoba, 'parts' => 1.0]])->density(20)->gramsPerMl)->toEqualWithDelta(0.902, 1e-9);
    expect(fn () => Blend::of([['carrier' => $sunflower, 'parts' => 0.0]]))->toThrow(MaterialRefused::class)
        ->and(fn () => Blend::of([]))->toThrow(MaterialRefused::class)
        ->and(fn () => Blend::of([['carrier' => $jojoba, 'parts' => 1.0], ['carrier' => $jojoba, 'parts' => 1.0]]))->toThrow(MaterialRefused::class, 'twice');
});
