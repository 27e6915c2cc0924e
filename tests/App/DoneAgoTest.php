<?php

use App\Models\Batch;
use App\Models\LogEntry;
use App\Models\MakingEntry;
use App\Models\StoveEvent;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\AppCase;

require_once dirname(__DIR__).'/Begun.php';
require_once dirname(__DIR__).'/Pots.php';

/** Written down now, of what was done so many seconds ago. */
function doneAgo(
    int|string $seconds,
    string $path,
    array $with,
    int $status = 200,
    ?string $key = null,
    string $verb = 'POST',
): TestResponse {
    $answer = test()->withHeader('Done-Ago', (string) $seconds)->atHouse($verb, $path, $with, key: $key);
    test()->withoutHeader('Done-Ago');

    return $answer->assertStatus($status);
}

/** The last line of a batch's logbook. */
function lastLine(Batch $batch): LogEntry
{
    return LogEntry::query()->where('batch_id', $batch->id)->orderByDesc('id')->firstOrFail();
}

/** What may be written down later, by hand: what was done or seen of a batch, a pot or a product, and nothing else. */
const WRITTEN_LATER = [
    'batches/{batch}/tasks',
    'batches/{batch}/notes',
    'batches/{batch}/looks',
    'batches/{batch}/strain',
    'boils/{boil}/flame',
    'boils/{boil}/marks',
    'boils/{boil}/warmth',
    'boils/{boil}/signs',
    'boils/{boil}/notes',
    'makings/{making}/weigh',
    'makings/{making}/steps',
    'makings/{making}/stir',
    'makings/{making}/spoon',
    'makings/{making}/notes',
    'stove/{session}/reading',
    'stove/{session}/tend',
    'today/shaken',
];

it('is taken of what was done, and refused of everything else that is written', function () {
    $document = json_decode((string) file_get_contents(base_path('docs/openapi.json')), true);
    $refused = 0;
    foreach (Route::getRoutes() as $route) {
        foreach (array_diff($route->methods(), ['GET', 'HEAD', 'OPTIONS']) as $verb) {
            if (! str_starts_with($route->uri(), 'api/') || str_contains($route->uri(), '{any}')) {
                continue;
            }
            $inHouse = Str::after($route->uri(), 'api/houses/{house}/');
            $taken = $verb === 'POST' && in_array($inHouse, WRITTEN_LATER, true);
            $named = array_column($document['paths'][substr($route->uri(), 3)][strtolower($verb)]['parameters'] ?? [], 'name');
            expect(in_array('Done-Ago', $named, true))->toBe($taken, "{$verb} {$route->uri()}");
            // What sensors send has a key of its own, and its own moments.
            if ($taken || $route->uri() === 'api/readings') {
                continue;
            }
            $path = preg_replace('/\{\w+\}/', 'x', str_replace('{house}', $this->house->uid, $route->uri()));
            $answer = $this->actingAs($this->keeper)
                ->withHeaders(['Idempotency-Key' => Str::random(20), 'Done-Ago' => '60'])
                ->json($verb, '/'.$path);
            // Who asks at the door too often is told that first.
            if ($answer->status() !== 429) {
                $answer
                    ->assertStatus(400)
                    ->assertJsonPath('detail', 'This is not written down later: send it without Done-Ago, when it is done.');
                $refused++;
            }
        }
    }
    expect($refused)->toBeGreaterThan(70);
});

it('keeps when it was done and when it was written down, and reckons from when it was done', function () {
    $batch = $this->batch();
    $this->fill($batch);
    Carbon::setTestNow('2026-11-27T18:00:00Z');
    $page = doneAgo(8 * 3600, "/batches/{$batch->uid}/tasks", ['task' => 'shake', 'outcome' => 'done'])->json();
    $line = lastLine($batch);
    expect($line->happened_at->toIso8601ZuluString())
        ->toBe('2026-11-27T10:00:00Z')
        ->and($line->recorded_at->toIso8601ZuluString())
        ->toBe('2026-11-27T18:00:00Z')
        ->and($page['entries'][0]['when'])
        ->toBe('Fri 27 Nov, 10:00')
        ->and($page['entries'][0]['written'])
        ->toBe('Fri 27 Nov, 18:00');
    $then = collect($page['tasks'])->firstWhere('step', 'shake')['due_at'];
    // Done then and there it would ask for the next one at the same time.
    $other = $this->batch();
    Carbon::setTestNow('2026-11-24T10:00:00Z');
    $this->fill($other);
    Carbon::setTestNow('2026-11-27T10:00:00Z');
    $there = $this->atHouse('POST', "/batches/{$other->uid}/tasks", ['task' => 'shake', 'outcome' => 'done'])->json();
    expect($there['entries'][0]['written'])->toBeNull();
    Carbon::setTestNow('2026-11-27T18:00:00Z');
    $there = $this->atHouse('GET', "/batches/{$other->uid}")->json();
    expect(collect($there['tasks'])->firstWhere('step', 'shake')['due_at'])->toBe($then);
});

it('counts the latest shaking, whichever was written down first', function () {
    $batch = $this->batch();
    $this->fill($batch);
    Carbon::setTestNow('2026-11-27T18:00:00Z');
    $shaken = ['task' => 'shake', 'outcome' => 'done'];
    $now = $this->atHouse('POST', "/batches/{$batch->uid}/tasks", $shaken)->json();
    $late = doneAgo(2 * 86_400, "/batches/{$batch->uid}/tasks", $shaken)->json();
    expect(collect($late['tasks'])->firstWhere('step', 'shake')['due_at'])->toBe(
        collect($now['tasks'])->firstWhere('step', 'shake')['due_at'],
    );
});

it('puts no step before one that was done after it, and keeps it as a note instead', function () {
    $batch = $this->batch();
    Carbon::setTestNow('2026-11-25T18:00:00Z');
    $this->fill($batch);
    $shaken = ['task' => 'shake', 'outcome' => 'done'];
    doneAgo(3600, "/batches/{$batch->uid}/tasks", $shaken, 422)
        ->assertJsonPath('faults.0.reason', 'out_of_turn')
        ->assertJsonPath(
            'detail',
            'Meanwhile something was written down that was done later, on Wed 25 Nov, 18:00. Keep this as a note, or let it go.',
        );
    doneAgo(3600, "/batches/{$batch->uid}/notes", ['note' => 'Shaken, before it was filled to the brim.']);
    expect(lastLine($batch)->happened_at->toIso8601ZuluString())->toBe('2026-11-25T17:00:00Z');
    // Nor anything before there was a batch at all.
    doneAgo(3 * 86_400, "/batches/{$batch->uid}/notes", ['note' => 'Too early'], 422)->assertJsonPath('faults.0.reason', 'out_of_turn');
    // And what was strained meanwhile is not shaken any more.
    Carbon::setTestNow('2026-12-22T12:00:00Z');
    $this->atHouse('POST', "/batches/{$batch->uid}/strain", ['amount' => '300 mL'])->assertOk();
    doneAgo(3600, "/batches/{$batch->uid}/tasks", $shaken, 422)->assertJsonPath('faults.0.reason', 'not_open');
});

it('strains by the hour it was strained in, and moves no deadline', function () {
    $inTime = $this->batch(AppCase::BASIL_KEPT_COLD, ['four-days']);
    $late = $this->batch(AppCase::BASIL_KEPT_COLD, ['four-days']);
    $this->fill($inTime);
    $this->fill($late);
    // Four hours from the oil to the refrigerator, FDA Food Code 2022, from memory; filled at ten, that is two o'clock.
    Carbon::setTestNow('2026-11-24T15:00:00Z');
    $strained = ['amount' => '100 mL', 'way' => 'drained'];
    $this->atHouse('POST', "/batches/{$inTime->uid}/strain", $strained)
        ->assertStatus(422)
        ->assertJsonPath('faults.0.reason', 'warm_too_long');
    doneAgo(1800, "/batches/{$late->uid}/strain", $strained, 422)->assertJsonPath('faults.0.reason', 'warm_too_long');
    doneAgo(2 * 3600, "/batches/{$inTime->uid}/strain", $strained);
    $inTime = app(App\Models\Tenancy\CurrentHouse::class)->within($this->house, fn () => $inTime->refresh());
    expect($inTime->strained_at->toIso8601ZuluString())
        ->toBe('2026-11-24T13:00:00Z')
        // Four days from the filling, as it was.
        ->and($inTime->use_by->toIso8601ZuluString())
        ->toBe('2026-11-28T10:00:00Z');
});

it('puts nothing off, and switches nothing, as of then', function () {
    $batch = $this->batch();
    $this->fill($batch);
    Carbon::setTestNow('2026-11-26T10:00:00Z');
    doneAgo(60, "/batches/{$batch->uid}/tasks", ['task' => 'shake', 'outcome' => 'later', 'until' => '2026-11-28'], 422)->assertJsonPath(
        'faults.0.reason',
        'put_off_then',
    );
    $warm = warmBatch($this);
    $pot = begun($this, [$warm]);
    $began = Carbon::now();
    Carbon::setTestNow($began->copy()->addMinutes(40));
    foreach (['pause', 'topped_up', 'end', 'lid_off'] as $what) {
        doneAgo(60, "/stove/{$pot['id']}/tend", ['what' => $what], 422)->assertJsonPath('faults.0.reason', 'not_then');
    }
    doneAgo(600, "/stove/{$pot['id']}/tend", ['what' => 'shaken']);
    expect(
        StoveEvent::query()
            ->where('kind', 'shaken')
            ->firstOrFail()
            ->happened_at->equalTo($began->copy()->addMinutes(30)),
    )->toBeTrue();
    doneAgo(3000, "/stove/{$pot['id']}/tend", ['what' => 'shaken'], 422)->assertJsonPath('faults.0.reason', 'out_of_turn');
    // A warmth read by eye stands at the second it was read in.
    doneAgo(1200, "/stove/{$pot['id']}/reading", ['warmth' => '47']);
    expect((int) DB::table('readings')->where('centi_c', 4700)->value('at'))->toBe($began->getTimestamp() + 1200);
    doneAgo(7200, "/stove/{$pot['id']}/reading", ['warmth' => '47'], 422);
});

it('turns several jars as of then', function () {
    [$a, $b] = [$this->batch(), $this->batch()];
    $this->fill($a);
    $this->fill($b);
    Carbon::setTestNow('2026-11-26T10:00:00Z');
    doneAgo(7200, '/today/shaken', ['batches' => [$a->uid, $b->uid]]);
    expect(lastLine($a)->happened_at->toIso8601ZuluString())
        ->toBe('2026-11-26T08:00:00Z')
        ->and(lastLine($b)->happened_at->toIso8601ZuluString())
        ->toBe('2026-11-26T08:00:00Z');
});

it('takes a pot’s marks and a product’s notes as of then, each in its turn', function () {
    Carbon::setTestNow('2026-11-24T09:00:00Z');
    $pot = $this->atHouse('POST', '/boils', [
        'what' => 'long-oil',
        'stage' => 'cleanse',
        'oil' => '1 L',
        'carrier' => 'sesame',
        'width' => '30 cm',
        'height' => '25 cm',
        'hours_a_day' => '8',
    ])->json('id');
    $this->atHouse('POST', "/boils/{$pot}/flame", ['on' => true])->assertOk();
    Carbon::setTestNow('2026-11-24T12:00:00Z');
    doneAgo(7200, "/boils/{$pot}/warmth", ['warmth' => '96']);
    // An hour before the one that stands.
    doneAgo(10_000, "/boils/{$pot}/warmth", ['warmth' => '94'], 422);
    doneAgo(60, "/boils/{$pot}/notes", ['note' => 'Foam, white']);
    doneAgo(30, "/boils/{$pot}/flame", ['on' => false]);

    [$made] = begunSalve();
    Carbon::setTestNow(Carbon::now()->addHour());
    doneAgo(1800, "/makings/{$made['id']}/notes", ['note' => 'The wax is from the old block.']);
    expect(
        MakingEntry::query()
            ->orderByDesc('id')
            ->firstOrFail()
            ->happened_at->equalTo(Carbon::now()->subMinutes(30)),
    )->toBeTrue();
    doneAgo(1800, "/makings/{$made['id']}/steps", ['step' => 'dry']);
});

it('refuses what is no while, or a while too long', function (string $ago, string $says) {
    $batch = $this->batch();
    doneAgo($ago, "/batches/{$batch->uid}/notes", ['note' => 'x'], 400);
    expect(doneAgo($ago, "/batches/{$batch->uid}/notes", ['note' => 'x'], 400)->json('detail'))->toContain($says);
})->with([
    ['yesterday', 'whole number'],
    ['-60', 'whole number'],
    ['1.5', 'whole number'],
    ['', 'whole number'],
    ['1209601', '14 days'],
    ['99999999999999999999', 'whole number'],
]);

it('is done once under its key, sent at once or a week later', function () {
    $batch = $this->batch();
    $key = Str::random(20);
    $this->atHouse('POST', "/batches/{$batch->uid}/notes", ['note' => 'Once'], key: $key)->assertOk();
    Carbon::setTestNow(Carbon::now()->addDays(13));
    app()->call([new App\Jobs\SweepUp(), 'handle']);
    $again = doneAgo(13 * 86_400, "/batches/{$batch->uid}/notes", ['note' => 'Once'], key: $key);
    expect($again->headers->get('Idempotent-Replay'))
        ->toBe('true')
        ->and($again->json('entries.0.note'))
        ->toBe('Once')
        ->and(LogEntry::query()->where('batch_id', $batch->id)->where('kind', 'note')->count())
        ->toBe(1);
});
