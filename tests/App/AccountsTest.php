<?php

use App\Models\Tenancy\Role;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;

function newAccount(string $password, array $more = []): Illuminate\Testing\TestResponse
{
    auth()->logout();

    return test()->postJson('/api/accounts', [
        'name' => 'Maren',
        'email' => 'maren.holm@example.org',
        'password' => $password,
        'house' => 'The croft',
        ...$more,
    ]);
}

/** A session as the database keeps it. */
function keptSession(User $user, string $id, string $agent = '', int $ago = 0): void
{
    DB::table('sessions')->insert([
        'id' => str_pad($id, 40, 'x'),
        'user_id' => $user->id,
        'ip_address' => '192.0.2.7',
        'user_agent' => $agent,
        'payload' => base64_encode(serialize([])),
        'last_activity' => Carbon::now()->getTimestamp() - $ago,
    ]);
}

it('hashes with argon2id, to the last letter, and hashes anew what was hashed before', function () {
    // 73 letters and more: bcrypt would not tell them apart (PHP manual, password_hash: "truncated to a maximum of 72 bytes").
    $long = str_repeat('nine words that nobody says ', 4);
    newAccount("{$long}a")->assertOk();
    $user = User::query()->where('email', 'maren.holm@example.org')->sole();
    expect($user->password)->toStartWith('$argon2id$');
    // Asked of PHP itself, and not of what hashed it.
    expect(password_verify("{$long}a", $user->password))->toBeTrue()->and(password_verify("{$long}b", $user->password))->toBeFalse();
    auth()->logout();
    $in = fn (string $password) => $this->postJson('/api/session', ['email' => $user->email, 'password' => $password]);
    $in("{$long}b")->assertStatus(422);
    $in("{$long}a")->assertOk();
    auth()->logout();
    DB::table('users')
        ->where('id', $user->id)
        ->update(['password' => password_hash('an old password here', PASSWORD_BCRYPT, ['cost' => 4])]);
    $in('an old password here')->assertOk();
    expect($user->refresh()->password)->toStartWith('$argon2id$')->and(Hash::check('an old password here', $user->password))->toBeTrue();
    // As an installed house hashes: no weaker than OWASP's least.
    $set = (fn () => require base_path('config/hashing.php'))();
    expect(substr((string) file_get_contents(base_path('config/hashing.php')), 0))
        ->toContain("env('ARGON_MEMORY', 19456)")
        ->toContain("env('ARGON_TIME', 2)")
        ->and($set['driver'])
        ->toBe('argon2id');
});

it('refuses a password that is guessed first', function (string $password, string $says) {
    $fault = newAccount($password)->assertStatus(422)->json('faults.0');
    expect($fault['field'])->toBe('password')->and($fault['sentence'])->toContain($says);
})->with([
    'short' => ['nine char', '10'],
    // Of every list of leaked passwords that was published: the first of ten letters and more.
    'a row of keys' => ['qwertyuiop', 'tried first'],
    'figures in a row' => ['1234567890', 'tried first'],
    'a word and figures' => ['Password123', 'tried first'],
    'a game' => ['basketball', 'tried first'],
    'one letter' => ['aaaaaaaaaaaaaaa', 'over and over'],
    'two in turn' => ['abababababab', 'over and over'],
    'the address' => ['maren.holm@example.org', 'your own'],
    'the name of the address' => ['Maren.Holm!', 'your own'],
    'with figures behind' => ['marenholm1987', 'your own'],
]);

it('takes a few words, in any letters', function (string $password) {
    newAccount($password)->assertOk();
})->with(['a kettle on the harbour wall', 'pörkölt és nokedli', '冷たい雨の港に立つ灯台守', 'x9$Kq!vB2#', 'the croft and maren']);

it('holds a changed and a new password to the same', function () {
    $this->keeper->update(['password' => 'a present password']);
    $change = fn (string $to) => $this->call_('PUT', '/me/password', ['present' => 'a present password', 'password' => $to]);
    $change('qwertyuiop')->assertStatus(422)->assertJsonPath('faults.0.field', 'password');
    $change($this->keeper->email)->assertStatus(422)->assertJsonPath('faults.0.field', 'password');
    $link = $this->atHouse('POST', "/people/{$this->member(Role::Helper)->uid}/reset")
        ->assertOk()
        ->json('link');
    auth()->logout();
    $this->postJson('/api/resets/'.basename($link), ['password' => '1q2w3e4r5t'])->assertStatus(422);
    $this->postJson('/api/resets/'.basename($link), ['password' => 'a kettle on the wall'])->assertOk();
});

it('shows where one is signed in, and ends it there; never another’s', function () {
    $helper = $this->member(Role::Helper);
    keptSession($this->keeper, 'phone', 'Mozilla/5.0 (Android 14; Mobile; rv:132.0) Gecko/132.0 Firefox/132.0', 7200);
    keptSession(
        $this->keeper,
        'desk',
        'Mozilla/5.0 (X11; Linux x86_64) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/131.0 Safari/537.36',
        60,
    );
    keptSession($this->keeper, 'script');
    keptSession($helper, 'hers', 'Mozilla/5.0 (iPhone; CPU iPhone OS 18_0 like Mac OS X) AppleWebKit/605.1.15 Version/18.0 Safari/604.1');
    $all = $this->call_('GET', '/me/sessions')->assertOk()->json();
    expect(array_column($all['sessions'], 'with'))
        ->toBe(['', 'Chrome on Linux', 'Firefox on Android'])
        ->and($all['sessions'][2])
        ->toMatchArray(['from' => '192.0.2.7', 'used' => '2 hours ago', 'here' => false])
        ->and($all['most_days'])
        ->toBe(90);
    // What is shown opens nothing: it is not the number of the session.
    expect(json_encode($all))->not->toContain('phone');
    $phone = $all['sessions'][2]['id'];
    $hers = $this->call_('GET', '/me/sessions', as: $helper)->json('sessions.0');
    expect($hers['with'])->toBe('Safari on iPhone');
    $this->call_('DELETE', "/me/sessions/{$hers['id']}")->assertNotFound();
    $this->call_('DELETE', '/me/sessions/'.str_repeat('0', 32))->assertNotFound();
    expect(
        $this->call_('DELETE', "/me/sessions/{$phone}")
            ->assertOk()
            ->json('sessions'),
    )->toHaveCount(2);
    $this->call_('DELETE', "/me/sessions/{$phone}")->assertNotFound();
    $this->call_('DELETE', '/me/sessions')->assertOk();
    expect(DB::table('sessions')->where('user_id', $this->keeper->id)->count())
        ->toBe(0)
        ->and(DB::table('sessions')->where('user_id', $helper->id)->count())
        ->toBe(1);
    auth()->logout();
    $this->getJson('/api/me/sessions')->assertUnauthorized();
});

it('shows and ends nobody else’s of the account that anybody may enter', function () {
    $this->house->update(['is_demo' => true]);
    keptSession($this->keeper, 'another');
    expect($this->call_('GET', '/me/sessions')->assertOk()->json('sessions'))->toBe([]);
    $this->call_('DELETE', '/me/sessions')->assertOk();
    expect(DB::table('sessions')->where('user_id', $this->keeper->id)->count())->toBe(1);
});

it('ends a session after its days, however often it was used', function () {
    Carbon::setTestNow('2026-11-24T09:00:00Z');
    $seen = function (mixed $began): array {
        $request = Illuminate\Http\Request::create('/api/me');
        $session = app('session')->driver();
        $session->flush();
        $session->put(['who' => 7, ...$began === null ? [] : ['began' => $began]]);
        $seen = [];
        app(App\Http\Middleware\StartSession::class)->handle($request, function ($request) use (&$seen) {
            $seen = $request->session()->all();

            return response('');
        });

        return $seen;
    };
    $days = fn (float $ago): int => Carbon::now()->getTimestamp() - (int) ($ago * 86400);
    expect($seen($days(89.9))['who'] ?? null)
        ->toBe(7)
        ->and($seen($days(90.1)))
        ->not->toHaveKey('who')
        // One of before this was counted begins now.
        ->and($seen(null))
        ->toMatchArray(['who' => 7, 'began' => $days(0)]);
    config(['kettle.session_days' => 7]);
    expect($seen($days(7.1)))->not->toHaveKey('who');
});

it('lets in who may make an account, and tells others nothing of who is here', function () {
    $link = $this->atHouse('POST', '/invitations', ['role' => 'helper'])->json('link');
    $token = basename($link);
    $of = fn (string $email, array $more = []) => newAccount('a kettle on the wall', ['email' => $email, ...$more]);
    config(['kettle.registration' => 'closed']);
    $of('new@example.org')->assertStatus(422)->assertJsonPath('faults.0.reason', 'not_open');
    $of('new@example.org', ['invitation' => $token])->assertStatus(422);
    // Of somebody who is here the answer is word for word the same.
    expect($of($this->keeper->email)->getContent())->toBe($of('nobody@example.org')->getContent());
    config(['kettle.registration' => 'invited']);
    $of('new@example.org')->assertStatus(422)->assertJsonPath('faults.0.reason', 'not_open');
    $of('new@example.org', ['invitation' => 'made up'])->assertStatus(422);
    expect($of($this->keeper->email)->getContent())->toBe($of('nobody@example.org')->getContent());
    $of('new@example.org', ['invitation' => $token])
        ->assertOk()
        ->assertJsonPath('registration', 'invited');
    $this->postJson("/api/invitations/{$token}", [], ['Idempotency-Key' => 'join-the-house-1'])->assertOk();
    // Used, it lets in nobody more.
    $of('third@example.org', ['invitation' => $token])->assertStatus(422);
    // What is set and not understood lets in nobody.
    config(['kettle.registration' => 'opne']);
    $of('fourth@example.org')->assertStatus(422);
    config(['kettle.registration' => 'open']);
    $of('fourth@example.org')->assertOk();
});

it('makes an account by the command, for who cannot by themselves', function () {
    $made = function (string $email, string $name): array {
        $code = Illuminate\Support\Facades\Artisan::call('kettle:account', ['email' => $email, 'name' => $name]);

        return [$code, Illuminate\Support\Facades\Artisan::output()];
    };
    [$code, $says] = $made('Una@Example.org', 'Una');
    expect($code)->toBe(0);
    preg_match('#/new-password/(\S+)#', $says, $m);
    auth()->logout();
    $this->postJson("/api/resets/{$m[1]}", ['password' => 'a kettle on the wall'])
        ->assertOk()
        ->assertJsonPath('email', 'una@example.org');
    expect($made('una@example.org', 'Una')[0])->toBe(1)->and($made('no address', 'Una')[0])->toBe(1);
});
