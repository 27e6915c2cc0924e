<?php

use App\Models\Tenancy\CurrentHouse;
use App\Models\Tenancy\Role;
use Illuminate\Support\Facades\DB;

require_once dirname(__DIR__).'/Pressed.php';

/** The id of a batch that was bottled. */
function bottledOil(array $wish = []): string
{
    return basename(bottledBatch($wish + ['herb' => ['id' => 'calendula']], '260 mL'));
}

it('says what there is to melt, the oils bottled here first among it', function () {
    expect($this->atHouse('GET', '/melt')->assertOk()->json('bottled'))->toBe([]);
    $id = bottledOil();
    $melt = $this->atHouse('GET', '/melt')->assertOk();
    expect($melt->json('bottled.0.id'))
        ->toBe($id)
        ->and($melt->json('bottled.0.name'))
        ->toMatch('/^calendula oil of \d+ \w+$/')
        ->and($melt->json('bottled.0.left_text'))
        ->toBe('250 mL')
        ->and(count($melt->json('products')))
        ->toBeGreaterThanOrEqual(20)
        ->and(count($melt->json('scents')))
        ->toBeGreaterThanOrEqual(30);
    // Used up, it is no longer offered.
    foreach ([1, 2, 3] as $number) {
        $this->atHouse('POST', "/batches/{$id}/use", ['bottle' => $number, 'how' => 'used'])->assertOk();
    }
    expect($this->atHouse('GET', '/melt')->json('bottled'))->toBe([]);
});

it('plans a salve from an oil of the house, and says all that came with it', function () {
    $id = bottledOil(['oils' => ['sweet-almond']]);
    $plan = $this->atHouse('POST', '/melt/reckon', [
        'wish' => ['product' => 'salve', 'oils' => [['batch' => $id]], 'firmness' => 'firm', 'tins' => [['ml' => 30, 'count' => 4]]],
    ])->assertOk();
    expect($plan->json('text'))
        ->toMatch('/^Four 30 mL tins of salve, firm in a cool room, from calendula oil of \d+ \w+, with beeswax\.$/')
        ->and($plan->json('ingredients.cook'))
        ->toBe(['sweet almond oil', 'beeswax', 'calendula, in its oil'])
        ->and($plan->json('ingredients.allergens'))
        ->toContain('almond (tree nuts)')
        ->and(array_column($plan->json('cautions'), 'id'))
        ->toContain('daisy-family')
        ->and($plan->json('pot.0.id'))
        ->toBe("batch.{$id}");
    // It is no better than its oil.
    $best = $this->atHouse('GET', "/batches/{$id}")->json('best_before');
    expect($plan->json('figures.best_before.text'))->toBe($best);
});

it('takes no more from a bottle than is in it, and offers all there is', function () {
    $id = bottledOil();
    $wish = ['oils' => [['batch' => $id]], 'tins' => [['ml' => 60, 'count' => 20]]];
    $refused = $this->atHouse('POST', '/melt/reckon', ['wish' => $wish])->assertStatus(422);
    expect($refused->json('faults.0.reason'))
        ->toBe('not_so_much')
        ->and($refused->json('faults.0.sentence'))
        ->toContain('250 mL')
        // The sentence is kept, for its words to be changed.
        ->and(implode('', array_column($refused->json('sentence'), 'text')))
        ->toContain('20 60 mL tins');
    $change = $refused->json('faults.0.ways.0.change');
    $wish = array_filter(array_replace($wish, $change), fn (mixed $each) => $each !== null);
    expect(
        $this->atHouse('POST', '/melt/reckon', ['wish' => $wish])
            ->assertOk()
            ->json('figures.oil_volume.value'),
    )->toEqualWithDelta(250, 0.01);
});

it('takes no oil of another house, none thrown away, none past its day', function () {
    $id = bottledOil();
    $wish = ['wish' => ['oils' => [['batch' => $id]], 'tins' => [['ml' => 30, 'count' => 2]]]];
    $this->atHouse('POST', '/melt/reckon', $wish)->assertOk();
    $other = $this->aHouse($this->keeper, 'Another');
    $this->call_('POST', "/houses/{$other->uid}/melt/reckon", $wish)
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'oils.0.batch')
        ->assertJsonPath('faults.0.reason', 'unknown');
    $this->travelTo('2029-01-01');
    $this->atHouse('POST', '/melt/reckon', $wish)->assertStatus(422)->assertJsonPath('faults.0.reason', 'past');
    $this->travelTo('2026-11-24T10:00:00Z');
    $this->atHouse('POST', "/batches/{$id}/discard", ['reason' => 'it smells of paint'])->assertOk();
    $this->atHouse('POST', '/melt/reckon', $wish)->assertStatus(422)->assertJsonPath('faults.0.reason', 'discarded');
});

it('puts an oil into food only where all of it is known to be food', function (string $purpose, bool $food, int $status) {
    foreach ([['herb', 'lemon-thyme', '200 g'], ['carrier', 'olive', '1 L']] as [$kind, $material, $amount]) {
        $lot = ['kind' => $kind, 'material' => $material, 'amount' => $amount, 'food_grade' => $food ? 'yes' : 'no', 'got_how' => 'bought'];
        $this->atHouse('POST', '/lots', ['lot' => $kind === 'herb' ? $lot + ['state' => 'dried'] : $lot])->assertOk();
    }
    $id = basename(bottledBatch(['herb' => ['id' => 'lemon-thyme'], 'oils' => ['olive'], 'purpose' => $purpose], '250 mL', [100 => 1]));
    $this->atHouse('POST', '/melt/reckon', [
        'wish' => ['product' => 'dressing', 'oils' => [['batch' => $id]], 'tins' => [['ml' => 50, 'count' => 1]]],
    ])->assertStatus($status);
})->with([
    'for the kitchen, of food lots' => ['kitchen', true, 200],
    'for the skin, of food lots' => ['skin', true, 422],
    'for the skin, of others' => ['skin', false, 422],
]);

it('refuses what is no wish, or is the house’s to say', function (mixed $wish, string $field) {
    $this->atHouse('POST', '/melt/reckon', ['wish' => $wish])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', $field);
})->with([
    'text' => ['a salve', 'wish'],
    'a field nobody knows' => [['firmnes' => 0.2], 'firmnes'],
    'its own batches' => [['batches' => [['id' => 'x', 'oils' => ['olive']]]], 'batches'],
    'another house' => [['house' => ['now' => '2020-01-01']], 'house'],
    'its own verdicts' => [['verdicts' => []], 'verdicts'],
    'nothing' => [[], 'wish'],
    'a list for a number' => [['bears_c' => []], 'bears_c'],
]);

it('costs what the house’s lots cost', function () {
    $this->atHouse('POST', '/lots', [
        'lot' => ['kind' => 'carrier', 'material' => 'olive', 'amount' => '1 L', 'price' => '10.00'],
    ])->assertOk();
    $this->atHouse('POST', '/lots', [
        'lot' => ['kind' => 'wax', 'material' => 'beeswax', 'amount' => '500 g', 'price' => '15.00'],
    ])->assertOk();
    $wish = ['oils' => [['id' => 'olive', 'amount' => '100 mL']], 'waxes' => [['id' => 'beeswax', 'amount' => '20 g']]];
    // A tenth of the oil, and four hundredths of the wax.
    expect($this->atHouse('POST', '/melt/reckon', ['wish' => $wish])->json('figures.cost.value'))->toEqualWithDelta(1.6, 0.001);
});

it('reads a recipe in, and says of every line what was made of it', function () {
    $read = $this->atHouse('POST', '/melt/read', [
        'text' => "1 cup olive oil, 1/4 cup beeswax pellets, 20 drops lavender\n3 drops moonflower",
    ])->assertOk();
    expect($read->json('wish.waxes.0.id'))
        ->toBe('beeswax')
        ->and(array_column($read->json('lines'), 'as'))
        ->toBe(['oil', 'wax', 'scent', 'unread']);
    $this->atHouse('POST', '/melt/reckon', ['wish' => $read->json('wish')])->assertOk();
    $this->atHouse('POST', '/melt/read', ['text' => 'Dear Magnus'])->assertStatus(422);
});

it('mends by the spoon, for whoever may look', function () {
    $spoon = ['mass' => '322 g', 'share' => 0.17, 'verdict' => 'too-soft', 'by' => 'plainly'];
    foreach ([$this->keeper, $this->member(Role::Helper), $this->member(Role::Reader)] as $person) {
        $mended = $this->atHouse('POST', '/melt/mend', $spoon, $person)->assertOk();
        expect($mended->json('figures.add_wax.value'))->toEqualWithDelta(16.3, 0.01)->and($mended->json('to'))->toBe('firm');
    }
    // A full pot takes no oil before some is taken out; how much room there is may come as it was typed.
    $hard = ['mass' => '100 g', 'share' => 0.25, 'verdict' => 'too-hard', 'room' => '10 mL'];
    expect($this->atHouse('POST', '/melt/mend', $hard)->assertOk()->json('figures.take_out.value'))->toBeGreaterThan(5.0);
    $this->atHouse('POST', '/melt/mend', ['mass' => 'some'] + $spoon)
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'mass');
    $this->atHouse('POST', '/melt/mend', ['verdict' => 'rubbery'] + $spoon)->assertStatus(422);
    $this->atHouse('POST', '/melt/mend', array_diff_key($spoon, ['verdict' => 1]))->assertStatus(422);
});

it('asks the database as much for five oils as for one', function () {
    $ids = [bottledOil(), bottledOil(), bottledOil(), bottledOil(), bottledOil()];
    $queries = function (array $ids): int {
        app(CurrentHouse::class)->leave();
        $count = 0;
        DB::listen(function () use (&$count) {
            $count++;
        });
        $this->atHouse('POST', '/melt/reckon', [
            'wish' => ['oils' => array_map(fn (string $id) => ['batch' => $id], $ids), 'tins' => [['ml' => 30, 'count' => 2]]],
        ])->assertOk();

        return $count;
    };
    $one = $queries([$ids[0]]);
    expect($queries($ids))->toBeLessThanOrEqual($one * 2);
});
