<?php

use App\House\Times;
use App\Models\Batch;
use App\Models\Tenancy\CurrentHouse;
use App\Pages\Today\Headline;
use App\Responses\Today\TaskView;
use Illuminate\Support\Carbon;

/** Times in the test house, in London's winter. */
function inHouse($test, Closure $says): mixed
{
    return app(CurrentHouse::class)->within($test->house, $says);
}

/** @param  array<string, mixed>  $more */
function aTask(string $batch, int $minutes, bool $overdue = false, array $more = []): TaskView
{
    return new TaskView(
        ...[
            ...[
                'key' => 'k',
                'step' => 'strain',
                'place' => 'press',
                'batch' => $batch,
                'code' => $batch,
                'title' => 'Strain it',
                'detail' => '',
                'due_at' => '2026-11-24T10:00:00+00:00',
                'due_text' => 'today',
                'overdue' => $overdue,
                'open' => true,
                'waiting' => false,
                'danger' => false,
                'skippable' => false,
                'at_press' => true,
                'minutes' => $minutes,
            ],
            ...$more,
        ],
    );
}

it('says a moment as it is said in the house', function (string $moment, string $says) {
    expect(inHouse($this, fn () => app(Times::class)->due(new DateTimeImmutable($moment))))->toBe($says);
})->with([
    ['2026-11-24T14:00:00Z', 'today 14:00'],
    ['2026-11-24T00:00:00Z', 'today 00:00'],
    ['2026-11-24T23:59:00Z', 'today 23:59'],
    ['2026-11-25T00:00:00Z', 'tomorrow 00:00'],
    ['2026-11-23T23:59:00Z', 'yesterday 23:59'],
    ['2026-11-21T09:00:00Z', '3 days ago'],
    ['2026-11-26T09:00:00Z', 'Thu 26 Nov'],
    // An hour further east it is another day already.
    ['2026-11-25T00:30:00+01:00', 'today 23:30'],
]);

it('counts days by the calendar of the house, over the change of the clocks too', function () {
    // Clocks go back at 01:00 UTC on 25 October 2026 in London (tz database); 23 h and 25 h days are days.
    $days = fn (string $from, string $to) => inHouse(
        $this,
        fn () => app(Times::class)->daysBetween(new DateTimeImmutable($from), new DateTimeImmutable($to)),
    );
    expect($days('2026-10-24T22:00:00Z', '2026-10-25T22:00:00Z'))
        ->toBe(1)
        ->and($days('2026-10-24T23:30:00Z', '2026-10-25T00:30:00Z'))
        ->toBe(0)
        ->and($days('2026-03-28T12:00:00Z', '2026-03-29T11:00:00Z'))
        ->toBe(1)
        ->and($days('2026-11-24T10:00:00Z', '2026-11-20T23:00:00Z'))
        ->toBe(-4);
});

it('gives the year in the logbook only where it is another', function () {
    $logged = fn (string $moment) => inHouse($this, fn () => app(Times::class)->logged(new DateTimeImmutable($moment)));
    expect($logged('2026-07-01T12:05:00Z'))->toBe('Wed 1 Jul, 13:05')->and($logged('2025-12-31T12:05:00Z'))->toBe('31 Dec 2025, 12:05');
});

it('says how long the day’s work takes', function (int $minutes, string $hands) {
    expect(inHouse($this, fn () => app(Headline::class)->of([aTask('a', $minutes)], 1)))->toBe("Tuesday. {$hands} of hands.");
})->with([
    [2, 'A few minutes'],
    [15, 'A quarter of an hour'],
    [30, 'Half an hour'],
    [45, 'Three quarters of an hour'],
    [60, 'An hour'],
    [80, 'One hour'],
    [120, 'Two hours'],
    [200, 'Three hours'],
]);

it('says of the day what cannot wait, jar by jar', function () {
    $of = fn (array $tasks, ?int $total = null) => inHouse($this, fn () => app(Headline::class)->of($tasks, $total ?? count($tasks)));
    expect($of([]))
        ->toBe('Tuesday. Nothing wants doing.')
        ->and($of([aTask('a', 10, more: ['open' => false])]))
        ->toBe('Tuesday. Nothing wants doing.')
        ->and($of([aTask('a', 20, true), aTask('b', 10)]))
        ->toBe('Tuesday. Half an hour of hands, and one jar that cannot wait.')
        // Two things late about one jar are one jar.
        ->and($of([aTask('a', 10, true), aTask('a', 20, true)]))
        ->toEndWith('one jar that cannot wait.')
        ->and($of([aTask('a', 10, true), aTask('b', 20, true)]))
        ->toEndWith('and two jars that cannot wait.')
        // A shaking missed is no emergency.
        ->and($of([aTask('a', 30, true, ['step' => 'shake'])]))
        ->toBe('Tuesday. Half an hour of hands.')
        ->and($of([aTask('a', 20), aTask('b', 10)], 90))
        ->toBe('Tuesday. 90 things to do; the first 2 are here.');
});

/** @return list<array<string, mixed>> open tasks of a batch */
function tasksOf($test, Batch $batch): array
{
    return $test
        ->atHouse('GET', "/batches/{$batch->uid}")
        ->assertOk()
        ->json('tasks');
}

it('says what there is to do to a jar on the cold shelf, from first to last', function () {
    $batch = $this->batch(['jar' => $this->jarOf(505)->uid]);
    $path = "/batches/{$batch->uid}";
    $titles = array_column(tasksOf($this, $batch), 'detail', 'title');
    expect($titles['Fill the marshmallow root'])
        ->toBe('sunflower oil, in the pint jar; weigh, pour, poke out the air, label')
        ->and($titles['Strain the marshmallow root'])
        ->toBe('dried: squeeze it.');
    $this->atHouse('GET', '/shelf?part=steeping')->assertJsonPath('parts.0.jars.0.days', 'fill today 10:00');
    $this->fill($batch);
    $titles = array_column(tasksOf($this, $batch), 'detail', 'title');
    expect($titles['Shake the marshmallow root'])
        ->toBe('turn it over or shake it')
        ->and($titles['Top up the marshmallow root'])
        ->toBe('herb drinks oil: add some if it stands out')
        ->and($titles['Strain the marshmallow root'])
        ->toBe('28 days in sunflower oil. Dried: squeeze it.');
    Carbon::setTestNow('2026-12-24T10:00:00Z');
    $titles = array_column(tasksOf($this, $batch), 'detail', 'title');
    expect($titles['Strain the marshmallow root'])->toBe('30 days in sunflower oil, planned for 28. Dried: squeeze it.');
    $this->atHouse('GET', '/shelf?part=steeping')
        ->assertJsonPath('parts.0.jars.0.days', 'cold, day 30 of 28')
        ->assertJsonPath('parts.0.jars.0.alert', '2 days over, strain');
    $this->atHouse('POST', "{$path}/strain", ['amount' => '290'])->assertOk();
    $titles = array_column(tasksOf($this, $batch), 'detail', 'title');
    expect($titles['The marshmallow root is settling'])
        ->toStartWith('till tomorrow')
        ->and($titles['Pour off the marshmallow root'])
        ->toContain('throw away the last murky spoonful')
        ->and($titles['Bottle the marshmallow root'])
        ->toBe('clean, bone-dry bottles; label at once');
});

it('tells the stove’s work in the stove’s words', function () {
    $batch = $this->batch(['jar' => $this->jarOf(505)->uid, 'method' => 'slow-cooker', 'herb' => ['id' => 'self-heal']]);
    $this->fill($batch);
    $titles = array_column(tasksOf($this, $batch), 'detail', 'title');
    expect($titles['Put the self-heal to warm'])
        ->toBe('water on, pint jar in while all is cold')
        ->and($titles['Take the self-heal off'])
        ->toBe('off; wipe the jar dry')
        ->and($titles['Strain the self-heal'])
        ->toBe('wipe the jar dry first. Dried: squeeze it.');
    $this->atHouse('GET', '/shelf?part=steeping')->assertJsonPath('parts.0.jars.0.days', 'slow cooker, 8 h of warmth');
});

it('says of wet herb that it is drained', function () {
    $batch = $this->batch(['jar' => $this->jarOf(1000)->uid, 'herb' => ['id' => 'chickweed', 'state' => 'fresh'], 'oils' => ['olive']]);
    expect(array_column(tasksOf($this, $batch), 'detail', 'title')['Strain the chickweed'])->toBe('drain it, do not squeeze it.');
});

it('writes the logbook in words', function () {
    $batch = $this->batch(['jar' => $this->jarOf(505)->uid]);
    $path = "/batches/{$batch->uid}";
    $this->fill($batch);
    $this->atHouse('POST', "{$path}/notes", ['note' => 'Smells of hay.'])->assertOk();
    $shake = collect(tasksOf($this, $batch))->firstWhere('step', 'shake');
    $this->atHouse('POST', "{$path}/tasks", [
        'task' => $shake['key'],
        'outcome' => 'later',
        'until' => '2026-11-27',
        'reason' => 'Away.',
    ])->assertOk();
    $topUp = collect(tasksOf($this, $batch))->firstWhere('step', 'top_up');
    $this->atHouse('POST', "{$path}/tasks", ['task' => $topUp['key'], 'outcome' => 'skipped', 'reason' => 'It stands under.'])->assertOk();
    $this->atHouse('POST', "{$path}/strain", ['amount' => '10 fl oz'])->assertOk();
    $this->atHouse('POST', "{$path}/discard", ['reason' => 'Dropped it.'])->assertOk();
    $entries = $this->atHouse('GET', $path)->json('entries');
    $titles = array_column($entries, 'title');
    expect($titles[0])
        ->toBe('Discarded')
        ->and($titles[1])
        ->toStartWith('Strained: 296 mL (10 fl oz).')
        ->and($titles[2])
        ->toBe('Skipped: top up')
        ->and($titles[3])
        ->toBe('Put off to Fri 27 Nov: shake')
        ->and($titles[4])
        ->toBe('Note')
        ->and($titles[5])
        ->toBe('Filled')
        ->and($titles[6])
        ->toStartWith('Planned. A pint jar of marshmallow root oil')
        ->and(array_column($entries, 'by'))
        ->each->toBe('Keeper');
});

it('writes lots and what happens to them in words', function () {
    $id = $this->atHouse('POST', '/lots', [
        'lot' => [
            'kind' => 'herb',
            'material' => 'calendula',
            'called' => 'Garden gold',
            'form' => 'flower-heads',
            'part' => 'heads',
            'amount' => '300 g',
            'got_how' => 'gathered',
            'got_on' => '2026-08-01',
        ],
    ])
        ->assertOk()
        ->assertJsonPath('lot.called', 'Garden gold')
        ->assertJsonPath('lot.got', 'gathered, 1 Aug 2026')
        ->json('lot.id');
    expect($this->atHouse('GET', "/lots/{$id}")->json('lot.what'))->toStartWith('calendula; heads; ');
    // 42.9 g is a seventh of 300 g, where the house has not said when to tell.
    $this->atHouse('GET', "/lots/{$id}")
        ->assertJsonPath('lot.low_text', '43 g')
        ->assertJsonPath('lot.price_text', null)
        ->assertJsonPath('lot.share_left', 1);
    $batch = $this->batch(['herb' => ['id' => 'calendula', 'amount' => '60 g'], 'oils' => ['olive']]);
    $this->atHouse('GET', "/lots/{$id}")
        ->assertJsonPath('lot.left_text', '240 g')
        ->assertJsonPath('moves.0.text', '60 g taken')
        ->assertJsonPath('moves.0.batch', $batch->uid)
        ->assertJsonPath('lot.share_left', 0.8);
    // Not filled yet, the herb is still there.
    $this->atHouse('POST', "/batches/{$batch->uid}/discard", ['reason' => 'Changed my mind.'])->assertOk();
    $this->atHouse('GET', "/lots/{$id}")
        ->assertJsonPath('lot.left_text', '300 g')
        ->assertJsonPath('moves.0.text', '60 g put back')
        ->assertJsonPath('moves.0.note', 'discarded before it was filled');
});
