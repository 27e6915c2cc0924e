<?php

use Kettle\Ask\Questions;
use Kettle\Material\Carrier;
use Kettle\Material\Cupboard;
use Kettle\Material\Herb;
use Kettle\Material\Own;
use Kettle\Material\OwnException;
use Kettle\Material\OwnReader;
use Kettle\Material\Tables;
use Kettle\Material\Wax;
use Kettle\Reason\Faults;
use Kettle\Recipe\HerbsReader;
use Kettle\Recipe\KitchenReader;
use Kettle\Recipe\WishException;

/** @param  array<string, mixed>  $more */
function ownPlant(array $more = []): array
{
    return ['kind' => 'plant', 'name' => 'wild fuchsia', 'form' => 'flower-heads', ...$more];
}

function ownRead(array $document): Kettle\Material\OwnThing
{
    return (new OwnReader(new Cupboard(Tables::shipped())))->read($document);
}

/** @return list<string> "field reason" of each fault */
function ownFaults(array $document): array
{
    try {
        ownRead($document);
    } catch (OwnException $refused) {
        return array_map(fn (array $fault) => $fault['field'].' '.$fault['reason'], $refused->faults);
    }

    return [];
}

/** @return list<string> ids of what is told of it, in its order */
function ownCautions(array $document): array
{
    $answer = (new Questions(Tables::shipped()))->ask('own', ['own' => $document], new DateTimeImmutable('2026-11-24'));

    return array_column($answer['cautions'], 'id');
}

/*
 * Written out by hand: what is told of a plant of a house's own. Families' concerns are facts of the trade: the daisy
 * family's allergy, the borage family's pyrrolizidines, the carrot family's look-alikes and burns in the sun.
 */
it('tells of a plant of the house’s own what was entered, what its family has and what its kin has', function (array $more, array $told) {
    expect(ownCautions(ownPlant($more)))->toBe($told);
})->with([
    'nothing said' => [[], ['own-unasked']],
    'looked up, and nothing found' => [['concerns' => []], ['own-plant']],
    'a concern' => [['concerns' => ['pregnancy']], ['pregnancy', 'own-plant']],
    'a family, and nobody looked' => [['family' => 'daisy'], ['daisy-family', 'own-unasked']],
    'of the borage family' => [['family' => 'borage', 'concerns' => []], ['pyrrolizidine', 'own-plant']],
    'of the carrot family' => [
        ['family' => 'carrot', 'concerns' => [], 'look_alikes' => 'hemlock'],
        ['sunlight', 'look-alike', 'own-plant'],
    ],
    'like wormwood' => [['kin' => 'wormwood'], ['thujone', 'pregnancy', 'daisy-family', 'own-plant']],
    'like monkshood' => [['kin' => 'monkshood'], ['deadly', 'poison', 'pregnancy', 'pets', 'own-plant']],
    'what it is taken for' => [['look_alikes' => 'yew', 'concerns' => []], ['look-alike', 'own-plant']],
]);

it('never takes a tested souring over to another plant', function () {
    $wild = ownRead(ownPlant(['name' => 'elephant bulb', 'kin' => 'garlic', 'form' => 'bulb']))->thing;
    assert($wild instanceof Herb);
    expect($wild->traits)->toContain('low-acid')->not->toContain('soured-1-3')->and(Kettle\Caution\AcidSoak::partsFor($wild))->toBeNull();
});

it('takes a plant of which nobody said how watery it is for a watery one, and for no food', function () {
    $said = ownRead(ownPlant())->thing;
    $dry = ownRead(ownPlant(['water' => '55 %', 'food' => 'yes']))->thing;
    assert($said instanceof Herb && $dry instanceof Herb);
    expect($said->has('watery'))->toBeTrue()->and($said->kitchen)->toBeFalse()->and($said->waterFresh)->toBeNull();
    expect($dry->has('watery'))->toBeFalse()->and($dry->kitchen)->toBeTrue()->and($dry->waterFresh)->toEqualWithDelta(0.55, 1e-9);
});

it('reckons a plant of its own with its own water', function () {
    $water = function (array $more): float {
        $kitchen = KitchenReader::read(
            ['own' => [ownPlant(['id' => 'own-fuchsia', 'concerns' => [], ...$more])]],
            new DateTimeImmutable('2026-11-24'),
            Tables::shipped(),
        );
        $read = (new HerbsReader($kitchen->cupboard(), $kitchen))->read(
            ['herb' => ['id' => 'own-fuchsia', 'state' => 'fresh']],
            new Faults(),
        );

        return (float) $read['mix']->parts[0]->water;
    };
    expect($water([]))->toBe(0.85)->and($water(['water' => 55]))->toEqualWithDelta(0.55, 1e-9);
});

it('stops at a plant of its own that is kin to a deadly one', function () {
    (new Questions(Tables::shipped()))->ask(
        'plan',
        [
            'herb' => ['id' => 'own-blue-hood'],
            'oils' => ['olive'],
            'house' => ['own' => [ownPlant(['name' => 'blue hood', 'kin' => 'monkshood'])]],
        ],
        new DateTimeImmutable('2026-11-24'),
    );
})->throws(WishException::class, 'deadly');

it('reckons an oil nobody knows as the weakest of its kind, and says what is not known', function () {
    $own = ownRead(['kind' => 'oil', 'name' => 'yangu oil']);
    assert($own->thing instanceof Carrier);
    expect($own->unknown)
        ->toBe(['density', 'sets', 'months', 'fats', 'allergens', 'food'])
        ->and($own->thing->months->opened)
        ->toBe(3.0)
        ->and($own->thing->food->gradeExists)
        ->toBeFalse()
        ->and(ownCautions(['kind' => 'oil', 'name' => 'yangu oil']))
        ->toBe(['own-oil']);
    $plan = (new Questions(Tables::shipped()))->ask(
        'plan',
        ['herb' => ['id' => 'calendula'], 'oils' => ['own-yangu-oil'], 'house' => ['own' => [['kind' => 'oil', 'name' => 'yangu oil']]]],
        new DateTimeImmutable('2026-11-24'),
    );
    expect(implode(' ', array_column($plan['notes'], 'says')))
        ->toContain('what a millilitre of it weighs')
        ->and($plan['sentence_text'] ?? json_encode($plan['sentence']))
        ->toContain('yangu oil');
});

it('takes from the oil it is like what was not said, and never fewer allergens', function () {
    $own = ownRead([
        'kind' => 'oil',
        'name' => 'toasted walnut oil of the mill',
        'like' => 'walnut',
        'allergens' => ['sesame'],
        'food' => 'yes',
    ]);
    assert($own->thing instanceof Carrier);
    expect($own->unknown)
        ->toBe([])
        ->and($own->thing->food->allergens)
        ->toBe(['walnut (tree nuts)', 'sesame'])
        ->and($own->thing->iodineValue())
        ->toEqualWithDelta((new Cupboard(Tables::shipped()))->carrier('walnut')->iodineValue(), 1e-9)
        ->and(ownCautions(['kind' => 'oil', 'name' => 'toasted walnut oil of the mill', 'like' => 'walnut']))
        ->toBe(['allergens', 'rags']);
});

// AOCS Cd 1c-85: 0.860 x 70 + 1.732 x 15 = 86.18.
it('reckons its fats as those of the tables', function () {
    $own = ownRead(['kind' => 'oil', 'name' => 'yangu oil', 'fatty_acids' => ['16:0' => 12, '18:1' => 70, '18:2' => 15]])->thing;
    assert($own instanceof Carrier);
    expect($own->iodineValue())->toEqualWithDelta(86.18, 1e-6);
});

it('melts a wax of its own as hot as any, and asks what it cannot guess', function () {
    $wax = ownRead(['kind' => 'wax', 'name' => 'bayberry wax', 'melts_from' => 45, 'melts_to' => 49, 'hardness' => '0,9'])->thing;
    assert($wax instanceof Wax);
    expect($wax->hardness)->toBe(0.9)->and(Kettle\Melt\Fusion::of($wax))->not->toBeNull();
    expect(ownFaults(['kind' => 'wax', 'name' => 'bayberry wax']))->toBe(['melts_from missing', 'hardness missing']);
    $answer = (new Questions(Tables::shipped()))->ask(
        'melt',
        [
            'product' => 'salve',
            'oils' => ['olive'],
            'waxes' => [['id' => 'own-bayberry-wax']],
            'total' => '100 g',
            'house' => ['own' => [['kind' => 'wax', 'name' => 'bayberry wax', 'melts_from' => 45, 'melts_to' => 49, 'hardness' => 0.9]]],
        ],
        new DateTimeImmutable('2026-11-24'),
    );
    expect(array_column($answer['cautions'], 'id'))->toContain('wax-fire')->toContain('hot-wax');
});

it('holds an essential oil nobody knows to half a per cent, and to every concern', function () {
    expect(ownCautions(['kind' => 'scent', 'name' => 'muña']))
        ->toContain('scent-vapour')
        ->toContain('scent-expecting')
        ->toContain('scent-irritant')
        ->toContain('scent-pets-note');
    $scent = ownRead(['kind' => 'scent', 'name' => 'muña', 'limit' => 2, 'concerns' => []])->thing;
    expect($scent->limitPercent)
        ->toBe(2.0)
        ->and($scent->traits)
        ->toBe([])
        ->and(ownRead(['kind' => 'scent', 'name' => 'muña'])->thing->limitPercent)
        ->toBe(0.5);
});

it('refuses by name what it does not understand', function (array $document, array $faults) {
    expect(ownFaults($document))->toBe($faults);
})->with([
    'no kind' => [['name' => 'x'], ['kind unknown']],
    'no name' => [['kind' => 'plant', 'form' => 'root'], ['name missing']],
    'no form' => [['kind' => 'plant', 'name' => 'wild fuchsia'], ['form missing']],
    'a field of another kind' => [ownPlant(['density' => 0.9]), ['density unknown_field']],
    'a field nobody knows' => [ownPlant(['colour' => 'red']), ['colour unknown_field']],
    'two hundred letters' => [ownPlant(['name' => str_repeat('a', 200)]), ['name too_long']],
    'a picture' => [ownPlant(['name' => 'wild 🌺']), ['name format']],
    'letters that turn the line' => [ownPlant(['name' => "wild \u{202E}fuchsia"]), ['name format']],
    'only figures' => [ownPlant(['name' => '12']), ['name format']],
    'a plant of the tables' => [ownPlant(['name' => 'Calendulas']), ['name twice']],
    'another name of one' => [ownPlant(['also' => ['cilantro']]), ['also twice']],
    'an oil of the tables' => [['kind' => 'oil', 'name' => 'Arachis oil'], ['name twice']],
    'an impossible density' => [['kind' => 'oil', 'name' => 'lead oil', 'density' => 11.3], ['density out_of_range']],
    'a density that is no number' => [['kind' => 'oil', 'name' => 'lead oil', 'density' => 'heavy'], ['density format']],
    'kept longer open than closed' => [
        ['kind' => 'oil', 'name' => 'lead oil', 'months_unopened' => 3, 'months_opened' => 9],
        ['months_opened disagree'],
    ],
    'fats of half an oil' => [['kind' => 'oil', 'name' => 'lead oil', 'fatty_acids' => ['18:1' => 20]], ['fatty_acids disagree']],
    'fats of an oil and a half' => [
        ['kind' => 'oil', 'name' => 'lead oil', 'fatty_acids' => ['18:1' => 90, '18:2' => 60]],
        ['fatty_acids disagree'],
    ],
    'no such fat' => [['kind' => 'oil', 'name' => 'lead oil', 'fatty_acids' => ['oleic' => 90]], ['fatty_acids format']],
    'no such concern' => [ownPlant(['concerns' => ['smelly']]), ['concerns unknown']],
    'no such family' => [ownPlant(['family' => 'cat']), ['family unknown']],
    'kin nobody knows' => [ownPlant(['kin' => 'unicorn-root']), ['kin unknown']],
    'water over all' => [ownPlant(['water' => 120]), ['water out_of_range']],
    'an id of the tables' => [ownPlant(['id' => 'calendula']), ['id format']],
    'two faults at once' => [ownPlant(['water' => 'much', 'kin' => 'x']), ['water format', 'kin unknown']],
]);

it('writes names of any writing, and makes an id of each', function (string $name, string $id) {
    $own = ownRead(ownPlant(['name' => $name]));
    expect($own->name)->toBe($name)->and($own->id)->toBe($id);
})->with([
    ['wild fuchsia', 'own-wild-fuchsia'],
    ['Blåklint fra øya', 'own-blaklint-fra-ya'],
    ['حبة سوداء برية', 'own-'.substr(hash('sha256', 'حبة سوداء برية'), 0, 12)],
    ['野生の蓬', 'own-'.substr(hash('sha256', '野生の蓬'), 0, 12)],
]);

it('reads again what it kept, to the same', function (array $document) {
    $once = ownRead($document);
    expect(ownRead($once->fields)->fields)->toBe($once->fields)->and(ownRead($once->fields)->thing)->toEqual($once->thing);
})->with([
    [ownPlant(['family' => 'daisy', 'water' => '80', 'also' => ['ladies’ eardrops']])],
    [['kind' => 'oil', 'name' => 'yangu oil', 'fatty_acids' => ['18:1' => 70, '18:2' => 25]]],
    [['kind' => 'wax', 'name' => 'bayberry wax', 'like' => 'beeswax']],
    [['kind' => 'scent', 'name' => 'muña', 'like' => 'peppermint']],
]);

it('offers no longer what was put away, and knows it all the same', function () {
    $cupboard = new Cupboard(Tables::shipped(), Own::of([ownRead(ownPlant(['away' => true]))]));
    expect($cupboard->herb('own-wild-fuchsia')->name)
        ->toBe('wild fuchsia')
        ->and(array_key_exists('own-wild-fuchsia', $cupboard->offered($cupboard->herbs())))
        ->toBeFalse();
});

it('has families and concerns that cautions know', function () {
    $asked = array_merge(...array_map(fn ($rule) => $rule->asks(), Kettle\Caution\Cautions::of(Tables::shipped())->all()));
    $own = Tables::shipped()->table('own');
    $concerns = array_map(fn ($row) => $row->text('id'), array_values($own->rows('concerns')));
    foreach ($concerns as $id) {
        expect(in_array("trait:{$id}", $asked, true) || in_array("wet-trait:{$id}", $asked, true) || $id === 'mucilage')->toBeTrue($id);
    }
    foreach ($own->rows('families') as $row) {
        expect(array_diff($row->texts('traits'), $concerns))->toBe([]);
    }
});

it('reads the fats of an oil as its seller’s sheet has them', function (string $typed, array $acids) {
    $own = ownRead(['kind' => 'oil', 'name' => 'yangu oil', 'fatty_acids' => $typed]);
    expect($own->fields['fatty_acids'])->toBe($acids);
})->with([
    ['oleic 70, linoleic 15, palmitic 12', ['18:1' => 70.0, '18:2' => 15.0, '16:0' => 12.0]],
    ['Oleic acid: 70 %; 18:2 = 15,5 %; 16:0 12', ['18:1' => 70.0, '18:2' => 15.5, '16:0' => 12.0]],
    // Both of its linolenic acids have three double bonds.
    ['alpha-linolenic 10, gamma-linolenic 10, oleic 78', ['18:3' => 20.0, '18:1' => 78.0]],
]);

it('refuses fats that are none', function (string $typed, string $reason) {
    expect(ownFaults(['kind' => 'oil', 'name' => 'yangu oil', 'fatty_acids' => $typed]))->toBe(['fatty_acids '.$reason]);
})->with([['mostly oleic', 'format'], ['oleic', 'format'], ['squalene 70', 'format'], ['oleic 20', 'disagree'], ['oleic 130', 'format']]);

it('has words for everything that may be unknown, and for every concern of a scent, and no more', function () {
    $rows = array_keys(Tables::shipped()->table('words')->rows('rows'));
    $said = fn (string $of): array => array_map(
        fn (string $row) => explode('.', $row)[2],
        array_values(array_filter($rows, fn (string $row) => str_starts_with($row, "own.{$of}."))),
    );
    $traits = array_unique(
        array_merge(...array_map(fn ($oil) => $oil->traits, array_values((new Cupboard(Tables::shipped()))->essentialOils()))),
    );
    expect($said('lacks'))
        ->toEqualCanonicalizing(['density', 'sets', 'months', 'fats', 'allergens', 'concerns', 'food', 'water', 'limit'])
        ->and($said('scent'))
        // Of an oil of the tables the sun is in its limit; of one's own it is asked.
        ->toEqualCanonicalizing(['sunlight', ...array_values($traits)]);
});
