<?php

use App\Models\SecurityEvent;
use App\Models\Tenancy\Role;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

beforeEach(fn () => Carbon::setTestNow('2026-11-24T10:10:00Z'));

/** @return list<string> newest first */
function trailSays(): array
{
    return array_column(test()->atHouse('GET', '/trail')->assertOk()->json('events'), 'says');
}

it('tells a keeper what happened to accounts and to who may do what', function () {
    $this->keeper->update(['name' => 'Isa', 'password' => 'a present password']);
    $torin = $this->member(Role::Helper);
    $torin->update(['name' => 'Torin', 'password' => 'a kettle on the wall']);
    $token = basename($this->atHouse('POST', '/invitations', ['role' => 'reader'])->json('link'));
    $this->atHouse('PATCH', "/people/{$torin->uid}", ['role' => 'reader'])->assertOk();
    $link = $this->atHouse('POST', "/people/{$torin->uid}/reset")->json('link');
    $this->call_('PUT', '/me/password', ['present' => 'a present password', 'password' => 'another kettle entirely'])->assertSuccessful();
    $this->call_('DELETE', '/me/sessions')->assertOk();
    auth()->logout();
    $in = fn (string $email, string $password) => $this->withServerVariables(['REMOTE_ADDR' => '192.0.2.9'])->postJson('/api/session', [
        'email' => $email,
        'password' => $password,
    ]);
    $in($torin->email, 'not the one')->assertStatus(422);
    $in('nobody@example.org', 'not the one')->assertStatus(422);
    $in($torin->email, 'a kettle on the wall')->assertOk();
    auth()->logout();
    $this->postJson('/api/resets/'.basename($link), ['password' => 'a harbour in the rain'])->assertOk();
    auth()->logout();
    newAccountForTrail($token);
    $this->atHouse('DELETE', "/people/{$torin->uid}")->assertOk();
    expect(trailSays())->toBe([
        'Isa took Torin off',
        'Maren came in, as a reader',
        // What is of Torin's account is told while they are of the house.
        'Isa was signed out elsewhere',
        'Isa changed the password',
        'Isa made Torin a reader',
        'Isa made an invitation for a reader',
    ]);
    $this->atHouse('GET', '/people')->assertOk();
    DB::table('memberships')->insert(['house_id' => $this->house->id, 'user_id' => $torin->id, 'role' => 'helper']);
    $all = $this->atHouse('GET', '/trail')->json('events');
    expect(array_column($all, 'says'))->toContain(
        'A wrong password was given for Torin',
        'Torin signed in',
        'Torin set a new password by a link',
        'Isa made a new-password link for Torin',
    );
    $wrong = collect($all)->firstWhere('says', 'A wrong password was given for Torin');
    expect($wrong)->toMatchArray(['at' => 'Tue 24 Nov, 10:10', 'from' => '192.0.2.9']);
    // Of an address that nobody has nothing is written.
    expect(SecurityEvent::query()->where('kind', 'refused')->count())->toBe(1);
});

function newAccountForTrail(string $token): void
{
    test()
        ->postJson('/api/accounts', ['name' => 'Maren', 'email' => 'maren@example.org', 'password' => 'a kettle on the wall'])
        ->assertOk();
    test()
        ->postJson("/api/invitations/{$token}", [], ['Idempotency-Key' => 'come-in-by-a-link'])
        ->assertOk();
}

it('tells nobody of another house, and nobody but a keeper', function () {
    $mine = $this->member(Role::Helper);
    $this->atHouse('PATCH', "/people/{$mine->uid}", ['role' => 'reader'])->assertOk();
    expect(trailSays())->toHaveCount(1);
    $this->atHouse('GET', '/trail', as: $mine)->assertForbidden();
    // In the house that anybody may enter it is not told from where.
    $this->house->update(['is_demo' => true]);
    $this->atHouse('GET', '/trail')->assertJsonPath('events.0.from', 'somewhere');
    $this->house = $this->aHouse($this->keeper, 'Second house');
    expect(trailSays())->toBe([]);
});

it('tells the newest first, a page at a time, in few questions', function () {
    $helper = $this->member(Role::Helper);
    for ($i = 0; $i < 65; $i++) {
        SecurityEvent::query()->create([
            'user_id' => $helper->id,
            'by_id' => $this->keeper->id,
            'kind' => 'signed-in',
            'from' => '192.0.2.'.$i,
            'happened_at' => Carbon::now(),
        ]);
    }
    $seen = [];
    $before = '';
    for ($page = 0; $page < 3; $page++) {
        DB::enableQueryLog();
        DB::flushQueryLog();
        $answer = $this->atHouse('GET', "/trail{$before}")
            ->assertOk()
            ->json();
        expect(count(DB::getQueryLog()))->toBeLessThan(10);
        $seen = [...$seen, ...array_column($answer['events'], 'from')];
        $before = $answer['before'] === null ? null : "?before={$answer['before']}";
    }
    expect($before)->toBeNull()->and($seen)->toBe(array_map(fn (int $i) => "192.0.2.{$i}", range(64, 0)));
    foreach (['?before=x', '?before=-1', '?before[]=1', '?before=12345678901234567890'] as $bad) {
        $this->atHouse('GET', "/trail{$bad}")
            ->assertStatus(422)
            ->assertJsonPath('faults.0.field', 'before');
    }
});

it('is never changed and never taken out, but with its house or its account', function () {
    $helper = $this->member(Role::Helper);
    $this->atHouse('PATCH', "/people/{$helper->uid}", ['role' => 'reader'])->assertOk();
    foreach (["UPDATE security_events SET kind = 'x'", 'DELETE FROM security_events'] as $sql) {
        expect(fn () => DB::statement($sql))->toThrow(Illuminate\Database\QueryException::class, 'append-only');
    }
});

it('writes down what was done on the machine itself', function () {
    Artisan::call('kettle:password', ['email' => $this->keeper->email]);
    $event = $this->atHouse('GET', '/trail')->json('events.0');
    expect($event['says'])->toStartWith('A new-password link was made for')->and($event['from'])->toBe('');
});
