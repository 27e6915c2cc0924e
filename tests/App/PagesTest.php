<?php

use App\Models\Batch;
use App\Models\Tenancy\CurrentHouse;
use App\Models\Tenancy\Role;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

require_once dirname(__DIR__, 2).'/perf/rows.php';

/** Many batches like one, copied in the database; each with the tasks of the first. */
function copies($test, int $count): void
{
    $first = $test->batch(['jar' => $test->jarOf(505)->uid]);
    $test->fill($first);
    $row = rowToCopy('batches', $first->id);
    $tasks = DB::table('tasks')->where('batch_id', $first->id)->get();
    for ($n = 2; $n <= $count; $n++) {
        $id = DB::table('batches')->insertGetId([
            ...$row,
            'id' => null,
            'uid' => Str::lower(Str::ulid()->toString()),
            'code' => sprintf('26-%03d', $n),
        ]);
        DB::table('tasks')->insert($tasks->map(fn ($task) => [...(array) $task, 'id' => null, 'batch_id' => $id])->all());
    }
}

it('teaches in an empty house', function () {
    $this->atHouse('GET', '/today')->assertJsonPath('empty', true)->assertJsonPath('headline', 'Tuesday. Nothing wants doing.');
    $this->atHouse('GET', '/shelf')->assertJsonPath('empty', true);
    $this->atHouse('GET', '/press')->assertJsonPath('to_strain', []);
});

it('gives a page of Today however much is due, and says how much more', function () {
    copies($this, 60);
    Carbon::setTestNow('2027-01-05T10:00:00Z');
    $today = $this->atHouse('GET', '/today')->json();
    expect($today['due'])
        ->toBe(240)
        ->and($today['shown'])
        ->toBe(40)
        ->and($today['headline'])
        ->toBe('Tuesday. 240 things to do; the first 40 are here.');
    $all = array_merge(...array_column($today['places'], 'tasks'));
    $due = array_column($all, 'due_at');
    expect($all)->toHaveCount(40)->and(max($due))->toBeLessThan('2026-11-26');
});

it('walks along a board of the Shelf without losing or doubling a jar', function () {
    copies($this, 40);
    $seen = [];
    $after = '';
    do {
        $part = $this->atHouse('GET', '/shelf?part=steeping&after='.urlencode($after))->json('parts.0');
        expect($part['total'])->toBe(40);
        $seen = [...$seen, ...array_column($part['jars'], 'code')];
        $after = $part['next'] ?? '';
    } while ($after !== '');
    expect($seen)->toHaveCount(40)->and(array_unique($seen))->toHaveCount(40);
});

it('finds what may be wrong by what somebody says of it', function (string $typed, array $faults) {
    $found = $this->atHouse('GET', '/find?q='.urlencode($typed))
        ->assertOk()
        ->json('found');
    expect(array_column($found, 'path'))->toEqualCanonicalizing(array_map(fn (string $id) => "almanac/fault/{$id}", $faults));
})->with([
    // Common practice, no source: paint and crayons are rancid, butters that cool slowly grain, mould is mould.
    ['my salve is grainy', ['slow-cooling']],
    ['smells of crayons', ['rancid', 'too-hot']],
    ['there is mould on it', ['mould']],
    ['the oil went cloudy in the fridge', ['fat-set', 'fine-herb', 'water']],
    // Of many words those count that speak of it.
    ['what is wrong with this', []],
    ['it has gone very like something', []],
]);

it('draws the day from getting up to bed', function (string $now, ?float $at, string $text) {
    Carbon::setTestNow($now);
    $bar = $this->atHouse('GET', '/today')->json('bar');
    expect($bar)->toMatchArray(['wake' => '07:00', 'bed' => '22:30', 'now_text' => $text]);
    $at === null ? expect($bar['now'])->toBeNull() : expect($bar['now'])->toEqualWithDelta($at, 0.001);
})->with([
    ['2026-11-24T07:00:00Z', 0.0, '07:00'],
    ['2026-11-24T14:45:00Z', 0.5, '14:45'],
    ['2026-11-24T22:30:00Z', 1.0, '22:30'],
    ['2026-11-24T03:00:00Z', null, '03:00'],
    // British Summer Time: the same moment is an hour later by the wall.
    ['2026-07-01T13:45:00Z', 0.5, '14:45'],
]);

it('says the hands a day wants', function (int $jars, string $headline) {
    for ($i = 0; $i < $jars; $i++) {
        $this->batch();
    }
    expect($this->atHouse('GET', '/today')->json('headline'))->toBe($headline);
})->with([
    [1, 'Tuesday. A quarter of an hour of hands.'],
    [2, 'Tuesday. Three quarters of an hour of hands.'],
    [3, 'Tuesday. An hour of hands.'],
    [7, 'Tuesday. Two hours of hands.'],
]);

it('puts each thing where one stands to do it', function () {
    $cold = $this->batch();
    $this->fill($cold);
    $warm = $this->batch(['method' => 'slow-cooker', 'school' => 'usual']);
    $this->fill($warm);
    $this->batch();
    Carbon::setTestNow('2026-11-24T12:00:00Z');
    $places = array_column($this->atHouse('GET', '/today')->json('places'), 'tasks', 'place');
    expect(array_column($places['bench'], 'step'))
        ->toBe(['fill'])
        ->and(array_column($places['stove'], 'step'))
        ->toContain('warm_on')
        ->and(array_column($places['shelf'], 'step'))
        ->toBe(['top_up']);
});

it('counts days by the house’s calendar, and not by the server’s', function () {
    $this->atHouse('PATCH', '', [
        'version' => 1,
        'name' => 'Far',
        'time_zone' => 'Pacific/Auckland',
        'measures' => 'metric',
        'wake' => '07:00',
        'bed' => '22:00',
        'drops_per_ml' => 20,
    ])->assertOk();
    // 10:00 UTC on the 24th is 23:00 on the 24th in Auckland: filling waits for the morning of the 25th.
    $batch = $this->batch();
    expect($this->atHouse('GET', "/batches/{$batch->uid}")->json('tasks.0.due_text'))->toBe('tomorrow 07:00');
    Carbon::setTestNow('2026-11-24T20:00:00Z');
    $this->fill($batch);
    expect($this->atHouse('GET', "/batches/{$batch->uid}")->json('stage_text'))
        ->toBe('cold, day 0 of 28')
        ->and($this->atHouse('GET', '/today')->json('date'))
        ->toBe('Wednesday 25 November 2026');
});

it('finds by code, by name, by plant, and nothing of another house', function () {
    $batch = $this->batch();
    $find = fn (string $typed, $as = null) => $this->atHouse('GET', '/find?q='.urlencode($typed), [], $as)
        ->assertOk()
        ->json('found');
    expect($find($batch->code)[0]['path'])
        ->toBe('batch/'.$batch->uid)
        ->and($find('marsh')[0]['kind'])
        ->toBe('jar')
        ->and(array_column($find('Tilia'), 'name'))
        ->toBe(['Linden blossom'])
        ->and($find(''))
        ->toBe([])
        ->and($find('nothing like it'))
        ->toBe([]);
    // With a letter wrong it is sought by what was meant, and that is said.
    $this->atHouse('GET', '/find?q=marshmellow')
        ->assertJsonPath('meant', 'marshmallow')
        ->assertJsonPath('found.0.path', 'batch/'.$batch->uid);
    $this->atHouse('GET', '/find?q=marshmallow')->assertJsonPath('meant', null);
    $this->atHouse('GET', '/find?q=nothing+like+it')->assertJsonPath('meant', null)->assertJsonCount(0, 'found');
    $this->house = $this->aHouse($this->keeper, 'Other');
    // Marshmallow and marsh marigold, and no jar of the other house.
    expect(array_column($find('marsh'), 'kind'))->toBe(['plant', 'plant']);
});

it('lists at the press what is soon to strain, resting, and lately bottled', function () {
    $batch = $this->batch();
    $this->fill($batch);
    expect($this->atHouse('GET', '/press')->json('to_strain'))->toBe([]);
    Carbon::setTestNow('2026-12-20T10:00:00Z');
    expect($this->atHouse('GET', '/press')->json('to_strain.0.code'))->toBe($batch->code);
    $this->atHouse('POST', "/batches/{$batch->uid}/strain", ['amount' => '300 mL']);
    expect($this->atHouse('GET', '/press')->json('resting.0.days'))->toBe('settling');
});

it('shows a surprise at the press for what it is', function (string $amount, string $verdict, string $words) {
    $batch = $this->batch(['jar' => $this->jarOf(505)->uid]);
    $this->fill($batch);
    $press = $this->atHouse('POST', "/batches/{$batch->uid}/strain", ['amount' => $amount])
        ->assertOk()
        ->json('press');
    expect($press['verdict'])->toBe($verdict)->and($press['says'])->toContain($words)->and($press['to_bottle'])->toBe($press['strained']);
    $offers = $this->atHouse('POST', "/batches/{$batch->uid}/filling", [])
        ->assertOk()
        ->json('offers');
    expect(array_sum(array_map(fn ($line) => $line['count'] * $line['capacity_ml'], $offers[0]['bottles'])))->toBeLessThanOrEqual(
        $press['strained_ml'],
    );
})->with([['150 mL', 'less', 'Press the herb again'], ['300 mL', 'as expected', 'within the range'], ['380 mL', 'more', 'is it water?']]);

it('discards with a reason, and takes that back', function () {
    $batch = $this->batch();
    $this->fill($batch);
    $gone = $this->atHouse('POST', "/batches/{$batch->uid}/discard", ['reason' => 'Mould.'])
        ->assertOk()
        ->assertJsonPath('stage', 'discarded')
        ->assertJsonPath('tasks', [])
        ->json();
    $this->atHouse('POST', "/batches/{$batch->uid}/discard", ['reason' => 'Again.'])->assertStatus(422);
    $this->atHouse('POST', "/batches/{$batch->uid}/tasks", ['task' => 'shake', 'outcome' => 'done'])->assertStatus(422);
    $this->atHouse('POST', "/batches/{$batch->uid}/undo", ['entry' => $gone['entries'][0]['id']])
        ->assertOk()
        ->assertJsonPath('stage', 'steeping');
});

it('says who did what, also after they have left', function () {
    $helper = $this->member(Role::Helper);
    $batch = $this->batch();
    $this->atHouse('POST', "/batches/{$batch->uid}/tasks", ['task' => 'fill', 'outcome' => 'done'], $helper)->assertOk();
    $this->atHouse('DELETE', "/people/{$helper->uid}")->assertOk();
    expect(array_column($this->atHouse('GET', "/batches/{$batch->uid}")->json('entries'), 'by'))->toBe(['helper', 'Keeper']);
    $this->atHouse('GET', '/today', [], $helper)->assertNotFound();
});

it('pages a long logbook and keeps it whole in the export', function () {
    $batch = $this->batch();
    app(CurrentHouse::class)->within($this->house, function () use ($batch) {
        for ($i = 0; $i < 105; $i++) {
            app(App\Actions\Batches\AddNote::class)(Batch::query()->findOrFail($batch->id), "note {$i}", null);
        }
    });
    $view = $this->atHouse('GET', "/batches/{$batch->uid}")->json();
    expect($view['entries'])->toHaveCount(100)->and($view['entries_total'])->toBe(106)->and($view['entries'][0]['note'])->toBe('note 104');
    expect(json_decode($this->atHouse('GET', '/export')->getContent(), true)['batches'][0]['log'])->toHaveCount(106);
});

it('adds and takes off vessels, in the house’s own measures', function () {
    $house = $this->atHouse('POST', '/jars', ['called' => 'crock', 'brim' => '1 1/2 pints', 'height' => '5 in'])
        ->assertOk()
        ->json();
    $crock = collect($house['jars'])->firstWhere('called', 'crock');
    // 1.5 US pints = 709.76 mL (NIST Handbook 44).
    expect($crock['text'])->toBe('710 mL to the brim, 127 mm high')->and($crock['height_mm'])->toEqualWithDelta(127, 0.001);
    $this->atHouse('POST', '/reckon', ['wish' => $this->wish(['jar' => $crock['id']])])
        ->assertOk()
        ->assertJsonPath('jar.called', 'crock');
    $bottle = collect(
        $this->atHouse('POST', '/bottles', ['called' => 'dropper', 'capacity' => '1 fl oz'])
            ->assertOk()
            ->json('bottles'),
    )->firstWhere('called', 'dropper');
    expect($bottle['capacity_ml'])->toEqualWithDelta(29.574, 0.001);
    $this->atHouse('POST', '/bottles', ['called' => 'vat', 'capacity' => '50 L'])->assertStatus(422);
    $this->atHouse('POST', '/bottles', ['called' => '', 'capacity' => '50 mL'])->assertStatus(422);
    $this->atHouse('DELETE', "/bottles/{$bottle['id']}")->assertOk();
    $this->atHouse('DELETE', "/bottles/{$bottle['id']}")->assertNotFound();
});

it('says so when a house has no jar left', function () {
    foreach ($this->atHouse('GET', '')->json('jars') as $jar) {
        $this->atHouse('DELETE', "/jars/{$jar['id']}")->assertOk();
    }
    $this->atHouse('POST', '/reckon', ['wish' => $this->wish()])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.reason', 'missing');
});

it('takes over a key whose first try died before there was an answer', function () {
    DB::table('written_keys')->insert([
        'user_id' => $this->keeper->id,
        'key' => 'died-at-work',
        'created_at' => now(),
        'request_hash' => hash('sha256', "POST api/houses/{$this->house->uid}/batches\n".json_encode(['wish' => $this->wish()])),
    ]);
    $first = $this->atHouse('POST', '/batches', ['wish' => $this->wish()], key: 'died-at-work')->assertOk();
    $this->atHouse('POST', '/batches', ['wish' => $this->wish()], key: 'died-at-work')
        ->assertOk()
        ->assertHeader('Idempotent-Replay', 'true')
        ->assertJsonPath('id', $first->json('id'));
    expect(app(App\Models\Tenancy\CurrentHouse::class)->within($this->house, fn () => App\Models\Batch::query()->count()))->toBe(1);
});

it('leaves nothing of a write whose answer could not be kept, and does it once when it is sent again', function () {
    $dies = true;
    DB::listen(function ($query) use (&$dies): void {
        if ($dies && str_starts_with($query->sql, 'update `written_keys`')) {
            throw new RuntimeException('the power went');
        }
    });
    $count = fn () => app(App\Models\Tenancy\CurrentHouse::class)->within($this->house, fn () => App\Models\Batch::query()->count());
    $this->atHouse('POST', '/batches', ['wish' => $this->wish()], key: 'power-cut-1')
        ->assertStatus(503)
        ->assertHeader('Retry-After')
        ->assertSee('Nothing was changed');
    expect($count())
        ->toBe(0)
        ->and(DB::table('written_keys')->where('key', 'power-cut-1')->exists())
        ->toBeFalse();
    $dies = false;
    $this->atHouse('POST', '/batches', ['wish' => $this->wish()], key: 'power-cut-1')->assertOk();
    $this->atHouse('POST', '/batches', ['wish' => $this->wish()], key: 'power-cut-1')
        ->assertOk()
        ->assertHeader('Idempotent-Replay', 'true');
    expect($count())->toBe(1);
});

it('keeps a refusal under its key, and no fault of its own', function () {
    $refused = fn () => $this->atHouse('POST', '/batches', ['wish' => $this->wish(['ratio' => '1:900'])], key: 'refused-once');
    $refused()->assertStatus(422);
    $refused()->assertStatus(422)->assertHeader('Idempotent-Replay', 'true');
    DB::listen(function ($query) use (&$broken): void {
        if (($broken ?? true) && str_starts_with($query->sql, 'insert into `batches`')) {
            throw new RuntimeException('no room on the disk');
        }
    });
    $broken = true;
    $this->atHouse('POST', '/batches', ['wish' => $this->wish()], key: 'broken-once')->assertStatus(503);
    $broken = false;
    $this->atHouse('POST', '/batches', ['wish' => $this->wish()], key: 'broken-once')
        ->assertOk()
        ->assertHeaderMissing('Idempotent-Replay');
});

it('says how late a jar is, by whole days of the calendar', function () {
    // Filled on 24 November for four weeks: due on 22 December.
    $batch = $this->batch();
    $this->fill($batch);
    $said = fn (string $moment) => [Carbon::setTestNow($moment), $this->atHouse('GET', "/batches/{$batch->uid}")->json('jar')][1];
    expect($said('2026-12-21T20:00:00Z')['alert'])
        ->toBe('')
        ->and($said('2026-12-22T07:00:00Z')['alert'])
        ->toBe('strain today')
        ->and($said('2026-12-22T22:00:00Z')['alert'])
        ->toBe('strain today')
        ->and($said('2026-12-23T00:30:00Z')['alert'])
        ->toBe('1 day over, strain')
        ->and($said('2027-01-04T08:00:00Z')['alert'])
        ->toBe('13 days over, strain')
        ->and($said('2027-01-04T08:00:00Z')['days'])
        ->toBe('cold, day 41 of 28');
    Carbon::setTestNow('2026-11-24T10:00:00Z');
    $planned = $this->batch();
    Carbon::setTestNow('2026-11-24T23:00:00Z');
    expect($this->atHouse('GET', "/batches/{$planned->uid}")->json('jar.alert'))->toBe('');
    Carbon::setTestNow('2026-11-25T08:00:00Z');
    expect($this->atHouse('GET', "/batches/{$planned->uid}")->json('jar.alert'))->toBe('should have been filled');
});

it('does not ask to strain what is still warming', function () {
    $batch = $this->batch(['method' => 'slow-cooker', 'school' => 'hot']);
    $this->fill($batch);
    $alert = fn () => $this->atHouse('GET', "/batches/{$batch->uid}")->json('jar.alert');
    expect($alert())->toBe('');
    $this->atHouse('POST', "/batches/{$batch->uid}/tasks", ['task' => 'warm_on', 'outcome' => 'done'])->assertOk();
    // Getting warm is no hour at warmth, each time it is put on.
    $warmUp = (int) $batch->refresh()->diary?->warmUpMin;
    expect($warmUp)->toBeGreaterThan(20);
    Carbon::setTestNow(Carbon::now()->addHours(2)->addMinutes($warmUp));
    // Off after two of its six hours: four are still to come.
    $this->atHouse('POST', "/batches/{$batch->uid}/tasks", ['task' => 'warm_off', 'outcome' => 'done'])->assertOk();
    expect($alert())->toBe('');
    $this->atHouse('POST', "/batches/{$batch->uid}/tasks", ['task' => 'warm_on-2', 'outcome' => 'done'])->assertOk();
    Carbon::setTestNow(Carbon::now()->addHours(4)->addMinutes($warmUp));
    $this->atHouse('POST', "/batches/{$batch->uid}/tasks", ['task' => 'warm_off-2', 'outcome' => 'done'])->assertOk();
    expect($alert())->toBe('strain today');
});

it('begins a write again that waited for another as that for it, and tells of it in the end', function () {
    $times = 2;
    App\Models\Batch::creating(function () use (&$times): void {
        if ($times-- > 0) {
            $deadlock = new PDOException('SQLSTATE[40001]: Serialization failure: 1213 Deadlock found when trying to get lock');
            throw new Illuminate\Database\QueryException('mariadb', 'insert into `batches`', [], $deadlock);
        }
    });
    $count = fn () => app(App\Models\Tenancy\CurrentHouse::class)->within($this->house, fn () => App\Models\Batch::query()->count());
    $this->atHouse('POST', '/batches', ['wish' => $this->wish()], key: 'both-at-once-1')->assertOk();
    expect($count())
        ->toBe(1)
        ->and($times)
        ->toBe(-1);
    $times = 99;
    $this->atHouse('POST', '/batches', ['wish' => $this->wish()], key: 'both-at-once-2')
        ->assertStatus(503)
        ->assertHeader('Retry-After', '1')
        ->assertJsonPath('detail', 'Two things were written at once. Nothing was changed by this one; try again.');
    expect($count())
        ->toBe(1)
        ->and($times)
        ->toBe(96)
        ->and(DB::table('written_keys')->where('key', 'both-at-once-2')->exists())
        ->toBeFalse();
    $times = 0;
});
