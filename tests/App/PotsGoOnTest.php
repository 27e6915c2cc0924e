<?php

use App\Models\Boil;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Begun, lit, and strained to so much; the pot's id. */
function strained(array $asked, string $amount): string
{
    $id = test()->atHouse('POST', '/boils', $asked)->assertOk()->json('id');
    test()
        ->atHouse('POST', "/boils/{$id}/flame", ['on' => true])
        ->assertOk();
    test()
        ->atHouse('POST', "/boils/{$id}/strain", ['amount' => $amount, 'anyway' => true])
        ->assertOk();

    return $id;
}

function potLeft(string $id): float
{
    return (float) Boil::query()->where('uid', $id)->value('left');
}

function lotLeft(string $id): float
{
    return (float) DB::table('lots')->where('uid', $id)->value('left');
}

function lotOf(array $lot): string
{
    return test()
        ->atHouse('POST', '/lots', ['lot' => $lot])
        ->assertOk()
        ->json('lot.id');
}

/** Cooked with a decoction of 4 L, in 1 L of oil. */
function cooking(array $more = []): array
{
    return ['what' => 'long-oil', 'stage' => 'cook', 'oil' => '1 L', 'carrier' => 'sesame', 'liquid' => 'decoction', ...$more];
}

beforeEach(fn () => Carbon::setTestNow('2026-11-24T09:00:00Z'));

it('takes herb, oil and glycerin out of Stores when it is begun, and gives them back when it was never over a flame', function () {
    $root = lotOf(['kind' => 'herb', 'material' => 'marshmallow-root', 'state' => 'dried', 'amount' => '120 g']);
    $sesame = lotOf(['kind' => 'carrier', 'material' => 'sesame', 'amount' => '2 L']);
    $glycerin = lotOf(['kind' => 'addition', 'material' => 'glycerin', 'amount' => '500 g']);
    // 400 mL of a decoction of a medium root: 100 g in 800 mL, boiled down to half.
    $pot = $this->atHouse('POST', '/boils', [
        'what' => 'decoction',
        'herbs' => ['marshmallow-root'],
        'hardness' => 'medium',
        'want' => '400 mL',
    ]);
    $id = $pot->assertOk()->json('id');
    $took = 120 - lotLeft($root);
    expect($took)
        ->toBeGreaterThan(20.0)
        ->and($pot->json('from'))
        ->toHaveCount(1)
        ->and($pot->json('from.0'))
        ->toMatchArray(['kind' => 'lot', 'id' => $root]);
    $this->atHouse('POST', "/boils/{$id}/discard", ['reason' => 'another day'])->assertOk();
    expect(lotLeft($root))->toEqualWithDelta(120.0, 0.001);
    $entry = $this->atHouse('GET', "/boils/{$id}")->json('entries.0.id');
    $this->atHouse('POST', "/boils/{$id}/undo", ['entry' => $entry])->assertOk();
    expect(lotLeft($root))->toEqualWithDelta(120 - $took, 0.001);
    // Once it was over a flame, what is thrown away is gone.
    $this->atHouse('POST', "/boils/{$id}/flame", ['on' => true])->assertOk();
    $this->atHouse('POST', "/boils/{$id}/discard", ['reason' => 'burnt'])->assertOk();
    expect(lotLeft($root))->toEqualWithDelta(120 - $took, 0.001);

    // 1 L of oil to be cleansed; 100 g of extract of which 80 g are glycerin.
    $this->atHouse('POST', '/boils', ['what' => 'long-oil', 'stage' => 'cleanse', 'oil' => '1 L', 'carrier' => 'sesame'])->assertOk();
    expect(lotLeft($sesame))->toEqualWithDelta(1000.0, 0.001);
    $this->atHouse('POST', '/boils', ['what' => 'glycerin', 'total' => '100 g', 'share' => '80'])->assertOk();
    expect(lotLeft($glycerin))->toEqualWithDelta(420.0, 0.001);
});

it('cooks a long oil with a cleansed oil and a decoction of the house, and follows them into its bottles', function () {
    $lot = lotOf(['kind' => 'herb', 'material' => 'marshmallow-root', 'state' => 'dried', 'amount' => '3 kg']);
    $oil = strained(['what' => 'long-oil', 'stage' => 'cleanse', 'oil' => '1 L', 'carrier' => 'sesame'], '980 mL');
    $water = strained(['what' => 'decoction', 'herbs' => ['marshmallow-root'], 'want' => '5 L'], '5 L');
    $cook = $this->atHouse(
        'POST',
        '/boils',
        cooking(['oil' => '980 mL', 'oil_from' => $oil, 'liquid_from' => $water, 'carrier' => 'olive']),
    )->assertOk();
    // It is the oil that was cleansed, whatever was written; and what was boiled into its water is in it.
    expect($cook->json('name'))
        ->toBe('Long oil of marshmallow root in sesame oil')
        ->and(array_column($cook->json('from'), 'amount_text', 'id'))
        ->toBe([$oil => '980 mL', $water => '3.92 L'])
        ->and(potLeft($oil))
        ->toEqual(0.0)
        ->and(potLeft($water))
        ->toEqualWithDelta(1080.0, 0.01);
    $id = $cook->json('id');
    $this->atHouse('POST', "/boils/{$id}/flame", ['on' => true])->assertOk();
    $batch = $this->atHouse('POST', "/boils/{$id}/strain", ['amount' => '900 mL', 'anyway' => true])
        ->assertOk()
        ->json('made.batch');
    $this->atHouse('POST', "/batches/{$batch}/use", ['bottle' => 1, 'how' => 'given', 'amount' => '20 mL', 'to' => 'Torin'])->assertOk();
    $trace = $this->atHouse('GET', "/lots/{$lot}/trace")
        ->assertOk()
        ->json();
    $kinds = array_column($trace['things'], 'kind');
    expect(array_count_values($kinds))
        ->toMatchArray(['lot' => 1, 'pot' => 2, 'batch' => 1, 'person' => 1])
        ->and(array_column($trace['people'], 'person'))
        ->toBe(['Torin']);
    $back = $this->atHouse('GET', "/batches/{$batch}/trace")->json('things');
    expect(array_column(array_filter($back, fn (array $each) => $each['kind'] === 'pot'), 'side'))->toBe(['back', 'back', 'back']);
    // All of it is thrown away at once: what is left of the decoction, and the oil.
    $trace = $this->atHouse('GET', "/boils/{$water}/trace")->json();
    $throw = array_column(array_filter($trace['things'], fn (array $each) => $each['do'] === 'throw-away'), 'id');
    $this->atHouse('POST', "/boils/{$water}/recall", ['reason' => 'the root was mouldy', 'things' => $throw])->assertOk();
    expect(Boil::query()->where('uid', $water)->value('stage')->value)->toBe('discarded');
    $this->atHouse('GET', "/batches/{$batch}")->assertJsonPath('stage', 'discarded');
});

it('gives back what was poured into a pot that was never over a flame', function () {
    $oil = strained(['what' => 'long-oil', 'stage' => 'cleanse', 'oil' => '1 L', 'carrier' => 'sesame'], '900 mL');
    $id = $this->atHouse('POST', '/boils', cooking(['oil' => '900 mL', 'oil_from' => $oil]))->assertOk()->json('id');
    expect(Boil::query()->where('uid', $oil)->value('stage')->value)->toBe('gone');
    $this->atHouse('POST', "/boils/{$id}/discard", ['reason' => 'another day'])->assertOk();
    expect(potLeft($oil))
        ->toEqual(900.0)
        ->and(DB::table('boil_takes')->count())
        ->toBe(0)
        ->and($this->atHouse('GET', "/boils/{$oil}")->json('entries.0.title'))
        ->toBe('Undone')
        ->and($this->atHouse('GET', "/boils/{$oil}")->json('stage'))
        ->toBe('made');
});

it('pours no pot of another kind, none that is not there, not more than is left, and nothing into a cleansing', function () {
    $oil = strained(['what' => 'long-oil', 'stage' => 'cleanse', 'oil' => '1 L', 'carrier' => 'sesame'], '900 mL');
    $water = strained(['what' => 'decoction', 'herbs' => ['marshmallow-root'], 'want' => '5 L'], '5 L');
    $fault = fn (array $more): array => $this->atHouse('POST', '/boils', cooking($more))->assertStatus(422)->json('faults.0');
    expect($fault(['oil_from' => $water]))
        ->toMatchArray(['field' => 'oil_from', 'reason' => 'unknown'])
        ->and($fault(['liquid_from' => $oil]))
        ->toMatchArray(['field' => 'liquid_from', 'reason' => 'unknown'])
        ->and($fault(['oil_from' => '01HNOBODY'])['field'])
        ->toBe('oil_from')
        ->and($fault(['oil_from' => $oil])['sentence'])
        ->toContain('900 mL')
        ->and($fault(['stage' => 'cleanse', 'oil_from' => $oil])['field'])
        ->toBe('oil_from');
    // Refused, nothing was begun and nothing taken.
    expect(potLeft($oil))
        ->toEqual(900.0)
        ->and(Boil::query()->count())
        ->toBe(2);
    Carbon::setTestNow('2026-11-28T09:00:00Z');
    expect($fault(['oil' => '500 mL', 'liquid_from' => $water])['sentence'])->toContain('27 Nov');
});

it('says on the label of a long oil what its pots held: the milk it was cooked in, and the allergens of their lots', function () {
    lotOf(['kind' => 'carrier', 'material' => 'olive', 'amount' => '2 L', 'allergens' => ['nuts']]);
    $id = $this->atHouse(
        'POST',
        '/boils',
        ['stage' => 'cook', 'liquid' => 'milk', 'carrier' => 'olive', 'paste_herbs' => ['marshmallow-root']] + cooking(),
    )
        ->assertOk()
        ->json('id');
    $this->atHouse('POST', "/boils/{$id}/flame", ['on' => true])->assertOk();
    $batch = $this->atHouse('POST', "/boils/{$id}/strain", ['amount' => '900 mL', 'anyway' => true])->json('made.batch');
    $label = array_column(
        $this->atHouse('GET', "/batches/{$batch}/label")
            ->assertOk()
            ->json('lines'),
        'text',
        'id',
    );
    expect($label['must'])->toContain('milk')->toContain('nuts');
    $salve = $this->atHouse('POST', '/melt/reckon', ['wish' => ['product' => 'salve', 'oils' => [['batch' => $batch]]]])->assertOk();
    expect($salve->json('ingredients.allergens'))->toContain('milk', 'nuts');
});

it('writes the cautions that were read into its logbook', function () {
    $comfrey = ['what' => 'decoction', 'herbs' => ['comfrey-leaf'], 'want' => '400 mL', 'acknowledged' => ['pyrrolizidine']];
    $started = $this->atHouse('POST', '/boils', $comfrey)->assertOk()->json('entries.0.title');
    expect($started)->toStartWith('Planned. Decoction of comfrey leaf. Read: ')->and($started)->toContain('broken skin');
    $kept = json_decode((string) DB::table('boil_entries')->value('data'), true);
    expect(array_column($kept['cautions'], 'id'))
        ->toBe(['pyrrolizidine'])
        ->and($kept['cautions'][0]['says'])
        ->toHaveKey('say');
});

it('labels what came of it: what it is, its plants, until when, how it is kept, what must be heeded', function () {
    $read = ['acknowledged' => ['pyrrolizidine']];
    $id = strained(['what' => 'decoction', 'herbs' => ['comfrey-leaf'], 'want' => '400 mL'] + $read, '390 mL');
    $lines = array_column(
        $this->atHouse('GET', "/boils/{$id}/label")
            ->assertOk()
            ->json('lines'),
        'text',
        'id',
    );
    expect($lines)
        ->toMatchArray([
            'title' => 'Decoction of comfrey leaf',
            'best_before' => 'Use by 27 Nov 2026',
            'herb' => 'Ingredients: water, comfrey leaf',
            'keep' => 'Keep in the refrigerator.',
            'code' => 'D26-001',
        ])
        ->and($lines['cautions'])
        ->toContain('broken skin');
    $page = $this->atHouse('GET', "/boils/{$id}/label")->json();
    $set = [
        'version' => $page['version'],
        'size' => 'roll-60x40',
        'start' => 1,
        'names' => 'inci',
        'fields' => ['title', 'net', 'herb'],
        'words' => '',
    ];
    $inci = $this->atHouse('PUT', "/boils/{$id}/label", $set)->assertOk();
    expect(array_column($inci->json('lines'), 'text', 'id')['herb'])
        ->toBe('Ingredients: Aqua, Symphytum officinale Extract')
        ->and($inci->json('net'))
        ->toBe('390 mL');
    $this->atHouse('PUT', "/boils/{$id}/label", $set)->assertStatus(409);
    $this->atHouse('GET', "/boils/{$id}/labels.pdf")
        ->assertOk()
        ->assertHeader('Content-Type', 'application/pdf');
    $this->atHouse('GET', "/boils/{$id}/labels.png")->assertOk();
    $this->atHouse('GET', "/boils/{$id}/code.svg")->assertOk();
    // An extract of 80 % is kept cool and dark for its year; one of 40 % in the cold, for its days.
    $kept = fn (string $share): string => array_column(
        $this->atHouse('GET', '/boils/'.strained(['what' => 'glycerin', 'total' => '100 g', 'share' => $share], '99 g').'/label')->json(
            'lines',
        ),
        'text',
        'id',
    )['keep'];
    expect($kept('80'))->toContain('amber glass')->and($kept('40'))->toContain('refrigerator');
    $open = $this->atHouse('POST', '/boils', cooking())->json('id');
    $this->atHouse('GET', "/boils/{$open}/label")->assertStatus(422);
});

it('goes out and in with the house: what was taken of what, and its label', function () {
    $oil = strained(['what' => 'long-oil', 'stage' => 'cleanse', 'oil' => '1 L', 'carrier' => 'sesame'], '980 mL');
    lotOf(['kind' => 'herb', 'material' => 'marshmallow-root', 'state' => 'dried', 'amount' => '3 kg']);
    $water = strained(['what' => 'decoction', 'herbs' => ['marshmallow-root'], 'want' => '5 L'], '5 L');
    $this->atHouse('POST', '/boils', cooking(['oil' => '980 mL', 'oil_from' => $oil, 'liquid_from' => $water]))->assertOk();
    $wish = [
        'product' => 'cream',
        'total' => '400 g',
        'oils' => ['olive'],
        'others' => [['boil' => $water], ['id' => 'emulsifying-wax', 'percent' => 6], ['id' => 'preservative', 'percent' => 1]],
    ];
    $this->atHouse('POST', '/makings', ['wish' => $wish, 'acknowledged' => ['water-in-it', 'decoction-in-it']])->assertOk();
    $page = $this->atHouse('GET', "/boils/{$water}/label")->json();
    $this->atHouse('PUT', "/boils/{$water}/label", [
        'version' => $page['version'],
        'size' => 'roll-60x40',
        'start' => 1,
        'names' => 'inci',
        'fields' => ['title'],
        'words' => 'for the nets',
    ])->assertOk();
    $first = $this->atHouse('GET', '/export')->assertOk()->getContent();
    $schema = json_decode((string) file_get_contents(base_path('docs/formats/house.schema.json')));
    expect((new Opis\JsonSchema\Validator())->validate(json_decode($first), $schema)->isValid())->toBeTrue();
    $first = json_decode($first, true);
    $stands = function () use ($oil, $water): array {
        $told = fn (string $id): array => $this->atHouse('GET', "/boils/{$id}")
            ->assertOk()
            ->json();
        $kinds = array_column($this->atHouse('GET', "/boils/{$water}/trace")->json('things'), 'kind');
        sort($kinds);

        return [
            $told($oil)['stage'],
            $told($water)['made']['left'],
            $told($water)['from'],
            $this->atHouse('GET', "/boils/{$water}/label")->json('words'),
            $kinds,
        ];
    };
    $before = $stands();
    expect($before[0])
        ->toBe('gone')
        ->and($before[4])
        ->toBe(['lot', 'pot', 'pot', 'product']);
    $this->house = $this->aHouse($this->keeper, 'Second house');
    $this->atHouse('POST', '/import', $first)->assertOk();
    expect($stands())
        ->toEqual($before)
        ->and(json_decode($this->atHouse('GET', '/export')->getContent(), true)['boils'])
        ->toEqual($first['boils']);
    // Once more it changes nothing, and takes nothing twice.
    $this->atHouse('POST', '/import', $first)->assertOk();
    expect($stands())->toEqual($before);
});
