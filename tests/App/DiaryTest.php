<?php

use App\Models\Batch;
use App\Models\DiaryMove;
use App\Models\Tenancy\CurrentHouse;
use Illuminate\Support\Carbon;
use Kettle\Time\Interval;
use Tests\AppCase;

/** @return list<string> where the diary keeps a batch warm: "24 17:00-22:30" */
function keptWarm(AppCase $test, Batch $batch): array
{
    $diary = app(CurrentHouse::class)->within($test->house, fn () => Batch::query()->whereKey($batch->id)->firstOrFail()->diary);

    return array_map(fn (Interval $slot) => $slot->from->format('d H:i').'-'.$slot->to->format('H:i'), $diary->slots ?? []);
}

it('places two jars of one warmth in one cooker, and moves them when somebody is away', function () {
    $first = $this->batch(['method' => 'slow-cooker', 'school' => 'usual']);
    $second = $this->batch(['method' => 'slow-cooker', 'school' => 'usual', 'herb' => ['id' => 'calendula']]);
    expect(keptWarm($this, $first))
        ->toBe(['24 10:30-19:23'])
        ->and(keptWarm($this, $second))
        ->toBe(['24 10:30-19:23']);
    $page = $this->atHouse('POST', '/absences', ['from' => '2026-11-24', 'to' => '2026-11-25', 'called' => 'the mainland'])
        ->assertOk()
        ->json();
    expect(keptWarm($this, $first))
        ->toBe(['26 07:30-16:23'])
        ->and(array_column($page['moves'], 'why'))
        ->toBe(['because nobody is at home', 'because nobody is at home'])
        ->and($page['days'][0]['home_text'])
        ->toBe('nobody at home')
        ->and($page['days'][2]['sessions'][0]['herbs'])
        ->toContain('calendula');
    $this->atHouse('POST', '/diary/seen')->assertOk()->assertJsonCount(0, 'moves');
    $this->atHouse('DELETE', '/absences/'.$page['absences'][0]['id'])->assertOk();
    expect(keptWarm($this, $first))
        ->toBe(['24 10:30-19:23'])
        ->and(DiaryMove::query()->withoutGlobalScopes()->count())
        ->toBe(2);
});

it('never places a second warmth in a cooker that is taken, and says when nothing fits', function () {
    $short = $this->batch(['method' => 'slow-cooker', 'school' => 'usual']);
    $long = $this->batch(['method' => 'slow-cooker', 'school' => 'gentle', 'herb' => ['id' => 'calendula']]);
    // Half of the one's day is left over on the next; the cooker is not shared by two warmths, and stays its own overnight.
    expect(keptWarm($this, $long))
        ->toBe(['24 10:30-22:30', '25 07:00-19:30'])
        ->and(keptWarm($this, $short))
        ->toBe(['26 07:00-15:50']);
    $late = $this->batch(['method' => 'incubator']);
    expect($this->atHouse('GET', '/diary')->json('troubles.0.says'))
        ->toContain('no cooker in the house')
        ->and(keptWarm($this, $late))
        ->toBe([]);
});

it('moves one and replans the rest', function () {
    $first = $this->batch(['method' => 'slow-cooker', 'school' => 'usual']);
    $this->atHouse('POST', "/batches/{$first->uid}/tasks", [
        'task' => 'next_warm_on',
        'outcome' => 'later',
        'until' => '2026-11-27T12:00',
    ])->assertOk();
    expect(keptWarm($this, $first))->toBe(['27 12:00-20:50']);
    $this->atHouse('POST', "/batches/{$first->uid}/tasks", ['task' => 'next_warm_on', 'outcome' => 'later', 'until' => '2026-11-27T25:00'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'until');
    $cold = $this->batch();
    $this->atHouse('POST', "/batches/{$cold->uid}/tasks", [
        'task' => 'next_warm_on',
        'outcome' => 'later',
        'until' => '2026-11-27',
    ])->assertStatus(422);
});

it('goes by the hours somebody is at home', function () {
    $batch = $this->batch(['method' => 'slow-cooker', 'school' => 'usual']);
    $house = $this->atHouse('GET', '')->json();
    $edit = fn (array $home) => $this->atHouse('PATCH', '', [
        'version' => $this->house->refresh()->version,
        'home' => $home,
        ...array_intersect_key($house, array_flip(['name', 'time_zone', 'measures', 'wake', 'bed', 'drops_per_ml'])),
    ]);
    $edit(['', '-', '17:00-21:00', '', '', '', ''])
        ->assertOk()
        ->assertJsonPath('home.1', '-');
    expect(keptWarm($this, $batch))->toBe(['26 07:00-15:50']);
    $edit(['', 'noon', '', '', '', '', ''])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'home.1');
    $edit(['', '21:00-17:00', '', '', '', '', ''])->assertStatus(422);
});

it('refuses days that cannot be', function (array $body, string $field) {
    $this->atHouse('POST', '/absences', $body)->assertStatus(422)->assertJsonPath('faults.0.field', $field);
})->with([
    [['from' => '2026-12-05', 'to' => '2026-12-01'], 'to'],
    [['from' => '2026-02-30', 'to' => '2026-12-01'], 'from'],
    [['from' => '2026-12-01T25:00', 'to' => '2026-12-02'], 'from'],
    [['from' => '2026-11-01', 'to' => '2026-11-03'], 'to'],
    [['from' => '2026-12-01', 'to' => '2029-12-01'], 'to'],
    [['from' => 'x', 'to' => 'y'], 'from'],
]);

it('places anew what was not begun in time', function () {
    $batch = $this->batch(['method' => 'slow-cooker', 'school' => 'usual']);
    expect(keptWarm($this, $batch))->toBe(['24 10:30-19:20']);
    Carbon::setTestNow('2026-11-24T18:00:00Z');
    app(CurrentHouse::class)->leave();
    app()->call([new App\Jobs\RefreshDiary(), 'handle']);
    expect(keptWarm($this, $batch))->toBe(['25 07:00-15:50']);
});

it('moistens with spirit first, and fills when it has stood', function () {
    $batch = $this->batch(
        ['method' => 'slow-cooker', 'spirit' => 'yes', 'herb' => ['id' => 'marshmallow-root', 'form' => 'powder']],
        ['spirit'],
    );
    $open = fn () => collect($this->atHouse('GET', "/batches/{$batch->uid}")->json('tasks'))
        ->where('open', true)
        ->pluck('key')
        ->all();
    expect($open())->toBe(['moisten']);
    $this->atHouse('POST', "/batches/{$batch->uid}/tasks", ['task' => 'moisten', 'outcome' => 'done'])->assertOk();
    $tasks = collect($this->atHouse('GET', "/batches/{$batch->uid}")->json('tasks'));
    expect($open())
        ->toBe(['fill'])
        ->and(Carbon::parse($tasks->firstWhere('key', 'fill')['due_at'])->format('d H:i'))
        ->toBe('24 20:00');
    $this->atHouse('POST', '/batches', ['wish' => $this->wish(['spirit' => 'yes'])])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'spirit');
});

it('moves what is not warm at once when somebody is away, and says what cannot wait', function () {
    $cold = AppCase::BASIL_KEPT_COLD;
    $basil = $this->batch($cold, ['four-days']);
    $this->fill($basil);
    Illuminate\Support\Carbon::setTestNow('2026-11-24T11:00:00Z');
    $this->atHouse('POST', "/batches/{$basil->uid}/strain", ['amount' => '100 mL', 'way' => 'drained'])->assertOk();
    $jar = $this->batch();
    $this->fill($jar);
    $due = fn ($batch, string $step) => collect($this->atHouse('GET', "/batches/{$batch->uid}")->json('tasks'))->firstWhere('step', $step)[
        'due_at'
    ];
    expect($due($basil, 'use_up'))->toBe('2026-11-28T10:00:00+00:00')->and($due($jar, 'shake'))->toBe('2026-11-25T09:00:00+00:00');
    $page = $this->atHouse('POST', '/absences', ['from' => '2026-11-25', 'to' => '2026-12-05'])
        ->assertOk()
        ->json();
    // The last hour of the evening before: a deadline never moves later; a shake may.
    expect($due($basil, 'use_up'))
        ->toBe('2026-11-24T21:30:00+00:00')
        ->and($due($jar, 'shake'))
        ->toBe('2026-12-06T07:00:00+00:00')
        ->and(collect($page['troubles'])->firstWhere('batch', $basil->uid)['says'])
        ->toContain('nobody is at home then')
        ->toContain('Tue 24 Nov, 21:30');
    $this->atHouse('DELETE', '/absences/'.$page['absences'][0]['id'])->assertOk();
    expect($due($basil, 'use_up'))->toBe('2026-11-28T10:00:00+00:00')->and($due($jar, 'shake'))->toBe('2026-11-25T09:00:00+00:00');
});

it('says to throw away what stood warm too long, before all else, and takes nothing else of it', function () {
    $cold = AppCase::BASIL_KEPT_COLD;
    $basil = $this->batch($cold, ['four-days']);
    $this->fill($basil);
    $today = fn () => $this->atHouse('GET', '/today')->assertOk()->json();
    expect($today()['throw_away'])->toBe([]);
    // Four hours from the oil to the refrigerator, FDA Food Code 2022, from memory.
    Illuminate\Support\Carbon::setTestNow('2026-11-24T14:00:01Z');
    $late = $today();
    expect(array_column($late['throw_away'], 'title'))
        ->toBe(['Throw the basil away'])
        ->and($late['headline'])
        ->toContain('Throw one jar away')
        ->and(collect($late['places'])->flatMap(fn (array $place) => array_column($place['tasks'], 'batch'))->all())
        ->not->toContain($basil->uid);
    $path = "/batches/{$basil->uid}";
    $this->atHouse('POST', "{$path}/strain", ['amount' => '200 mL'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.reason', 'warm_too_long');
    $this->atHouse('POST', "{$path}/tasks", ['task' => 'use_up', 'outcome' => 'later', 'until' => '2026-11-25'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.reason', 'deadline');
    expect(array_column($this->atHouse('GET', $path)->json('cautions'), 'id'))->toContain('warm-too-long');
    $this->atHouse('POST', "{$path}/discard", ['reason' => 'stood warm'])
        ->assertOk()
        ->assertJsonCount(0, 'tasks');
    expect($today()['throw_away'])->toBe([]);
});

it('asks at straining for warmth that nobody wrote down, and keeps by the answer', function () {
    $chickweed = [
        'herb' => ['id' => 'chickweed', 'state' => 'wilted'],
        'oils' => ['jojoba'],
        'method' => 'slow-cooker',
        'jar' => $this->jarOf(505)->uid,
    ];
    $best = [];
    foreach (['had', 'not'] as $warmth) {
        $batch = $this->batch($chickweed);
        $this->fill($batch);
        $this->atHouse('GET', "/batches/{$batch->uid}")->assertJsonPath(
            'press.asks_warmth',
            'Nobody wrote down its warmth. Had it what was planned?',
        );
        $this->atHouse('POST', "/batches/{$batch->uid}/strain", ['amount' => '200 mL'])
            ->assertStatus(422)
            ->assertJsonPath('faults.0.reason', 'warmth_unknown')
            ->assertJsonPath('faults.0.field', 'warmth');
        $page = $this->atHouse('POST', "/batches/{$batch->uid}/strain", ['amount' => '200 mL', 'warmth' => $warmth])
            ->assertOk()
            ->json();
        $best[$warmth] = [$page['kept']['place'], $page['kept']['best_before']['value']];
    }
    // Warm and open for eight hours, six months; not warm, watery herb: three weeks, in the refrigerator.
    expect($best)->toBe(['had' => ['cool-dark', '2027-05-24'], 'not' => ['fridge', '2026-12-15']]);
});
