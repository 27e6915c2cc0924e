<?php

use Illuminate\Support\Carbon;

require_once dirname(__DIR__).'/Pressed.php';

it('uses, gives and throws away from a bottle, and knows what is left', function () {
    $path = bottledBatch();
    $use = fn (array $body) => $this->atHouse('POST', "{$path}/use", $body);
    $use(['bottle' => 1, 'how' => 'used', 'amount' => '30 mL', 'to' => 'the hands'])
        ->assertOk()
        ->assertJsonPath('bottles.0.left', '70 mL')
        ->assertJsonPath('bottles.0.state', 'in');
    $use(['bottle' => 1, 'how' => 'used', 'amount' => '80 mL'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'amount');
    $use(['bottle' => 1, 'how' => 'used', 'amount' => '1/2'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.sentence', '“1/2” of what? Write it like half of it, or with its unit.');
    $use(['bottle' => 1, 'how' => 'used', 'amount' => 'half of it'])
        ->assertOk()
        ->assertJsonPath('bottles.0.left', '35 mL');
    $given = $use(['bottle' => 2, 'how' => 'given', 'to' => 'Torin'])
        ->assertOk()
        ->assertJsonPath('bottles.1.state', 'given')
        ->assertJsonPath('bottles.1.to', 'Torin')
        ->json();
    $use(['bottle' => 2, 'how' => 'used', 'amount' => '1 mL'])->assertStatus(422);
    $use(['bottle' => 9, 'how' => 'used'])->assertStatus(422);
    $use(['bottle' => 0, 'how' => 'used'])->assertStatus(422);
    $use(['bottle' => 1, 'how' => 'sold'])->assertStatus(422);
    $use(['bottle' => 1, 'how' => 'used', 'to' => str_repeat('x', 161)])->assertStatus(422);
    expect($given['entries'][0]['title'])->toBe('Bottle 2: 100 mL given away, Torin');
    // A filling is not undone under what was used of it; the use itself is.
    $bottled = collect($given['entries'])->first(fn ($entry) => str_starts_with($entry['title'], 'Bottled'));
    $this->atHouse('POST', "{$path}/undo", ['entry' => $bottled['id']])->assertStatus(422);
    $this->atHouse('POST', "{$path}/undo", ['entry' => $given['entries'][0]['id']])
        ->assertOk()
        ->assertJsonPath('bottles.1.left', '100 mL');
});

it('asks for a smell after a week, then each quarter, then on the last day, and never of empty bottles', function () {
    $path = bottledBatch();
    $due = fn () => collect($this->atHouse('GET', $path)->json('tasks'))->firstWhere('step', 'smell');
    $well = ['smell' => 'itself', 'look' => 'clear', 'lid' => 'quiet'];
    expect($due()['due_at'])->toStartWith('2026-12-01');
    Carbon::setTestNow('2026-12-01T12:00:00Z');
    $this->atHouse('GET', '/today')->assertJsonPath('places.0.tasks.0.title', 'Smell the marshmallow root');
    $this->atHouse('POST', "{$path}/tasks", ['task' => 'smell', 'outcome' => 'done'])->assertStatus(422);
    $this->atHouse('POST', "{$path}/check", ['answers' => $well])->assertOk();
    expect($due()['due_at'])->toStartWith('2027-03-01');
    Carbon::setTestNow('2027-03-01T12:00:00Z');
    $this->atHouse('POST', "{$path}/check", ['answers' => ['look' => 'mud'] + $well])
        ->assertOk()
        ->assertJsonPath('stage', 'bottled');
    // Sunflower keeps six months: the last time is its best-before.
    expect($due()['due_at'])->toStartWith('2027-05-24');
    Carbon::setTestNow('2027-05-24T12:00:00Z');
    $this->atHouse('POST', "{$path}/check", ['answers' => $well])->assertOk();
    expect($due())->toBeNull();
    $again = bottledBatch();
    foreach ([1, 2, 3] as $number) {
        $this->atHouse('POST', "{$again}/use", ['bottle' => $number, 'how' => 'used'])->assertOk();
    }
    expect($this->atHouse('GET', $again)->json('tasks'))->toBe([]);
});

it('closes a batch whose smell is wrong, and finds every bottle of it', function () {
    $path = bottledBatch([], '300 mL', [100 => 2, 50 => 1], ['where' => 'larder']);
    $this->atHouse('POST', "{$path}/use", ['bottle' => 2, 'how' => 'given', 'to' => 'the ferry crew'])->assertOk();
    $this->atHouse('POST', "{$path}/use", ['bottle' => 3, 'how' => 'used', 'to' => 'harbour salve'])->assertOk();
    $closed = $this->atHouse('POST', "{$path}/check", ['answers' => ['smell' => 'rancid', 'look' => 'clear', 'lid' => 'quiet']])
        ->assertOk()
        ->json();
    $says = implode(' ', array_column($closed['trace'], 'says'));
    expect($closed['stage'])
        ->toBe('discarded')
        ->and($closed['trace'])
        ->toHaveCount(3)
        ->and(array_column($closed['trace'], 'here'))
        ->toBe([true, false, false])
        ->and($says)
        ->toContain('larder')
        ->toContain('given to the ferry crew. Tell them')
        ->toContain('used for harbour salve');
    $this->atHouse('POST', "{$path}/use", ['bottle' => 1, 'how' => 'given', 'to' => 'anybody'])->assertStatus(422);
    $this->atHouse('POST', "{$path}/use", ['bottle' => 1, 'how' => 'thrown'])
        ->assertOk()
        ->assertJsonCount(2, 'trace');
    // Smelled by mistake, it is undone.
    $entries = $this->atHouse('GET', $path)->json('entries');
    $this->atHouse('POST', "{$path}/undo", ['entry' => $entries[0]['id']])->assertOk();
    $this->atHouse('POST', "{$path}/undo", ['entry' => $entries[1]['id']])
        ->assertOk()
        ->assertJsonPath('stage', 'bottled');
});

it('wants every question of a smell answered', function (array $answers, int $status) {
    $path = bottledBatch();
    $this->atHouse('POST', "{$path}/check", ['answers' => $answers])->assertStatus($status);
})->with([
    'none' => [[], 422],
    'two of three' => [['smell' => 'itself', 'look' => 'clear'], 422],
    'an answer nobody offers' => [['smell' => 'purple', 'look' => 'clear', 'lid' => 'quiet'], 422],
    'a list for an answer' => [['smell' => ['itself'], 'look' => 'clear', 'lid' => 'quiet'], 422],
    'all' => [['smell' => 'faint', 'look' => 'set', 'lid' => 'quiet'], 200],
]);

it('reckons the best-before anew when anything about it changes', function () {
    $path = bottledBatch(['oils' => ['olive']]);
    $day = fn () => $this->atHouse('GET', $path)->json('kept.best_before.value');
    $keep = fn (array $as) => $this->atHouse('POST', "{$path}/keep", $as)
        ->assertOk()
        ->json('kept');
    expect($day())->toBe('2027-11-24');
    expect($keep(['place' => 'warm'])['best_before']['value'])->toBe('2027-05-24');
    $glass = $keep(['glass' => 'clear', 'where' => 'the bathroom sill']);
    expect($glass['best_before']['value'])
        ->toBeLessThan('2027-05-24')
        ->and($glass['where'])
        ->toBe('the bathroom sill')
        ->and(array_column($glass['best_before']['reasons'], 'rule'))
        ->toContain('keeps-place', 'keeps-glass');
    $this->atHouse('POST', "{$path}/keep", ['place' => 'attic'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'place');
    $this->atHouse('POST', "{$path}/keep", ['where' => str_repeat('x', 121)])->assertStatus(422);
    // On the label too.
    expect(array_column($this->atHouse('GET', $path)->json('label'), 'text', 'id')['best_before'])->not->toContain('24 Nov 2027');
});

it('follows the lot it was made from when that is found to be older', function () {
    $lot = $this->atHouse('POST', '/lots', [
        'lot' => ['kind' => 'carrier', 'material' => 'olive', 'amount' => '2 L', 'best_before' => '2029-01-01'],
    ])
        ->assertOk()
        ->json('lot');
    $path = bottledBatch(['oils' => ['olive']]);
    expect($this->atHouse('GET', $path)->json('kept.best_before.value'))->toBe('2027-11-24');
    $fields = $this->atHouse('GET', "/lots/{$lot['id']}")->json('fields');
    $version = $this->atHouse('GET', "/lots/{$lot['id']}")->json('lot.version');
    $this->atHouse('PATCH', "/lots/{$lot['id']}", ['lot' => ['best_before' => '2027-02-01'] + $fields, 'version' => $version])->assertOk();
    $page = $this->atHouse('GET', $path)->json();
    expect($page['kept']['best_before']['value'])->toBe('2027-02-01')->and($page['best_before'])->toBe('1 Feb 2027');
});
