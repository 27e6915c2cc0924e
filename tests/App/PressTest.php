<?php

use App\Models\BatchYield;
use App\Models\Tenancy\CurrentHouse;
use Illuminate\Support\Carbon;

require_once dirname(__DIR__).'/Pressed.php';

it('strains by weight with the jug, and keeps how it was done', function () {
    $batch = $this->batch(['jar' => $this->jarOf(505)->uid]);
    $this->fill($batch);
    $path = "/batches/{$batch->uid}";
    $before = $this->atHouse('GET', $path)->json('press');
    expect(array_column($before['steps'], 'id'))
        ->toBe(['dry', 'filter', 'way', 'weigh', 'settle', 'spent'])
        ->and(array_column($before['signs'], 'known', 'id'))
        ->toBe(['time' => false, 'colour' => null, 'scent' => null, 'faded' => null])
        ->and($before['signs'][0]['evidence'])
        ->toBe('day 0 of 28');
    $after = $this->atHouse('POST', "{$path}/strain", [
        'gross' => '688 g',
        'tare' => '412 g',
        'way' => 'pressed',
        'filter' => 'press',
        'spent' => '5 oz',
        'spent_to' => 'compost',
        'signs' => ['time', 'scent'],
    ])
        ->assertOk()
        ->json();
    // Sunflower oil, 0.920 g/mL at 20 C (Codex 210: 0.918 to 0.923): 276 g is 300 mL.
    expect($after['press']['strained_ml'])
        ->toEqualWithDelta(300, 0.05)
        ->and($after['press']['way'])
        ->toBe('pressed')
        ->and($after['press']['typed'])
        ->toBe('688 g with the jug, the jug 412 g')
        ->and($after['press']['spent_text'])
        ->toContain('142 g')
        ->toContain('to the compost');
});

it('expects by the way it was got out, not by the way that was planned', function () {
    $expect = function (string $way) {
        $batch = $this->batch(['jar' => $this->jarOf(505)->uid]);
        $this->fill($batch);

        return $this->atHouse('POST', "/batches/{$batch->uid}/strain", ['amount' => '330 mL', 'way' => $way])
            ->assertOk()
            ->json('press.verdict');
    };
    expect($expect('drained'))->toBe('more')->and($expect('pressed'))->toBe('as expected');
});

it('refuses what cannot have come out, and says which field', function (array $body, string $field, string $words) {
    $batch = $this->batch(['jar' => $this->jarOf(505)->uid]);
    $this->fill($batch);
    $answer = $this->atHouse('POST', "/batches/{$batch->uid}/strain", $body)->assertStatus(422);
    expect($answer->json('faults.0.field'))->toBe($field)->and($answer->json('faults.0.sentence'))->toContain($words);
    $this->atHouse('GET', "/batches/{$batch->uid}")->assertJsonPath('stage', 'steeping');
})->with([
    'nothing said' => [[], 'amount', 'Fill in'],
    'the jug alone' => [['gross' => '400 g', 'tare' => '412 g'], 'gross', 'nothing in it'],
    'a jug of words' => [['gross' => 'heavy', 'tare' => '412 g'], 'gross', 'cannot be read'],
    'a jug in cups' => [['gross' => '3 cups', 'tare' => '412 g'], 'gross', 'volume'],
    'more than went in' => [['gross' => '2 kg', 'tare' => '412 g'], 'amount', 'went in'],
    'a way nobody knows' => [['amount' => '300 mL', 'way' => 'wrung'], 'way', 'drained, squeezed or pressed'],
    'a jug nobody weighed' => [['gross' => '500 g'], 'tare', 'what the empty jug weighs, or 0 g'],
    'through a sock' => [['amount' => '300 mL', 'filter' => 'sock'], 'filter', '“sock” is none of cloth, paper, bag, press'],
    'to the dog' => [['amount' => '300 mL', 'spent_to' => 'dog'], 'spent_to', '“dog” is none of compost'],
    'a sign nobody sees' => [['amount' => '300 mL', 'signs' => ['time', 'sparkles']], 'signs.1', '“sparkles” is none of time'],
    'spent herb in litres' => [['amount' => '300 mL', 'spent' => '1 L'], 'spent', 'weight'],
    'a list' => [['amount' => ['300 mL']], 'amount', 'text'],
]);

it('takes a jug that the scale has taken off', function (string $tare) {
    $batch = $this->batch(['jar' => $this->jarOf(505)->uid]);
    $this->fill($batch);
    $this->atHouse('POST', "/batches/{$batch->uid}/strain", ['gross' => '276 g', 'tare' => $tare])
        ->assertOk()
        ->assertJsonPath('stage', 'settling');
})->with(['0', '0 g', '0,0 g']);

it('pours off, filters again, and bottles only what is left', function () {
    $batch = $this->batch(['jar' => $this->jarOf(505)->uid]);
    $this->fill($batch);
    $path = "/batches/{$batch->uid}";
    $this->atHouse('POST', "{$path}/decant", ['amount' => '250 mL'])->assertStatus(422);
    $this->atHouse('POST', "{$path}/strain", ['amount' => '300 mL'])->assertOk();
    $this->atHouse('POST', "{$path}/decant", ['amount' => '320 mL'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'amount');
    $this->atHouse('POST', "{$path}/decant", ['amount' => '288 mL', 'again' => true])
        ->assertOk()
        ->assertJsonPath('stage', 'poured')
        ->assertJsonPath('press.to_bottle', '288 mL')
        ->assertJsonPath('press.poured_lost', '12 mL');
    $this->atHouse('POST', "{$path}/bottle", ['bottles' => [['size' => bottleSize(100), 'count' => 3]]])->assertStatus(422);
    $this->atHouse('POST', "{$path}/bottle", ['bottles' => [['size' => bottleSize(100), 'count' => 2]]])
        ->assertOk()
        ->assertJsonPath('press.left', '88 mL');
    $this->atHouse('GET', $path)->assertJsonPath('entries.1.title', 'Poured off, through paper once more: 288 mL, 12 mL lost in the mud');
});

it('finds the filling that leaves the least over, around what is wished for and what Stores has', function () {
    $batch = $this->batch(['jar' => $this->jarOf(505)->uid]);
    $this->fill($batch);
    $path = "/batches/{$batch->uid}";
    $this->atHouse('POST', "{$path}/filling", [])->assertStatus(422);
    $this->atHouse('POST', "{$path}/strain", ['amount' => '285 mL'])->assertOk();
    $free = $this->atHouse('POST', "{$path}/filling", [])
        ->assertOk()
        ->json();
    expect($free['offers'][0]['left_text'])
        ->toBe('5 mL')
        ->and($free['vitamin_e']['vitamin_e_iu']['value'])
        ->toEqualWithDelta((500 * 285) / 236.5882365, 1e-3)
        ->and($free['advised'])
        ->toBeTrue();
    $this->atHouse('POST', '/lots', [
        'lot' => ['kind' => 'bottle', 'material' => bottleSize(250), 'called' => '250 mL bottle', 'amount' => '0'] + ['amount' => '1'],
    ])->assertOk();
    $lot = $this->atHouse('POST', '/lots', [
        'lot' => ['kind' => 'bottle', 'material' => bottleSize(100), 'called' => '100 mL bottle', 'amount' => '1'],
    ])
        ->assertOk()
        ->json('lot.id');
    $this->atHouse('POST', "/lots/{$lot}/count", ['amount' => '0'])->assertOk();
    $counts = fn (array $offer) => array_column($offer['bottles'], 'count', 'capacity_ml');
    $fixed = $this->atHouse('POST', "{$path}/filling", ['fixed' => [['size' => bottleSize(30), 'count' => 2]]])
        ->assertOk()
        ->json('offers.0');
    expect($counts($fixed)[30])
        ->toBeGreaterThanOrEqual(2)
        ->and($counts($fixed))
        ->not->toHaveKey(100)
        ->and($fixed['left_text'])
        ->toBe('5 mL');
    $this->atHouse('POST', "{$path}/filling", ['fixed' => [['size' => bottleSize(100), 'count' => 3]]])->assertStatus(422);
    $this->atHouse('POST', "{$path}/filling", ['vitamin_e' => 'honey'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'vitamin_e');
    $this->atHouse('POST', "{$path}/filling", ['fixed' => [['size' => 'nosuch', 'count' => 1]]])->assertOk();
});

it('takes the bottles from Stores, oldest first, and puts them back when it is undone', function () {
    $lot = fn (string $count, string $on) => $this->atHouse('POST', '/lots', [
        'lot' => ['kind' => 'bottle', 'material' => bottleSize(50), 'called' => '50 mL bottle', 'amount' => $count, 'got_on' => $on],
    ])
        ->assertOk()
        ->json('lot.id');
    [$old, $new] = [$lot('2', '2026-01-01'), $lot('10', '2026-06-01')];
    $left = fn (string $id) => $this->atHouse('GET', "/lots/{$id}")->json('lot.left');
    $path = bottledBatch([], '300 mL', [50 => 5]);
    expect([$left($old), $left($new)])->toEqual([0, 7]);
    $page = $this->atHouse('GET', $path)->json();
    expect(array_column($page['lots'], 'text'))->toBe(['2', '3']);
    $this->atHouse('POST', "{$path}/undo", ['entry' => $page['entries'][0]['id']])->assertOk();
    expect([$left($old), $left($new)])->toEqual([2, 10]);
    // Not asked of Stores, none is taken; more than there are, those there are.
    $this->atHouse('POST', "{$path}/bottle", ['bottles' => [['size' => bottleSize(50), 'count' => 5]], 'from_stores' => false])->assertOk();
    expect([$left($old), $left($new)])->toEqual([2, 10]);
    bottledBatch([], '320 mL', [10 => 1]);
    $this->atHouse('POST', "/lots/{$new}/count", ['amount' => '1'])->assertOk();
    bottledBatch([], '300 mL', [50 => 5]);
    expect([$left($old), $left($new)])->toEqual([0, 0]);
});

it('learns from every batch what stays in the herb, and plans by it', function () {
    $yield = fn () => $this->atHouse('POST', '/reckon', ['wish' => $this->wish(['jar' => $this->jarOf(505)->uid])])->json(
        'figures.yield_volume',
    );
    $first = $yield();
    for ($i = 0; $i < 3; $i++) {
        bottledBatch([], '265 mL');
    }
    $now = $yield();
    expect($now['value'])
        ->toBeLessThan($first['value'])
        ->and($now['high'] - $now['low'])
        ->toBeLessThan($first['high'] - $first['low'])
        ->and(implode(' ', array_column($now['reasons'], 'says')))
        ->toContain('3 of this house’s own batches');
    $view = $this->atHouse('GET', '/yields/one?form=root&way=squeezed')->assertOk()->json();
    expect($view['line']['batches'])
        ->toBe(3)
        ->and($view['line']['prior_low'])
        ->toEqualWithDelta(0.624, 0.001)
        ->and($view['line']['prior_high'])
        ->toEqualWithDelta(1.776, 0.001)
        ->and($view['steps'])
        ->toHaveCount(3)
        ->and($view['steps'][2]['high'] - $view['steps'][2]['low'])
        ->toBeLessThan($view['steps'][0]['high'] - $view['steps'][0]['low']);
    // One that spilled is odd, said at the press; thrown away it is not learned from.
    $odd = bottledBatch([], '120 mL', [50 => 2]);
    expect($this->atHouse('GET', $odd)->json('press.odd'))->toBeTrue();
    $this->atHouse('POST', "{$odd}/discard", ['reason' => 'it spilled'])->assertOk();
    $this->atHouse('GET', '/yields')->assertJsonPath('lines.0.batches', 3);
    // What the page says is what the rows say.
    app(CurrentHouse::class)->within($this->house, fn () => expect(BatchYield::query()->count())->toBe(3));
    $this->atHouse('GET', '/yields/one?form=root&way=wrung')->assertStatus(422);
    $this->atHouse('GET', '/yields/one?form=nothing&way=drained')->assertOk()->assertJsonPath('line.batches', 0);
});

it('learns from wet herb by what it would weigh dry', function () {
    // 78 % water: 100 g of it hold 22 g of dry matter, as 24.4 g of herb with 10 % water do.
    $batch = $this->batch([
        'herb' => ['id' => 'self-heal', 'state' => 'fresh', 'amount' => '100 g', 'water' => '78'],
        'oils' => ['olive'],
        'oil_amount' => '600 mL',
        'method' => 'slow-cooker',
    ]);
    $this->fill($batch);
    $this->atHouse('POST', "/batches/{$batch->uid}/strain", ['amount' => '540 mL', 'warmth' => 'had'])->assertOk();
    $learned = app(CurrentHouse::class)->within($this->house, fn () => BatchYield::query()->firstOrFail());
    $losses = (float) Kettle\Infusion\Uptake::by('drained', Kettle\Material\Tables::shipped())->lossesMl;
    expect((float) $learned->dry_g)
        ->toEqualWithDelta(24.44, 0.01)
        ->and((float) $learned->uptake)
        ->toEqualWithDelta((600 - 540 - $losses) / 24.44, 0.01);
});

it('learns nothing from a mix of unlike forms', function () {
    $batch = $this->batch([
        'herb' => null,
        'herbs' => [['id' => 'marshmallow-root', 'amount' => '20 g'], ['id' => 'linden-blossom', 'amount' => '10 g']],
        'oils' => ['sunflower'],
    ]);
    $this->fill($batch);
    $this->atHouse('POST', "/batches/{$batch->uid}/strain", ['amount' => '100 mL'])
        ->assertOk()
        ->assertJsonPath('press.form', null);
    $this->atHouse('GET', '/yields')->assertJsonCount(0, 'lines');
});

it('weighs on the simulated scale, unsteady at first, to the gram', function () {
    $batch = $this->batch(['jar' => $this->jarOf(505)->uid]);
    $do = fn (string $what) => $this->atHouse('POST', '/scale', ['do' => $what, 'batch' => $batch->uid])
        ->assertOk()
        ->json();
    $later = function (int $s) {
        Carbon::setTestNow(Carbon::now()->addSeconds($s));

        return $this->atHouse('GET', '/scale')->assertOk()->json();
    };
    expect($this->atHouse('GET', '/scale')->json('grams'))->toBeNull();
    expect($do('jug')['stable'])->toBeFalse();
    $jug = $later(3);
    expect($jug['stable'])->toBeTrue()->and($jug['grams'])->toEqual(413);
    $do('tare');
    expect($later(3)['grams'])->toEqual(0);
    $do('oil');
    $oil = $later(3);
    $expected = $this->atHouse('GET', "/batches/{$batch->uid}")->json('press');
    expect($oil['grams'])
        ->toBeGreaterThan(0.9 * 0.92 * $expected['low_ml'])
        ->toBeLessThan(1.1 * 0.92 * $expected['high_ml']);
    expect($do('off')['grams'])->toBeNull();
    $this->atHouse('POST', '/scale', ['do' => 'jump'])->assertStatus(422);
    $this->atHouse('POST', '/scale', ['do' => 'oil', 'batch' => 'nosuch'])->assertNotFound();
});

it('counts what a jar was topped up with among what went in, and expects more of it', function () {
    $batch = $this->batch(['jar' => $this->jarOf(505)->uid]);
    $this->fill($batch);
    $path = "/batches/{$batch->uid}";
    $in = $this->atHouse('GET', $path)->json('press.oil_in_ml');
    foreach (['a little' => 422, '0 mL' => 422, '5 L' => 422, '400 mL' => 422, '2 fl oz' => 200] as $amount => $status) {
        $answer = $this->atHouse('POST', "{$path}/tasks", ['task' => 'top_up', 'outcome' => 'done', 'amount' => $amount])->assertStatus(
            $status,
        );
        $status === 422 && $answer->assertJsonPath('faults.0.field', 'amount');
    }
    $topped = $this->atHouse('GET', $path)->json();
    // A US fluid ounce is 29.5735 mL: NIST Handbook 44, Appendix C.
    expect($topped['press']['oil_in_ml'])
        ->toEqualWithDelta($in + 59.147, 0.01)
        ->and($topped['entries'][0]['title'])
        ->toBe('Topped up with 59 mL');
    // As much as all that was poured at first may come out now, which could not before.
    $this->atHouse('POST', "{$path}/strain", ['amount' => round($in * 1.05).' mL'])->assertOk();
    $learned = BatchYield::query()->withoutGlobalScopes()->where('batch_id', $batch->id)->first();
    expect((float) $learned?->oil_ml)->toEqualWithDelta($in + 59.147, 0.01);
});

it('takes what a jar was topped up with out of Stores, from the lot it was filled from first, and gives it back undone', function () {
    $lot = fn (string $amount): string => $this->atHouse('POST', '/lots', [
        'lot' => ['kind' => 'carrier', 'material' => 'olive', 'amount' => $amount, 'food_grade' => true],
    ])
        ->assertOk()
        ->json('lot.id');
    $first = $lot('380 mL');
    $second = $lot('60 mL');
    $left = fn (string $id): float => (float) $this->atHouse('GET', "/lots/{$id}")->json('lot.left');
    $wish = ['herb' => ['id' => 'calendula'], 'oils' => [['id' => 'olive', 'lot' => $first]], 'oil_amount' => '350 mL'];
    $id = $this->atHouse('POST', '/batches', ['wish' => $wish])
        ->assertOk()
        ->json('id');
    $path = "/batches/{$id}";
    expect($left($first))->toEqualWithDelta(30, 0.01);
    $this->atHouse('POST', "{$path}/tasks", ['task' => 'fill', 'outcome' => 'done'])->assertOk();
    $this->travel(2)->hours();
    $entry = $this->atHouse('POST', "{$path}/tasks", ['task' => 'top_up', 'outcome' => 'done', 'amount' => '50 mL'])
        ->assertOk()
        ->json('entries.0.id');
    expect($left($first))->toEqualWithDelta(0, 0.01)->and($left($second))->toEqualWithDelta(40, 0.01);
    expect(json_encode($this->atHouse('GET', "/lots/{$second}")->json()))->toContain('20 mL taken to top up');
    // The lot it was topped up from went into it as well.
    expect(
        json_encode(
            $this->atHouse('GET', "/lots/{$second}/trace")
                ->assertOk()
                ->json(),
        ),
    )->toContain($id);
    $this->atHouse('POST', "{$path}/undo", ['entry' => $entry])->assertOk();
    expect($left($first))->toEqualWithDelta(30, 0.01)->and($left($second))->toEqualWithDelta(60, 0.01);
    // What was poured was there, whatever the books say.
    $this->atHouse('POST', "{$path}/tasks", ['task' => 'top_up', 'outcome' => 'done', 'amount' => '100 mL'])->assertOk();
    expect($left($first))->toEqualWithDelta(0, 0.01)->and($left($second))->toEqualWithDelta(0, 0.01);
});
