<?php

use App\Models\Batch;
use App\Models\LogEntry;
use Opis\JsonSchema\Validator;

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

it('puts an oil that was made before into its bottles at once, with a label', function () {
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

it('goes out with the house and comes back as it was, with all that a wish may say', function () {
    $this->atHouse('POST', '/batches', ['wish' => oilThatIsThere()])->assertOk();
    $said = [
        'herbs' => [['id' => 'calendula']],
        'oils' => ['olive'],
        'method' => 'slow-cooker',
        'hours' => '6 to 8 h',
        'warmth' => '38 C',
        'stands' => '3 h',
        'cooled' => 'uncovered',
        'strained' => 'twice',
        'heed' => ['nuts', 'giving'],
    ];
    $jar = $this->atHouse('POST', '/batches', ['wish' => $said])
        ->assertOk()
        ->json();
    expect($jar['plan']['method']['school_name'])->toBe('your own hours');
    // On the cold shelf it is asked for a topping up, with what was added.
    $cold = $this->atHouse('POST', '/batches', [
        'wish' => ['herbs' => [['id' => 'calendula']], 'oils' => ['olive'], 'begun' => '2026-11-20'],
    ])
        ->assertOk()
        ->json('id');
    $this->atHouse('POST', "/batches/{$cold}/tasks", ['task' => 'top_up', 'outcome' => 'done', 'amount' => '40 mL'])->assertOk();
    $text = (string) $this->atHouse('GET', '/export')->getContent();
    $schema = json_decode((string) file_get_contents(base_path('docs/formats/house.schema.json')));
    expect((new Validator())->validate(json_decode($text), $schema)->isValid())->toBeTrue();
    $first = json_decode($text, true);
    $this->house = $this->aHouse($this->keeper, 'Second house');
    $this->atHouse('POST', '/import', $first)->assertOk()->assertJsonPath('batches', 3);
    expect($this->atHouse('GET', '/export')->json('batches'))->toEqual($first['batches']);
});
