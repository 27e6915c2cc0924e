<?php

use App\Models\Tenancy\Role;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;

it('makes an account with a house, signs out and in again', function () {
    $this->postJson('/api/accounts', [
        'name' => 'Una',
        'email' => 'Una@Example.org',
        'password' => 'ten letters',
        'house' => 'Una’s',
        'time_zone' => 'Europe/Oslo',
        'measures' => 'metric',
    ])
        ->assertOk()
        ->assertJsonPath('signed_in', true)
        ->assertJsonPath('houses.0.role', 'keeper');
    $this->withHeaders(['Idempotency-Key' => 'signing-out-1'])
        ->deleteJson('/api/session')
        ->assertNoContent();
    $this->getJson('/api/me')->assertJsonPath('signed_in', false);
    $this->postJson('/api/session', ['email' => 'una@example.org', 'password' => 'wrong letters'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'password');
    $this->postJson('/api/session', ['email' => 'una@example.org', 'password' => 'ten letters'])->assertOk();
});

it('says what is wrong with an account', function (array $bad, string $field) {
    User::query()->create(['name' => 'x', 'email' => 'taken@example.org', 'password' => 'something', 'prefs' => User::PREFS]);
    $good = ['name' => 'Una', 'email' => 'una@example.org', 'password' => 'ten letters'];
    $answer = $this->postJson('/api/accounts', [...$good, ...$bad])->assertStatus(422);
    expect(array_column($answer->json('faults'), 'field'))
        ->toBe([$field])
        ->and($answer->json('faults.0.sentence'))
        ->toMatch('/\.$/');
})->with([
    [['name' => ''], 'name'],
    [['email' => 'nothing'], 'email'],
    [['email' => 'taken@example.org'], 'email'],
    [['password' => 'short'], 'password'],
    [['time_zone' => 'Mars/Base'], 'time_zone'],
    [['name' => str_repeat('x', 90)], 'name'],
    [['measures' => 'cubits'], 'measures'],
    [['name' => ['a']], 'name'],
]);

it('tires of guesses', function () {
    for ($i = 0; $i < 10; $i++) {
        $this->postJson('/api/session', ['email' => 'una@example.org', 'password' => 'guess '.$i])->assertStatus(422);
    }
    $this->postJson('/api/session', ['email' => 'una@example.org', 'password' => 'guess'])
        ->assertStatus(429)
        ->assertJsonPath('status', 429);
});

it('changes a password only for who knows the old one, and signs other devices out', function () {
    DB::table('sessions')->insert([
        'id' => 'elsewhere',
        'user_id' => $this->keeper->id,
        'payload' => '',
        'last_activity' => Carbon::now()->getTimestamp(),
    ]);
    $this->call_('PUT', '/me/password', ['present' => 'not it', 'password' => 'another long one'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'present');
    $this->call_('PUT', '/me/password', ['present' => 'a long password', 'password' => 'another long one'])->assertNoContent();
    expect(DB::table('sessions')->where('id', 'elsewhere')->exists())->toBeFalse();
    $this->postJson('/api/session', ['email' => $this->keeper->email, 'password' => 'another long one'])->assertOk();
});

it('lets somebody in by an invitation, once, in the part it was made for', function () {
    $link = $this->atHouse('POST', '/invitations', ['role' => 'reader'])
        ->assertOk()
        ->json('link');
    $token = basename($link);
    $this->getJson("/api/invitations/{$token}")
        ->assertOk()
        ->assertExactJson(['house' => 'Test House', 'role' => 'reader']);
    $guest = $this->person('Guest');
    $this->call_('POST', "/invitations/{$token}", [], $guest)
        ->assertOk()
        ->assertJsonPath('houses.0.role', 'reader');
    $this->call_('POST', "/invitations/{$token}", [], $this->person('Second'))->assertNotFound();
    $this->getJson('/api/invitations/made-up')->assertNotFound();
    $late = basename($this->atHouse('POST', '/invitations', ['role' => 'keeper'])->json('link'));
    Carbon::setTestNow(Carbon::now()->addDays(15));
    $this->getJson("/api/invitations/{$late}")->assertNotFound();
});

it('withdraws an invitation', function () {
    $made = $this->atHouse('POST', '/invitations', ['role' => 'helper'])->json();
    $this->atHouse('DELETE', '/invitations/'.$made['id'])
        ->assertOk()
        ->assertJsonPath('invitations', []);
    $this->getJson('/api/invitations/'.basename($made['link']))->assertNotFound();
});

it('gives a new password by a keeper’s link, once, within a day', function () {
    $helper = $this->member(Role::Helper);
    $link = $this->atHouse('POST', "/people/{$helper->uid}/reset")
        ->assertOk()
        ->json('link');
    auth()->logout();
    $this->postJson('/api/resets/'.basename($link), ['password' => 'tiny'])->assertStatus(422);
    $this->postJson('/api/resets/'.basename($link), ['password' => 'a brand new one'])
        ->assertOk()
        ->assertJsonPath('id', $helper->uid);
    $this->postJson('/api/resets/'.basename($link), ['password' => 'a brand new one'])->assertNotFound();
    $this->postJson('/api/session', ['email' => $helper->email, 'password' => 'a brand new one'])->assertOk();
});

it('gives no password by a link of yesterday, nor by one that a newer has taken the place of', function () {
    $helper = $this->member(Role::Helper);
    $make = fn () => basename(
        (string) $this->atHouse('POST', "/people/{$helper->uid}/reset")
            ->assertOk()
            ->json('link'),
    );
    $first = $make();
    $second = $make();
    $this->postJson("/api/resets/{$first}", ['password' => 'a brand new one'])->assertNotFound();
    Carbon::setTestNow(Carbon::now()->addHours(24)->addSecond());
    $this->postJson("/api/resets/{$second}", ['password' => 'a brand new one'])->assertNotFound();
    expect(Hash::check('a brand new one', (string) $helper->refresh()->password))->toBeFalse();
});

it('signs out everywhere else whoever has a new password by a link, and nobody besides', function () {
    $helper = $this->member(Role::Helper);
    DB::table('sessions')->insert([
        ['id' => 'a-lost-phone', 'user_id' => $helper->id, 'payload' => '', 'last_activity' => Carbon::now()->getTimestamp()],
        ['id' => 'the-keeper', 'user_id' => $this->keeper->id, 'payload' => '', 'last_activity' => Carbon::now()->getTimestamp()],
    ]);
    $link = $this->atHouse('POST', "/people/{$helper->uid}/reset")
        ->assertOk()
        ->json('link');
    $this->postJson('/api/resets/'.basename((string) $link), ['password' => 'a brand new one'])->assertOk();
    expect(DB::table('sessions')->where('id', 'a-lost-phone')->exists())
        ->toBeFalse()
        ->and(DB::table('sessions')->where('id', 'the-keeper')->exists())
        ->toBeTrue();
});

it('does not let a keeper of one house into another by a reset', function () {
    $helper = $this->member(Role::Helper);
    $this->aHouse($helper, 'Their own');
    $this->atHouse('POST', "/people/{$helper->uid}/reset")->assertForbidden();
});

it('does not let a keeper take over another keeper', function () {
    $other = $this->member(Role::Keeper);
    $this->atHouse('POST', "/people/{$other->uid}/reset")->assertForbidden();
    // Not by making them a helper first, either.
    $this->atHouse('PATCH', "/people/{$other->uid}", ['role' => 'helper'])->assertOk();
    $this->atHouse('POST', "/people/{$other->uid}/reset")->assertForbidden();
    $helper = $this->member(Role::Helper);
    $this->atHouse('PATCH', "/people/{$helper->uid}", ['role' => 'keeper'])->assertOk();
    $this->atHouse('PATCH', "/people/{$helper->uid}", ['role' => 'reader'])->assertOk();
    $this->atHouse('POST', "/people/{$helper->uid}/reset")->assertForbidden();
});

it('makes a link from the command line for whoever forgot', function () {
    expect(Artisan::call('kettle:password', ['email' => $this->keeper->email]))
        ->toBe(0)
        ->and(Artisan::output())
        ->toContain('/new-password/');
    expect(Artisan::call('kettle:password', ['email' => 'nobody@example.org']))->toBe(1);
});

it('never leaves a house without a keeper', function () {
    $this->atHouse('PATCH', "/people/{$this->keeper->uid}", ['role' => 'reader'])->assertStatus(409);
    $this->atHouse('DELETE', "/people/{$this->keeper->uid}")->assertStatus(409);
    $helper = $this->member(Role::Helper);
    $this->atHouse('PATCH', "/people/{$helper->uid}", ['role' => 'keeper'])->assertOk();
    $this->atHouse('DELETE', "/people/{$this->keeper->uid}")->assertOk();
    $this->atHouse('GET', '/today')->assertNotFound();
});

it('keeps what each person likes to see', function () {
    $this->call_('PATCH', '/me', ['temperature' => 'f', 'amounts' => 'kitchen'])
        ->assertOk()
        ->assertJsonPath('amounts', 'kitchen');
    $plan = $this->atHouse('POST', '/reckon', ['wish' => $this->wish(['method' => 'slow-cooker'])])->assertOk();
    expect($plan->json('sentence_text'))->toContain('120 °F');
    $this->call_('PATCH', '/me', ['temperature' => 'k'])->assertStatus(422);
});

it('opens the demo only where there is one', function () {
    config(['kettle.demo' => false]);
    $this->postJson('/api/demo')->assertNotFound();
});

it('says at the door in one making what this is, to anybody', function () {
    auth()->logout();
    $said = $this->getJson('/api/example')->assertOk()->json();
    // A pint of marshmallow root at one to five, by hand: 505 mL to the brim of 118 mm, 10 mm of headspace, each gram with
    // 5 mL of oil and its own 0.7: about 80 g and 400 mL, of which the root keeps a quarter.
    expect($said['jar_called'])
        ->toBe('pint jar')
        ->and($said['herb_text'])
        ->toMatch('/^8\d g of marshmallow root$/')
        ->and($said['oil_text'])
        ->toMatch('/^4\d\d mL of sunflower oil$/')
        ->and($said['level_mm'])
        ->toBeGreaterThan($said['out_mm'])
        ->and($said['out_mm'])
        ->toBeGreaterThan($said['bed_mm'])
        ->and($said['bottles'])
        ->toBe((int) floor((float) $said['out_text'] / 50));
});

it('hands out no cookie with the picture at the door, which may come after that of somebody who signed in', function () {
    auth()->logout();
    expect($this->getJson('/api/example')->assertOk()->headers->getCookies())
        ->toBe([])
        ->and($this->getJson('/api/me')->headers->getCookies())
        ->not->toBe([]);
});

it('reads the room in the cook’s own degrees', function () {
    $edit = fn (string $room) => $this->atHouse('PATCH', '', [
        'version' => $this->house->refresh()->version,
        'name' => 'North End',
        'time_zone' => 'Europe/London',
        'measures' => 'metric',
        'wake' => '07:00',
        'bed' => '22:30',
        'drops_per_ml' => 20,
        'room' => $room,
    ]);
    $edit('21')->assertOk()->assertJsonPath('room_c', 21)->assertJsonPath('room_text', '21 °C');
    $this->keeper->update(['prefs' => [...$this->keeper->prefs, 'temperature' => 'f']]);
    // 68 F is 20 C: (68 - 32) / 1.8.
    $edit('68')->assertOk()->assertJsonPath('room_c', 20)->assertJsonPath('room_text', '68 °F');
    $edit('20 C')->assertOk()->assertJsonPath('room_c', 20);
    foreach (['110', '-4', 'warm', '45 C'] as $bad) {
        $edit($bad)->assertStatus(422)->assertJsonPath('faults.0.field', 'room');
    }
});

it('lets many look at invitations from one address, for none of them gives an e-mail', function () {
    foreach (range(1, 30) as $i) {
        $this->getJson("/api/invitations/none-{$i}")->assertNotFound();
    }
    // What does give one is counted by it as before.
    foreach (range(1, 11) as $i) {
        $last = $this->postJson('/api/session', ['email' => 'nobody@example.org', 'password' => 'not this one']);
    }
    $last->assertStatus(429);
});
