<?php

use App\Actions\People\Totp;
use App\Models\SecondStep;
use App\Models\Tenancy\Role;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

/** RFC 4226 and 6238 have this secret, "12345678901234567890"; in base32. */
const RFC_SECRET = 'GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ';

/** Somebody with a second step at the door: the secret, and the codes on paper. */
function withSecondStep(User $user): array
{
    $user->update(['password' => 'a present password']);
    $begun = test()
        ->call_('POST', '/me/second-step', ['present' => 'a present password'], as: $user)
        ->assertOk();
    $secret = str_replace(' ', '', $begun->json('secret'));
    $codes = test()
        ->call_('PUT', '/me/second-step', ['code' => codeNow($secret)], as: $user)
        ->assertOk()
        ->json('codes');
    auth()->logout();
    // What was used to begin is used.
    Carbon::setTestNow(Carbon::now()->addMinutes(2));

    return [$secret, $codes];
}

function codeNow(string $secret, int $steps = 0): string
{
    return Totp::code($secret, intdiv(Carbon::now()->getTimestamp(), 30) + $steps);
}

function comeIn(User $user, ?string $code = null, string $password = 'a present password'): Illuminate\Testing\TestResponse
{
    auth()->logout();

    return test()->postJson('/api/session', ['email' => $user->email, 'password' => $password, 'code' => $code]);
}

it('reckons codes as RFC 4226, appendix D, does', function (int $count, string $code) {
    expect(Totp::code(RFC_SECRET, $count))->toBe($code);
})->with([
    [0, '755224'],
    [1, '287082'],
    [2, '359152'],
    [3, '969429'],
    [4, '338314'],
    [5, '254676'],
    [6, '287922'],
    [7, '162583'],
    [8, '399871'],
    [9, '520489'],
]);

it('reckons codes by the clock as RFC 6238, appendix B, does (SHA-1)', function (int $at, string $code) {
    expect(Totp::code(RFC_SECRET, intdiv($at, 30), 8))
        ->toBe($code)
        ->and(Totp::matches(RFC_SECRET, substr($code, 2), $at, 0))
        ->toBe(intdiv($at, 30));
})->with([
    [59, '94287082'],
    [1111111109, '07081804'],
    [1111111111, '14050471'],
    [1234567890, '89005924'],
    [2000000000, '69279037'],
    [20000000000, '65353130'],
]);

it('takes a code half a minute early or late, once, and none further off', function () {
    [$at, $step] = [1234567890, 41152263];
    foreach ([-2 => null, -1 => $step - 1, 0 => $step, 1 => $step + 1, 2 => null] as $off => $is) {
        expect(Totp::matches(RFC_SECRET, Totp::code(RFC_SECRET, $step + $off), $at, 0))->toBe($is);
    }
    expect(Totp::matches(RFC_SECRET, Totp::code(RFC_SECRET, $step), $at, $step))->toBeNull();
    $secret = Totp::secret();
    expect($secret)->toMatch('/^[A-Z2-7]{32}$/')->and(Totp::secret())->not->toBe($secret);
});

it('is begun with the password, confirmed with a code, and shut with the house’s key', function () {
    $this->keeper->update(['password' => 'a present password']);
    expect($this->call_('GET', '/me/second-step')->json())->toBe(['on' => false, 'codes_left' => 0]);
    $this->call_('PUT', '/me/second-step', ['code' => '000000'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.reason', 'begun');
    $this->call_('POST', '/me/second-step', ['present' => 'another'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'present');
    $begun = $this->call_('POST', '/me/second-step', ['present' => 'a present password'])
        ->assertOk()
        ->json();
    $secret = str_replace(' ', '', $begun['secret']);
    // The key URI that authenticator apps take.
    expect($begun['address'])
        ->toBe(
            'otpauth://totp/Warm%20Kettle%3A'.
                rawurlencode($this->keeper->email).
                "?secret={$secret}&issuer=Warm%20Kettle&algorithm=SHA1&digits=6&period=30",
        )
        ->and($begun['code'])
        ->toContain('<svg');
    // Begun, and not on: one comes in as before.
    comeIn($this->keeper)->assertOk();
    $this->call_('PUT', '/me/second-step', ['code' => '12 34 56'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.field', 'code');
    $now = codeNow($secret);
    $codes = $this->call_('PUT', '/me/second-step', ['code' => substr($now, 0, 3).' '.substr($now, 3)])
        ->assertOk()
        ->json('codes');
    expect($codes)->toHaveCount(10)->and(array_unique($codes))->toHaveCount(10)->and($codes[0])->toMatch('/^[a-z2-7]{5}-[a-z2-7]{5}$/');
    expect($this->call_('GET', '/me/second-step')->json())->toBe(['on' => true, 'codes_left' => 10]);
    $this->call_('POST', '/me/second-step', ['present' => 'a present password'])
        ->assertStatus(422)
        ->assertJsonPath('faults.0.reason', 'on');
    // Nowhere in the database does it stand open, nor does what was answered.
    foreach (['second_steps', 'recovery_codes', 'written_keys', 'security_events'] as $table) {
        $all = json_encode(DB::table($table)->get());
        expect($all)->not->toContain($secret)->not->toContain($begun['secret'])->not->toContain($codes[0]);
    }
    expect(DB::table('written_keys')->count())->toBeGreaterThan(1);
});

it('asks for it at the door after the right password alone, and takes each code once', function () {
    [$secret, $codes] = withSecondStep($this->keeper);
    comeIn($this->keeper, null, 'not the password')->assertStatus(422)->assertJsonPath('faults.0.field', 'password');
    comeIn($this->keeper)->assertStatus(422)->assertJsonPath('faults.0.reason', 'second')->assertJsonPath('faults.0.field', 'code');
    $this->getJson('/api/me')->assertJsonPath('signed_in', false);
    comeIn($this->keeper, '000000')->assertStatus(422)->assertJsonPath('faults.0.reason', 'wrong');
    comeIn($this->keeper, codeNow($secret))->assertOk()->assertJsonPath('signed_in', true);
    // Seen over a shoulder, it opens nothing any more; nor does one from before it.
    comeIn($this->keeper, codeNow($secret))->assertStatus(422);
    comeIn($this->keeper, codeNow($secret, -1))->assertStatus(422);
    comeIn($this->keeper, codeNow($secret, 1))->assertOk();
    comeIn($this->keeper, mb_strtoupper($codes[3]))->assertOk();
    comeIn($this->keeper, $codes[3])->assertStatus(422);
    expect($this->call_('GET', '/me/second-step')->json('codes_left'))->toBe(9);
    // Ten tries a minute by address and name.
    Carbon::setTestNow(Carbon::now()->addMinutes(2));
    $new = $this->call_('POST', '/me/second-step/codes', ['present' => 'a present password'])
        ->assertOk()
        ->json('codes');
    comeIn($this->keeper, $codes[4])->assertStatus(422);
    comeIn($this->keeper, $new[4])->assertOk();
    $this->call_('POST', '/me/second-step/off', ['present' => 'not that'])->assertStatus(422);
    $this->call_('POST', '/me/second-step/off', ['present' => 'a present password'])->assertOk();
    comeIn($this->keeper)->assertOk();
    expect(DB::table('recovery_codes')->count())->toBe(0);
});

it('lets nobody guess: wrong codes are counted by account, from wherever they come', function () {
    [$secret] = withSecondStep($this->keeper);
    for ($i = 0; $i < 10; $i++) {
        $this->serverVariables = ['REMOTE_ADDR' => "192.0.2.{$i}"];
        comeIn($this->keeper, '000000')->assertStatus(422)->assertJsonPath('faults.0.reason', 'wrong');
    }
    comeIn($this->keeper, codeNow($secret))->assertStatus(422)->assertJsonPath('faults.0.reason', 'often');
    Carbon::setTestNow(Carbon::now()->addMinutes(16));
    comeIn($this->keeper, codeNow($secret))->assertOk();
});

it('is asked for by a new-password link too, which is good again after a wrong code', function () {
    $helper = $this->member(Role::Helper);
    [$secret] = withSecondStep($helper);
    $link = basename(
        $this->atHouse('POST', "/people/{$helper->uid}/reset")
            ->assertOk()
            ->json('link'),
    );
    auth()->logout();
    $use = fn (?string $code) => $this->postJson("/api/resets/{$link}", ['password' => 'a kettle on the wall', 'code' => $code]);
    $use(null)->assertStatus(422)->assertJsonPath('faults.0.reason', 'second');
    $use('000000')->assertStatus(422)->assertJsonPath('faults.0.reason', 'wrong');
    expect(password_verify('a present password', $helper->refresh()->password))->toBeTrue();
    $use(codeNow($secret))->assertOk();
    expect(password_verify('a kettle on the wall', $helper->refresh()->password))->toBeTrue();
});

it('is taken off by who looks after the machine, and opens nothing under another key', function () {
    [$secret, $codes] = withSecondStep($this->keeper);
    // As after a restore without the secrets.
    DB::table('second_steps')->update(['secret' => 'shut with another key']);
    comeIn($this->keeper, codeNow($secret))->assertStatus(422)->assertJsonPath('faults.0.reason', 'wrong');
    comeIn($this->keeper, $codes[0])->assertOk();
    expect(Artisan::call('kettle:password', ['email' => $this->keeper->email]))
        ->toBe(0)
        ->and(SecondStep::query()->count())
        ->toBe(1);
    expect(Artisan::call('kettle:password', ['email' => $this->keeper->email, '--second-off' => true]))->toBe(0);
    comeIn($this->keeper)->assertOk();
    $says = array_column($this->atHouse('GET', '/trail')->json('events'), 'says');
    expect($says)->toContain(
        "{$this->keeper->name} put a second step at the door",
        "{$this->keeper->name} took the second step from the door",
        "{$this->keeper->name} came in by a code from paper",
        "A wrong code was given for {$this->keeper->name}, after the right password",
    );
});
