<?php

use App\Actions\Stores\StockLedger;
use App\Models\Lot;
use App\Models\Tenancy\CurrentHouse;
use Illuminate\Support\Facades\DB;
use Kettle\Stores\LotException;

/*
 * Starting a batch takes from Stores; discarding it unfilled gives back.
 */

/** @return array{string, string} lots of root and oil */
function stocked($test): array
{
    $add = fn (array $lot) => $test
        ->atHouse('POST', '/lots', ['lot' => $lot])
        ->assertOk()
        ->json('lot.id');

    return [
        $add(['kind' => 'herb', 'material' => 'marshmallow-root', 'amount' => '200 g', 'price' => '20']),
        $add(['kind' => 'carrier', 'material' => 'sunflower', 'amount' => '1 L', 'price' => '10', 'best_before' => '2027-06-01']),
    ];
}

function left($test, string $id): float
{
    return app(CurrentHouse::class)->within($test->house, fn () => (float) Lot::query()->where('uid', $id)->firstOrFail()->left);
}

it('takes what the plan says, and shows it on the batch and on the lot', function () {
    [$root, $oil] = stocked($this);
    $batch = $this->batch(['herb' => ['id' => 'marshmallow-root', 'amount' => '60 g']]);
    expect(left($this, $root))->toBe(140.0)->and(left($this, $oil))->toBe(700.0);
    $this->atHouse('GET', "/batches/{$batch->uid}")->assertJsonPath('lots', [
        ['lot' => $root, 'called' => 'marshmallow root', 'text' => '60 g'],
        ['lot' => $oil, 'called' => 'sunflower oil', 'text' => '300 mL'],
    ]);
    $this->atHouse('GET', "/lots/{$oil}")
        ->assertJsonPath('moves.0.text', '300 mL taken')
        ->assertJsonPath('moves.0.batch', $batch->uid);
});

it('is shown on the Bench before it is done', function () {
    [$root, $oil] = stocked($this);
    $plan = $this->atHouse('POST', '/reckon', [
        'wish' => $this->wish(['herb' => ['id' => 'marshmallow-root', 'amount' => '60 g']]),
    ])->assertOk();
    $plan
        ->assertJsonPath('stores.0.takes.0.lot', $root)
        ->assertJsonPath('stores.1.takes.0.left_text', '700 mL')
        // 60 g at 0.10 and 300 mL at 0.01.
        ->assertJsonPath('figures.cost.value', 9);
    expect(left($this, $oil))->toBe(1000.0);
});

it('starts from the lot that was named', function () {
    [, $oil] = stocked($this);
    $other = $this->atHouse('POST', '/lots', [
        'lot' => [
            'kind' => 'carrier',
            'material' => 'sunflower',
            'called' => 'organic sunflower',
            'amount' => '1 L',
            'best_before' => '2028-06-01',
        ],
    ])->json('lot.id');
    $this->batch(['herb' => ['id' => 'marshmallow-root', 'amount' => '60 g'], 'oils' => [['id' => 'sunflower', 'lot' => $other]]]);
    expect(left($this, $oil))->toBe(1000.0)->and(left($this, $other))->toBe(700.0);
});

it('gives back what was taken for a batch that was never filled, and takes it again when that is undone', function () {
    [$root, $oil] = stocked($this);
    $batch = $this->batch(['herb' => ['id' => 'marshmallow-root', 'amount' => '60 g']]);
    $this->atHouse('POST', "/batches/{$batch->uid}/discard", ['reason' => 'changed my mind'])
        ->assertOk()
        ->assertJsonPath('lots', []);
    expect(left($this, $root))->toBe(200.0)->and(left($this, $oil))->toBe(1000.0);
    $entries = $this->atHouse('GET', "/batches/{$batch->uid}")->json('entries');
    $discarded = collect($entries)->firstWhere('kind', 'discarded')['id'];
    $this->atHouse('POST', "/batches/{$batch->uid}/undo", ['entry' => $discarded])->assertOk();
    expect(left($this, $root))->toBe(140.0)->and(left($this, $oil))->toBe(700.0);
});

it('does not give back what is in the jar', function () {
    [$root] = stocked($this);
    $batch = $this->batch(['herb' => ['id' => 'marshmallow-root', 'amount' => '60 g']]);
    $this->fill($batch);
    $this->atHouse('POST', "/batches/{$batch->uid}/discard", ['reason' => 'mould'])->assertOk();
    expect(left($this, $root))->toBe(140.0);
});

it('starts with what there is when Stores is short, and says so', function () {
    [$root, $oil] = stocked($this);
    $this->atHouse('POST', "/lots/{$oil}/count", ['amount' => '120 mL']);
    $plan = $this->atHouse('POST', '/reckon', ['wish' => $this->wish(['herb' => ['id' => 'marshmallow-root', 'amount' => '60 g']])]);
    $note = collect($plan->json('notes'))->firstWhere('id', 'short.sunflower');
    expect($note['says'])
        ->toBe('Sunflower oil is 180 mL short: Stores has 120 mL.')
        ->and(array_column($note['ways'], 'id'))
        ->toContain('smaller-batch', 'smaller-jar');
    $this->batch(['herb' => ['id' => 'marshmallow-root', 'amount' => '60 g']]);
    expect(left($this, $oil))->toBe(0.0)->and(left($this, $root))->toBe(140.0);
});

it('asks nothing of the database anew for each way out that it tries', function () {
    [, $oil] = stocked($this);
    $this->atHouse('POST', "/lots/{$oil}/count", ['amount' => '120 mL']);
    DB::enableQueryLog();
    DB::flushQueryLog();
    $ways = $this->atHouse('POST', '/reckon', ['wish' => $this->wish(['herb' => ['id' => 'marshmallow-root', 'amount' => '60 g']])])->json(
        'notes.*.ways',
    );
    $asked = array_map(fn (array $query): string => $query['query'].json_encode($query['bindings']), DB::getQueryLog());
    DB::disableQueryLog();
    expect(array_merge(...$ways))->not->toBeEmpty()->and($asked)->toBe(array_unique($asked));
});

it('refuses when a lot was emptied while the plan lay on the bench', function () {
    [, $oil] = stocked($this);
    $batch = $this->batch(['herb' => ['id' => 'marshmallow-root', 'amount' => '60 g']]);
    app(CurrentHouse::class)->within($this->house, function () use ($batch, $oil): void {
        expect(fn () => app(StockLedger::class)->take($batch, [['lot' => $oil, 'amount' => 900.0]]))
            ->toThrow(LotException::class, 'Sunflower oil holds 700 mL, and 900 mL is wanted from it')
            ->and(fn () => app(StockLedger::class)->take($batch, [['lot' => '01ARZ3NDEKTSV4RRFFQ69G5FAV', 'amount' => 1.0]]))
            ->toThrow(LotException::class, 'holds 0 g');
    });
    expect(left($this, $oil))->toBe(700.0);
});

it('never takes from what is past, nor from another house', function () {
    $this->atHouse('POST', '/lots', [
        'lot' => ['kind' => 'carrier', 'material' => 'sunflower', 'amount' => '1 L', 'best_before' => '2026-11-01'],
    ])->assertOk();
    $mine = $this->house;
    $this->house = $this->aHouse($this->keeper, 'Second');
    [, $theirs] = stocked($this);
    [$second, $this->house] = [$this->house, $mine];
    $batch = $this->batch(['herb' => ['id' => 'marshmallow-root', 'amount' => '60 g']]);
    $this->atHouse('GET', "/batches/{$batch->uid}")->assertJsonPath('lots', []);
    $this->house = $second;
    expect(left($this, $theirs))->toBe(1000.0);
});

it('makes a batch again, as it was, twice as large, or of a size still open', function () {
    $batch = $this->batch(['herb' => ['id' => 'marshmallow-root', 'amount' => '60 g'], 'ready_by' => '2027-02-01']);
    $same = $this->atHouse('GET', "/batches/{$batch->uid}/again?times=1")
        ->assertOk()
        ->json('wish');
    expect($same['herbs'])
        ->toBe([['id' => 'marshmallow-root', 'amount' => '60 g']])
        ->and($same)
        ->not->toHaveKey('ready_by');
    $twice = $this->atHouse('GET', "/batches/{$batch->uid}/again?times=2")->json('wish');
    expect(
        $this->atHouse('POST', '/reckon', ['wish' => $twice])
            ->assertOk()
            ->json('figures.herb_mass.value'),
    )->toEqualWithDelta(120.0, 0.1);
    $open = $this->atHouse('GET', "/batches/{$batch->uid}/again")->json('wish');
    expect($open)->not->toHaveKey('oil_amount')->and($open['ratio'])->toBe('1:5');
    foreach (['x', '0', '-1', '99'] as $bad) {
        $this->atHouse('GET', "/batches/{$batch->uid}/again?times={$bad}")->assertStatus(422);
    }
    $this->atHouse('GET', "/batches/{$batch->uid}/again?times[]=2")->assertStatus(422);
});

it('draws several jars and their share on the Shelf', function () {
    $batch = $this->batch(['herb' => ['id' => 'marshmallow-root', 'amount' => '120 g'], 'jar' => $this->jarOf(505)->uid, 'jars' => '2']);
    $this->atHouse('GET', "/batches/{$batch->uid}")
        ->assertJsonPath('jar.jar', '2 × pint jar')
        ->assertJsonPath('plan.jar.each', '60 g of herb and 300 mL of oil in each');
    $this->fill($batch);
    $this->atHouse('POST', "/batches/{$batch->uid}/strain", ['amount' => '450 mL'])->assertOk();
    // 225 mL in each of 505 mL and 118 mm.
    expect($this->atHouse('GET', "/batches/{$batch->uid}")->json('jar.level_mm'))->toEqualWithDelta(52.6, 0.1);
});

it('tells wet herb to be drained at the press', function () {
    $batch = $this->batch(['herb' => ['id' => 'chickweed', 'state' => 'wilted', 'amount' => '100 g'], 'oils' => ['olive']]);
    $page = $this->atHouse('GET', "/batches/{$batch->uid}")->assertOk();
    expect(implode(' ', array_column($page->json('press.steps'), 'says')))
        ->toContain('Do not squeeze it')
        ->and(collect($page->json('label'))->firstWhere('id', 'herb')['text'])
        ->toContain('wilted');
    $strain = collect($page->json('tasks'))->firstWhere('step', 'strain');
    expect($strain['detail'])->toContain('drain it, do not squeeze it');
});

it('names every herb on the label', function () {
    $batch = $this->batch(['herb' => null, 'herbs' => [['id' => 'calendula'], ['id' => 'self-heal']]]);
    $label = collect($this->atHouse('GET', "/batches/{$batch->uid}")->json('label'))->pluck('text', 'id');
    expect($label['title'])
        ->toBe('Calendula and self-heal oil')
        ->and($label['herb'])
        ->toContain('Calendula officinalis')
        ->toContain('Prunella vulgaris');
});
