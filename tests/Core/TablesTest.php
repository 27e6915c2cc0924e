<?php

use Kettle\Material\Blend;
use Kettle\Material\Cupboard;
use Kettle\Material\MaterialException;
use Kettle\Material\Tables;
use Kettle\Measure\Density;
use Opis\JsonSchema\Validator;

$folder = dirname(__DIR__, 2).'/data';

it('ships tables that keep to their schemas', function (string $table) use ($folder) {
    $data = json_decode((string) file_get_contents("{$folder}/{$table}.json"));
    $schema = json_decode((string) file_get_contents("{$folder}/schemas/{$table}.schema.json"));
    expect((new Validator())->validate($data, $schema)->isValid())->toBeTrue();
})->with([
    'sources',
    'carriers',
    'forms',
    'herbs',
    'namesakes',
    'vessels',
    'methods',
    'uptake',
    'rules',
    'waxes',
    'purposes',
    'checks',
    'things',
    'cautions',
    'keeping',
    'faults',
    'practice',
    'labels',
    'counts',
    'heeds',
    'products',
    'essential_oils',
    'additions',
    'melt',
    'own',
    'decoction',
    'solvents',
]);

it('names a source that exists for every rule', function () {
    $tables = Tables::shipped();
    $sources = array_map(fn ($row) => $row->text('id'), $tables->table('sources')->rows('rows'));
    foreach ($tables->table('rules')->rows('rows') as $id => $rule) {
        expect(in_array($rule->text('source'), $sources, true))->toBeTrue($id);
    }
});

it('is as large as a cupboard needs', function () {
    $cupboard = new Cupboard(Tables::shipped());
    expect(count($cupboard->carriers()))
        ->toBeGreaterThanOrEqual(45)
        ->and(count($cupboard->herbs()))
        ->toBeGreaterThanOrEqual(140)
        ->and(count($cupboard->waxes()))
        ->toBeGreaterThanOrEqual(12);
});

/*
 * Each value stands on a source: its own, or its column's. Each source says whether it is published, common
 * practice or from memory.
 */
it('names a source with its standing for every value', function (string $table) use ($folder) {
    $sources = array_column(json_decode((string) file_get_contents("{$folder}/sources.json"), true)['rows'], 'standing', 'id');
    $data = json_decode((string) file_get_contents("{$folder}/{$table}.json"), true);
    $rows = $table === 'vessels' ? [...$data['jars'], ...$data['bottles']] : $data['rows'];
    foreach ($rows as $row) {
        foreach ($row as $column => $value) {
            // A name for the machine, and a vessel's name for people, are no values to be checked.
            if (in_array($column, ['id', 'kind', 'nominal_ml', 'called'], true) || $value === null || $value === [] || $value === '') {
                continue;
            }
            $source =
                (is_array($value) ? $value['source'] ?? null : null) ??
                ($row['source'] ??
                    ($data['defaults'][$column]['source'] ??
                        match ($column) {
                            'asks' => $data['defaults']['asks']['source'] ?? null,
                            default => null,
                        }));
            expect($source)
                ->not->toBeNull("{$table} {$row['id']} {$column}")
                ->and($sources[$source] ?? '')
                ->not->toBe('', "{$table} {$column}");
        }
    }
})->with([
    'carriers',
    'forms',
    'herbs',
    'waxes',
    'purposes',
    'things',
    'methods',
    'uptake',
    'vessels',
    'products',
    'essential_oils',
    'additions',
]);

it('knows each herb, oil and wax by one id and one name', function () {
    $cupboard = new Cupboard(Tables::shipped());
    foreach ([$cupboard->herbs(), $cupboard->carriers(), $cupboard->waxes()] as $all) {
        $names = array_map(fn ($each) => mb_strtolower($each->name), $all);
        expect(count(array_unique($names)))->toBe(count($names));
    }
});

// European Pharmacopoeia, yellow beeswax: drop point 61 to 66 C, quoted from memory.
it('melts beeswax where the pharmacopoeia says, and not at 40', function () {
    $beeswax = (new Cupboard(Tables::shipped()))->wax('beeswax');
    expect($beeswax->meltsFromC)
        ->toBeGreaterThanOrEqual(61.0)
        ->and($beeswax->meltsToC)
        ->toBeLessThanOrEqual(66.0)
        ->and($beeswax->hardness)
        ->toBe(1.0);
});

it('holds plants of known concern by their traits', function (string $herb, string $trait) {
    expect((new Cupboard(Tables::shipped()))->herb($herb)->traits)->toContain($trait);
})->with([
    ['comfrey-leaf', 'pyrrolizidine'],
    ['comfrey-root', 'pyrrolizidine'],
    ['borage', 'pyrrolizidine'],
    ['coltsfoot', 'pyrrolizidine'],
    ['st-johns-wort', 'sunlight'],
    ['st-johns-wort', 'medicines'],
    ['arnica', 'unbroken-skin'],
    ['peppermint', 'vapour'],
    ['eucalyptus', 'vapour'],
    ['wormwood', 'thujone'],
    ['rue', 'poison'],
    ['pennyroyal', 'poison'],
    ['sassafras-root', 'poison'],
    ['calendula', 'daisy-family'],
    ['chamomile', 'daisy-family'],
    ['yarrow', 'daisy-family'],
    ['mugwort', 'daisy-family'],
    ['helichrysum', 'daisy-family'],
    ['bhringraj', 'daisy-family'],
    ['echinacea', 'daisy-family'],
    ['tarragon', 'daisy-family'],
    ['alkanet', 'pyrrolizidine'],
    ['lungwort', 'pyrrolizidine'],
    ['heliotrope', 'pyrrolizidine'],
    ['butterbur', 'pyrrolizidine'],
    ['groundsel-ragwort', 'pyrrolizidine'],
    ['fenugreek-seed', 'pregnancy'],
    ['black-cumin', 'pregnancy'],
    ['aloe', 'pregnancy'],
    ['neem-leaf', 'pregnancy'],
    ['dong-quai', 'sunlight'],
    ['lovage', 'sunlight'],
    ['giant-hogweed', 'sunlight'],
    ['licorice-root', 'medicines'],
    ['bladderwrack', 'medicines'],
    ['tea-tree-leaf', 'pets'],
    ['cacao-nib', 'pets'],
    ['chive', 'pets'],
    ['horseradish', 'burning'],
    ['star-anise', 'look-alike'],
    ['jasmine', 'look-alike'],
    ['bilberry', 'look-alike'],
    ['chaparral', 'unbroken-skin'],
    ['horse-chestnut', 'unbroken-skin'],
    ['poke-root', 'poison'],
    ['white-sage', 'thujone'],
    ['birch-bark', 'salicylate'],
]);

// Written out by hand, after the lists of poison centres, from memory: what no kitchen makes an oil of.
it('stops at every plant that kills, and at no other', function () {
    $deadly = array_filter((new Cupboard(Tables::shipped()))->herbs(), fn ($herb) => $herb->has('deadly'));
    $ids = array_keys($deadly);
    sort($ids);
    expect($ids)->toBe([
        'castor-seed',
        'deadly-nightshade',
        'fools-parsley',
        'foxglove',
        'hellebore',
        'hemlock',
        'henbane',
        'japanese-star-anise',
        'lily-of-the-valley',
        'mandrake',
        'meadow-saffron',
        'monkshood',
        'oleander',
        'savin',
        'thorn-apple',
        'water-dropwort',
        'yellow-jessamine',
        'yew',
    ]);
});

// What is fresh in a kitchen and not sour, by its plant: none of it is taken for a dry one. Common practice, no source.
it('takes no juicy kitchen plant for one that keeps', function (string $herb) {
    expect((new Cupboard(Tables::shipped()))->herb($herb)->isWatery())->toBeTrue();
})->with([
    'chive',
    'coriander-leaf',
    'curry-leaf',
    'holy-basil',
    'carrot-root',
    'cucumber',
    'beetroot',
    'galangal',
    'moringa-leaf',
    'purslane',
]);

it('eats nothing that is poison', function () {
    foreach ((new Cupboard(Tables::shipped()))->herbs() as $herb) {
        if ($herb->id !== 'nutmeg' && ($herb->has('poison') || $herb->has('deadly') || $herb->has('pyrrolizidine'))) {
            expect($herb->kitchen)->toBeFalse($herb->id);
        }
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
        expect($at)
            ->toBeGreaterThanOrEqual($published->number('low') - 0.0005, $row->text('id'))
            ->toBeLessThanOrEqual($published->number('high') + 0.0005, $row->text('id'));
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
        expect($value)
            ->toBeGreaterThanOrEqual($published->number('low'), $row->text('id'))
            ->toBeLessThanOrEqual($published->number('high'), $row->text('id'));
    }
});

it('blends: masses add, volumes add, and one oil is itself', function () {
    $cupboard = new Cupboard(Tables::shipped());
    $sunflower = $cupboard->carrier('sunflower');
    $jojoba = $cupboard->carrier('jojoba');
    expect(Blend::of([['carrier' => $sunflower, 'parts' => 3.0]])->density(20)->gramsPerMl)->toBe($sunflower->at20->gramsPerMl);
    // By hand: (2 x 0.920 + 1 x 0.866) / 3 = 0.902
    expect(
        Blend::of([['carrier' => $sunflower, 'parts' => 2.0], ['carrier' => $jojoba, 'parts' => 1.0]])->density(20)->gramsPerMl,
    )->toEqualWithDelta(0.902, 1e-9);
    expect(fn () => Blend::of([['carrier' => $sunflower, 'parts' => 0.0]]))
        ->toThrow(MaterialException::class)
        ->and(fn () => Blend::of([]))
        ->toThrow(MaterialException::class)
        ->and(fn () => Blend::of([['carrier' => $jojoba, 'parts' => 1.0], ['carrier' => $jojoba, 'parts' => 1.0]]))
        ->toThrow(MaterialException::class, 'twice');
});

it('takes the same wish and the same plan in every format that carries one', function () {
    $formats = dirname(__DIR__, 2).'/docs/formats';
    $read = fn (string $name): array => json_decode((string) file_get_contents("{$formats}/{$name}.schema.json"), true);
    $keys = function (array $properties): array {
        $keys = array_keys($properties);
        sort($keys);

        return $keys;
    };
    $wish = $keys(array_diff_key($read('wish')['properties'], ['$schema' => 1, 'house' => 1]));
    $house = $read('house')['properties'];
    foreach (
        [
            $read('recipe')['properties']['wish']['anyOf'][0],
            $house['batches']['items']['properties']['wish'],
            $house['recipes']['items']['properties']['versions']['items']['properties']['wish']['anyOf'][0],
        ] as $carried
    ) {
        expect($keys(array_diff_key($carried['properties'], ['$schema' => 1, 'house' => 1])))->toBe($wish);
    }
    expect($read('house')['$defs']['own'])->toBe($read('wish')['$defs']['own']);
    // A recipe of a product carries what the Melt is asked, less what a house knows by itself.
    $asks = $read('reckon')['$defs']['melt']['asks']['properties'];
    expect($keys($read('recipe')['properties']['wish']['anyOf'][1]['properties']))->toBe(
        $keys(array_diff_key($asks, array_flip(['house', 'batches', 'boils', 'verdicts', 'loss_share', 'hour_rate']))),
    );
    expect(
        array_values(array_diff($keys($read('plan')['properties']), $keys($house['batches']['items']['properties']['plan']['properties']))),
    )->toBe(['methods']);
});
