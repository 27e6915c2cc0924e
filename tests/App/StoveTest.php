<?php

use App\Actions\Stove\SimulatedProbe;
use App\Models\Probe;
use App\Models\StoveProbe;
use App\Models\StoveSession;
use App\Models\Tenancy\CurrentHouse;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

require_once __DIR__.'/../Pots.php';

it('warms a jar from switching on to taking out, and its logbook knows the hours', function () {
    $batch = warmBatch($this);
    $pot = begun($this, [$batch]);
    expect($pot['state'])->toBe('on')->and($pot['jars'][0]['planned_text'])->toBe('8 h')->and($pot['alarms'])->toBe([]);
    for ($i = 0; $i < 9; $i++) {
        Carbon::setTestNow(Carbon::now()->addMinutes(30));
        $pot = $this->atHouse('POST', "/stove/{$pot['id']}/reading", ['warmth' => $i === 0 ? '45' : '49'])
            ->assertOk()
            ->json();
    }
    // Half an hour from 45 to 49 is worth (1 - 2^-0.4) / (0.4 ln 2) = 0.873 of itself, by hand; then three and a half at the target.
    expect($pot['jars'][0]['had_text'])
        ->toBe('3 h 56')
        ->and($pot['warmth_text'])
        ->toBe('49.0')
        ->and($pot['jars'][0]['done_text'])
        ->toContain('done about');
    $this->atHouse('POST', "/stove/{$pot['id']}/tend", ['what' => 'pause'])
        ->assertOk()
        ->assertJsonPath('state', 'paused');
    $page = $this->atHouse('GET', "/batches/{$batch->uid}")->json();
    expect(collect($page['tasks'])->firstWhere('open', true)['key'])
        ->toBe('warm_on-2')
        ->and(collect($page['tasks'])->firstWhere('key', 'strain')['open'])
        ->toBeFalse();
    Carbon::setTestNow(Carbon::now()->addMinutes(30));
    $this->atHouse('POST', "/stove/{$pot['id']}/tend", ['what' => 'on'])
        ->assertOk()
        ->assertJsonPath('state', 'on');
    for ($i = 0; $i < 9; $i++) {
        $this->atHouse('POST', "/stove/{$pot['id']}/reading", ['warmth' => '120 F'])->assertOk();
        Carbon::setTestNow(Carbon::now()->addMinutes(30));
    }
    $pot = $this->atHouse('GET', "/stove/{$pot['id']}")->json();
    expect(collect($pot['alarms'])->pluck('id')->all())->toContain('done');
    $this->atHouse('POST', "/stove/{$pot['id']}/tend", ['what' => 'end'])
        ->assertOk()
        ->assertJsonPath('state', 'ended');
    $page = $this->atHouse('GET', "/batches/{$batch->uid}")->json();
    expect(collect($page['tasks'])->firstWhere('key', 'strain')['open'])->toBeTrue();
    $this->atHouse('POST', "/stove/{$pot['id']}/tend", ['what' => 'on'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.reason', 'not_open');
});

it('takes a sender’s readings once each, in any order, and counts them as if they had come in theirs', function () {
    [$probe, $key] = aSender($this);
    $pot = begun($this, [warmBatch($this)], ['watch' => $probe]);
    $start = Carbon::now()->getTimestamp();
    Carbon::setTestNow(Carbon::now()->addHours(3));
    $all = array_map(fn (int $i) => ['at' => $start + $i * 60, 'c' => 44 + 5 * sin($i / 20)], range(1, 170));
    sent($this, $key, array_slice($all, 0, 60))->assertOk()->assertJsonPath('taken', 60);
    sent($this, $key, array_slice($all, 90))->assertOk();
    sent($this, $key, array_slice($all, 40, 60))->assertOk()->assertJsonPath('taken', 30)->assertJsonPath('doubled', 30);
    $kept = StoveProbe::query()->firstOrFail()->gathered;
    $whole = Kettle\Warmth\WarmHours::over(
        array_map(fn (array $r) => [$r['at'], round($r['c'], 2)], $all),
        Kettle\Warmth\Band::about(49, 60),
    );
    expect(DB::table('readings')->count())
        ->toBe(170)
        ->and($kept['hours'])
        ->toEqualWithDelta($whole->hours(), 1e-6)
        ->and($kept['count'])
        ->toBe(170);
    expect($this->atHouse('GET', "/stove/{$pot['id']}")->json('warmth_text'))->toBe(number_format(44 + 5 * sin(170 / 20), 1));
});

it('refuses a reading that cannot be, and takes the rest', function () {
    [$probe, $key] = aSender($this);
    begun($this, [warmBatch($this)], ['watch' => $probe]);
    $now = Carbon::now()->getTimestamp();
    $took = sent($this, $key, [
        ['at' => $now - 5, 'c' => 49],
        ['at' => $now + 3600, 'c' => 49],
        ['at' => $now - 4, 'c' => 900],
        ['at' => $now - 3, 'f' => 120],
        ['at' => 'noon', 'c' => 49],
        'x',
    ])
        ->assertOk()
        ->json();
    expect($took['taken'])
        ->toBe(2)
        ->and(array_column($took['refused'], 'row'))
        ->toBe([1, 2, 4, 5]);
    sent($this, $key, [['at' => $now, 'c' => 900]])
        ->assertStatus(422)
        ->assertSee('Fahrenheit');
    sent($this, 'wrong'.$key, [['at' => $now, 'c' => 49]])->assertStatus(401);
    sent($this, $key, [])->assertStatus(422);
});

it('tells a sender that stands in no pot, and one whose key was taken back', function () {
    [$probe, $key] = aSender($this);
    sent($this, $key, [['at' => Carbon::now()->getTimestamp(), 'c' => 49]])
        ->assertStatus(409)
        ->assertSee('in no pot');
    $this->atHouse('DELETE', "/probes/{$probe}")->assertOk();
    sent($this, $key, [['at' => Carbon::now()->getTimestamp(), 'c' => 49]])->assertStatus(401);
});

it('says what must be said: too warm, lost, water low, shake', function () {
    [$probe, $key] = aSender($this);
    $pot = begun($this, [warmBatch($this)], ['watch' => $probe]);
    $ids = fn () => array_column($this->atHouse('GET', "/stove/{$pot['id']}")->json('alarms'), 'id');
    $send = fn (float $c) => sent($this, $key, [['at' => Carbon::now()->getTimestamp(), 'c' => $c]])->assertOk();
    Carbon::setTestNow(Carbon::now()->addMinutes(10));
    $send(49);
    expect($ids())->toBe([]);
    Carbon::setTestNow(Carbon::now()->addMinutes(10));
    expect($ids())->toBe(['lost']);
    $send(61);
    expect($ids())->toBe(['too-warm']);
    Carbon::setTestNow(Carbon::now()->addMinutes(100));
    $send(52);
    expect($ids())->toContain('shake');
    $this->atHouse('POST', "/stove/{$pot['id']}/tend", ['what' => 'shaken'])->assertOk();
    expect($ids())->not->toContain('shake');
    for ($i = 0; $i < 60; $i++) {
        Carbon::setTestNow(Carbon::now()->addMinutes(20));
        $send(58);
    }
    expect($ids())->toContain('water-low');
    $this->atHouse('POST', "/stove/{$pot['id']}/tend", ['what' => 'topped_up'])->assertOk();
    expect($ids())->not->toContain('water-low');
});

it('does not let two pots have one cooker, one jar or one thermometer', function () {
    [$first, $second] = [warmBatch($this), warmBatch($this)];
    [$probe] = aSender($this);
    $pot = begun($this, [$first], ['watch' => $probe]);
    $cooker = $pot['cooker'];
    $this->atHouse('POST', '/stove', ['cooker' => $cooker, 'setting' => 'Warm', 'batches' => [$second->uid], 'watch' => 'hand'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'cooker');
    $another = $this->atHouse('POST', '/cookers', [
        'called' => 'the other',
        'shape' => 'oval',
        'length' => '30 cm',
        'width' => '21 cm',
        'height' => '140 mm',
        'method' => 'slow-cooker',
    ])
        ->assertOk()
        ->json('cookers');
    $other = collect($another)->firstWhere('called', 'the other')['id'];
    $this->atHouse('POST', '/stove', ['cooker' => $other, 'setting' => 'Warm', 'batches' => [$first->uid], 'watch' => 'hand'])
        ->assertStatus(422)
        ->assertSee('stands in a cooker already');
    $this->atHouse('POST', '/stove', ['cooker' => $other, 'setting' => 'Warm', 'batches' => [$second->uid], 'watch' => $probe])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'watch');
    $this->atHouse('POST', '/stove', ['cooker' => $other, 'setting' => 'Blaze', 'batches' => [$second->uid], 'watch' => 'hand'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'setting');
});

it('goes on when its cooker is taken off the list', function () {
    $pot = begun($this, [warmBatch($this)]);
    $this->atHouse('DELETE', "/cookers/{$pot['cooker']}")->assertOk();
    $this->atHouse('GET', "/stove/{$pot['id']}")
        ->assertOk()
        ->assertJsonPath('state', 'on');
    $this->atHouse('POST', "/stove/{$pot['id']}/tend", ['what' => 'end'])->assertOk();
});

it('refuses jars of two warmths, too many, unfilled, or of no warm method', function () {
    $cooker = collect($this->atHouse('GET', '/stove')->json('cookers'))->first(fn ($c) => in_array('slow-cooker', $c['methods'], true))[
        'id'
    ];
    $start = fn (array $batches) => $this->atHouse('POST', '/stove', [
        'cooker' => $cooker,
        'setting' => 'Warm',
        'batches' => array_map(fn ($b) => $b->uid, $batches),
        'watch' => 'hand',
    ]);
    $usual = warmBatch($this);
    $start([$usual, warmBatch($this, ['school' => 'gentle'])])
        ->assertStatus(422)
        ->assertSee('different warmths');
    $start([$usual, warmBatch($this), warmBatch($this), warmBatch($this), warmBatch($this), warmBatch($this)])
        ->assertStatus(422)
        ->assertSee('cannot stand');
    $start([$this->batch(['method' => 'slow-cooker'])])
        ->assertStatus(422)
        ->assertSee('not filled yet');
    $cold = $this->batch();
    $this->fill($cold);
    $start([$cold])
        ->assertStatus(422)
        ->assertSee('not planned for');
    $start([])->assertStatus(422);
});

it('foretells a pot with its range, and never a pot that is not there', function () {
    $batch = warmBatch($this);
    $cooker = collect($this->atHouse('GET', '/stove')->json('cookers'))->first(fn ($c) => in_array('slow-cooker', $c['methods'], true));
    $said = $this->atHouse('POST', '/stove/outlook', ['cooker' => $cooker['id'], 'setting' => 'Warm', 'batches' => [$batch->uid]])
        ->assertOk()
        ->json();
    expect($said['lines'][0]['label'])
        ->toBe('Into the band')
        ->and($said['bath']['jars'])
        ->toHaveCount(1)
        ->and($said['pour_text'])
        ->toContain('Pour ')
        ->and(collect($said['warnings'])->pluck('id'))
        ->toContain('not-learned');
    $high = $this->atHouse('POST', '/stove/outlook', ['cooker' => $cooker['id'], 'setting' => 'High', 'batches' => [$batch->uid]])
        ->assertOk()
        ->json();
    expect(collect($high['warnings'])->firstWhere('rank', 'stop')['id'])->toBe('too-warm');
    $this->atHouse('POST', '/stove/outlook', ['cooker' => 'x', 'setting' => 'Warm', 'batches' => [$batch->uid]])->assertStatus(422);
});

it('runs the simulated thermometer: warms, wanders, is lost now and then, and learns its pot', function () {
    $probe = $this->atHouse('POST', '/probes', ['called' => 'made up', 'kind' => 'simulated'])
        ->assertOk()
        ->json('id');
    $pot = begun($this, [warmBatch($this)], ['watch' => $probe]);
    $run = function (): void {
        app(CurrentHouse::class)->within(
            $this->house,
            fn () => app(SimulatedProbe::class)->run(
                StoveSession::query()->firstOrFail(),
                Probe::query()->where('kind', 'simulated')->firstOrFail(),
            ),
        );
    };
    for ($i = 0; $i < 12; $i++) {
        Carbon::setTestNow(Carbon::now()->addMinutes(30));
        $run();
        $run();
    }
    $readings = DB::table('readings')->orderBy('at')->pluck('centi_c');
    // Six hours at one each ten seconds, less what was lost.
    expect($readings->count())
        ->toBeBetween(1200, 2160)
        ->and($readings->first())
        ->toBeLessThan(2000)
        ->and($readings->last())
        ->toBeGreaterThan(4000);
    $view = $this->atHouse('GET', "/stove/{$pot['id']}")->json();
    expect(count($view['chart']['points']))
        ->toBeLessThanOrEqual(241)
        ->and($view['chart']['model'])
        ->not->toBe([])
        ->and($view['teaches'])
        ->toBeTrue();
    $least = min(array_column($view['chart']['points'], 1));
    expect((int) round($least * 100))
        ->toBe($readings->min())
        ->and((int) round(max(array_column($view['chart']['points'], 2)) * 100))
        ->toBe($readings->max());
    $this->atHouse('POST', "/stove/{$pot['id']}/learn")->assertOk();
    $learned = collect($this->atHouse('GET', '/stove')->json('cookers'))->firstWhere('id', $pot['cooker']);
    expect($learned['learned_text'])->toContain('learned');
});

it('counts a trial at sixty times the clock for no jar', function () {
    $probe = $this->atHouse('POST', '/probes', ['called' => 'made up', 'kind' => 'simulated'])->json('id');
    $batch = warmBatch($this);
    $pot = begun($this, [$batch], ['watch' => $probe, 'speed' => 60]);
    Carbon::setTestNow(Carbon::now()->addMinutes(5));
    app(CurrentHouse::class)->within(
        $this->house,
        fn () => app(SimulatedProbe::class)->run(
            StoveSession::query()->firstOrFail(),
            Probe::query()->where('kind', 'simulated')->firstOrFail(),
        ),
    );
    $view = $this->atHouse('GET', "/stove/{$pot['id']}")->json();
    expect($view['trial'])
        ->toBeTrue()
        ->and($view['chart']['now'] - $view['chart']['from'])
        ->toBe(18000)
        ->and($view['jars'][0]['share'])
        ->toBeGreaterThan(0.1);
    $this->atHouse('POST', "/stove/{$pot['id']}/tend", ['what' => 'end'])->assertOk();
    expect(
        collect($this->atHouse('GET', "/batches/{$batch->uid}")->json('entries'))
            ->where('kind', 'task')
            ->count(),
    )->toBe(1);
    $this->atHouse('POST', '/stove', [
        'cooker' => $pot['cooker'],
        'setting' => 'Warm',
        'batches' => [$batch->uid],
        'watch' => 'hand',
        'speed' => 60,
    ])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'speed');
});

it('reads a log by the degrees of its column, or of whoever reads thermometers here', function (string $csv, array $centi, string $notes) {
    $pot = begun($this, [warmBatch($this)]);
    Carbon::setTestNow(Carbon::now()->addHours(2));
    $this->call_('PATCH', '/me', ['temperature' => 'f'])->assertOk();
    $took = $this->atHouse('POST', "/stove/{$pot['id']}/csv", ['csv' => base64_encode($csv), 'do' => true])
        ->assertOk()
        ->json();
    expect(DB::table('readings')->orderBy('at')->pluck('centi_c')->map(fn ($c) => (int) $c)->all())
        ->toBe($centi)
        ->and(implode(' ', $took['notes']))
        ->toContain($notes);
})->with([
    // 104 °F is 40 °C: NIST SP 811, B.9.
    'as they are read here' => ["time,temperature\n2026-11-24 10:15,104\n", [4000], 'without a unit are taken as °F'],
    'Celsius by its column' => ["time,Temp (°C)\n2026-11-24 10:15,40\n", [4000], '“temp (°c)” is read as c.'],
    'Celsius by a column of ours' => ["at,c\n2026-11-24 10:15,40\n", [4000], ''],
    'Fahrenheit by its column' => ["at,f\n2026-11-24 10:15,\"104,0\"\n", [4000], ''],
    'a unit in the cell goes before all' => ["at,f\n2026-11-24 10:15,40 C\n", [4000], ''],
    'days and hours apart' => ["Date,Time,°C\n24/11/2026,10:15,40\n24/11/2026,10:25 AM,41\n", [4000, 4100], 'with the day first'],
    'one sensor of each kind' => ["at,c,f\n2026-11-24 10:15,,104\n2026-11-24 10:25,41,\n", [4000, 4100], ''],
]);

it('reads a log from a file, with each refused line', function () {
    $pot = begun($this, [warmBatch($this)]);
    Carbon::setTestNow(Carbon::now()->addHours(2));
    $csv = "Time;Temperature\n2026-11-24 10:05;40,5\n2026-11-24 10:15;\"45,0\"\n2026-11-24 10:25;900\n2026-11-24 23:00;49\n";
    $try = fn (bool $do) => $this->atHouse('POST', "/stove/{$pot['id']}/csv", ['csv' => base64_encode($csv), 'do' => $do])
        ->assertOk()
        ->json();
    expect($try(false)['taken'])
        ->toBe(2)
        ->and(DB::table('readings')->count())
        ->toBe(0);
    $took = $try(true);
    expect($took['taken'])
        ->toBe(2)
        ->and(array_column($took['refused'], 'row'))
        ->toBe([4, 5])
        ->and(DB::table('readings')->count())
        ->toBe(2);
    expect($try(true)['doubled'])
        ->toBe(2)
        ->and($try(false))
        ->toMatchArray(['taken' => 0, 'doubled' => 2]);
    $this->atHouse('POST', "/stove/{$pot['id']}/csv", ['csv' => base64_encode("a,b\n1,2\n"), 'do' => true])
        ->assertStatus(422)
        ->assertSee('columns');
});
