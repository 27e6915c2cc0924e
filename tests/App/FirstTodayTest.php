<?php

use App\Models\Tenancy\CurrentHouse;
use App\Pages\Stores\StoresPresenter;
use Illuminate\Support\Facades\DB;

require_once dirname(__DIR__).'/Begun.php';
require_once dirname(__DIR__).'/Shelved.php';
require_once dirname(__DIR__, 2).'/perf/rows.php';

/*
 * What Today has first, where there is more than it has room for. Today is 24 November 2026.
 */

it('tells first of the lots that aged longest ago, then of what only failed its check, and then of what is low', function () {
    $lots = [
        'failed, no day' => ['verdict' => 'past'],
        'failed, years off' => ['verdict' => 'past', 'best_before' => '2028-01-01', 'ages_on' => '2027-12-02'],
        'failed, and old' => ['verdict' => 'soon', 'best_before' => '2026-09-01', 'ages_on' => '2026-08-02'],
        'old 3' => ['best_before' => '2026-11-03', 'ages_on' => '2026-10-04'],
        'old 1' => ['best_before' => '2026-11-01', 'ages_on' => '2026-10-02'],
        'passed, and old' => ['verdict' => 'sound', 'best_before' => '2026-11-02', 'ages_on' => '2026-10-03'],
        'low' => ['material' => 'jojoba', 'left' => 5, 'low_at' => 10, 'is_low' => true],
        'not yet' => ['best_before' => '2026-12-31', 'ages_on' => '2026-12-01'],
        'used up' => ['best_before' => '2026-01-01', 'ages_on' => '2025-12-01', 'left' => 0],
        'gone' => ['best_before' => '2026-01-01', 'ages_on' => '2025-12-01', 'deleted_at' => '2026-11-01 00:00:00'],
    ];
    $called = fn (array $lots): array => array_combine(
        array_keys($lots),
        array_map(fn (string $name, array $lot) => ['called' => $name] + $lot, array_keys($lots), $lots),
    );
    $told = fn (): array => array_column($this->atHouse('GET', '/today')->assertOk()->json('stores'), 'called');
    shelved($this->house, $called($lots));
    shelved($this->aHouse($this->keeper, 'Another'), $called(['theirs' => ['best_before' => '2026-01-01', 'ages_on' => '2025-12-01']]));
    expect($told())->toBe(['failed, and old', 'old 1', 'passed, and old', 'old 3', 'failed, years off', 'failed, no day']);
    $this->atHouse('GET', '/today')->assertJsonPath('stores_more', true);
    DB::table('lots')
        ->where('called', 'like', 'failed%')
        ->update(['left' => 0]);
    expect($told())->toBe(['old 1', 'passed, and old', 'old 3', 'low']);
    $this->atHouse('GET', '/today')->assertJsonPath('stores_more', false);
});

it('reads no more rows of four hundred lots that aged than of forty', function () {
    $read = fn (): int => rowsRead(function (): void {
        $tasks = app(CurrentHouse::class)->within($this->house, fn () => app(StoresPresenter::class)->tasks());
        expect($tasks[0])->toHaveCount(6);
    });
    $many = function (int $from, int $to): void {
        foreach (range($from, $to) as $each) {
            shelved($this->house, ["lot-{$each}" => ['best_before' => '2026-10-01', 'ages_on' => '2026-09-01']]);
        }
    };
    $many(1, 40);
    $read();
    $few = $read();
    $many(41, 400);
    expect($read())->toBe($few)->toBeGreaterThan(0);
});

it('has the pots begun last, whatever their stage, after the products that are not to be used', function () {
    [$made] = begunSalve();
    $id = DB::table('makings')->where('uid', $made['id'])->value('id');
    $row = rowToCopy('makings', (int) $id);
    $put = fn (string $uid, array $with): int => DB::table('makings')->insertGetId(
        $with + ['id' => null, 'uid' => $uid, 'code' => $uid] + $row,
    );
    DB::table('makings')
        ->where('id', $id)
        ->update(['begun_at' => '2026-11-01 08:00:00']);
    foreach (range(1, 8) as $day) {
        $put("pot-{$day}", ['begun_at' => "2026-11-1{$day} 08:00:00", 'stage' => $day % 2 === 0 ? 'planned' : 'making']);
    }
    foreach (['old' => '2026-11-20', 'older' => '2026-10-20', 'today' => '2026-11-24'] as $uid => $day) {
        $put($uid, ['stage' => 'poured', 'tins_left' => 2, 'best_before' => $day, 'good_until' => $day]);
    }
    $put('theirs', ['house_id' => $this->aHouse($this->keeper, 'Another')->id, 'begun_at' => '2026-11-23 08:00:00', 'stage' => 'making']);
    expect(array_column($this->atHouse('GET', '/today')->assertOk()->json('melt'), 'id'))->toBe([
        ...['older', 'old'],
        ...array_map(fn (int $day) => "pot-{$day}", range(8, 3)),
    ]);
});

it('has what is due and what comes each in the order of its time', function () {
    $batch = $this->batch(['jar' => $this->jarOf(505)->uid]);
    DB::table('tasks')->delete();
    $at = ['late' => '2026-11-20 07:00:00', 'evening' => '2026-11-24 19:00:00', 'noon' => '2026-11-24 12:00:00'];
    $at += ['saturday' => '2026-11-28 09:00:00', 'tomorrow' => '2026-11-25 09:00:00', 'next month' => '2026-12-20 09:00:00'];
    foreach ($at as $key => $moment) {
        $step = ['step' => 'strain', 'place' => 'press', 'open' => true, 'minutes' => 20];
        DB::table('tasks')->insert([
            'house_id' => $this->house->id,
            'batch_id' => $batch->id,
            'key' => $key,
            'due_at' => $moment,
            ...$step,
        ]);
    }
    $today = $this->atHouse('GET', '/today')->assertOk()->json();
    expect(array_column($today['places'][0]['tasks'], 'key'))->toBe(['late', 'noon', 'evening']);
    expect(array_map(fn (array $day) => [$day['day'], array_column($day['tasks'], 'key')], $today['coming']))->toBe([
        ['2026-11-25', ['tomorrow']],
        ['2026-11-28', ['saturday']],
    ]);
});
