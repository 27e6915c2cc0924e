<?php

use App\Models\LogEntry;
use App\Models\StoveEvent;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

require_once __DIR__.'/../Pots.php';

/** @return array<string, mixed> the pot after a warmth was read, so many minutes on */
function readIn(Tests\AppCase $case, string $pot, string $warmth, int $minutes = 30): array
{
    Carbon::setTestNow(Carbon::now()->addMinutes($minutes));

    return $case
        ->atHouse('POST', "/stove/{$pot}/reading", ['warmth' => $warmth])
        ->assertOk()
        ->json();
}

it('counts as if a slip had never been read, and keeps what it was beside', function () {
    $pot = begun($this, [warmBatch($this)])['id'];
    readIn($this, $pot, '49', 1);
    readIn($this, $pot, '49');
    readIn($this, $pot, '65', 1);
    $slip = readIn($this, $pot, '5', 1);
    expect($slip['alarms'][0]['says'])->toContain('5 °C is under the band');
    expect(array_column($slip['read'], 'text'))->toBe(['5.0 °C', '65.0 °C', '49.0 °C', '49.0 °C']);
    foreach ([1, 0] as $which) {
        $this->atHouse('POST', "/stove/{$pot}/undo", ['entry' => $slip['read'][$which]['entry']])->assertOk();
    }
    // An hour at 49 °C from the first reading to the last, by hand.
    $now = readIn($this, $pot, '49', 28);
    expect($now['jars'][0]['had_text'])
        ->toBe('1 h')
        ->and($now['over_text'])
        ->toBeNull()
        ->and(array_column($now['read'], 'text'))
        ->toBe(['49.0 °C', '49.0 °C', '49.0 °C'])
        ->and(array_slice(array_column($now['done'], 'text'), 0, 2))
        ->toBe(['Taken back: 5.0 °C, read at 10:33', 'Taken back: 65.0 °C, read at 10:32'])
        ->and(DB::table('readings')->count())
        ->toBe(3);
});

it('takes nothing back twice, nor what is of another pot, nor what went into a logbook', function () {
    $pot = begun($this, [warmBatch($this)])['id'];
    $first = readIn($this, $pot, '49', 1)['read'][0]['entry'];
    $back = fn (string $entry) => $this->atHouse('POST', "/stove/{$pot}/undo", ['entry' => $entry]);
    foreach (['read-1', 'done-1', 'done-999999', 'read', 'else-5', 'read--5', 'read-1e3', '{}'] as $none) {
        $back($none)->assertStatus(422)->assertJsonPath('faults.0.field', 'entry');
    }
    $second = readIn($this, $pot, '49')['read'][0]['entry'];
    $back($second)->assertOk();
    $back($second)->assertStatus(422)->assertSee('no longer be taken back');
    tend($this, $pot, 'pause')->assertOk();
    Carbon::setTestNow(Carbon::now()->addMinutes(5));
    expect($this->atHouse('GET', "/stove/{$pot}")->json('read'))->toBe([]);
    $back($first)->assertStatus(422);
    tend($this, $pot, 'end')->assertOk();
    $back($first)->assertStatus(422)->assertSee('This is over');
    expect(DB::table('readings')->count())->toBe(1);
});

it('leaves what a thermometer sent where it is', function () {
    [$pot] = sending($this, 10);
    $at = DB::table('readings')->max('at');
    $this->atHouse('POST', "/stove/{$pot}/undo", ['entry' => "read-{$at}"])->assertStatus(422);
    $this->atHouse('POST', "/stove/{$pot}/reading", ['warmth' => '50'])
        ->assertStatus(422)
        ->assertSee('tells of this pot by itself');
    expect($this->atHouse('GET', "/stove/{$pot}")->json('read'))
        ->toBe([])
        ->and(DB::table('readings')->max('at'))
        ->toBe($at);
});

it('pours the water out again that nobody poured in', function () {
    [$pot] = sending($this, 90);
    $before = $this->atHouse('GET', "/stove/{$pot}")->json();
    $poured = tend($this, $pot, 'topped_up', '400 mL')->assertOk()->json();
    expect($poured['water']['text'])->not->toBe($before['water']['text'])->and($poured['done'][0]['entry'])->not->toBeNull();
    $after = $this->atHouse('POST', "/stove/{$pot}/undo", ['entry' => $poured['done'][0]['entry']])
        ->assertOk()
        ->json();
    expect($after['water'])
        ->toBe($before['water'])
        ->and($after['bath']['now_mm'])
        ->toBe($before['bath']['now_mm'])
        ->and($after['done'][0]['text'])
        ->toBe('Taken back: water topped up')
        ->and($after['done'][1])
        ->toMatchArray(['text' => 'Water topped up, 400 mL', 'undone' => true, 'entry' => null])
        ->and(array_column($after['chart']['marks'], 'text'))
        ->not->toContain('Water topped up, 400 mL');
});

it('asks again for a shaking that was not done, at the pot and of the batch', function () {
    $batch = warmBatch($this);
    $pot = begun($this, [$batch])['id'];
    Carbon::setTestNow(Carbon::now()->addMinutes(125));
    expect(array_column($this->atHouse('GET', "/stove/{$pot}")->json('alarms'), 'id'))->toContain('shake');
    $shaken = tend($this, $pot, 'shaken')->assertOk()->json();
    expect(array_column($shaken['alarms'], 'id'))->not->toContain('shake');
    $entry = $shaken['done'][0]['entry'];
    $back = $this->atHouse('POST', "/stove/{$pot}/undo", ['entry' => $entry])
        ->assertOk()
        ->json();
    expect(array_column($back['alarms'], 'id'))->toContain('shake');
    expect(LogEntry::query()->withoutGlobalScopes()->where('kind', 'undone')->count())->toBe(1);
    // The one before it can be taken back now: the last of its kind each time, the newest first.
    $this->atHouse('POST', "/stove/{$pot}/undo", ['entry' => $entry])->assertStatus(422);
    $first = tend($this, $pot, 'shaken')->json('done.0.entry');
    Carbon::setTestNow(Carbon::now()->addMinutes(125));
    $second = tend($this, $pot, 'shaken')->json();
    expect(array_filter(array_column($second['done'], 'entry')))->toBe([$second['done'][0]['entry']]);
    $this->atHouse('POST', "/stove/{$pot}/undo", ['entry' => $first])->assertStatus(422);
    $this->atHouse('POST', "/stove/{$pot}/undo", ['entry' => $second['done'][0]['entry']])
        ->assertOk()
        ->assertJsonPath('done.2.entry', $first);
    expect(StoveEvent::query()->withoutGlobalScopes()->where('kind', 'shaken')->count())->toBe(3);
});

it('takes back in the batch alone what was struck out there before', function () {
    $batch = warmBatch($this);
    $pot = begun($this, [$batch])['id'];
    Carbon::setTestNow(Carbon::now()->addMinutes(125));
    $entry = tend($this, $pot, 'shaken')->json('done.0.entry');
    $line = collect($this->atHouse('GET', "/batches/{$batch->uid}")->json('entries'))->firstWhere('can_undo', true);
    $this->atHouse('POST', "/batches/{$batch->uid}/undo", ['entry' => $line['id']])->assertOk();
    $this->atHouse('POST', "/stove/{$pot}/undo", ['entry' => $entry])->assertOk();
    expect(LogEntry::query()->withoutGlobalScopes()->where('kind', 'undone')->count())->toBe(1);
});

it('counts from when it was switched on again, whatever shaking before that is taken back', function () {
    $pot = begun($this, [warmBatch($this)])['id'];
    Carbon::setTestNow(Carbon::now()->addMinutes(125));
    $entry = tend($this, $pot, 'shaken')->json('done.0.entry');
    tend($this, $pot, 'pause')->assertOk();
    Carbon::setTestNow(Carbon::now()->addMinutes(60));
    tend($this, $pot, 'on')->assertOk();
    $next = $this->atHouse('GET', "/stove/{$pot}")->json('shake_text');
    $back = $this->atHouse('POST', "/stove/{$pot}/undo", ['entry' => $entry])
        ->assertOk()
        ->json();
    expect($back['shake_text'])->toBe($next)->and(array_column($back['alarms'], 'id'))->not->toContain('shake');
});

/** @return array<string, mixed> the pot after its newest line was taken back */
function backAgain(Tests\AppCase $case, string $pot): array
{
    $entry = $case->atHouse('GET', "/stove/{$pot}")->json('done.0.entry');
    expect($entry)->toBeString();

    return $case
        ->atHouse('POST', "/stove/{$pot}/undo", ['entry' => $entry])
        ->assertOk()
        ->json();
}

/** @return array<string, mixed> what of a pot a slip of the finger may not change */
function stands(array $pot): array
{
    return array_intersect_key($pot, array_flip(['state', 'setting', 'lid', 'jars', 'shake_text', 'water', 'alarms', 'read']));
}

it('goes on as if it had never been switched off, and counts its hours once', function () {
    $batch = warmBatch($this);
    $pot = begun($this, [$batch])['id'];
    readIn($this, $pot, '49', 1);
    $before = readIn($this, $pot, '49', 60);
    tend($this, $pot, 'pause')->assertOk();
    $open = fn () => collect($this->atHouse('GET', "/batches/{$batch->uid}")->json('tasks'))
        ->where('open', true)
        ->pluck('key')
        ->all();
    expect($open())->toContain('warm_on-2');
    $after = backAgain($this, $pot);
    expect(stands($after))
        ->toBe(stands($before))
        ->and(array_slice(array_column($after['done'], 'text'), 0, 2))
        ->toBe(['Taken back: switched off', 'Switched off'])
        ->and($after['done'][1])
        ->toMatchArray(['undone' => true, 'entry' => null]);
    expect($open())->not->toContain('warm_on-2');
    // An hour and an hour more, by hand: what was logged at the slip is not counted beside it.
    readIn($this, $pot, '49', 60);
    tend($this, $pot, 'pause')->assertOk()->assertJsonPath('jars.0.had_text', '2 h');
    $kept = LogEntry::query()->withoutGlobalScopes()->where('kind', 'task')->pluck('data')->pluck('warm_h')->filter();
    expect($kept->values()->all())->toBe([1, 2]);
});

it('is off again where nobody meant to switch it on, and a shaking since then stands', function () {
    $batch = warmBatch($this);
    $pot = begun($this, [$batch])['id'];
    $paused = tend($this, $pot, 'pause')->assertOk()->json();
    Carbon::setTestNow(Carbon::now()->addMinutes(30));
    tend($this, $pot, 'on')->assertOk();
    $after = backAgain($this, $pot);
    expect($after['state'])->toBe('paused')->and($after['jars'])->toBe($paused['jars']);
    expect(collect($this->atHouse('GET', "/batches/{$batch->uid}")->json('tasks'))->firstWhere('open', true)['key'])->toBe('warm_on-2');
    tend($this, $pot, 'on')->assertOk();
    Carbon::setTestNow(Carbon::now()->addMinutes(40));
    $shaken = tend($this, $pot, 'shaken')->assertOk()->json();
    $on = collect($shaken['done'])->firstWhere('text', 'On again, Warm');
    $this->atHouse('POST', "/stove/{$pot}/undo", ['entry' => $on['entry']])->assertOk();
    expect(DB::table('stove_sessions')->where('uid', $pot)->value('shaken_at'))->toStartWith(Carbon::now()->format('Y-m-d H:i'));
});

it('takes a setting and a lid back, the last of all first', function () {
    $first = begun($this, [warmBatch($this)]);
    $pot = $first['id'];
    $other = collect($first['settings'])->firstWhere('name', '!=', 'Warm')['name'];
    $set = tend($this, $pot, 'setting', $other, 'to see')->assertOk()->json('done.0');
    $lid = tend($this, $pot, 'lid_on')->assertOk()->json();
    expect($lid['lid'])->toBeTrue()->and($lid['done'][1]['entry'])->toBeNull();
    $this->atHouse('POST', "/stove/{$pot}/undo", ['entry' => $set['entry']])->assertStatus(422);
    expect(backAgain($this, $pot))->toMatchArray(['lid' => false, 'setting' => $other]);
    $this->atHouse('POST', "/stove/{$pot}/undo", ['entry' => $set['entry']])
        ->assertOk()
        ->assertJsonPath('setting', 'Warm')
        ->assertJsonPath('done.0.text', "Taken back: switched to {$other}");
    expect(stands($this->atHouse('GET', "/stove/{$pot}")->json()))->toBe(stands($first));
});

it('puts a jar back that is still in it, and the last one with its pot', function () {
    [$one, $two] = [warmBatch($this), warmBatch($this)];
    $first = begun($this, [$one, $two]);
    $pot = $first['id'];
    tend($this, $pot, 'jar_out', $one->uid)->assertOk();
    $in = backAgain($this, $pot);
    expect(stands($in))->toBe(stands($first));
    expect($in['done'][0]['text'])->toStartWith('Taken back: taken out: ');
    tend($this, $pot, 'jar_out', $one->uid)->assertOk();
    tend($this, $pot, 'jar_out', $two->uid)->assertOk()->assertJsonPath('state', 'ended');
    $again = backAgain($this, $pot);
    // The first was taken out by itself, and stays out until that is taken back too.
    expect($again['state'])
        ->toBe('on')
        ->and(array_column(array_slice($again['done'], 0, 4), 'undone'))
        ->toBe([false, true, true, false])
        ->and($again['done'][3]['entry'])
        ->not->toBeNull();
    $this->atHouse('POST', "/stove/{$pot}/undo", ['entry' => $again['done'][3]['entry']])->assertOk();
    // With both out at once it is one line.
    tend($this, $pot, 'end')->assertOk();
    expect(stands(backAgain($this, $pot)))->toBe(stands($first));
    expect(DB::table('stove_jars')->whereNotNull('hours')->count())->toBe(0);
});

it('stays over where its cooker or its jar went on to something else', function () {
    $batch = warmBatch($this);
    $pot = begun($this, [$batch])['id'];
    tend($this, $pot, 'shaken')->assertOk();
    $over = tend($this, $pot, 'end')->assertOk()->json('done');
    expect(array_filter(array_column($over, 'entry')))->toHaveCount(1);
    $ended = $over[0]['entry'];
    $back = fn () => $this->atHouse('POST', "/stove/{$pot}/undo", ['entry' => $ended]);
    $other = begun($this, [$batch])['id'];
    $back()->assertStatus(422)->assertSee('stands in a cooker already');
    tend($this, $other, 'end')->assertOk();
    $third = begun($this, [warmBatch($this)])['id'];
    $back()->assertStatus(422)->assertSee('is in use');
    tend($this, $third, 'end')->assertOk();
    $this->atHouse('POST', "/batches/{$batch->uid}/discard", ['reason' => 'dropped'])->assertOk();
    $back()->assertStatus(422)->assertSee('nothing to warm');
});

it('stays off where a later step of its jar rests on that it is off, and on once that is undone', function () {
    $batch = warmBatch($this);
    $pot = begun($this, [$batch])['id'];
    readIn($this, $pot, '49', 1);
    $off = tend($this, $pot, 'pause')->assertOk()->json('done.0.entry');
    $task = fn (string $key) => $this->atHouse('POST', "/batches/{$batch->uid}/tasks", ['task' => $key, 'outcome' => 'done'])->assertOk();
    $on = $task('warm_on-2')->json('entries.0.id');
    $back = fn () => $this->atHouse('POST', "/stove/{$pot}/undo", ['entry' => $off]);
    $back()->assertStatus(422)->assertSee('A later step rests on that one');
    $this->atHouse('GET', "/stove/{$pot}")->assertJsonPath('state', 'paused');
    $this->atHouse('POST', "/batches/{$batch->uid}/undo", ['entry' => $on])->assertOk();
    $back()->assertOk()->assertJsonPath('state', 'on');
});

it('stays over where its thermometer stands in another pot', function () {
    [$probe] = aSender($this);
    $pot = begun($this, [warmBatch($this)], ['watch' => $probe])['id'];
    $ended = tend($this, $pot, 'end')->assertOk()->json('done.0.entry');
    $cookers = $this->atHouse('GET', '/stove')->json('cookers');
    $trial = begun($this, [warmBatch($this)], ['watch' => $probe])['id'];
    DB::table('stove_sessions')
        ->where('uid', $trial)
        ->update(['cooker_id' => null]);
    $this->atHouse('POST', "/stove/{$pot}/undo", ['entry' => $ended])
        ->assertStatus(422)
        ->assertSee('stands in another pot');
    tend($this, $trial, 'end')->assertOk();
    $this->atHouse('POST', "/stove/{$pot}/undo", ['entry' => $ended])
        ->assertOk()
        ->assertJsonPath('state', 'on');
});
