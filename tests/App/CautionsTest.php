<?php

use App\Actions\Stores\SaveLot;
use App\Models\Tenancy\CurrentHouse;
use Illuminate\Support\Carbon;

require_once dirname(__DIR__).'/Pressed.php';

const BASIL = ['herb' => ['id' => 'basil', 'state' => 'fresh', 'amount' => '60 g'], 'oils' => ['olive'], 'purpose' => 'kitchen'];

it('starts no fresh kitchen oil for the shelf, and offers the ways there are', function () {
    $refused = $this->atHouse('POST', '/batches', ['wish' => BASIL])->assertStatus(422);
    expect($refused->json('faults.0.reason'))
        ->toBe('botulism')
        ->and(array_column($refused->json('faults.0.ways'), 'id'))
        ->toBe(['dry-it', 'keep-cold', 'sour-it'])
        ->and($refused->json('faults.0.sentence'))
        ->toContain('National Center for Home Food Preservation')
        ->toContain('local rules come first');
    $this->atHouse('GET', '/shelf')->assertJsonPath('empty', true);
});

it('starts it for four days in the cold once that is read, and holds to it', function () {
    $wish = [...BASIL, 'kept' => 'fridge', 'method' => 'gentle-pan'];
    $unread = $this->atHouse('POST', '/batches', ['wish' => $wish])->assertStatus(422);
    expect($unread->json('faults.0.reason'))->toBe('unread')->and($unread->json('faults.0.sentence'))->toContain('within four days');
    $uid = $this->atHouse('POST', '/batches', ['wish' => $wish, 'acknowledged' => ['four-days']])
        ->assertOk()
        ->json('id');
    $path = "/batches/{$uid}";
    foreach (['fill', 'warm_on', 'warm_off'] as $task) {
        $this->atHouse('POST', "{$path}/tasks", ['task' => $task, 'outcome' => 'done'])->assertOk();
    }
    $this->atHouse('POST', "{$path}/strain", ['amount' => '120 mL', 'way' => 'drained'])->assertOk();
    // Its last day stands on Today and on the Shelf before it is bottled.
    $settling = $this->atHouse('GET', $path)->json();
    expect(array_column($settling['tasks'], 'step'))->toContain('use_up')->and($settling['jar']['alert'])->toBe('use by Sat 28 Nov, 10:00');
    // Nowhere but in the refrigerator.
    $this->atHouse('POST', "{$path}/keep", ['place' => 'cool-dark'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.reason', 'botulism');
    $bottle = fn (array $more) => $this->atHouse(
        'POST',
        "{$path}/bottle",
        ['bottles' => [['size' => bottleSize(50), 'count' => 2]]] + $more,
    );
    $bottle(['place' => 'cool-dark'])->assertStatus(422);
    $page = $bottle([])->assertOk()->json();
    expect($page['kept']['place'])
        ->toBe('fridge')
        ->and($page['kept']['use_by'])
        ->toContain('28 Nov, 10:00')
        ->and(array_column($page['label'], 'text', 'id')['best_before'])
        ->toBe('Use by Sat 28 Nov, 10:00')
        ->and(array_column($page['label'], 'text', 'id')['must'])
        ->toContain('Keep at 4 °C or colder')
        ->and($page['tasks'][0]['step'])
        ->toBe('use_up')
        ->and(collect($page['cautions'])->firstWhere('id', 'four-days')['read'])
        ->toContain('Keeper');
    $this->atHouse('POST', "{$path}/use", ['bottle' => 1, 'how' => 'used', 'amount' => '10 mL'])->assertOk();
    // Past its day it is thrown away, and nothing else.
    Carbon::setTestNow('2026-11-28T10:01:00Z');
    $this->atHouse('POST', "{$path}/use", ['bottle' => 1, 'how' => 'used'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.reason', 'past_use');
    $this->atHouse('POST', "{$path}/use", ['bottle' => 1, 'how' => 'given', 'to' => 'Torin'])->assertStatus(422);
    $this->atHouse('POST', "{$path}/use", ['bottle' => 1, 'how' => 'thrown'])->assertOk();
    $this->atHouse('POST', "{$path}/use", ['bottle' => 2, 'how' => 'thrown'])
        ->assertOk()
        ->assertJsonCount(0, 'tasks');
});

it('bottles nothing of the cold kind after its day, however it was left standing', function () {
    $wish = [...BASIL, 'kept' => 'fridge', 'method' => 'gentle-pan'];
    $uid = $this->atHouse('POST', '/batches', ['wish' => $wish, 'acknowledged' => ['four-days']])
        ->assertOk()
        ->json('id');
    $path = "/batches/{$uid}";
    $filled = $this->atHouse('POST', "{$path}/tasks", ['task' => 'fill', 'outcome' => 'done'])
        ->assertOk()
        ->json();
    expect(array_column($filled['tasks'], 'step'))->toContain('use_up')->and($filled['jar']['alert'])->toContain('use by');
    foreach (['warm_on', 'warm_off'] as $task) {
        $this->atHouse('POST', "{$path}/tasks", ['task' => $task, 'outcome' => 'done'])->assertOk();
    }
    $this->atHouse('POST', "{$path}/strain", ['amount' => '120 mL'])->assertOk();
    Carbon::setTestNow('2026-11-29T10:00:00Z');
    $this->atHouse('GET', $path)->assertJsonPath('jar.alert', 'past its day: throw it away');
    $this->atHouse('POST', "{$path}/bottle", ['bottles' => [['size' => bottleSize(50), 'count' => 2]]])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.reason', 'past_use');
    $this->atHouse('POST', "{$path}/discard", ['reason' => 'past its day'])
        ->assertOk()
        ->assertJsonCount(0, 'tasks');
});

it('has a plant of concern read before it is begun, and keeps the words that were read', function () {
    $wish = $this->wish(['herb' => ['id' => 'comfrey-leaf'], 'oils' => ['olive']]);
    $this->atHouse('POST', '/batches', ['wish' => $wish])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'acknowledged');
    $this->atHouse('POST', '/batches', ['wish' => $wish, 'acknowledged' => ['daisy-family']])->assertStatus(422);
    $page = $this->atHouse('POST', '/batches', ['wish' => $wish, 'acknowledged' => ['pyrrolizidine']])
        ->assertOk()
        ->json();
    expect(collect($page['cautions'])->firstWhere('id', 'pyrrolizidine'))
        ->toMatchArray(['rank' => 'care', 'acknowledge' => true])
        ->and($page['entries'][0]['title'])
        ->toContain('Planned');
    $this->atHouse('POST', '/batches', ['wish' => $wish, 'acknowledged' => 'all of them'])->assertStatus(422);
    $this->atHouse('POST', '/batches', ['wish' => $wish, 'acknowledged' => [['pyrrolizidine']]])->assertStatus(422);
});

it('keeps who read a caution later, and when', function () {
    $path = '/batches/'.$this->batch(['herb' => ['id' => 'calendula'], 'oils' => ['olive']])->uid;
    $this->atHouse('POST', "{$path}/acknowledge", ['caution' => 'botulism'])->assertStatus(422);
    $page = $this->atHouse('POST', "{$path}/acknowledge", ['caution' => 'daisy-family'])
        ->assertOk()
        ->json();
    expect(collect($page['cautions'])->firstWhere('id', 'daisy-family')['read'])
        ->toBe('Keeper, Tue 24 Nov, 10:00')
        ->and($page['entries'][0]['title'])
        ->toStartWith('Read: Calendula: of the daisy family')
        ->and($page['entries'][0]['can_undo'])
        ->toBeFalse();
});

it('starts no kitchen oil from a lot that is not food, and says which', function () {
    $this->atHouse('POST', '/lots', [
        'lot' => ['kind' => 'carrier', 'material' => 'olive', 'called' => 'olive for soap', 'amount' => '2 L', 'food_grade' => 'no'],
    ])->assertOk();
    $wish = $this->wish(['herb' => ['id' => 'lemon-thyme'], 'oils' => ['olive'], 'purpose' => 'kitchen']);
    $refused = $this->atHouse('POST', '/batches', ['wish' => $wish])->assertStatus(422);
    expect($refused->json('faults.0.sentence'))->toContain('Olive for soap in Stores is not marked food grade');
    $this->atHouse('POST', '/batches', ['wish' => ['purpose' => 'skin'] + $wish])->assertOk();
});

it('turns no skin oil into food unless every part was food', function () {
    $lot = fn (array $lot) => $this->atHouse('POST', '/lots', ['lot' => $lot])
        ->assertOk()
        ->json('lot.id');
    $unknown = bottledBatch(['herb' => ['id' => 'lemon-thyme'], 'oils' => ['olive']]);
    $this->atHouse('POST', "{$unknown}/purpose", ['purpose' => 'kitchen'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.reason', 'not_food_grade');
    $lot(['kind' => 'carrier', 'material' => 'olive', 'amount' => '3 L', 'food_grade' => 'yes']);
    $lot(['kind' => 'herb', 'material' => 'lemon-thyme', 'amount' => '500 g', 'food_grade' => 'yes']);
    $known = bottledBatch(['herb' => ['id' => 'lemon-thyme'], 'oils' => ['olive']]);
    $page = $this->atHouse('POST', "{$known}/purpose", ['purpose' => 'kitchen'])
        ->assertOk()
        ->json();
    expect($page['purpose'])
        ->toBe('kitchen')
        ->and(array_column($page['cautions'], 'id'))
        ->not->toContain('skin-only')
        ->and(array_column($page['label'], 'text', 'id')['for'])
        ->toBe('For the kitchen')
        ->and(array_column($page['label'], 'text', 'id')['cautions'] ?? '')
        ->not->toContain('not to be eaten');
    $this->atHouse('POST', "{$known}/purpose", ['purpose' => 'kitchen'])->assertStatus(422);
    $this->atHouse('POST', "{$known}/purpose", ['purpose' => 'petrol'])->assertStatus(422);
    // Back to the skin is always right.
    $this->atHouse('POST', "{$known}/purpose", ['purpose' => 'hair'])
        ->assertOk()
        ->assertJsonPath('purpose', 'hair');
});

it('turns none of it into food for one lot of two that was not', function () {
    $lot = fn (array $lot) => $this->atHouse('POST', '/lots', ['lot' => $lot])
        ->assertOk()
        ->json('lot.id');
    $lot(['kind' => 'herb', 'material' => 'lemon-thyme', 'amount' => '500 g', 'food_grade' => 'yes']);
    // The oldest is taken first and runs out: half of the oil is of either, and only the second is food; then the other way about.
    foreach ([['no', 'yes'], ['yes', 'no']] as [$old, $young]) {
        $lot(['kind' => 'carrier', 'material' => 'olive', 'amount' => '200 mL', 'food_grade' => $old, 'best_before' => '2027-01-01']);
        $second = $lot([
            'kind' => 'carrier',
            'material' => 'olive',
            'amount' => '2 L',
            'food_grade' => $young,
            'best_before' => '2027-06-01',
        ]);
        $path = bottledBatch(['herb' => ['id' => 'lemon-thyme'], 'oils' => ['olive']]);
        expect(array_column($this->atHouse('GET', $path)->json('plan.stores'), 'takes')[1])->toHaveCount(2);
        $this->atHouse('POST', "{$path}/purpose", ['purpose' => 'kitchen'])
            ->assertStatus(422)
            ->assertJsonPath('faults.0.reason', 'not_food_grade');
        $this->atHouse('POST', "/lots/{$second}/count", ['amount' => '0 mL'])->assertOk();
    }
});

it('carries the allergens of lots to the label', function () {
    $this->atHouse('POST', '/lots', [
        'lot' => ['kind' => 'carrier', 'material' => 'olive', 'amount' => '3 L', 'allergens' => 'packed beside sesame'],
    ])->assertOk();
    $page = $this->atHouse('GET', bottledBatch(['oils' => ['olive']]))->json();
    expect(array_column($page['label'], 'text', 'id')['must'])->toContain('Contains packed beside sesame.');
});

it('shows at the stove what belongs to the stove, each once', function () {
    $one = $this->batch(['method' => 'slow-cooker'])->uid;
    $two = $this->batch(['method' => 'slow-cooker', 'herb' => ['id' => 'chickweed', 'state' => 'wilted'], 'oils' => ['olive']])->uid;
    $list = $this->atHouse('GET', "/cautions?batches={$one},{$two},{$one}")
        ->assertOk()
        ->json('cautions');
    expect(array_column($list, 'id'))
        ->toContain('hot-oil', 'cold-glass', 'wet-warm')
        ->and(count(array_unique(array_column($list, 'says'))))
        ->toBe(count($list));
    $this->atHouse('GET', '/cautions')->assertOk()->assertJsonCount(0, 'cautions');
    // Of a jar that is not there, nobody would be warned: it is not passed over.
    $this->atHouse('GET', "/cautions?batches={$one},nosuch")->assertNotFound();
    $this->atHouse('GET', '/cautions?batches[]=x')->assertStatus(422);
    $this->atHouse('GET', '/cautions?batches='.implode(',', range(1, 25)))
        ->assertStatus(422)
        ->assertJsonPath('faults.0.sentence', '“batches” may hold at most 24.');
});

it('finds what is wrong by what is seen and what the records say, and enters it', function () {
    $path = bottledBatch(['herb' => ['id' => 'chickweed', 'state' => 'fresh'], 'oils' => ['olive']], '180 mL', [50 => 2]);
    $found = $this->atHouse('POST', "{$path}/faults", ['signs' => ['cloudy']])
        ->assertOk()
        ->json();
    expect($found['causes'][0]['id'])
        ->toBe('water')
        ->and($found['causes'][0]['for'])
        ->toContain('The herb was fresh.')
        ->and($found['keep'])
        ->toBe('discard-if-eaten');
    $page = $this->atHouse('POST', "{$path}/faults/note", ['signs' => ['cloudy'], 'note' => 'since Monday'])
        ->assertOk()
        ->json();
    expect($page['entries'][0])
        ->toMatchArray(['kind' => 'fault', 'title' => 'Seen: cloudy all through. Most likely water in the oil', 'note' => 'since Monday'])
        ->and($page['stage'])
        ->toBe('bottled');
    $this->atHouse('POST', "{$path}/faults", ['signs' => ['haunted']])->assertStatus(422);
    $this->atHouse('POST', "{$path}/faults", ['signs' => []])->assertStatus(422);
    $this->atHouse('POST', "{$path}/faults", ['signs' => [['cloudy']]])->assertStatus(422);
    $this->atHouse('POST', '/faults', ['signs' => ['fur']])
        ->assertOk()
        ->assertJsonPath('keep', 'discard');
    $this->atHouse('GET', '/faults')->assertOk()->assertJsonPath('signs.0.id', 'cloudy');
});

it('weighs the log of the batch itself: days, lots, looks, keeping', function () {
    app(CurrentHouse::class)->within($this->house, function () {
        $keep = app(SaveLot::class);
        $keep->add(['kind' => 'herb', 'material' => 'marshmallow-root', 'amount' => '500 g', 'got_on' => '2020-01-01']);
        $keep->add(['kind' => 'carrier', 'material' => 'sunflower', 'amount' => '3 L', 'opened_on' => '2025-01-01']);
    });
    $path = bottledBatch([], '300 mL', [100 => 2], ['place' => 'warm', 'glass' => 'clear']);
    $cause = fn (string $sign, string $id) => collect(
        $this->atHouse('POST', "{$path}/faults", ['signs' => [$sign]])
            ->assertOk()
            ->json('causes'),
    )->firstWhere('id', $id);
    $rancid = implode(' ', $cause('rancid', 'rancid')['for']);
    expect($rancid)
        ->toContain('clear glass')
        ->toContain('warm place')
        ->toContain('The oil was ageing when it was used')
        ->toContain('Sunflower oil takes up oxygen readily');
    expect(implode(' ', $cause('weak', 'old-herb')['for']))->toContain('The herb was ageing when it was used');
    expect(implode(' ', $cause('weak', 'too-short')['for']))
        ->toContain('28 days early')
        ->and(implode(' ', $cause('weak', 'not-for-oil')['for']))
        ->toContain('mucilage')
        ->and(implode(' ', $cause('cloudy', 'fine-herb')['for']))
        ->toContain('before it had settled');
});
