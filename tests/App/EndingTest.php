<?php

use App\Jobs\SweepUp;
use App\Models\Batch;
use App\Models\House;
use App\Models\Membership;
use App\Models\Tenancy\Role;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Tests\BusyHouse;

function sweepAfter(int $days): void
{
    Carbon::setTestNow(Carbon::now()->addDays($days));
    app()->call([new SweepUp(), 'handle']);
}

it('ends a house by its name and a password, once everything was taken out, in two weeks', function () {
    BusyHouse::in($this);
    $this->member(Role::Helper);
    $other = $this->aHouse($this->keeper, 'Another');
    $end = fn (array $with) => $this->atHouse('POST', '/ending', $with + ['present' => 'a long password', 'name' => 'test house']);
    $end(['present' => 'not that'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'present');
    $end(['name' => 'Another'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'name');
    $end([])->assertStatus(422)->assertJsonPath('faults.0.reason', 'export');
    $this->atHouse('POST', '/transfers', ['way' => 'out'])->assertOk();
    $end([])->assertOk();
    // Everybody of it is told on which day, by the house's clock.
    expect($this->call_('GET', '/me')->json('houses.0.goes'))
        ->toBe('8 Dec')
        ->and($this->call_('GET', '/me')->json('houses.1.goes'))
        ->toBeNull();
    sweepAfter(13);
    expect(House::query()->whereKey($this->house->id)->exists())->toBeTrue();
    $this->atHouse('DELETE', '/ending')->assertOk();
    sweepAfter(13);
    expect(House::query()->whereKey($this->house->id)->exists())->toBeTrue();
    $this->atHouse('POST', '/transfers', ['way' => 'out'])->assertOk();
    $end([])->assertOk();
    // Said again, it goes no later and no sooner.
    Carbon::setTestNow(Carbon::now()->addDays(7));
    $this->atHouse('POST', '/transfers', ['way' => 'out'])->assertOk();
    $end([])->assertOk();
    sweepAfter(8);
    expect(House::query()->pluck('id')->all())->toBe([$other->id]);
    // Nothing of it is left in any table that knows houses.
    $tables = DB::select(
        'SELECT DISTINCT table_name AS t FROM information_schema.columns WHERE column_name = "house_id" AND table_schema = DATABASE()',
    );
    expect(count($tables))->toBeGreaterThan(20);
    foreach ($tables as $table) {
        expect(DB::table($table->t)->where('house_id', $this->house->id)->count())->toBe(0, $table->t);
    }
    expect(DB::table('readings')->count())
        ->toBe(0)
        ->and(glob(storage_path('app/transfers/*')))
        ->toBe([]);
    $this->call_('GET', "/houses/{$this->house->uid}")->assertNotFound();
});

it('leaves the house that anybody may enter, and who may enter it', function () {
    $this->house->update(['is_demo' => true]);
    $this->atHouse('POST', '/transfers', ['way' => 'out'])->assertOk();
    $this->atHouse('POST', '/ending', ['present' => 'a long password', 'name' => 'Test House'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.reason', 'demo');
    Membership::query()->create(['house_id' => $this->house->id, 'user_id' => $this->person('Second')->id, 'role' => Role::Keeper]);
    $this->call_('POST', '/me/ending', ['present' => 'a long password'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.reason', 'demo');
});

it('ends an account in two weeks, and never the last keeper’s of a house that stays', function () {
    $this->call_('POST', '/me/ending', ['present' => 'a long password'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.reason', 'keeper');
    $helper = $this->member(Role::Helper);
    $batch = $this->batch();
    $this->atHouse('POST', "/batches/{$batch->uid}/notes", ['note' => 'a helper was here'], as: $helper)->assertOk();
    $this->call_('POST', '/me/ending', ['present' => 'not that'], as: $helper)->assertStatus(422);
    expect($this->call_('POST', '/me/ending', ['present' => 'a long password'], as: $helper)->json('on'))->toBe('8 Dec');
    $this->call_('DELETE', '/me/ending', as: $helper)->assertOk()->assertJsonPath('on', null);
    sweepAfter(15);
    expect(User::query()->whereKey($helper->id)->exists())->toBeTrue();
    $this->call_('POST', '/me/ending', ['present' => 'a long password'], as: $helper)->assertOk();
    sweepAfter(15);
    expect(User::query()->whereKey($helper->id)->exists())
        ->toBeFalse()
        ->and(DB::table('memberships')->where('user_id', $helper->id)->count())
        ->toBe(0);
    // What was written stays, under the name, and the house goes on.
    $line = DB::table('log_entries')->where('note', 'a helper was here')->sole();
    expect($line->by)->toBe($helper->name)->and($line->user_id)->toBeNull();
    expect(Batch::query()->withoutGlobalScope('house')->whereKey($batch->id)->exists())->toBeTrue();
});

it('keeps an account that became the last keeper’s meanwhile', function () {
    $second = $this->member(Role::Keeper);
    $this->call_('POST', '/me/ending', ['present' => 'a long password'])->assertOk();
    Membership::query()->where('user_id', $second->id)->delete();
    sweepAfter(15);
    expect($this->keeper->refresh()->goes_at)->toBeNull();
    // With its house it may go.
    $this->house->update(['goes_at' => Carbon::now()->addDay()]);
    $this->call_('POST', '/me/ending', ['present' => 'a long password'])->assertOk();
});
