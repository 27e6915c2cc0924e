<?php

use App\Models\Batch;
use App\Models\LogEntry;

/** @return array<string, mixed> */
function oilThatIsThere(array $more = []): array
{
    return $more + [
        'herbs' => [['id' => 'calendula', 'state' => 'dried']],
        'oils' => ['olive'],
        'finished' => ['count' => '2', 'size' => '100 mL'],
        'before' => ['made' => '2026-06-01', 'from' => 'the harbour market'],
    ];
}

it('puts an oil that was made before into its bottles at once, with a label, and into the house’s file and back', function () {
    $batch = $this->atHouse('POST', '/batches', ['wish' => oilThatIsThere()])
        ->assertOk()
        ->json();
    expect($batch['stage'])
        ->toBe('bottled')
        ->and(array_column($batch['bottles'], 'left_ml'))
        ->toEqual([100.0, 100.0])
        ->and($batch['best_before'])
        ->toContain('2027')
        ->and($batch['entries'][array_key_last($batch['entries'])]['title'])
        ->toStartWith('Entered as it is there. Two bottles of 100 mL of calendula oil')
        ->and($batch['plan']['method']['name'])
        ->toBe('a way that is not known');
    $days = LogEntry::query()->withoutGlobalScopes()->pluck('happened_at')->map(fn ($at) => $at->format('Y-m-d'));
    expect($days->unique()->values()->all())->toBe(['2026-06-01']);
    $this->atHouse('GET', "/batches/{$batch['id']}/label")->assertOk();
    $this->atHouse('GET', '/shelf')->assertOk()->assertSee('Calendula');
    // One can be used and given as any other.
    $this->atHouse('POST', "/batches/{$batch['id']}/use", ['bottle' => 1, 'how' => 'given', 'to' => 'Una'])->assertOk();
    expect(
        $this->atHouse('GET', "/batches/{$batch['id']}/again")
            ->assertOk()
            ->json('wish'),
    )->not->toHaveKey('before');
});

it('writes all of it or none, and asks for what is missing beside its field', function (array $more, string $field) {
    $this->atHouse('POST', '/batches', ['wish' => oilThatIsThere($more)])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', $field);
    expect(Batch::query()->withoutGlobalScopes()->count())->toBe(0);
})->with([
    [['before' => []], 'before.made'],
    [['before' => ['made' => '2027-06-01']], 'before.made'],
    [['before' => ['made' => '2026-06-01', 'by' => 'Una']], 'before.by'],
    [['before' => 'last year'], 'before'],
    [['finished' => ['count' => '0', 'size' => '100 mL']], 'finished.count'],
    [['herbs' => [['id' => 'calendula']]], 'herbs.0.state'],
]);
