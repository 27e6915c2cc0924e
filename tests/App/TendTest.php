<?php

use App\Actions\Stove\TakeReadings;
use App\Models\StoveEvent;
use App\Models\StoveJar;
use App\Models\StoveSession;
use App\Models\Tenancy\CurrentHouse;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

require_once __DIR__.'/../Pots.php';

it('writes each thing done at the stove down, with who did it', function () {
    [$pot] = sending($this, 30);
    foreach (
        [
            ['shaken', null],
            ['topped_up', '300 mL'],
            ['lid_on', null],
            ['lid_off', null],
            ['setting', 'Low'],
            ['pause', null],
            ['on', null],
            ['end', null],
        ] as [$what, $with]
    ) {
        tend($this, $pot, $what, $with, $what === 'setting' ? 'only while I stand here' : '')->assertOk();
    }
    $done = $this->atHouse('GET', "/stove/{$pot}")->json('done');
    expect(array_reverse(array_column($done, 'text')))
        ->toBe([
            'Jars in, switched to Warm',
            'Shaken and wiped',
            'Water topped up, 300 mL',
            'Lid on',
            'Lid off',
            'Switched to Low',
            'Switched off',
            'On again, Low',
            'All out, ended',
        ])
        ->and(array_unique(array_column($done, 'by')))
        ->toBe(['Keeper'])
        ->and(StoveEvent::query()->withoutGlobalScopes()->count())
        ->toBe(9);
});

it('refuses what cannot be done just now, in a sentence, and changes nothing', function (string $what, ?string $with, string $says) {
    [$pot] = sending($this, 10);
    tend($this, $pot, $what, $with)->assertStatus(422)->assertSee($says);
    expect($this->atHouse('GET', "/stove/{$pot}")->json('done'))->toHaveCount(1);
})->with([
    'on, when it is on' => ['on', null, 'It is on already.'],
    'a setting it has not' => ['setting', 'Inferno', 'no setting'],
    'a jar that is not in it' => ['jar_out', 'x', 'not in this cooker'],
    'water by the lake' => ['topped_up', '900 L', 'more than a kitchen handles'],
    'more water than it holds' => ['topped_up', '15 L', '“15 L” does not go in: round the jars it holds about'],
    'water by no measure' => ['topped_up', 'some', '“some”'],
    'dancing' => ['dance', null, 'must be one of those listed'],
]);

it('counts for each jar what it was in for, when one is taken out before the other', function () {
    [$probe, $key] = aSender($this);
    [$first, $second] = [warmBatch($this), warmBatch($this, ['herb' => ['id' => 'calendula']])];
    $pot = begun($this, [$first, $second], ['watch' => $probe])['id'];
    $send = function (int $minutes) use ($key): void {
        $start = Carbon::now()->getTimestamp();
        Carbon::setTestNow(Carbon::now()->addMinutes($minutes));
        sent($this, $key, array_map(fn (int $i) => ['at' => $start + $i * 60, 'c' => 49], range(1, $minutes)))->assertOk();
    };
    $send(121);
    tend($this, $pot, 'jar_out', $first->uid)->assertOk()->assertJsonPath('state', 'on');
    $send(60);
    $view = tend($this, $pot, 'end')->assertOk()->json();
    expect(array_column($view['jars'], 'had_text'))
        ->toBe(['2 h', '3 h'])
        ->and(array_column($view['jars'], 'out'))
        ->toBe([true, true]);
    $hours = app(CurrentHouse::class)->within(
        $this->house,
        fn () => StoveJar::query()->orderBy('id')->pluck('hours')->map(fn ($h) => round((float) $h, 2))->all(),
    );
    expect($hours)->toBe([2.0, 3.0]);
    expect($this->atHouse('GET', "/batches/{$first->uid}")->json('entries.0.title'))->toBe('Taken off the warmth, 2 h at warmth');
});

it('ends of itself when the last jar is out', function () {
    [$pot, , $batch] = sending($this, 20);
    tend($this, $pot, 'jar_out', $batch->uid)->assertOk()->assertJsonPath('state', 'ended');
    tend($this, $pot, 'shaken')->assertStatus(422)->assertSee('This is over');
    $this->atHouse('POST', "/stove/{$pot}/reading", ['warmth' => '49'])->assertStatus(422);
});

it('does not count a night off twice, nor what cools in the band not at all', function () {
    [$pot, $key, $batch] = sending($this, 60);
    tend($this, $pot, 'pause')->assertOk();
    // Half an hour it cools, still warm; that counts when it goes off the next time.
    $off = Carbon::now()->getTimestamp();
    sent($this, $key, array_map(fn (int $i) => ['at' => $off + $i * 60, 'c' => 49.0], [1, 2]))->assertOk();
    Carbon::setTestNow(Carbon::now()->addMinutes(30));
    sent($this, $key, array_map(fn (int $i) => ['at' => $off + $i * 60, 'c' => 49.0], range(3, 30)))->assertOk();
    Carbon::setTestNow(Carbon::now()->addHours(10));
    tend($this, $pot, 'on')->assertOk();
    tend($this, $pot, 'end')->assertOk();
    $logged = collect($this->atHouse('GET', "/batches/{$batch->uid}")->json('entries'))
        ->filter(fn ($e) => str_contains($e['title'], 'Taken off'))
        ->pluck('title')
        ->all();
    expect(array_values($logged))
        ->toBe(['Taken off the warmth, 30 min at warmth', 'Taken off the warmth, 1 h at warmth'])
        ->and($this->atHouse('GET', "/batches/{$batch->uid}/warmth")->json('had_text'))
        ->toBe('1 h 30');
});

it('is switched off at the stove, not past it', function () {
    [$pot, , $batch] = sending($this, 20);
    $this->atHouse('POST', "/batches/{$batch->uid}/tasks", ['task' => 'warm_off', 'outcome' => 'done'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.reason', 'at_the_stove');
    tend($this, $pot, 'end')->assertOk();
});

it('keeps the least and the most of a long log in however few points', function () {
    [$pot, $key] = sending($this, 600, 48.0);
    $session = StoveSession::query()->withoutGlobalScopes()->firstOrFail();
    // One reading of a spike, one of a dip, in ten hours.
    foreach ([[12_345, 7100], [23_456, 2100]] as [$after, $centi]) {
        DB::table('readings')
            ->where('stove_session_id', $session->id)
            ->where('at', $session->started_at->getTimestamp() + intdiv($after, 60) * 60)
            ->update(['centi_c' => $centi]);
    }
    $probe = DB::table('stove_probes')->value('probe_id');
    foreach ([5, 40, 240] as $points) {
        $thin = TakeReadings::thinned($session->id, $probe, $session->started_at->getTimestamp(), $session->now(), $points);
        expect(count($thin))
            ->toBeLessThanOrEqual($points + 1)
            ->and(max(array_column($thin, 2)))
            ->toBe(71)
            ->and(min(array_column($thin, 1)))
            ->toBe(21);
        foreach ($thin as $i => $point) {
            expect($point[1])->toBeLessThanOrEqual($point[3])->and($point[3])->toBeLessThanOrEqual($point[2]);
            $i > 0 && expect($point[0])->toBeGreaterThan($thin[$i - 1][0]);
        }
    }
});

it('speaks in the cook’s own degrees', function () {
    [$pot] = sending($this, 30, 50.0);
    $this->call_('PATCH', '/me', ['temperature' => 'f'])->assertOk();
    $this->keeper->refresh();
    $view = $this->atHouse('GET', "/stove/{$pot}")->json();
    expect($view['warmth_text'])
        ->toBe('122.0')
        ->and($view['warmth_unit'])
        ->toBe('°F')
        ->and($view['scale']['ceiling_text'])
        ->toBe('ceiling 140')
        // Marks stand at whole twenties of Fahrenheit, drawn where they lie in Celsius.
        ->and(array_column($view['scale']['ticks'], 'text'))
        ->toContain('100')
        ->and(collect($view['scale']['ticks'])->firstWhere('text', '140')['c'])
        ->toEqualWithDelta(60, 1e-3);
    // A bare number is in those degrees too.
    tend($this, $pot, 'end')->assertOk();
    $byEye = begun($this, [warmBatch($this)])['id'];
    Carbon::setTestNow(Carbon::now()->addMinute());
    $this->atHouse('POST', "/stove/{$byEye}/reading", ['warmth' => '120'])
        ->assertOk()
        ->assertJsonPath('warmth_c', 48.89);
});

it('asks the database as often for many pots as for few, and for a long log as for a short', function () {
    [$pot] = sending($this, 10);
    $asked = function (string $path): int {
        DB::enableQueryLog();
        DB::flushQueryLog();
        $this->atHouse('GET', $path)->assertOk();

        return count(DB::getQueryLog());
    };
    [$page, $view] = [$asked('/stove'), $asked("/stove/{$pot}")];
    for ($i = 0; $i < 4; $i++) {
        $made = $this->atHouse('POST', '/cookers', [
            'called' => "cooker {$i}",
            'shape' => 'round',
            'length' => '210 mm',
            'height' => '130 mm',
            'method' => 'slow-cooker',
        ])->json('cookers');
        $this->atHouse('POST', '/stove', [
            'cooker' => collect($made)->firstWhere('called', "cooker {$i}")['id'],
            'setting' => 'Warm',
            'batches' => [warmBatch($this, ['herb' => ['id' => 'calendula']])->uid],
            'watch' => 'hand',
        ])->assertOk();
    }
    expect($asked('/stove'))
        ->toBeLessThanOrEqual($page + 3)
        ->and($asked("/stove/{$pot}"))
        ->toBe($view);
});

it('keeps one house’s pots, cookers, looks and days from another’s people', function () {
    [$pot, , $batch] = sending($this, 10);
    $cooker = $this->atHouse('GET', '/stove')->json('cookers.0.id');
    $absence = $this->atHouse('POST', '/absences', ['from' => '2026-12-01', 'to' => '2026-12-02'])->json('absences.0.id');
    $stranger = $this->person('Stranger');
    $own = $this->aHouse($stranger, 'Elsewhere');
    foreach (
        [
            ['GET', "/stove/{$pot}", []],
            ['POST', "/stove/{$pot}/tend", ['what' => 'end']],
            ['POST', "/stove/{$pot}/reading", ['warmth' => '49']],
            ['POST', "/stove/{$pot}/learn", []],
            ['DELETE', "/cookers/{$cooker}", []],
            ['DELETE', "/absences/{$absence}", []],
            ['GET', "/batches/{$batch->uid}/looks", []],
            ['GET', "/batches/{$batch->uid}/warmth", []],
            ['GET', "/batches/{$batch->uid}/sun", []],
        ] as [$method, $path, $body]
    ) {
        $this->call_($method, "/houses/{$own->uid}{$path}", $body, $stranger)->assertNotFound();
        $this->call_($method, "/houses/{$this->house->uid}{$path}", $body, $stranger)->assertNotFound();
    }
    expect($this->call_('GET', "/houses/{$own->uid}/stove", [], $stranger)->json('sessions'))
        ->toBe([])
        ->and($this->call_('GET', "/houses/{$own->uid}/diary", [], $stranger)->json('absences'))
        ->toBe([]);
    $theirs = $this->call_('GET', "/houses/{$own->uid}/stove", [], $stranger)->json('cookers.0.id');
    $this->call_(
        'POST',
        "/houses/{$own->uid}/stove",
        ['cooker' => $theirs, 'setting' => 'Warm', 'batches' => [$batch->uid], 'watch' => 'hand'],
        $stranger,
    )
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'jars');
});

it('lets two thermometers send into two pots, each its own', function () {
    [$a, $keyA] = aSender($this);
    [$b, $keyB] = aSender($this, 'the other wire');
    $first = begun($this, [warmBatch($this)], ['watch' => $a])['id'];
    $made = $this->atHouse('POST', '/cookers', [
        'called' => 'the second',
        'shape' => 'round',
        'length' => '210 mm',
        'height' => '130 mm',
        'method' => 'slow-cooker',
    ])->json('cookers');
    $second = $this->atHouse('POST', '/stove', [
        'cooker' => collect($made)->firstWhere('called', 'the second')['id'],
        'setting' => 'Warm',
        'batches' => [warmBatch($this)->uid],
        'watch' => $b,
    ])
        ->assertOk()
        ->json('id');
    $now = Carbon::now()->getTimestamp();
    sent($this, $keyA, [['at' => $now, 'c' => 44.4]])->assertOk();
    sent($this, $keyB, [['at' => $now, 'c' => 55.5]])->assertOk();
    expect($this->atHouse('GET', "/stove/{$first}")->json('warmth_text'))
        ->toBe('44.4')
        ->and($this->atHouse('GET', "/stove/{$second}")->json('warmth_text'))
        ->toBe('55.5');
});

it('refuses a cooker that cannot be, naming the field', function (array $more, string $field) {
    $this->atHouse('POST', '/cookers', [
        ...['called' => 'x', 'shape' => 'round', 'length' => '21 cm', 'height' => '13 cm', 'method' => 'slow-cooker'],
        ...$more,
    ])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', $field);
})->with([
    [['shape' => 'heart'], 'shape'],
    [['length' => 'wide'], 'length'],
    [['length' => '3 m'], 'length'],
    [['height' => '-4 cm'], 'height'],
    [['shape' => 'oval', 'width' => '1 mm'], 'width'],
    [['method' => 'campfire'], 'method'],
    [['called' => ''], 'called'],
]);

it('learns no pot from a trial, from nothing, or from a pot that is gone', function () {
    $batch = warmBatch($this);
    $pot = begun($this, [$batch]);
    $this->atHouse('POST', "/stove/{$pot['id']}/learn")
        ->assertStatus(422)
        ->assertSee('At least 6 readings');
    $this->atHouse('DELETE', "/cookers/{$pot['cooker']}")->assertOk();
    $this->atHouse('POST', "/stove/{$pot['id']}/learn")
        ->assertStatus(422)
        ->assertSee('no longer on the list');
    tend($this, $pot['id'], 'end')->assertOk();
});

it('switches nothing on that is foretold to pass its ceiling, unless somebody says why', function () {
    $batch = warmBatch($this);
    $cooker = collect($this->atHouse('GET', '/stove')->json('cookers'))->first(fn ($c) => in_array('slow-cooker', $c['methods'], true));
    $asked = ['cooker' => $cooker['id'], 'setting' => 'High', 'batches' => [$batch->uid], 'watch' => 'hand'];
    $outlook = $this->atHouse('POST', '/stove/outlook', Illuminate\Support\Arr::except($asked, 'watch'))->assertOk()->json();
    expect(collect($outlook['warnings'])->firstWhere('id', 'too-warm')['rank'])
        ->toBe('stop')
        ->and($outlook['instead'])
        ->toBe(['Warm']);
    $refused = $this->atHouse('POST', '/stove', $asked)->assertStatus(422);
    expect($refused->json('faults.0.field'))
        ->toBe('confirmed')
        ->and($refused->json('faults.0.reason'))
        ->toBe('stop')
        ->and($refused->json('faults.0.sentence'))
        ->toContain('over the ceiling of 60 °C')
        ->toContain('Take Warm instead');
    $this->atHouse('POST', '/stove', [...$asked, 'confirmed' => '   '])->assertStatus(422);
    $pot = $this->atHouse('POST', '/stove', [...$asked, 'confirmed' => 'I stand by it for half an hour'])
        ->assertOk()
        ->json('id');
    $line = collect($this->atHouse('GET', "/batches/{$batch->uid}")->json('entries'))->first(
        fn (array $entry) => str_contains((string) $entry['note'], 'I stand by it'),
    );
    expect($line['note'])
        ->toBe('I stand by it for half an hour')
        ->and($line['title'])
        ->toStartWith('Put to warm. On High it is foretold to reach ')
        ->toEndWith(', over the ceiling of 60 °C. Switched on all the same');
    // Set down and up again it is asked again.
    tend($this, $pot, 'setting', 'Warm')->assertOk();
    tend($this, $pot, 'setting', 'High')->assertStatus(422)->assertJsonPath('faults.0.reason', 'stop');
    tend($this, $pot, 'setting', 'High', 'for ten minutes')->assertOk()->assertJsonPath('setting', 'High');
});
