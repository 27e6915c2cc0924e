<?php

use App\Models\Batch;

require_once __DIR__.'/../Begun.php';

/** A salve wanted by a day, of an oil that is not begun yet. */
function wantedSalve(string $by = '+20 days', string $method = 'double-boiler', array $more = []): array
{
    $wish = $more + [
        'product' => 'salve',
        'tins' => [['ml' => 60, 'count' => 6]],
        'oils' => [['infuse' => ['herbs' => [['id' => 'calendula']], 'oils' => ['olive'], 'method' => $method]]],
        'ready_by' => now()->modify($by)->format('Y-m-d'),
    ];
    $kept = test()
        ->atHouse('POST', '/wanted', ['wish' => $wish])
        ->assertOk()
        ->json('wanted');

    return end($kept);
}

it('keeps a product for its day, and says when its oil and when it itself is begun', function () {
    $card = wantedSalve();
    expect($card['name'])
        ->toBe('Calendula salve')
        ->and($card['late'])
        ->toBeFalse()
        ->and($card['trouble'])
        ->toBeNull()
        ->and($card['waits'])
        ->toBeTrue()
        ->and($card['oils'][0]['batch'])
        ->toBeNull()
        ->and($card['oils'][0]['text'])
        ->toStartWith('begin it by ')
        ->and($card['oils'][0]['wish']['finished']['amount'])
        ->toMatch('/^\d+ mL$/');
    // In the diary on both days, and in its file.
    $days = collect($this->atHouse('GET', '/diary?from='.now()->modify('+10 days')->format('Y-m-d'))->json('days'))->flatMap(
        fn (array $day) => $day['wanted'],
    );
    expect($days->pluck('says')->filter(fn (string $says) => str_contains($says, 'make it, at the latest from')))->toHaveCount(1);
    $ics = $this->atHouse('GET', '/diary.ics')->getContent();
    expect($ics)->toContain('Calendula salve: make it\\, at the latest from')->toContain('DTSTART;VALUE=DATE:');
});

it('begins its oil, waits for it, and is begun of it', function () {
    $card = wantedSalve();
    $oil = $card['oils'][0];
    $start = fn (array $body) => $this->atHouse(
        'POST',
        '/batches',
        $body + [
            'wish' => $oil['wish'],
            'acknowledged' => ['daisy-family'],
            'wanted' => $card['id'],
            'wanted_oil' => 0,
        ],
    );
    $batch = $start([])->assertOk()->json('id');
    $now = $this->atHouse('GET', '/wanted')->json('wanted.0');
    expect($now['oils'][0]['batch'])
        ->toBe($batch)
        ->and($now['oils'][0]['text'])
        ->toStartWith('in its bottles on ')
        ->and($now['oils'][0]['wish'])
        ->toBeNull()
        ->and($now['wish']['oils'])
        ->toBe([['batch' => $batch]]);
    // Its oil is begun already: a second is no oil of it. Nothing of the second is left behind.
    $batches = DB::table('batches')->count();
    $start([])->assertStatus(422)->assertJsonPath('faults.0.field', 'wanted_oil');
    expect(DB::table('batches')->count())->toBe($batches);
    // It cannot be begun before its oil is there.
    $begin = fn () => $this->atHouse('POST', '/makings', [
        'wish' => $now['wish'],
        'acknowledged' => ['daisy-family'],
        'wanted' => $card['id'],
    ]);
    $begin()->assertStatus(422)->assertJsonPath('faults.0.reason', 'not_bottled')->assertJsonPath('faults.0.field', 'oils.0');
    $this->fill(Batch::query()->where('uid', $batch)->firstOrFail());
    $this->atHouse('POST', "/batches/{$batch}/strain", ['amount' => '330 mL', 'warmth' => 'had'])->assertOk();
    expect($this->atHouse('GET', '/wanted')->json('wanted.0.waits'))->toBeTrue();
    $this->atHouse('POST', "/batches/{$batch}/decant", [])->assertOk();
    $this->atHouse('POST', "/batches/{$batch}/bottle", ['bottles' => [['size' => bottleSize(100.0), 'count' => 3]]])->assertOk();
    expect($this->atHouse('GET', '/wanted')->json('wanted.0.waits'))->toBeFalse();
    $made = $begin()->assertOk()->json('id');
    expect($this->atHouse('GET', '/wanted')->json('wanted'))->toBe([]);
    expect(DB::table('wanted_products')->value('making_id'))->toBe(DB::table('makings')->where('uid', $made)->value('id'));
    // Begun once, it is not wanted twice.
    $this->atHouse('POST', '/makings', ['wish' => ['oils' => ['olive']], 'wanted' => $card['id']])->assertStatus(404);
    expect(DB::table('makings')->count())->toBe(1);
});

it('is made sooner when nobody is at home then, never later; and says so when that is too late', function () {
    $away = fn () => $this->atHouse('POST', '/absences', [
        'called' => 'the mainland',
        'from' => now()->modify('+17 days')->format('Y-m-d'),
        'to' => now()->modify('+25 days')->format('Y-m-d'),
    ])->assertOk();
    $card = wantedSalve();
    $before = DB::table('wanted_products')->first(['make_at', 'oil_start_by']);
    $away();
    $after = DB::table('wanted_products')->first(['make_at', 'oil_start_by', 'late']);
    expect($after->make_at < now()->modify('+17 days')->format('Y-m-d 00:00:00'))
        ->toBeTrue()
        ->and($after->oil_start_by < $before->oil_start_by)
        ->toBeTrue()
        ->and((bool) $after->late)
        ->toBeFalse();
    // Its oil was to be begun then: on Today, whatever the day, where it cannot be ready any more.
    $this->travel(18)->days();
    $this->atHouse('GET', '/today')->assertOk();
    expect($this->atHouse('GET', '/wanted')->json('wanted.0.late'))
        ->toBeTrue()
        ->and(collect($this->atHouse('GET', '/today')->json('melt'))->firstWhere('id', $card['id'])['says'])
        ->toContain('was to be begun by');
});

it('says so when its oil is thrown away, and when its day has gone', function () {
    $card = wantedSalve();
    $batch = $this->atHouse('POST', '/batches', [
        'wish' => $card['oils'][0]['wish'],
        'acknowledged' => ['daisy-family'],
        'wanted' => $card['id'],
        'wanted_oil' => 0,
    ])->json('id');
    $this->atHouse('POST', "/batches/{$batch}/discard", ['reason' => 'mould'])->assertOk();
    expect($this->atHouse('GET', '/wanted')->json('wanted.0.trouble'))
        ->toContain('thrown away')
        ->and(collect($this->atHouse('GET', '/today')->json('melt'))->firstWhere('id', $card['id'])['says'])
        ->toContain('thrown away');
    $this->travel(30)->days();
    expect($this->atHouse('GET', '/wanted')->json('wanted.0.trouble'))->toContain('has gone');
});

it('is changed, given up, and seen only in its own house', function () {
    $card = wantedSalve();
    $changed = $this->atHouse('PUT', "/wanted/{$card['id']}", ['wish' => ['tins' => [['ml' => 30, 'count' => 2]]] + $card['wish']])
        ->assertOk()
        ->json('wanted');
    expect($changed)
        ->toHaveCount(1)
        ->and($changed[0]['wish']['tins'][0]['ml'])
        ->toBe(30);
    $this->atHouse('PUT', '/wanted/01kz0000000000000000000009', ['wish' => $card['wish']])->assertStatus(404);
    $this->atHouse('DELETE', "/wanted/{$card['id']}")
        ->assertOk()
        ->assertJsonPath('wanted', []);
    $this->atHouse('DELETE', "/wanted/{$card['id']}")->assertStatus(404);
    $this->atHouse('PUT', "/wanted/{$card['id']}", ['wish' => $card['wish']])->assertStatus(404);
});

it('refuses what cannot be kept for a day', function (array $wish, string $field) {
    $this->atHouse('POST', '/wanted', ['wish' => $wish])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', $field);
    expect(DB::table('wanted_products')->count())->toBe(0);
})->with([
    'no day' => [['product' => 'salve', 'oils' => ['olive']], 'ready_by'],
    'a day that has gone' => [['product' => 'salve', 'oils' => ['olive'], 'ready_by' => '2020-01-01'], 'ready_by'],
    'a batch nobody knows' => [
        ['product' => 'salve', 'oils' => [['batch' => '01kz0000000000000000000009']], 'ready_by' => '2027-01-01'],
        'oils.0.batch',
    ],
    'over a limit' => [
        [
            'product' => 'salve',
            'oils' => ['olive'],
            'essential_oils' => [['id' => 'wintergreen', 'percent' => 9]],
            'ready_by' => '2027-01-01',
        ],
        'scents',
    ],
]);

it('goes along with its house', function () {
    $card = wantedSalve();
    $file = $this->atHouse('GET', '/export')->json();
    expect($file['wanted'])->toHaveCount(1)->and($file['wanted'][0]['id'])->toBe($card['id']);
    $own = $this->aHouse($this->keeper, 'Another');
    $this->call_('POST', "/houses/{$own->uid}/import", $file)->assertOk();
    $kept = $this->call_('GET', "/houses/{$own->uid}/wanted")->json('wanted');
    expect($kept)->toHaveCount(1)->and($kept[0]['name'])->toBe('Calendula salve')->and($kept[0]['oils'])->toEqual($card['oils']);
    expect($this->call_('POST', "/houses/{$own->uid}/import", $file)->json('says'))->toContain('here already');
    expect($this->call_('GET', "/houses/{$own->uid}/wanted")->json('wanted'))->toHaveCount(1);
});

it('keeps from the day it is made and not from the day it is wanted', function () {
    $wish = ['product' => 'salve', 'oils' => ['olive'], 'tins' => [['ml' => 30, 'count' => 2]]];
    $until = fn (array $wish): string => $this->atHouse('POST', '/melt/reckon', ['wish' => $wish])->json('figures.best_before.value');
    $by = $wish + ['ready_by' => now()->modify('+90 days')->format('Y-m-d')];
    expect($until($by) > $until($wish))->toBeTrue();
    $this->atHouse('POST', '/makings', ['wish' => $by])->assertOk();
    expect(DB::table('makings')->value('best_before'))->toStartWith($until($wish));
});

it('is in the diary with each of its oils, whichever days are looked at', function () {
    $infuse = fn (string $herb, string $method): array => [
        'infuse' => ['herbs' => [['id' => $herb]], 'oils' => ['olive'], 'method' => $method],
    ];
    wantedSalve('+100 days', 'cold', ['oils' => [$infuse('calendula', 'cold'), $infuse('yarrow', 'double-boiler')]]);
    $found = [];
    for ($days = 0; $days < 110; $days += 14) {
        $from = now()
            ->modify("+{$days} days")
            ->format('Y-m-d');
        foreach (
            $this->atHouse('GET', "/diary?from={$from}")
                ->assertOk()
                ->json('days') as $day
        ) {
            $found = [...$found, ...array_column($day['wanted'], 'says')];
        }
    }
    expect(count(array_filter($found, fn (string $says) => str_contains($says, 'last day to begin'))))
        ->toBe(2)
        ->and(count(array_filter($found, fn (string $says) => str_contains($says, 'make it'))))
        ->toBe(1);
});
