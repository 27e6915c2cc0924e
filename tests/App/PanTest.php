<?php

use App\Models\Batch;
use Illuminate\Support\Carbon;

require_once __DIR__.'/../Pots.php';

const PAN = ['herb' => ['id' => 'self-heal', 'state' => 'fresh'], 'oils' => ['olive'], 'method' => 'gentle-pan'];

it('warms a pan at the Stove: on the flame, stirred, and off by its signs', function () {
    $batch = $this->batch(PAN);
    $pans = fn () => $this->atHouse('GET', '/stove')->assertOk()->json('pans');
    expect($pans()[0])
        ->toMatchArray(['batch' => $batch->uid, 'pan' => '24 cm wide pan', 'on' => false, 'task' => null, 'state_text' => 'not filled yet'])
        ->and($this->atHouse('GET', '/stove')->json('waiting'))
        ->toBe([]);
    $this->fill($batch);
    expect($pans()[0])
        ->toMatchArray([
            'task' => 'warm_on',
            'stir' => null,
            'warmth_text' => 'about 95 °C, never over 105 °C',
            'after_text' => 'Then it stands 6 h before it is strained.',
        ])
        ->and(array_column($pans()[0]['signs'], 'id'))
        ->toBe(['bubbles_calmed', 'colour_turned']);
    $task = fn (string $key, array $more = []) => $this->atHouse('POST', "/batches/{$batch->uid}/tasks", [
        'task' => $key,
        'outcome' => 'done',
        ...$more,
    ]);
    $task('warm_on')->assertOk();
    // A tenth of an hour: stirred every six minutes, common practice.
    expect($pans()[0])->toMatchArray([
        'on' => true,
        'task' => 'warm_off',
        'stir' => 'shake',
        'stir_text' => 'Stir next at 10:06.',
        'state_text' => 'on the flame since 10:00',
    ]);
    Carbon::setTestNow(Carbon::now()->addMinutes(7));
    expect($pans()[0]['stir_text'])->toBe('Stir it now.');
    $task('shake')->assertOk();
    expect($pans()[0]['stir_text'])->toBe('Stir next at 10:13.');
    Carbon::setTestNow(Carbon::now()->addMinutes(33));
    $task('warm_off', ['seen' => ['bubbles_calmed', 'smoke']])->assertStatus(422);
    $task('warm_off', ['seen' => ['bubbles_calmed', 'colour_turned']])->assertOk();
    $page = $this->atHouse('GET', "/batches/{$batch->uid}")->json();
    expect($pans())
        ->toBe([])
        ->and(json_encode($page['entries']))
        ->toContain('the bubbling had calmed')
        ->and(collect($page['tasks'])->firstWhere('open', true)['key'])
        ->toBe('strain');
    // It stood on no cooker, and so in no diary.
    expect(Batch::query()->withoutGlobalScopes()->findOrFail($batch->id)->diary)->toBeNull();
});

it('says of a pan what a pan wants, on Today too', function () {
    $batch = $this->batch(PAN);
    $this->fill($batch);
    $on = collect($this->atHouse('GET', '/today')->json('places'))
        ->flatMap(fn (array $place) => $place['tasks'])
        ->firstWhere('step', 'warm_on');
    expect($on['title'])->toBe('Put the self-heal on the flame')->and($on['detail'])->not->toContain('water on')->not->toContain('jar');
});

it('strains what is kept cold at once when the pan is off', function () {
    $batch = $this->batch(
        [...PAN, 'herb' => ['id' => 'basil', 'state' => 'fresh', 'amount' => '40 g'], 'purpose' => 'kitchen', 'kept' => 'fridge'],
        ['four-days'],
    );
    $this->fill($batch);
    expect($this->atHouse('GET', '/stove')->json('pans.0.after_text'))->toBe('Cool it fast, the pan in cold water, and strain it at once.');
});

it('keeps jars, bowls and pans on the house’s list, and refuses what is none', function () {
    $house = $this->atHouse('GET', '')->json();
    expect(array_count_values(array_column($house['jars'], 'kind')))->toMatchArray(['bowl' => 2, 'pan' => 2]);
    $this->atHouse('POST', '/jars', ['called' => 'copper pan', 'brim' => '1.5 L', 'height' => '60 mm', 'kind' => 'pan'])->assertOk();
    $this->atHouse('POST', '/jars', ['called' => 'sieve', 'brim' => '1.5 L', 'height' => '60 mm', 'kind' => 'sieve'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'kind');
    // The smallest that takes it is the house's own.
    $plan = $this->atHouse('POST', '/reckon', ['wish' => $this->wish(PAN)])
        ->assertOk()
        ->json();
    expect($plan['jar'])->toMatchArray(['called' => 'copper pan', 'kind' => 'pan']);
    // A jar that was wished for is dropped with the method that has no use for it, and said so.
    $jar = $this->jarOf(505)->uid;
    $cold = collect(
        $this->atHouse('POST', '/ways', [
            'wish' => $this->wish(['herb' => ['id' => 'self-heal', 'state' => 'fresh'], 'oils' => ['olive'], 'jar' => $jar]),
        ])->json('methods'),
    );
    expect($cold->firstWhere('id', 'gentle-pan')['drops'])
        ->toBe(['jar', 'jars'])
        ->and($cold->firstWhere('id', 'slow-cooker')['drops'])
        ->toBe([]);
    $this->atHouse('POST', '/reckon', ['wish' => $this->wish([...PAN, 'jar' => $jar])])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'jar')
        ->assertJsonPath('faults.0.ways.0.id', 'its-vessel');
});

it('warms an incubator without water', function () {
    $this->atHouse('POST', '/cookers', [
        'called' => 'the incubator',
        'shape' => 'round',
        'length' => '22 cm',
        'height' => '13 cm',
        'method' => 'incubator',
    ])->assertOk();
    $this->atHouse('POST', '/cookers', [
        'called' => 'a kiln',
        'shape' => 'round',
        'length' => '22 cm',
        'height' => '13 cm',
        'method' => 'cold',
    ])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'method');
    $batch = $this->batch(['method' => 'incubator', 'jar' => $this->jarOf(135)->uid]);
    $this->fill($batch);
    $page = $this->atHouse('GET', '/stove')->json();
    $cooker = collect($page['cookers'])->firstWhere('called', 'the incubator');
    expect($page['waiting'][0])->toMatchArray([
        'method' => 'jar incubator',
        'water' => [['id' => 'none', 'name' => 'none']],
        'cookers' => [$cooker['id']],
    ]);
    $asked = ['cooker' => $cooker['id'], 'setting' => 'on', 'batches' => [$batch->uid]];
    $outlook = $this->atHouse('POST', '/stove/outlook', $asked)->assertOk()->json();
    expect($outlook['pour_text'])
        ->toStartWith('No water')
        ->and(array_column($outlook['lines'], 'label'))
        ->not->toContain('Water lost an hour')
        ->and($outlook['bath']['full_mm'])
        ->toEqual(0);
    $this->atHouse('POST', '/stove', [...$asked, 'watch' => 'hand', 'water' => '1 L'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'water');
    $pot = $this->atHouse('POST', '/stove', [...$asked, 'watch' => 'hand'])
        ->assertOk()
        ->json();
    expect($pot['water'])->toBeNull();
    Carbon::setTestNow(Carbon::now()->addHours(3));
    $pot = $this->atHouse('POST', "/stove/{$pot['id']}/reading", ['warmth' => '50'])
        ->assertOk()
        ->json();
    expect(collect($pot['alarms'])->firstWhere('id', 'too-warm')['says'])
        ->not->toContain('water')
        ->and(collect($pot['alarms'])->pluck('id')->all())
        ->not->toContain('water-low');
    $this->atHouse('POST', "/stove/{$pot['id']}/tend", ['what' => 'topped_up'])->assertStatus(422);
});

it('hangs a bowl half way in its water, put in cold', function () {
    $batch = $this->batch(['method' => 'double-boiler']);
    $this->fill($batch);
    $page = $this->atHouse('GET', '/stove')->json();
    expect($page['waiting'][0])->toMatchArray([
        'jar' => '750 mL glass bowl',
        'water' => [['id' => 'half', 'name' => 'half way up']],
        'poured' => 'cold',
    ]);
    $pot = collect($page['cookers'])->first(fn (array $cooker) => in_array($cooker['id'], $page['waiting'][0]['cookers'], true));
    $outlook = $this->atHouse('POST', '/stove/outlook', [
        'cooker' => $pot['id'],
        'setting' => 'lowest flame',
        'batches' => [$batch->uid],
        'school' => 'rim',
        'poured' => 'cold',
    ])
        ->assertOk()
        ->json();
    // The method leaves no choice: half way up, whatever was asked.
    expect($outlook['pour_text'])->toContain('half way up')->and($outlook['stands_text'])->toStartWith('One bowl stands');
});

it('plans round what is booked, and says before it is begun what beginning it would move', function () {
    $booked = $this->batch(['method' => 'slow-cooker', 'school' => 'usual']);
    $plan = fn (array $wish) => $this->atHouse('POST', '/reckon', [
        'wish' => $this->wish(['herb' => ['id' => 'calendula'], 'method' => 'slow-cooker', ...$wish]),
    ])
        ->assertOk()
        ->json();
    // Another warmth than what stands in it: tomorrow, for the only cooker is taken until the evening.
    $hot = $plan(['school' => 'hot']);
    expect(Carbon::parse($hot['schedule']['sessions'][0]['from'])->format('d H:i'))
        ->toBe('25 07:00')
        ->and(array_column($hot['notes'], 'says', 'id')['cooker-taken'])
        ->toContain('put to warm on Wed 25 Nov, 07:00');
    // One warmth shares it, and the jar that is booked is put on no later for it.
    expect(array_column($plan(['school' => 'usual'])['notes'], 'says', 'id')['shares-cooker'])->toContain('together with marshmallow root');
    // Wanted by tomorrow evening it goes first, and moves the other: said before it is begun, and true when it is.
    $first = $plan(['school' => 'hot', 'ready_by' => '2026-11-25']);
    $moves = array_column($first['notes'], 'says', 'id')['moves-others'];
    expect($moves)->toContain('marshmallow root is put to warm Wed 25 Nov, 07:00 instead of Tue 24 Nov, 10:30');
    $this->batch(['herb' => ['id' => 'calendula'], 'method' => 'slow-cooker', 'school' => 'hot', 'ready_by' => '2026-11-25']);
    expect($booked->refresh()->diary?->next()?->format('D j M, H:i'))->toBe('Wed 25 Nov, 07:00');
    // A wanted day is reckoned back round the bookings too.
    $latest = $plan(['school' => 'hot', 'ready_by' => '2026-11-27']);
    expect($latest['schedule']['ready_on'] <= '2026-11-27')->toBeTrue();
});
