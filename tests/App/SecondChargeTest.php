<?php

use App\Models\Batch;
use App\Models\LogEntry;
use App\Models\Tenancy\CurrentHouse;
use Illuminate\Support\Carbon;

require_once dirname(__DIR__).'/Pressed.php';

/** What is left in the bottles of a batch, mL. */
function leftIn(string $path): float
{
    return array_sum(array_column(test()->atHouse('GET', $path)->json('bottles'), 'left_ml'));
}

/** @return array<string, mixed> the answer of a second charge begun in the oil of a batch */
function charged(string $path, array $more = [], ?string $key = null): array
{
    $wish = test()
        ->atHouse('GET', "{$path}/charge")
        ->assertOk()
        ->json('wish');
    $body = ['wish' => [...$wish, ...$more], 'acknowledged' => ['daisy-family']];

    return test()->atHouse('POST', '/batches', $body, key: $key)->assertOk()->json();
}

it('goes on herb once more from its bottles, as old as it is, and with all that is to be minded of it', function () {
    $path = bottledBatch(['herb' => ['id' => 'calendula']]);
    $first = $this->atHouse('GET', $path)->json();
    Carbon::setTestNow(Carbon::now()->addDays(40));
    $second = charged($path, ['herbs' => [['id' => 'plantain-leaf']], 'oil_amount' => '150 mL']);
    expect(leftIn($path))
        ->toEqualWithDelta(100, 0.01)
        ->and($second['base']['id'])
        ->toBe($first['id'])
        ->and($second['plan']['figures']['oil_volume']['value'])
        ->toEqualWithDelta(150, 0.01)
        ->and($second['plan']['in_oil']['since'])
        ->toBe(substr($first['plan']['schedule']['fill_at'], 0, 10))
        ->and(array_column($second['cautions'], 'id'))
        ->toContain('daisy-family')
        ->and(implode(' ', array_column($second['label'], 'text')))
        ->toContain('Calendula')
        ->toContain('Plantain');
    // No younger than the oil it was made in: strained and bottled, it is good no longer than that.
    $best = fn (string $uid) => app(CurrentHouse::class)->within(
        $this->house,
        fn () => Batch::query()->where('uid', $uid)->firstOrFail()->best_before,
    );
    expect($best($second['id'])->lessThanOrEqualTo($best($first['id'])))->toBeTrue();
});

it('takes what stands strained in its jar, all of it where nothing else is said', function () {
    $batch = $this->batch(['jar' => $this->jarOf(505)->uid]);
    $this->fill($batch);
    $path = "/batches/{$batch->uid}";
    $this->atHouse('GET', "{$path}/charge")->assertStatus(422);
    $this->atHouse('POST', "{$path}/strain", ['amount' => '300 mL', 'warmth' => 'had'])->assertOk();
    expect($this->atHouse('GET', $path)->json('charge'))->toBeTrue();
    $second = charged($path);
    $now = $this->atHouse('GET', $path)->json();
    expect($second['plan']['figures']['oil_volume']['value'])
        ->toEqualWithDelta(300, 0.01)
        ->and($now['stage'])
        ->toBe('bottled')
        ->and($now['charge'])
        ->toBeFalse()
        ->and(leftIn($path))
        ->toBe(0.0);
    // The same herb once more, and not the same oil twice.
    $this->atHouse('GET', "{$path}/charge")->assertOk();
    $wish = ['herb' => ['id' => 'calendula'], 'oils' => ['sunflower'], 'in_oil' => ['batch' => $batch->uid]];
    $this->atHouse('POST', '/reckon', ['wish' => $wish])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.reason', 'used_up');
});

it('is begun once under one key, comes back when it is thrown away unfilled, and is taken again', function () {
    $path = bottledBatch();
    $second = charged($path, ['oil_amount' => '200 mL'], 'one-charge');
    $twice = charged($path, ['oil_amount' => '200 mL'], 'one-charge');
    expect($twice['id'])->toBe($second['id'])->and(leftIn($path))->toEqualWithDelta(50, 0.01);
    $this->atHouse('POST', "/batches/{$second['id']}/discard", ['reason' => 'no herb'])->assertOk();
    expect(leftIn($path))->toEqualWithDelta(250, 0.01);
    $line = app(CurrentHouse::class)->within(
        $this->house,
        fn () => LogEntry::query()->where('kind', 'discarded')->orderByDesc('id')->firstOrFail()->uid,
    );
    $this->atHouse('POST', "/batches/{$second['id']}/undo", ['entry' => $line])->assertOk();
    expect(leftIn($path))->toEqualWithDelta(50, 0.01);
    // Filled, it keeps what it took.
    $this->atHouse('POST', "/batches/{$second['id']}/tasks", ['task' => 'fill', 'outcome' => 'done'])->assertOk();
    $this->atHouse('POST', "/batches/{$second['id']}/discard", ['reason' => 'spilled'])->assertOk();
    expect(leftIn($path))->toEqualWithDelta(50, 0.01);
});

it('cannot be undone where it was taken, for it is in a jar by now', function () {
    $path = bottledBatch();
    charged($path, ['oil_amount' => '200 mL']);
    $used = collect($this->atHouse('GET', $path)->json('entries'))->where('kind', 'used');
    expect($used)->not->toBeEmpty();
    foreach ($used as $entry) {
        $this->atHouse('POST', "{$path}/undo", ['entry' => $entry['id']])->assertStatus(422);
    }
});

it('is refused where there is less of it by now, and nothing is begun', function () {
    $path = bottledBatch();
    $wish = $this->atHouse('GET', "{$path}/charge")->json('wish');
    $this->atHouse('POST', "{$path}/use", ['bottle' => 1, 'how' => 'given', 'to' => 'Torin'])->assertOk();
    $before = $this->atHouse('GET', '/shelf')->json();
    $this->atHouse('POST', '/batches', ['wish' => ['oil_amount' => '240 mL'] + $wish])->assertStatus(422);
    expect($this->atHouse('GET', '/shelf')->json())->toBe($before);
});

it('is followed from a plant of the first charge to the bottle of the second, and back', function () {
    $lot = $this->atHouse('POST', '/lots', [
        'lot' => ['kind' => 'herb', 'material' => 'calendula', 'state' => 'dried', 'amount' => '300 g'],
    ])
        ->assertOk()
        ->json('lot.id');
    $path = bottledBatch(['herb' => ['id' => 'calendula']]);
    $second = charged($path, ['herbs' => [['id' => 'plantain-leaf']]]);
    $names = fn (string $of) => implode(
        '; ',
        array_column(
            $this->atHouse('GET', "/{$of}/trace")
                ->assertOk()
                ->json('things'),
            'name',
        ),
    );
    expect($names("lots/{$lot}"))->toContain($second['code'])->and($names("batches/{$second['id']}"))->toContain('alendula');
});
