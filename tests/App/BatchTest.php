<?php

use App\Models\Batch;
use App\Models\LogEntry;
use App\Models\Task;
use App\Models\Tenancy\CurrentHouse;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

it('takes one jar from wish to label', function () {
    $batch = $this->batch(['jar' => $this->jarOf(505)->uid]);
    expect($batch->code)->toBe('26-001');
    $path = "/batches/{$batch->uid}";
    $this->atHouse('GET', '/today')->assertJsonPath('places.0.tasks.0.title', 'Fill the marshmallow root');
    $this->fill($batch);
    Carbon::setTestNow('2026-12-22T12:00:00Z');
    $today = $this->atHouse('GET', '/today')->assertOk();
    expect($today->json('places.0.tasks.0.title'))->toBe('Strain the marshmallow root');
    $this->atHouse('POST', "{$path}/strain", ['amount' => '300 mL'])
        ->assertOk()
        ->assertJsonPath('stage', 'settling')
        ->assertJsonPath('press.verdict', 'as expected');
    Carbon::setTestNow('2026-12-23T13:00:00Z');
    $this->atHouse('POST', "{$path}/tasks", ['task' => 'decant', 'outcome' => 'done'])
        ->assertOk()
        ->assertJsonPath('stage', 'poured');
    $offer = $this->atHouse('POST', "{$path}/filling", [])
        ->assertOk()
        ->json('offers.0.bottles');
    $wanted = array_map(fn ($line) => ['size' => $line['size'], 'count' => $line['count']], $offer);
    $done = $this->atHouse('POST', "{$path}/bottle", ['bottles' => $wanted])
        ->assertOk()
        ->assertJsonPath('stage', 'bottled');
    expect($done->json('bottles'))
        ->toHaveCount(3)
        ->and(array_column($done->json('tasks'), 'step'))
        ->toBe(['smell'])
        ->and(array_column($done->json('label'), 'text', 'id'))
        ->toMatchArray(['title' => 'Marshmallow root oil', 'best_before' => 'Best before 24 May 2027', 'code' => '26-001']);
    $this->atHouse('GET', '/shelf')->assertJsonPath('parts.2.jars.0.code', '26-001');
});

it('does once what is sent twice', function () {
    $key = Str::random(20);
    $first = $this->atHouse('POST', '/batches', ['wish' => $this->wish()], key: $key)->assertOk();
    $again = $this->atHouse('POST', '/batches', ['wish' => $this->wish()], key: $key)->assertOk();
    expect($again->json('id'))
        ->toBe($first->json('id'))
        ->and($again->headers->get('Idempotent-Replay'))
        ->toBe('true')
        ->and(DB::table('batches')->where('house_id', $this->house->id)->count())
        ->toBe(1);
    $this->atHouse('POST', '/batches', ['wish' => $this->wish(['method' => 'slow-cooker'])], key: $key)->assertStatus(409);
    $this->actingAs($this->keeper)
        ->postJson("/api/houses/{$this->house->uid}/batches", ['wish' => $this->wish()], ['Idempotency-Key' => ''])
        ->assertStatus(400);
});

it('keeps no failure of its own under a key: the same sent again is done', function () {
    $key = Str::random(20);
    $dies = true;
    Batch::creating(function () use (&$dies): void {
        if ($dies) {
            throw new RuntimeException('It broke in the middle.');
        }
    });
    $this->atHouse('POST', '/batches', ['wish' => $this->wish()], key: $key)->assertStatus(503);
    expect(DB::table('written_keys')->where('key', $key)->exists())
        ->toBeFalse()
        ->and(DB::table('batches')->where('house_id', $this->house->id)->count())
        ->toBe(0);
    $dies = false;
    $this->atHouse('POST', '/batches', ['wish' => $this->wish()], key: $key)
        ->assertOk()
        ->assertHeaderMissing('Idempotent-Replay');
    expect(DB::table('batches')->where('house_id', $this->house->id)->count())->toBe(1);
});

it('shows a clash and overwrites nothing', function () {
    $batch = $this->batch();
    $this->atHouse('PATCH', "/batches/{$batch->uid}", ['version' => $batch->version, 'origin' => 'the hill'])->assertOk();
    $this->atHouse('PATCH', "/batches/{$batch->uid}", ['version' => $batch->version, 'origin' => 'the shore'])
        ->assertStatus(409)
        ->assertJsonPath('current.origin', 'the hill');
    $house = $this->atHouse('GET', '')->json();
    $settings = [
        'version' => $house['version'],
        'name' => 'New name',
        'time_zone' => 'UTC',
        'measures' => 'metric',
        'wake' => '06:00',
        'bed' => '22:00',
        'drops_per_ml' => 25,
    ];
    $this->atHouse('PATCH', '', $settings)
        ->assertOk()
        ->assertJsonPath('version', $house['version'] + 1);
    $this->atHouse('PATCH', '', $settings)->assertStatus(409)->assertJsonPath('current.name', 'New name');
    $this->atHouse('PATCH', '', [...$settings, 'version' => $house['version'] + 1, 'bed' => '05:00'])->assertStatus(422);
});

it('undoes, keeps both lines, and puts the batch back', function () {
    $batch = $this->batch();
    $this->fill($batch);
    $path = "/batches/{$batch->uid}";
    $strained = $this->atHouse('POST', "{$path}/strain", ['amount' => '10 fl oz'])->json();
    $entry = $strained['entries'][0];
    expect($entry['title'])->toContain('296 mL')->and($strained['press']['typed'])->toBe('10 fl oz');
    $back = $this->atHouse('POST', "{$path}/undo", ['entry' => $entry['id']])
        ->assertOk()
        ->json();
    expect($back['stage'])
        ->toBe('steeping')
        ->and($back['press']['strained'])
        ->toBeNull()
        ->and($back['entries'][1]['struck'])
        ->toBeTrue()
        ->and($back['entries_total'])
        ->toBe(4);
    $this->atHouse('POST', "{$path}/undo", ['entry' => $entry['id']])->assertStatus(422);
    $this->atHouse('POST', "{$path}/undo", ['entry' => 'nothing'])->assertNotFound();
    $this->atHouse('POST', "{$path}/strain", ['amount' => '290'])->assertOk();
    $fill = collect($back['entries'])->firstWhere('title', 'Filled');
    $this->atHouse('POST', "{$path}/undo", ['entry' => $fill['id']])
        ->assertStatus(422)
        ->assertSee('later step');
    $first = collect($back['entries'])->last();
    $this->atHouse('POST', "{$path}/undo", ['entry' => $first['id']])->assertStatus(422);
});

it('corrects a note beside the note', function () {
    $batch = $this->batch();
    $note = $this->atHouse('POST', "/batches/{$batch->uid}/notes", ['note' => 'smells of hay'])->json('entries.0');
    $view = $this->atHouse('POST', "/batches/{$batch->uid}/notes", ['note' => 'smells of honey', 'corrects' => $note['id']])
        ->assertOk()
        ->json();
    expect(array_column(array_slice($view['entries'], 0, 2), 'struck'))->toBe([false, true]);
});

it('skips with a reason, puts off, and says what it cannot', function () {
    $batch = $this->batch();
    $path = "/batches/{$batch->uid}/tasks";
    $this->atHouse('POST', $path, ['task' => 'fill', 'outcome' => 'skipped', 'reason' => 'no'])
        ->assertStatus(422)
        ->assertSee('cannot go on');
    $this->atHouse('POST', $path, ['task' => 'shake', 'outcome' => 'done'])->assertStatus(422);
    $this->fill($batch);
    $this->atHouse('POST', $path, ['task' => 'fill', 'outcome' => 'done'])->assertStatus(422);
    $this->atHouse('POST', $path, ['task' => 'shake', 'outcome' => 'skipped'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'reason');
    $this->atHouse('POST', $path, ['task' => 'shake', 'outcome' => 'skipped', 'reason' => 'away'])->assertOk();
    $this->atHouse('POST', $path, ['task' => 'strain', 'outcome' => 'done'])
        ->assertStatus(422)
        ->assertSee('Press');
    $this->atHouse('POST', $path, ['task' => 'strain', 'outcome' => 'later', 'until' => '2026-11-01'])->assertStatus(422);
    $this->atHouse('POST', $path, ['task' => 'strain', 'outcome' => 'later', 'until' => 'soon'])->assertStatus(422);
    $later = $this->atHouse('POST', $path, ['task' => 'strain', 'outcome' => 'later', 'until' => '2026-12-28'])
        ->assertOk()
        ->json('tasks');
    expect(collect($later)->firstWhere('key', 'strain')['due_text'])->toBe('Mon 28 Dec');
});

it('puts what tends a jar off while it stands, and not to a moment gone by', function (string $until, ?string $says, int $status) {
    $batch = $this->batch();
    $this->fill($batch);
    $strain = collect($this->atHouse('GET', "/batches/{$batch->uid}")->json('tasks'))->firstWhere('step', 'strain')['due_at'];
    $answer = $this->atHouse('POST', "/batches/{$batch->uid}/tasks", [
        'task' => 'shake',
        'outcome' => 'later',
        'until' => strtr($until, [
            'after' => Carbon::parse($strain)->addDays(2)->format('Y-m-d'),
        ]),
    ])->assertStatus($status);
    $says === null || $answer->assertJsonPath('faults.0.field', 'until')->assertSee($says);
})->with([
    'the day before yesterday' => ['2026-11-22', 'has gone by', 422],
    'an hour ago' => ['2026-11-24T09:10', 'Tuesday at 09:10 has gone by', 422],
    'a day to come' => ['2026-11-26', null, 200],
    'an hour to come' => ['2026-11-24T19:30', null, 200],
    'two days after it is strained' => ['after', 'By then it has been strained', 422],
    'over a year' => ['2027-11-26', 'is more than a year off', 422],
]);

it('turns several jars over at once', function () {
    $batches = [$this->batch(), $this->batch()];
    foreach ($batches as $batch) {
        $this->fill($batch);
    }
    Carbon::setTestNow('2026-11-25T12:00:00Z');
    $uids = array_map(fn (Batch $b) => $b->uid, $batches);
    $this->atHouse('POST', '/today/shaken', ['batches' => [...$uids, 'gone']])->assertOk();
    expect(DB::table('log_entries')->where('house_id', $this->house->id)->where('data', 'like', '%shake%')->count())->toBe(2);
});

it('refuses amounts that cannot be', function () {
    $batch = $this->batch(['jar' => $this->jarOf(505)->uid]);
    $path = "/batches/{$batch->uid}";
    $this->atHouse('POST', "{$path}/strain", ['amount' => '300 mL'])->assertStatus(422);
    $this->fill($batch);
    $refused = [
        '900 mL' => 'too_much',
        '-3' => 'not_above_zero',
        '0' => 'not_above_zero',
        'lots' => 'unreadable',
        '1 cup + 3 oz' => 'mixed_units',
    ];
    foreach ($refused as $typed => $reason) {
        $this->atHouse('POST', "{$path}/strain", ['amount' => (string) $typed])
            ->assertStatus(422)
            ->assertJsonPath('faults.0.reason', $reason)
            ->assertJsonPath('faults.0.field', 'amount');
    }
    // 276 g through sunflower's 0.920 g/mL is 300 mL.
    $this->atHouse('POST', "{$path}/strain", ['amount' => '276 g'])
        ->assertOk()
        ->assertJsonPath('press.strained', '300 mL');
    $size = $this->atHouse('GET', '')->json('bottles.3');
    $this->atHouse('POST', "{$path}/bottle", ['bottles' => [['size' => $size['id'], 'count' => 9]]])
        ->assertStatus(422)
        ->assertSee('was strained');
    $this->atHouse('POST', "{$path}/bottle", ['bottles' => [['size' => 'gone', 'count' => 1]]])->assertStatus(422);
    $this->atHouse('POST', "{$path}/bottle", ['bottles' => [['size' => $size['id'], 'count' => -1]]])->assertStatus(422);
    $this->atHouse('POST', "{$path}/bottle", ['bottles' => []])->assertStatus(422);
});

it('refuses a jar that was taken off the list, and keeps the batches made in it', function () {
    $jar = $this->jarOf(505);
    $batch = $this->batch(['jar' => $jar->uid]);
    $this->atHouse('DELETE', "/jars/{$jar->uid}")->assertOk();
    $this->atHouse('POST', '/batches', ['wish' => $this->wish(['jar' => $jar->uid])])
        ->assertStatus(422)
        ->assertSee('taken off');
    $this->atHouse('GET', "/batches/{$batch->uid}")
        ->assertOk()
        ->assertJsonPath('plan.jar.called', 'pint jar');
    foreach (
        [
            'brim' => ['brim' => '1 tonne', 'height' => '10 cm'],
            'height' => ['brim' => '500 mL', 'height' => '100 mL'],
        ] as $field => $bad
    ) {
        $this->atHouse('POST', '/jars', ['called' => 'odd', ...$bad])
            ->assertStatus(422)
            ->assertJsonPath('faults.0.field', $field);
    }
    foreach ([['brim' => '500 mL', 'height' => '9 m'], ['brim' => '-5', 'height' => '5']] as $bad) {
        $this->atHouse('POST', '/jars', ['called' => 'odd', ...$bad])->assertStatus(422);
    }
    // An ounce is a weight, and a fluid ounce a volume: NIST SP 811, B.8.
    $this->atHouse('POST', '/bottles', ['called' => 'odd', 'capacity' => '2 oz'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'capacity');
    $this->atHouse('POST', '/jars', ['called' => 'crock', 'brim' => '1 quart', 'height' => '6 in'])->assertOk();
});

it('answers whatever is sent with a sentence and a 4xx', function () {
    $batch = $this->batch();
    $path = "/batches/{$batch->uid}";
    // With a note a picture may come, and with what is done none.
    $this->atHouse('POST', "{$path}/notes", ['note' => str_repeat('x', 9_000_000)])->assertStatus(413);
    $this->atHouse('POST', "{$path}/tasks", [
        'task' => 'shake',
        'outcome' => 'skipped',
        'reason' => str_repeat('x', 2_000_000),
    ])->assertStatus(413);
    $this->atHouse('POST', "{$path}/notes", ['note' => str_repeat('x', 2_000_000)])->assertStatus(422);
    $this->atHouse('POST', "{$path}/notes", ['note' => str_repeat('é', 5001)])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.sentence', 'A note takes at most 5000 letters.');
    $this->atHouse('POST', "{$path}/notes", ['note' => ['a']])->assertStatus(422);
    $this->atHouse('POST', "{$path}/discard", [])->assertStatus(422);
    foreach (
        [
            [],
            ['wish' => 'x'],
            ['wish' => ['herb' => 'x', 'oils' => 'y']],
            ['wish' => ['herb' => ['id' => ['a']], 'oils' => [[[]]]]],
            ['wish' => ['jar' => ['brim' => []], 'herb' => ['id' => 'self-heal'], 'oils' => ['olive']]],
            ['wish' => $this->wish(['school' => 'x'])],
            ['wish' => $this->wish(['start' => 5])],
            ['wish' => $this->wish(), 'origin' => str_repeat('x', 200)],
        ] as $bad
    ) {
        expect($this->atHouse('POST', '/batches', $bad)->status())->toBeIn([422]);
    }
    $raw = fn (string $body) => $this->actingAs($this->keeper)->call(
        'POST',
        "/api/houses/{$this->house->uid}/reckon",
        [],
        [],
        [],
        ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
        $body,
    );
    $raw('{"wish":')->assertStatus(400);
    $raw('"text"')->assertStatus(400);
    $raw("{\"wish\":{\"herb\":{\"name\":\"\xff\"},\"oils\":[\"olive\"]}}")->assertStatus(400);
    $this->atHouse('GET', '/shelf?part=steeping&after=rubbish')->assertStatus(422)->assertJsonPath('faults.0.field', 'after');
    $this->atHouse('GET', '/shelf?after=rubbish')->assertStatus(422);
    // Signs are no names, and stand for no others.
    foreach (["%_\\'\"; xyzzy", '%', '_', "\\'\";"] as $typed) {
        $this->atHouse('GET', '/find?q='.urlencode($typed))
            ->assertOk()
            ->assertJsonPath('found', []);
    }
});

it('keeps the logbook append-only, in the model and in the database', function () {
    $batch = $this->batch();
    app(CurrentHouse::class)->within($this->house, function () use ($batch) {
        $entry = LogEntry::query()->where('batch_id', $batch->id)->firstOrFail();
        expect(fn () => $entry->update(['note' => 'rewritten']))
            ->toThrow(LogicException::class)
            ->and(fn () => $entry->delete())
            ->toThrow(LogicException::class);
    });
    expect(fn () => DB::table('log_entries')->update(['note' => 'rewritten']))->toThrow(
        Illuminate\Database\QueryException::class,
        'append-only',
    );
    expect(fn () => DB::table('log_entries')->delete())->toThrow(Illuminate\Database\QueryException::class, 'append-only');
});

it('asks no more of the database for more jars', function () {
    $queries = function (): array {
        $counts = [];
        foreach (['/today', '/shelf', '/press', '/people'] as $path) {
            DB::enableQueryLog();
            DB::flushQueryLog();
            $this->atHouse('GET', $path)->assertOk();
            $counts[$path] = count(DB::getQueryLog());
        }

        return $counts;
    };
    for ($i = 0; $i < 2; $i++) {
        $this->fill($this->batch());
    }
    $few = $queries();
    for ($i = 0; $i < 6; $i++) {
        $this->fill($this->batch());
    }
    expect($queries())->toBe($few)->and(max($few))->toBeLessThan(14);
});

it('repeats a batch and remembers which', function () {
    $batch = $this->batch();
    $again = $this->atHouse('POST', '/batches', ['wish' => $batch->wish, 'repeats' => $batch->uid])->assertOk();
    expect($again->json('repeats'))->toBe($batch->uid)->and($again->json('code'))->toBe('26-002');
    $this->atHouse('POST', '/batches', ['wish' => $batch->wish, 'repeats' => 'nobody'])->assertNotFound();
});

it('folds anew to the same thing', function () {
    $batch = $this->batch();
    $this->fill($batch);
    app(CurrentHouse::class)->within($this->house, function () use ($batch) {
        $before = Task::query()
            ->where('batch_id', $batch->id)
            ->orderBy('due_at')
            ->get(['key', 'due_at', 'open'])
            ->toArray();
        app(App\Actions\Batches\BatchProjector::class)->refresh(Batch::query()->findOrFail($batch->id));
        expect(
            Task::query()
                ->where('batch_id', $batch->id)
                ->orderBy('due_at')
                ->get(['key', 'due_at', 'open'])
                ->toArray(),
        )->toBe($before);
    });
});

it('sends strict headers with every page', function () {
    $page = $this->get('/sign-in')->assertOk();
    expect($page->headers->get('Content-Security-Policy'))
        ->toContain("default-src 'none'")
        ->toContain("script-src 'self';")
        ->toContain("frame-ancestors 'none'")
        ->and($page->getContent())
        ->not->toMatch('/<script(?![^>]*(src=|type="application\/json"))/');
});

it('keeps of a wish what the format knows, and refuses what it does not by its name', function () {
    $wish = $this->wish([
        'herb' => ['name' => 'some moss', 'form' => 'twig', 'amount' => 12, 'colour' => 'green'],
        'oils' => [['id' => 'olive', 'parts' => 2, 'x' => 1]],
        'more' => ['a' => 1],
        'ratio' => null,
    ]);
    $refused = $this->atHouse('POST', '/batches', ['wish' => $wish])->assertStatus(422);
    expect(array_column($refused->json('faults'), 'field'))->toEqualCanonicalizing(['herb.colour', 'oils.0.x', 'more']);
    $this->atHouse('POST', '/reckon', ['wish' => $this->wish(['house' => ['room_c' => 35]])])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'house');
    $wish = $this->wish([
        'herb' => ['name' => 'some moss', 'form' => 'twig', 'amount' => 12],
        'oils' => [['id' => 'olive', 'parts' => 2]],
        'ratio' => null,
    ]);
    $kept = $this->atHouse('POST', '/batches', ['wish' => $wish])
        ->assertOk()
        ->json('wish');
    expect($kept)->toEqual([
        'herbs' => [['name' => 'some moss', 'form' => 'twig', 'amount' => '12']],
        'oils' => [['id' => 'olive', 'parts' => '2']],
        'method' => 'cold',
    ]);
});

it('says with the page who is signed in, and nothing in a name is read as part of the page', function () {
    $this->keeper->update(['name' => '</script><script>alert(1)</script>&"\'']);
    $page = $this->actingAs($this->keeper->refresh())
        ->get('/h/'.$this->house->uid.'/bench')
        ->assertOk();
    expect(preg_match_all('/<script[^>]*>/', (string) $page->getContent()))->toBe(2);
    preg_match('/<script type="application\/json" id="me">(.*?)<\/script>/s', (string) $page->getContent(), $m);
    expect(json_decode($m[1] ?? '', true))->toMatchArray(['signed_in' => true, 'name' => $this->keeper->name]);
    auth()->logout();
    $page = $this->get('/')->assertOk();
    preg_match('/id="me">(.*?)<\/script>/s', (string) $page->getContent(), $m);
    expect(json_decode($m[1] ?? '', true))->toMatchArray(['signed_in' => false, 'name' => '', 'houses' => []]);
});
