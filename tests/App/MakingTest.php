<?php

use App\Models\Making;
use App\Models\MakingEntry;
use Illuminate\Support\Facades\DB;

require_once dirname(__DIR__).'/Begun.php';

it('begins a product: a code, a plan that stays, its oil out of the bottles', function () {
    [$made, $batch] = begunSalve();
    expect($made['code'])
        ->toBe('P26-001')
        ->and($made['name'])
        ->toBe('Calendula salve')
        ->and($made['stage'])
        ->toBe('planned')
        ->and($made['plan']['text'])
        ->toStartWith('Four 30 mL tins of salve')
        ->and(inBottles($batch))
        ->toEqualWithDelta(250 - $made['pot'][0]['ml'], 0.01)
        // The bottles of the batch say where it went.
        ->and(
            test()
                ->atHouse('GET', "/batches/{$batch}")
                ->json('entries.0.title'),
        )
        ->toContain('P26-001')
        ->and($made['from'][0]['id'])
        ->toBe($batch);
    // Two bottles begun on are not two bottles half empty: the first is emptied first.
    $left = array_column(
        test()
            ->atHouse('GET', "/batches/{$batch}")
            ->json('bottles'),
        'left_ml',
    );
    expect($left[1])->toEqualWithDelta(100, 0.01)->and($left[2])->toEqualWithDelta(50, 0.01);
});

it('is weighed, tried, mended, poured and given away, a line of the logbook each', function () {
    [$made, $batch] = begunSalve(['essential_oils' => [['id' => 'lavender', 'percent' => 1]]]);
    $path = "/makings/{$made['id']}";
    $oil = "batch.{$batch}";
    $write = fn (string $what, array $body) => $this->atHouse('POST', "{$path}/{$what}", $body)
        ->assertOk()
        ->json();
    $write('steps', ['step' => 'dry']);
    $write('weigh', ['part' => $oil]);
    $in = $write('weigh', ['part' => 'beeswax', 'amount' => '20 g']);
    $wax = $in['pot'][1]['grams'];
    expect($wax)->toEqual(20)->and($in['stage'])->toBe('making');
    $write('steps', ['step' => 'melt', 'warmth' => '66 C']);
    $tried = $write('spoon', ['verdict' => 'too-soft', 'by' => 'plainly', 'room' => '19', 'stuck' => '2 g']);
    $before = $tried['pot'][0]['grams'] + $tried['pot'][1]['grams'];
    $mended = $write('mend', ['part' => 'beeswax', 'amount' => '6 g']);
    expect($mended['mends'])
        ->toBe(1)
        ->and($mended['pot'][0]['grams'] + $mended['pot'][1]['grams'])
        ->toEqualWithDelta($before + 6, 0.01)
        ->and($mended['firmness'])
        ->toBeGreaterThan($tried['firmness'])
        // The drops go by what is in the pot now.
        ->and($mended['pot'][2]['share'])
        ->toEqualWithDelta(0.01, 0.0005);
    $write('spoon', ['verdict' => 'right', 'room' => '19']);
    $write('weigh', ['part' => 'lavender', 'amount' => '30 drops']);
    $poured = $write('pour', ['tins' => [['ml' => 30, 'count' => 4]], 'left' => '2 mL', 'where' => 'the bathroom cupboard']);
    expect($poured['stage'])
        ->toBe('poured')
        ->and(count($poured['tins']))
        ->toBe(4)
        ->and($poured['tins'][0]['net_text'])
        ->toMatch('/^2[5-8](\.\d)? g$/');
    $given = $write('tins', ['tin' => 2, 'how' => 'given', 'to' => 'the neighbour']);
    expect($given['tins'][1]['state'])
        ->toBe('given')
        ->and($given['tins'][1]['to'])
        ->toBe('the neighbour')
        ->and($given['tins_left'])
        ->toBe(3)
        ->and(array_reverse(array_column($given['entries'], 'kind')))
        ->toBe(['started', 'did', 'weighed', 'weighed', 'did', 'spooned', 'mended', 'spooned', 'weighed', 'poured', 'gone']);
    // What was learned is in the next plan of a firm salve.
    $learned = $this->atHouse('POST', '/melt/reckon', ['wish' => ['oils' => ['olive']] + POT])->json('rule.learned');
    expect($learned['verdicts'])->toBeGreaterThanOrEqual(1);
});

it('takes back what it took, by what is undone and by what is thrown away before it is begun', function () {
    $lot = $this->atHouse('POST', '/lots', ['lot' => ['kind' => 'wax', 'material' => 'beeswax', 'amount' => '100 g', 'price' => '5.00']]);
    $wax = fn (): float => (float) DB::table('lots')->where('kind', 'wax')->value('left');
    [$made, $batch] = begunSalve();
    $path = "/makings/{$made['id']}";
    $planned = 100 - $wax();
    expect($planned)->toEqualWithDelta($made['pot'][1]['grams'], 0.001);
    // More was weighed than planned: more is gone; undone, it is as it was.
    $in = $this->atHouse('POST', "{$path}/weigh", ['part' => 'beeswax', 'amount' => '40 g'])->assertOk();
    expect($wax())->toEqualWithDelta(60, 0.001);
    $this->atHouse('POST', "{$path}/undo", ['entry' => $in->json('entries.0.id')])->assertOk();
    expect($wax())->toEqualWithDelta(100 - $planned, 0.001);
    // Thrown away before anything was weighed, it has used nothing.
    $gone = $this->atHouse('POST', "{$path}/discard", ['reason' => 'no time today'])->assertOk();
    expect($wax())->toEqualWithDelta(100, 0.001)->and(inBottles($batch))->toEqualWithDelta(250, 0.01);
    $this->atHouse('POST', "{$path}/undo", ['entry' => $gone->json('entries.0.id')])->assertOk();
    expect($wax())
        ->toEqualWithDelta(100 - $planned, 0.001)
        ->and(inBottles($batch))
        ->toEqualWithDelta(250 - $made['pot'][0]['ml'], 0.01);
    // Thrown away with something in the pot, that is gone.
    $this->atHouse('POST', "{$path}/weigh", ['part' => 'beeswax'])->assertOk();
    $this->atHouse('POST', "{$path}/discard", ['reason' => 'burnt'])->assertOk();
    expect($wax())->toEqualWithDelta(100 - $planned, 0.001);
});

it('lets two people pour one bottle only as far as it goes', function () {
    [$made, $batch] = begunSalve(['tins' => [['ml' => 60, 'count' => 3]]]);
    // The second is refused by the plan, which knows what is left.
    $this->atHouse('POST', '/makings', [
        'wish' => ['oils' => [['batch' => $batch]], 'tins' => [['ml' => 60, 'count' => 3]]] + POT,
        'acknowledged' => ['daisy-family'],
    ])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.reason', 'not_so_much');
    // And where it went in the moment between plan and pouring, by the bottles themselves; nothing is written of it.
    $lines = MakingEntry::query()->count();
    $this->atHouse('POST', "/makings/{$made['id']}/weigh", ['part' => "batch.{$batch}", 'amount' => '400 g'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.reason', 'not_so_much');
    expect(MakingEntry::query()->count())->toBe($lines);
});

it('keeps what went into a product from being undone at the bottle', function () {
    [, $batch] = begunSalve();
    $entry = $this->atHouse('GET', "/batches/{$batch}")->json('entries.0');
    expect($entry['can_undo'])->toBeFalse();
    $this->atHouse('POST', "/batches/{$batch}/undo", ['entry' => $entry['id']])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.reason', 'cannot_undo');
});

it('is begun only when its cautions are read, and never of what must not be used', function () {
    $batch = basename(bottledBatch(['herb' => ['id' => 'calendula']], '260 mL'));
    $wish = ['oils' => [['batch' => $batch]], 'essential_oils' => [['id' => 'cinnamon-bark', 'percent' => 2]]] + POT;
    $plan = $this->atHouse('POST', '/melt/reckon', ['wish' => $wish])->json('cautions');
    $must = array_values(array_filter($plan, fn (array $note) => $note['rank'] === 'stop' || ($note['acknowledge'] ?? false)));
    expect($must)->not->toBe([]);
    $this->atHouse('POST', '/makings', ['wish' => $wish])->assertStatus(422);
    expect(Making::query()->count())->toBe(0);
    // What only asks to be read is begun once it was, and its words stay in the logbook.
    $asthma = ['oils' => [['batch' => $batch]], 'essential_oils' => [['id' => 'lavender', 'percent' => 0.5]], 'for' => ['asthma']] + POT;
    $this->atHouse('POST', '/makings', ['wish' => $asthma])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.reason', 'unread');
    expect(Making::query()->count())->toBe(0);
    $this->atHouse('POST', '/makings', ['wish' => $asthma, 'acknowledged' => ['scent-asthma']])->assertOk();
    expect(array_column(MakingEntry::query()->firstOrFail()->data['cautions'], 'id'))->toBe(['scent-asthma']);
    // Past its day when it is weighed, though it was not when it was begun.
    [$made] = begunSalve([], $batch);
    $this->travelTo('2029-01-01');
    $this->atHouse('POST', "/makings/{$made['id']}/weigh", ['part' => "batch.{$batch}", 'amount' => '140 g'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.reason', 'past');
});

it('refuses what cannot be', function (string $what, array $body, string $field) {
    [$made] = begunSalve(['essential_oils' => [['id' => 'lavender', 'percent' => 1]]]);
    $this->atHouse('POST', "/makings/{$made['id']}/{$what}", $body)
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', $field);
})->with([
    'a part that is not of it' => ['weigh', ['part' => 'gravel'], 'part'],
    'nothing of it' => ['weigh', ['part' => 'beeswax', 'amount' => '0 g'], 'amount'],
    'an amount nobody can read' => ['weigh', ['part' => 'beeswax', 'amount' => 'a bit'], 'amount'],
    'ten thousand drops' => ['weigh', ['part' => 'lavender', 'amount' => '10000'], 'amount'],
    'drops over the ceiling' => ['weigh', ['part' => 'lavender', 'amount' => '200 drops'], 'amount'],
    'no such step' => ['steps', ['step' => 'fry'], 'step'],
    'weighing as a step' => ['steps', ['step' => 'weigh.beeswax'], 'step'],
    'a pot on fire' => ['steps', ['step' => 'melt', 'warmth' => '400'], 'warmth'],
    'a warmth nobody can read' => ['steps', ['step' => 'melt', 'warmth' => 'hot'], 'warmth'],
    'a room on fire' => ['spoon', ['verdict' => 'right', 'room' => '200 F'], 'room'],
    'no verdict' => ['spoon', ['verdict' => 'nice'], 'verdict'],
    'all on the spoon' => ['spoon', ['verdict' => 'right', 'stuck' => '5 kg'], 'stuck'],
    'a mend of nothing' => ['mend', [], 'amount'],
    'a mend of half a thing' => ['mend', ['part' => 'beeswax'], 'amount'],
    'a mend with gravel' => ['mend', ['part' => 'gravel', 'amount' => '3 g'], 'part'],
    'more out than in' => ['mend', ['out' => '5 kg'], 'out'],
    'no tins' => ['pour', ['tins' => [['ml' => 30, 'count' => 0]]], 'tins'],
    'tins of no size' => ['pour', ['tins' => [['ml' => 0, 'count' => 3]]], 'tins.0.ml'],
    'more than there is' => ['pour', ['tins' => [['ml' => 100, 'count' => 40]]], 'tins'],
    'a tin before it is poured' => ['tins', ['tin' => 1, 'how' => 'used'], ''],
]);

it('does nothing to what is poured, thrown away, or of another house', function () {
    [$made] = begunSalve();
    $path = "/makings/{$made['id']}";
    $poured = $this->atHouse('POST', "{$path}/pour", ['tins' => [['ml' => 30, 'count' => 3]]])->assertOk();
    foreach (
        ['weigh' => ['part' => 'beeswax'], 'mend' => ['out' => '3 g'], 'pour' => ['tins' => [['ml' => 30, 'count' => 1]]]] as $what => $body
    ) {
        $this->atHouse('POST', "{$path}/{$what}", $body)
            ->assertStatus(422)
            ->assertJsonPath('faults.0.reason', 'not_now');
    }
    $this->atHouse('POST', "{$path}/tins", ['tin' => 9, 'how' => 'used'])->assertStatus(422);
    $this->atHouse('POST', "{$path}/tins", ['tin' => 1, 'how' => 'used'])->assertOk();
    $this->atHouse('POST', "{$path}/tins", ['tin' => 1, 'how' => 'used'])->assertStatus(422);
    // The pouring is not undone while a tin that came of it is gone.
    $this->atHouse('POST', "{$path}/undo", ['entry' => $poured->json('entries.0.id')])->assertStatus(422);
    $other = $this->aHouse($this->keeper, 'Another');
    $this->call_('GET', "/houses/{$other->uid}{$path}")->assertStatus(404);
    $this->atHouse('POST', "{$path}/discard", ['reason' => 'grained'])->assertOk();
    $this->atHouse('POST', "{$path}/tins", ['tin' => 2, 'how' => 'given'])->assertStatus(422);
    $this->atHouse('POST', "{$path}/tins", ['tin' => 2, 'how' => 'thrown'])->assertOk();
    $this->atHouse('POST', "{$path}/discard", ['reason' => 'twice'])->assertStatus(422);
});

it('says where it stands from its logbook alone, and its logbook cannot be changed', function () {
    [$made] = begunSalve();
    $path = "/makings/{$made['id']}";
    $this->atHouse('POST', "{$path}/pour", ['tins' => [['ml' => 30, 'count' => 3]]])->assertOk();
    $before = $this->atHouse('GET', $path)->json();
    DB::table('makings')->update(['stage' => 'planned', 'tins' => 0, 'tins_left' => 0]);
    DB::table('tins')->delete();
    $making = Making::query()->where('uid', $made['id'])->firstOrFail();
    app(App\Actions\Melt\MakingLogbook::class)->refresh($making);
    expect(array_diff_key($this->atHouse('GET', $path)->json(), ['version' => 1]))->toEqual(array_diff_key($before, ['version' => 1]));
    expect(fn () => DB::table('making_entries')->delete())->toThrow(Illuminate\Database\QueryException::class);
    expect(fn () => DB::table('making_entries')->update(['by' => 'somebody else']))->toThrow(Illuminate\Database\QueryException::class);
});

it('takes its scent and its tins out of Stores, and gives them back', function () {
    $lot = fn (array $lot): string => $this->atHouse('POST', '/lots', ['lot' => $lot])
        ->assertOk()
        ->json('lot.id');
    $lavender = $lot(['kind' => 'scent', 'material' => 'lavender', 'amount' => '10 mL', 'price' => '8']);
    $tins = $lot(['kind' => 'tin', 'material' => '30 mL', 'amount' => '2', 'price' => '0.80']);
    $left = fn (string $id): float => (float) $this->atHouse('GET', "/lots/{$id}")->json('lot.left');
    [$made] = begunSalve(['essential_oils' => [['id' => 'lavender', 'drops' => 20]]]);
    $path = "/makings/{$made['id']}";
    expect($left($lavender))->toEqualWithDelta(9, 0.001)->and($left($tins))->toEqual(2);
    // Twice the drops went in; three tins were filled, of which Stores knew two.
    $in = $this->atHouse('POST', "{$path}/weigh", ['part' => 'lavender', 'amount' => '30 drops'])->assertOk();
    expect($left($lavender))->toEqualWithDelta(8.5, 0.001);
    $poured = $this->atHouse('POST', "{$path}/pour", ['tins' => [['ml' => 30, 'count' => 3]]])->assertOk();
    expect($left($tins))->toEqual(0)->and(array_column($poured->json('from'), 'name'))->toContain('30 mL tin');
    $this->atHouse('POST', "{$path}/undo", ['entry' => $poured->json('entries.0.id')])->assertOk();
    $this->atHouse('POST', "{$path}/undo", ['entry' => $in->json('entries.0.id')])->assertOk();
    expect($left($tins))->toEqual(2)->and($left($lavender))->toEqualWithDelta(9, 0.001);
    expect($this->atHouse('GET', '/stores')->json('kinds'))->not->toBe([]);
});

it('takes the bottles it is poured into out of Stores, by what they hold and not by their name', function () {
    $size = $this->atHouse('POST', '/bottles', ['called' => 'blue dropper', 'capacity' => '1 fl oz'])
        ->assertOk()
        ->json('bottles.0.id');
    $lot = $this->atHouse('POST', '/lots', [
        'lot' => ['kind' => 'bottle', 'material' => 'blue dropper', 'amount' => '5', 'price' => '3.00'],
    ])
        ->assertOk()
        ->json('lot.id');
    $left = fn (): float => (float) $this->atHouse('GET', "/lots/{$lot}")->json('lot.left');
    $batch = basename(bottledBatch(['herb' => ['id' => 'calendula']], '260 mL'));
    $made = $this->atHouse('POST', '/makings', [
        'wish' => ['product' => 'massage-oil', 'oils' => [['batch' => $batch]], 'tins' => [['ml' => 30, 'count' => 3]]],
        'acknowledged' => ['daisy-family'],
    ]);
    $path = "/makings/{$made->assertOk()->json('id')}";
    $poured = $this->atHouse('POST', "{$path}/pour", ['tins' => [['ml' => 30, 'count' => 3]]])->assertOk();
    expect($left())->toEqual(2);
    $this->atHouse('POST', "{$path}/undo", ['entry' => $poured->json('entries.0.id')])->assertOk();
    expect($left())->toEqual(5);
    // Bottles of another size are left alone.
    $this->atHouse('POST', "{$path}/pour", ['tins' => [['ml' => 50, 'count' => 1]]])->assertOk();
    expect($left())->toEqual(5);
});

it('counts the hands where the house has put a price on an hour', function () {
    $this->atHouse('POST', '/lots', ['lot' => ['kind' => 'wax', 'material' => 'beeswax', 'amount' => '900 g', 'price' => '9']])->assertOk();
    $cost = fn (): float => (float) $this->atHouse('POST', '/melt/reckon', ['wish' => ['oils' => ['olive']] + POT])->json(
        'figures.cost.value',
    );
    $before = $cost();
    $house = $this->atHouse('GET', '')->json();
    $edit = array_intersect_key($house, array_flip(['version', 'name', 'time_zone', 'measures', 'wake', 'bed', 'drops_per_ml']));
    $this->atHouse('PATCH', '', [...$edit, 'hour_rate' => 12])
        ->assertOk()
        ->assertJsonPath('hour_rate', 12);
    // Two weighings of 2 min, melting 12, spoon 3, and 2 min for each of four tins are 27 min: 5.40 of 12 an hour.
    expect($cost() - $before)->toEqualWithDelta(5.4, 0.01);
    $this->atHouse('PATCH', '', [...$edit, 'version' => $edit['version'] + 1, 'hour_rate' => 'a crown'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'hour_rate');
});

it('says what the scale will read by what is in it, and how much goes with that', function () {
    [$made] = begunSalve();
    $path = "/makings/{$made['id']}";
    $warm = array_values(array_filter($made['pot'], fn (array $part) => ! $part['cool']));
    [$first, $second] = $warm;
    $says = fn (array $page, string $part): string => collect($page['steps'])->firstWhere('id', "weigh.{$part}")['says'];
    // As planned: each on top of the one before it.
    expect($says($made, $first['id']))
        ->toContain('press it to nought')
        ->and($says($made, $second['id']))
        ->toEndWith('the scale then reads '.round($first['grams'] + $second['grams']).' g.');
    // The other way about, it is read the other way about.
    $other = $this->atHouse('POST', "{$path}/weigh", ['part' => $second['id']])
        ->assertOk()
        ->json();
    expect($says($other, $first['id']))->toEndWith('the scale then reads '.round($first['grams'] + $second['grams']).' g.');
    $this->atHouse('POST', "{$path}/undo", ['entry' => $other['entries'][0]['id']])->assertOk();
    $asPlanned = $this->atHouse('POST', "{$path}/weigh", ['part' => $first['id']])
        ->assertOk()
        ->json();
    expect($says($asPlanned, $second['id']))
        ->toEndWith('the scale then reads '.round($first['grams'] + $second['grams']).' g.')
        ->not->toContain('planned');
    expect($says($asPlanned, $first['id']))
        ->toStartWith('In the jug: '.round($first['grams']).' g of ')
        ->not->toContain('planned');
    $this->atHouse('POST', "{$path}/undo", ['entry' => $asPlanned['entries'][0]['id']])->assertOk();
    // Twice as much went in: with twice of the other it is what was planned, and the scale reads what is on it.
    $twice = $this->atHouse('POST', "{$path}/weigh", ['part' => $first['id'], 'amount' => 2 * $first['grams'].' g'])->json();
    expect($says($twice, $second['id']))
        ->toContain('the scale then reads '.round(2 * $first['grams'] + $second['grams']).' g.')
        ->toContain('100 % more than planned: with '.round(2 * $second['grams']).' g of it the proportions are as planned');
    // What is in says what went in, and not what was to go in.
    expect($says($twice, $first['id']))
        ->toStartWith('In the jug: '.round(2 * $first['grams']).' g of ')
        ->toEndWith('; '.round($first['grams']).' g was planned.');
});

it('is weighed on the simulated scale, tare after tare', function () {
    [$made, $batch] = begunSalve();
    $does = fn (array $body): array => $this->atHouse('POST', '/scale', $body)->assertOk()->json();
    $reads = function (): float {
        $this->travel(3)->seconds();

        return $this->atHouse('GET', '/scale')->json('grams');
    };
    $does(['do' => 'jug']);
    expect($reads())->toEqualWithDelta(412, 2);
    $does(['do' => 'tare']);
    $does(['do' => 'part', 'making' => $made['id'], 'part' => "batch.{$batch}"]);
    expect($reads())->toEqualWithDelta($made['pot'][0]['grams'], $made['pot'][0]['grams'] * 0.03 + 2);
    $does(['do' => 'tare']);
    expect($reads())->toEqual(0);
    $does(['do' => 'part', 'making' => $made['id'], 'part' => 'beeswax']);
    expect($reads())->toEqualWithDelta($made['pot'][1]['grams'], $made['pot'][1]['grams'] * 0.03 + 2);
    $this->atHouse('POST', '/scale', ['do' => 'part', 'making' => $made['id'], 'part' => 'gravel'])->assertStatus(422);
    $this->atHouse('POST', '/scale', ['do' => 'part'])->assertStatus(422);
    $this->atHouse('POST', '/scale', ['do' => 'part', 'making' => 'nobody', 'part' => 'beeswax'])->assertStatus(404);
});

it('reads a thermometer as this cook does', function () {
    [$made] = begunSalve();
    $path = "/makings/{$made['id']}";
    $this->call_('PATCH', '/me', ['temperature' => 'f'])->assertOk();
    $melted = $this->atHouse('POST', "{$path}/steps", ['step' => 'melt', 'warmth' => '150'])->assertOk();
    expect($melted->json('entries.0.title'))->toBe('Melted, at 150 °F');
    $tried = $this->atHouse('POST', "{$path}/spoon", ['verdict' => 'right', 'room' => '20 C'])->assertOk();
    expect($tried->json('entries.0.title'))->toBe('The cold spoon: right, at 68 °F');
    // 150 °F is 65.6 °C, by the definition of the degree.
    expect(MakingEntry::query()->where('kind', 'did')->firstOrFail()->data['celsius'])->toEqualWithDelta(65.5556, 0.001);
});

it('keeps fresh leaf in the ointment, watched at the Stove, until it is sieved', function () {
    $begun = $this->atHouse('POST', '/makings', [
        'wish' => [
            'product' => 'ointment',
            'oils' => ['olive'],
            'leaf' => ['id' => 'plantain-leaf', 'amount' => '40 g'],
            'tins' => [['ml' => 60, 'count' => 3]],
        ],
        'acknowledged' => ['leaf-in-it'],
    ])->assertOk();
    expect($begun->json('name'))->toBe('Plantain leaf soft ointment')->and($begun->json('leaf'))->toBeNull();
    $path = "/makings/{$begun->json('id')}";
    $does = fn (string $what, array $body) => $this->atHouse('POST', "{$path}/{$what}", $body);
    $does('weigh', ['part' => 'olive'])->assertOk();
    $does('weigh', ['part' => 'beeswax'])->assertOk();
    $does('steps', ['step' => 'melt', 'warmth' => '66 C'])->assertOk();
    // No leaf, nothing to stir or sieve; and nothing at the Stove.
    $does('stir', [])->assertStatus(422)->assertJsonPath('faults.0.field', 'step');
    $does('steps', ['step' => 'sieve'])->assertStatus(422);
    expect($this->atHouse('GET', '/stove')->json('leaves'))->toBe([]);
    $in = $does('steps', ['step' => 'leaf', 'warmth' => '58 C'])
        ->assertOk()
        ->json();
    expect($in['leaf']['over'])->toBeFalse()->and($in['leaf']['says'])->toContain('Stir it at ');
    $does('spoon', ['verdict' => 'right'])->assertStatus(422);
    $does('pour', ['tins' => [['ml' => 60, 'count' => 3]]])->assertStatus(422);
    $this->travel(20)->minutes();
    $stove = $this->atHouse('GET', '/stove')->json('leaves');
    expect($stove)
        ->toHaveCount(1)
        ->and($stove[0]['making'])
        ->toBe($in['id'])
        ->and($stove[0]['leaf']['says'])
        ->toBe('Stir it now.')
        ->and(collect($this->atHouse('GET', '/today')->json('melt'))->firstWhere('id', $in['id'])['says'])
        ->toBe('Stir it now.');
    $hot = $does('stir', ['warmth' => '91 C'])
        ->assertOk()
        ->json();
    expect($hot['leaf']['warmth_says'])->toContain('Too warm')->and($hot['entries'][0]['title'])->toBe('Stirred, at 91 °C');
    $does('stir', ['warmth' => 'warm'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'warmth');
    $this->travel(2)->hours();
    expect($this->atHouse('GET', '/stove')->json('leaves.0.leaf.over'))->toBeTrue();
    $does('steps', ['step' => 'sieve', 'mass' => '9 kg'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'mass');
    $out = $does('steps', ['step' => 'sieve', 'mass' => '160 g'])
        ->assertOk()
        ->json();
    expect($out['leaf'])
        ->toBeNull()
        ->and($out['pot'][0]['grams'] + $out['pot'][1]['grams'])
        ->toEqualWithDelta(160, 0.01)
        ->and($out['entries'][0]['title'])
        ->toBe('Sieved; 160 g in the pot');
    $does('undo', ['entry' => $out['entries'][0]['id']])->assertOk();
    expect($this->atHouse('GET', '/stove')->json('leaves'))->toHaveCount(1);
    $does('steps', ['step' => 'sieve'])->assertOk();
    $does('spoon', ['verdict' => 'right'])->assertOk();
    $poured = $does('pour', ['tins' => [['ml' => 60, 'count' => 3]]])
        ->assertOk()
        ->json();
    expect($poured['inci'])->toContain('Plantago lanceolata Extract');
});
