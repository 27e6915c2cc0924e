<?php

use App\Models\Batch;
use App\Models\LogEntry;
use App\Models\Lot;

it('puts a jar that stands already on the Shelf, with its days from then', function () {
    $this->atHouse('POST', '/lots', ['lot' => ['kind' => 'herb', 'material' => 'calendula', 'amount' => '200 g']])->assertOk();
    $wish = ['herb' => ['id' => 'calendula'], 'oils' => ['olive'], 'begun' => '2026-11-03'];
    $batch = $this->atHouse('POST', '/batches', ['wish' => $wish])
        ->assertOk()
        ->json();
    expect($batch['stage'])->toBe('steeping');
    // Nothing that is there now went into it.
    expect((float) Lot::query()->withoutGlobalScopes()->value('left'))->toEqual(200.0);
    // Both lines happened then, and are told as written now.
    $lines = LogEntry::query()->withoutGlobalScopes()->orderBy('id')->get();
    expect($lines->map(fn (LogEntry $line) => $line->happened_at->format('Y-m-d H:i'))->all())
        ->toBe(['2026-11-03 00:00', '2026-11-03 00:00'])
        ->and($lines[0]->recorded_at->format('Y-m-d'))
        ->toBe('2026-11-24');
    expect(Batch::query()->withoutGlobalScopes()->firstOrFail()->strain_at?->format('Y-m-d'))->toBe('2026-12-01');
    // Begun again, it is begun when it is begun.
    expect(
        $this->atHouse('GET', "/batches/{$batch['id']}/again")
            ->assertOk()
            ->json('wish'),
    )->not->toHaveKey('begun');
});

it('tells at once of a jar that has stood too long', function () {
    $wish = ['herb' => ['id' => 'calendula'], 'oils' => ['olive'], 'begun' => '2025-11-03'];
    $id = $this->atHouse('POST', '/batches', ['wish' => $wish])
        ->assertOk()
        ->json('id');
    expect(json_encode($this->atHouse('GET', '/today')->assertOk()->json()))->toContain($id);
});

it('refuses the day beside its word', function (string $day) {
    $this->atHouse('POST', '/batches', ['wish' => ['herb' => ['id' => 'calendula'], 'oils' => ['olive'], 'begun' => $day]])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'begun');
})->with(['2026-11-25', '1900-01-01', 'last week']);

// Nobody has said since when it is warm: it is filled and put to warm when that is written, and no hour before counts.
it('leaves what is warmed and begun today to be filled and put to warm', function () {
    $this->atHouse('POST', '/lots', ['lot' => ['kind' => 'herb', 'material' => 'calendula', 'amount' => '200 g']])->assertOk();
    $wish = ['herb' => ['id' => 'calendula'], 'oils' => ['olive'], 'method' => 'slow-cooker', 'begun' => '2026-11-24'];
    $batch = $this->atHouse('POST', '/batches', ['wish' => $wish])
        ->assertOk()
        ->json();
    expect($batch['stage'])
        ->toBe('planned')
        ->and(LogEntry::query()->withoutGlobalScopes()->count())
        ->toBe(1)
        ->and((float) Lot::query()->withoutGlobalScopes()->value('left'))
        ->toBeLessThan(200.0);
    $this->atHouse('POST', '/batches', ['wish' => ['begun' => '2026-11-23'] + $wish])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.reason', 'never_so');
});
