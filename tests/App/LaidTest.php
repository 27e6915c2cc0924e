<?php

use App\Models\Lot;
use App\Models\Tenancy\CurrentHouse;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Tests\BusyHouse;
use Tests\Laid;

require_once dirname(__DIR__).'/Kept.php';

/*
 * What tests begin with is laid once and put back for each: here it is laid, done away with and put back.
 */

it('puts back every row as it was, what the database counts of them, and the clock', function () {
    BusyHouse::in($this);
    $now = Carbon::now();
    [$rows, $house, $keeper] = [Laid::rows(), $this->house, $this->keeper];
    expect($rows)->toHaveKeys(['batches', 'log_entries', 'lots', 'lot_moves', 'makings', 'recipes', 'yields']);
    expectKept();
    DB::table('houses')->delete();
    DB::table('users')->delete();
    $this->keeper = $this->person('Another');
    $this->house = $this->aHouse($this->keeper);
    Carbon::setTestNow('2027-01-01T10:00:00Z');
    BusyHouse::in($this);
    expect(Laid::rows())
        ->toBe($rows)
        ->and($this->house->is($house))
        ->toBeTrue()
        ->and($this->keeper->is($keeper))
        ->toBeTrue()
        ->and(Carbon::now()->equalTo($now))
        ->toBeTrue();
    expectKept();
    // Written to as if it had been laid here.
    $lot = $this->atHouse('POST', '/lots', ['lot' => ['kind' => 'herb', 'material' => 'sage', 'amount' => '50 g']])->assertOk();
    app(CurrentHouse::class)->within($this->house, fn () => Lot::query()->where('uid', $lot->json('lot.id'))->firstOrFail());
    expectKept();
});

it('is laid first or not at all', function (Closure $before) {
    $before($this);
    BusyHouse::in($this);
})
    ->with([
        'another house' => [fn ($test) => $test->aHouse($test->keeper, 'Another')],
        'a batch' => [fn ($test) => $test->batch()],
        'a keeper with a password of his own' => [fn ($test) => $test->keeper->update(['password' => 'of his own, and long'])],
    ])
    ->throws(LogicException::class, 'is laid first');
