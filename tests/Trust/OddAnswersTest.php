<?php

/*
 * What the front answers when something is not as it should be: asked over the wire, of an instance as it is installed.
 */

require_once __DIR__.'/../Kettles.php';

/** @return array{status: int, head: string, body: string} */
function asked(string $path, string $with = ''): array
{
    $url = settings('trust')['APP_URL'];
    $file = tempnam(sys_get_temp_dir(), 'kettle');
    $head = (string) shell_exec("curl -s -m 20 -D - -o {$file} {$with} ".escapeshellarg($url.$path));
    $body = (string) file_get_contents($file);
    unlink($file);
    preg_match('/^HTTP\/\S+ (\d+)/', $head, $m);

    return ['status' => (int) ($m[1] ?? 0), 'head' => strtolower($head), 'body' => $body];
}

function sessionsKept(): int
{
    return (int) database()->query('SELECT COUNT(*) FROM sessions')->fetchColumn();
}

/** @param  \Closure(): bool  $is */
function eventually(Closure $is, float $seconds = 10.0): float
{
    $began = microtime(true);
    while (! $is() && microtime(true) - $began < $seconds) {
        usleep(100_000);
    }

    return microtime(true) - $began;
}

beforeAll(fn () => demoed());

it('answers for a file that is not there with a 404, no cookie, and nothing to be kept', function (string $path) {
    $answer = asked($path);
    expect($answer['status'])
        ->toBe(404)
        ->and($answer['head'])
        ->not->toContain('set-cookie')
        ->not->toContain('immutable')
        ->and($answer['body'])
        ->not->toContain('<script');
})->with([
    '/build/assets/nothing-123.js',
    '/build/nothing.css',
    '/nothing.png',
    '/favicon.ico',
    '/.env',
    '/h/x/nothing.js',
    '/index.php',
    '/build/.vite/manifest.json',
]);

it('keeps what is there for a year, by its name', function () {
    preg_match('#/build/assets/[\w.-]+\.js#', asked('/')['body'], $script);
    $answer = asked($script[0]);
    expect($answer['status'])->toBe(200)->and($answer['head'])->toContain('immutable')->not->toContain('set-cookie');
});

it('refuses a host that is not its own', function () {
    foreach (['evil.example', 'warm-kettle.example:80', '127.0.0.1.evil.example'] as $host) {
        foreach (['/', '/api/me', '/build/assets/x.js'] as $path) {
            $answer = asked($path, "-H 'Host: {$host}'");
            expect($answer['status'])->toBe(421)->and($answer['body'])->toBe('')->and($answer['head'])->not->toContain('set-cookie');
        }
    }
});

it('keeps no session of who only looks in, and holds a sign-in to its token all the same', function () {
    $before = sessionsKept();
    foreach (['/', '/sign-in', '/api/me', '/h/nobody/bench', '/api/houses/nobody', '/api/nothing', '/api/example'] as $path) {
        asked($path);
    }
    expect(sessionsKept())->toBe($before);
    $jar = tempnam(sys_get_temp_dir(), 'jar');
    $post = fn (string $token): array => asked(
        '/api/demo',
        "-b {$jar} -c {$jar} -X POST -H 'Accept: application/json' -H 'Content-Type: application/json' -d '{}' -H ".
            escapeshellarg("X-XSRF-TOKEN: {$token}"),
    );
    asked('/sign-in', "-c {$jar}");
    preg_match('/XSRF-TOKEN\s+(\S+)/', (string) file_get_contents($jar), $m);
    $token = rawurldecode($m[1]);
    expect($post('')['status'])->toBe(419)->and($post('made up')['status'])->toBe(419)->and(sessionsKept())->toBe($before);
    // Another's token, rightly made, is not this one's.
    $other = tempnam(sys_get_temp_dir(), 'jar');
    asked('/sign-in', "-c {$other}");
    preg_match('/XSRF-TOKEN\s+(\S+)/', (string) file_get_contents($other), $m);
    expect($post(rawurldecode($m[1]))['status'])->toBe(419);
    $in = $post($token);
    expect($in['status'])
        ->toBe(200)
        ->and(sessionsKept())
        ->toBe($before + 1);
    expect(asked('/api/me', "-b {$jar}")['body'])->toContain('keeper');
    // Signed out, it is nobody's again, and the number of before opens nothing.
    $kept = (string) file_get_contents($jar);
    preg_match('/XSRF-TOKEN\s+(\S+)/', $kept, $m);
    $out = asked(
        '/api/session',
        "-b {$jar} -c {$jar} -X DELETE -H 'Accept: application/json' -H 'Idempotency-Key: out-and-away-1' -H ".
            escapeshellarg('X-XSRF-TOKEN: '.rawurldecode($m[1])),
    );
    expect($out['status'])->toBeLessThan(300);
    file_put_contents($jar, $kept);
    expect(asked('/api/me', "-b {$jar}")['body'])->not->toContain('keeper@');
    unlink($jar);
    unlink($other);
});

it('believes nobody who says from where a question comes', function () {
    // Ten tries a minute for one name from one address: said to come from elsewhere each time, it is the same address.
    $last = 0;
    $jar = tempnam(sys_get_temp_dir(), 'jar');
    asked('/sign-in', "-c {$jar}");
    preg_match('/XSRF-TOKEN\s+(\S+)/', (string) file_get_contents($jar), $m);
    for ($i = 1; $i <= 12; $i++) {
        $last = asked(
            '/api/session',
            "-b {$jar} -X POST -H 'Accept: application/json' -H 'Content-Type: application/json' -H 'X-Forwarded-For: 198.51.100.{$i}' ".
                "-H 'Forwarded: for=198.51.100.{$i}' -H 'X-Real-IP: 198.51.100.{$i}' -H ".
                escapeshellarg('X-XSRF-TOKEN: '.rawurldecode($m[1])).
                ' -d '.
                escapeshellarg(json_encode(['email' => 'keeper@skerry.example', 'password' => 'not the one'])),
        );
    }
    unlink($jar);
    expect($last['status'])->toBe(429)->and($last['head'])->toContain('retry-after');
    // Nor by which name, or how: no link is made of what was sent.
    expect(asked('/sign-in', "-H 'X-Forwarded-Host: evil.example' -H 'X-Forwarded-Proto: https'")['body'])->not->toContain('evil.example');
});

it('says that the database is away, writes it down once, and is back by itself', function () {
    $log = HERE.'/var/trust/storage/logs/laravel.log';
    $before = is_file($log) ? (int) filesize($log) : 0;
    $pid = (int) file_get_contents(HERE.'/var/trust/run/mariadb.pid');
    // Held down, so that it does not come back while it is asked.
    shell('sv -w 20 down '.HERE.'/var/trust/sv/mariadb');
    foreach (['/', '/sign-in', '/h/nobody/bench'] as $path) {
        $page = asked($path);
        expect($page['status'])
            ->toBe(503)
            ->and($page['head'])
            ->toContain('retry-after: 5')
            ->toContain('text/html')
            ->and($page['body'])
            ->toContain('being looked after')
            ->not->toContain('SQLSTATE')
            ->not->toContain('kettle@');
    }
    for ($i = 0; $i < 20; $i++) {
        $api = asked('/api/me', "-H 'Accept: application/json'");
        expect($api['status'])
            ->toBe(503)
            ->and($api['head'])
            ->toContain('retry-after: 5')
            ->toContain('application/problem+json')
            ->and(json_decode($api['body'], true)['detail'])
            ->toContain('Try again');
    }
    $written = (string) file_get_contents($log, offset: $before);
    expect(substr_count($written, '.ERROR:'))->toBeLessThanOrEqual(2)->and($written)->not->toContain(settings()['DB_PASSWORD']);
    expect(kettle('doctor', code: 1))->toContain('mariadb: does not run');
    shell('sv up '.HERE.'/var/trust/sv/mariadb');
    expect(eventually(fn () => asked('/api/me')['status'] === 200))->toBeLessThan(10.0);
    // Killed, it is back as well.
    $pid = (int) file_get_contents(HERE.'/var/trust/run/mariadb.pid');
    posix_kill($pid, SIGKILL);
    expect(
        eventually(fn () => asked('/api/me')['status'] === 200 && (int) @file_get_contents(HERE.'/var/trust/run/mariadb.pid') !== $pid),
    )->toBeLessThan(10.0);
    expect(kettle('doctor'))->toContain('fpm: runs and answers')->toContain('backup: ')->toContain('Composer packages: ');
});

it('waits for a part that is between two lives, and says of one that never stays that it is not well', function () {
    $run = HERE.'/var/trust/run';
    $part = HERE.'/var/trust/sv/queue';
    $status = fn () => trim((string) shell_exec("sv status {$part}"));
    // After its fifth fault it is left alone for a second before it is begun again.
    file_put_contents("{$run}/queue.faults", '4');
    posix_kill((int) file_get_contents("{$run}/queue.pid"), SIGKILL);
    expect(eventually(fn () => str_starts_with($status(), 'finish: '), 2.0))->toBeLessThan(2.0);
    expect(kettle('doctor'))->toMatch('/queue: runs/');
    // Twelve times in a row, and the last of them just now.
    expect(eventually(fn () => str_starts_with($status(), 'run: ')))->toBeLessThan(10.0);
    file_put_contents("{$run}/queue.faults", '11');
    posix_kill((int) file_get_contents("{$run}/queue.pid"), SIGKILL);
    expect(eventually(fn () => str_starts_with($status(), 'finish: '), 2.0))->toBeLessThan(2.0);
    expect(kettle('doctor', code: 1))->toContain('queue: ends again and again');
    unlink("{$run}/queue.faults");
    // Held down by who looks after it, it does not run, and nobody waits for it.
    shell("sv -w 20 down {$part}");
    expect(kettle('doctor', code: 1))->toContain('queue: does not run');
    shell("sv up {$part}");
    expect(kettle('doctor'))->toMatch('/queue: runs/');
});
