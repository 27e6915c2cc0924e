<?php

use Illuminate\Support\Carbon;

require_once dirname(__DIR__).'/Pressed.php';

/** A jar of turmeric powder in sunflower oil, filled two weeks ago and never to be strained. */
function onItsSediment(): string
{
    $batch = test()->batch([
        'herb' => ['id' => 'turmeric', 'form' => 'powder', 'amount' => '40 g'],
        'strained' => 'never',
        'school' => 'two-weeks',
    ]);
    test()->fill($batch);
    Carbon::setTestNow(Carbon::now()->addDays(14));

    return "/batches/{$batch->uid}";
}

it('is ready without a cloth, in the jar it stands in, and teaches nothing of yields', function () {
    $path = onItsSediment();
    $task = collect($this->atHouse('GET', $path)->json('tasks'))->firstWhere('open', true);
    // Shaking and looking are open too; what waits at the press is that it is ready.
    expect(collect($this->atHouse('GET', $path)->json('tasks'))->pluck('step'))
        ->toContain('ready')
        ->not->toContain('strain')
        ->not->toContain('bottle')
        ->and($task)
        ->not->toBeNull();
    $this->atHouse('POST', "{$path}/strain", ['amount' => '150 mL'])->assertStatus(422);
    $after = $this->atHouse('POST', "{$path}/ready", [])
        ->assertOk()
        ->json();
    expect($after['stage'])
        ->toBe('bottled')
        ->and($after['bottles'])
        ->toHaveCount(1)
        ->and($after['bottles'][0]['left_ml'])
        ->toEqualWithDelta($after['press']['oil_in_ml'], 0.01)
        ->and($after['bottles'][0]['called'])
        ->toContain('from the top')
        ->and(App\Models\BatchYield::query()->withoutGlobalScopes()->count())
        ->toBe(0);
    // Said twice it is no more ready than once.
    $this->atHouse('POST', "{$path}/ready", [])->assertStatus(422);
    $this->atHouse('POST', "{$path}/undo", ['entry' => $after['entries'][0]['id']])
        ->assertOk()
        ->assertJsonPath('stage', 'steeping');
});

it('is topped up from Stores, and keeps no longer for it', function () {
    $lot = $this->atHouse('POST', '/lots', ['lot' => ['kind' => 'carrier', 'material' => 'sunflower', 'amount' => '1 L']])
        ->assertOk()
        ->json('lot.id');
    $path = onItsSediment();
    $ready = $this->atHouse('POST', "{$path}/ready", [])->json();
    $in = $ready['bottles'][0]['left_ml'];
    $this->atHouse('POST', "{$path}/use", ['bottle' => 1, 'how' => 'used', 'amount' => '60 mL', 'to' => 'fish'])->assertOk();
    $left = fn (): float => (float) filter_var($this->atHouse('GET', "/lots/{$lot}")->json('lot.left'), FILTER_VALIDATE_FLOAT);
    $before = $left();
    $topped = $this->atHouse('POST', "{$path}/top-up", ['bottle' => 1, 'amount' => '50 mL'])
        ->assertOk()
        ->json();
    expect($topped['bottles'][0]['left_ml'])
        ->toEqualWithDelta($in - 10, 0.01)
        ->and($before - $left())
        ->toEqualWithDelta(50, 0.01)
        ->and($topped['best_before'])
        ->toBe($ready['best_before']);
    $this->atHouse('POST', "{$path}/undo", ['entry' => $topped['entries'][0]['id']])->assertOk();
    expect($left())->toEqualWithDelta($before, 0.01);
    // The jar holds 505 mL to its brim.
    $this->atHouse('POST', "{$path}/top-up", ['bottle' => 1, 'amount' => '505 mL'])
        ->assertStatus(422)
        ->assertSee('does not go into');
    foreach ([['bottle' => 2, 'amount' => '50 mL'], ['bottle' => 1, 'amount' => '3 L'], ['bottle' => 1, 'amount' => 'some']] as $wrong) {
        $this->atHouse('POST', "{$path}/top-up", $wrong)->assertStatus(422);
    }
    Carbon::setTestNow(Carbon::now()->addMonths(4));
    $this->atHouse('POST', "{$path}/top-up", ['bottle' => 1, 'amount' => '50 mL'])->assertStatus(422);
});

it('lasts three months at the most from when it is ready', function () {
    $path = onItsSediment();
    $ready = $this->atHouse('POST', "{$path}/ready", [])->json();
    expect(Carbon::parse($ready['best_before'])->lessThanOrEqualTo(Carbon::now()->addDays(92)))->toBeTrue();
});

it('does not top up what was strained', function () {
    $path = bottledBatch();
    $this->atHouse('POST', "{$path}/top-up", ['bottle' => 1, 'amount' => '50 mL'])->assertStatus(422);
    $this->atHouse('POST', "{$path}/ready", [])->assertStatus(422);
});

it('goes out with the house, with when it was ready and topped up', function () {
    $path = onItsSediment();
    $this->atHouse('POST', "{$path}/ready", [])->assertOk();
    $this->atHouse('POST', "{$path}/top-up", ['bottle' => 1, 'amount' => '50 mL'])->assertOk();
    $house = $this->atHouse('GET', '/export')->assertOk();
    expect($house->getContent() ?: $house->streamedContent())
        ->toContain('"ready"')
        ->toContain('"topped"');
});
