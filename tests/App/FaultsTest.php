<?php

use App\Actions\Stores\SaveLot;
use App\Models\Batch;
use App\Models\Lot;
use App\Models\Tenancy\CurrentHouse;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

require_once dirname(__DIR__).'/Pressed.php';

/** @return array{for: list<string>, against: list<string>} what is said for and against a cause of a sign */
function evidence(string $path, string $sign, string $cause): array
{
    $found = collect(
        test()
            ->atHouse('POST', "{$path}/faults", ['signs' => [$sign]])
            ->assertOk()
            ->json('causes'),
    )->firstWhere('id', $cause);

    return ['for' => $found['for'], 'against' => $found['against']];
}

it('says of a plan what speaks for a cause and what against', function (
    array $wish,
    string $sign,
    string $cause,
    string $for,
    string $against,
) {
    $path = bottledBatch($wish, '180 mL', [50 => 2]);
    $said = evidence($path, $sign, $cause);
    expect(implode(' ', $said['for']))->toContain($for)->and(implode(' ', $said['against']))->toContain($against);
    if ($for === '') {
        expect($said['for'])->toBe([]);
    }
    if ($against === '') {
        expect($said['against'])->toBe([]);
    }
})->with([
    // Common practice, no source: what a cook asks of a batch that went wrong.
    'dried herb holds little water' => [['herb' => ['id' => 'marshmallow-root']], 'fizz', 'ferment', '', 'The herb was dried.'],
    'fresh herb holds much' => [
        ['herb' => ['id' => 'chickweed', 'state' => 'fresh'], 'oils' => ['olive']],
        'fizz',
        'ferment',
        'The herb was fresh.',
        '',
    ],
    'a root gives slowly' => [['herb' => ['id' => 'marshmallow-root']], 'weak', 'too-coarse', 'It is ', ''],
    'coconut sets in a room' => [['oils' => ['coconut'], 'method' => 'slow-cooker'], 'set', 'fat-set', 'Coconut oil, virgin is in it.', ''],
    'sunflower does not' => [['oils' => ['sunflower']], 'set', 'fat-set', '', 'Its oils stay clear at '],
    'cold cannot have scorched' => [['method' => 'cold'], 'fried', 'too-hot', '', 'It was made cold.'],
    'a double boiler stands on the stove' => [
        ['method' => 'double-boiler'],
        'cracked',
        'shock',
        'It was made over a flame or plate. Its glass stood in water.',
        '',
    ],
    'a slow cooker stands in water, over no flame' => [['method' => 'slow-cooker'], 'cracked', 'shock', 'Its glass stood in water.', ''],
    'steam gets in' => [['method' => 'slow-cooker'], 'beads', 'water', 'It stood in or over steaming water.', 'The herb was dried.'],
]);

it('says flame of what stands on one, and of nothing else', function (string $method, bool $flame, bool $water) {
    $said = implode(' ', evidence(bottledBatch(['method' => $method], '180 mL', [50 => 2]), 'cracked', 'shock')['for']);
    expect(str_contains($said, 'flame'))->toBe($flame)->and(str_contains($said, 'stood in water'))->toBe($water);
})->with([
    ['cold', false, false],
    ['solar', false, false],
    ['slow-cooker', false, true],
    ['water-bath', true, true],
    ['double-boiler', true, true],
    ['incubator', false, false],
]);

it('weighs how it is kept, and how long', function () {
    $path = bottledBatch([], '300 mL', [100 => 2]);
    expect(evidence($path, 'rancid', 'rancid')['for'])
        ->toHaveCount(1)
        ->and(evidence($path, 'rancid', 'rancid')['for'][0])
        ->toStartWith('Sunflower oil takes up oxygen readily');
    $this->atHouse('POST', "{$path}/keep", ['place' => 'warm', 'glass' => 'clear'])->assertOk();
    $this->atHouse('POST', "{$path}/use", ['bottle' => 1, 'how' => 'used', 'amount' => '60 mL', 'to' => 'hands'])->assertOk();
    $this->travelTo(Carbon::now()->addYears(3));
    expect(implode(' ', evidence($path, 'rancid', 'rancid')['for']))
        ->toContain('clear glass')
        ->toContain('warm place')
        ->toContain('past its best-before')
        ->toContain('much air over it');
});

it('weighs the days it stood, either way', function () {
    $batch = $this->batch(['jar' => $this->jarOf(505)->uid]);
    $this->fill($batch);
    $this->travelTo(Carbon::now()->addDays(28 + 12));
    $path = "/batches/{$batch->uid}";
    expect(evidence($path, 'fur', 'mould')['for'])
        ->toBe(['It stood 12 days longer than planned.'])
        ->and(evidence($path, 'weak', 'too-short')['against'])
        ->toBe(['It stood 12 days longer than planned.']);
});

it('knows how it was got out, and whether it was weighed', function () {
    $strained = function (array $body): string {
        $batch = $this->batch(['jar' => $this->jarOf(505)->uid]);
        $this->fill($batch);
        $this->atHouse('POST', "/batches/{$batch->uid}/strain", $body)->assertOk();

        return "/batches/{$batch->uid}";
    };
    $measured = $strained(['amount' => '250 mL', 'way' => 'drained']);
    $weighed = $strained(['gross' => '688 g', 'tare' => '412 g', 'way' => 'pressed']);
    expect(evidence($measured, 'little', 'herb-drank')['for'])
        ->toContain('It was only drained.')
        ->and(evidence($measured, 'little', 'spilled')['for'])
        ->toBe(['What came out was measured, not weighed.'])
        ->and(evidence($weighed, 'little', 'spilled')['for'])
        ->toBe([])
        ->and(evidence($weighed, 'sediment', 'fine-herb')['for'])
        ->toContain('It was pressed.');
});

it('says that a herb was never checked where any lot of it was not', function () {
    app(CurrentHouse::class)->within($this->house, function () {
        $lot = fn (string $on, string $amount): Lot => app(SaveLot::class)->add([
            'kind' => 'herb',
            'material' => 'marshmallow-root',
            'amount' => $amount,
            'got_on' => $on,
        ]);
        $lot('2026-01-01', '20 g');
        $lot('2026-02-01', '400 g')
            ->forceFill(['checked_at' => Carbon::now()])
            ->save();
    });
    $path = bottledBatch([], '200 mL', [50 => 2]);
    expect(implode(' ', evidence($path, 'weak', 'old-herb')['for']))->toContain('Its herb was not checked.');
});

it('throws away at a sign that wants it, whatever the records say', function (string $sign) {
    $found = $this->atHouse('POST', bottledBatch([], '300 mL', [100 => 2]).'/faults', ['signs' => ['weak', $sign]])
        ->assertOk()
        ->json();
    expect($found['keep'])->toBe('discard')->and($found['says'])->toBe('Discard it. Do not taste it, and do not try to save it.');
    // National Center for Home Food Preservation, from memory: when in doubt, throw it out.
})->with(['fur', 'bulging', 'fizz', 'off', 'floating', 'cracked']);

it('makes batches older than the press say what they are for, and their bottles full', function () {
    $path = bottledBatch(['purpose' => 'salve'], '300 mL', [100 => 2]);
    $this->atHouse('POST', "{$path}/use", ['bottle' => 1, 'how' => 'used', 'amount' => null, 'to' => 'a salve'])->assertOk();
    $uid = basename($path);
    DB::table('batches')
        ->where('uid', $uid)
        ->update(['purpose' => '']);
    $id = DB::table('batches')->where('uid', $uid)->value('id');
    DB::table('bottles')
        ->where('batch_id', $id)
        ->where('number', 2)
        ->update(['left_ml' => 0]);
    $migration = require database_path('migrations/2026_11_25_000004_carry_older_batches.php');
    $migration->up();
    $batch = app(CurrentHouse::class)->within($this->house, fn () => Batch::query()->where('uid', $uid)->firstOrFail());
    expect($batch->purpose)
        ->toBe('salve')
        ->and(DB::table('bottles')->where('batch_id', $id)->orderBy('number')->pluck('left_ml')->map(fn ($ml) => (float) $ml)->all())
        ->toBe([0.0, 100.0]);
    $this->atHouse('GET', "{$path}/label")->assertOk();
});
