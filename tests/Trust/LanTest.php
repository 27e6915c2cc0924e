<?php

/*
 * The house on its own network: asked over TLS by curl and by openssl, as a phone there would.
 */

require_once __DIR__.'/../Kettles.php';

const NAME = 'kettle.test';

beforeAll(function (): void {
    demoed();
    // Ports of its own, that the machine's may be taken.
    $free = fn () => explode(':', (string) stream_socket_get_name(stream_socket_server('tcp://127.0.0.1:0'), false))[1];
    file_put_contents(HERE.'/var/trust/env', "KETTLE_TLS_PORT={$free()}\nKETTLE_TRUST_PORT={$free()}\n", FILE_APPEND);
    kettle('up --lan '.NAME);
});

afterAll(fn () => kettle('up --local'));

function authority(): string
{
    return HERE.'/var/trust/tls/pki/authorities/local/root.crt';
}

/** @return array{status: int, head: string, body: string, code: int} the last of curl itself */
function overTls(string $path, string $with = ''): array
{
    $port = settings('trust')['KETTLE_TLS_PORT'];
    $file = tempnam(sys_get_temp_dir(), 'kettle');
    exec(
        "curl -s -m 20 -D - -o {$file} --resolve ".NAME.":{$port}:127.0.0.1 {$with} https://".NAME.":{$port}{$path}",
        $head,
        $code,
    );
    preg_match('/^HTTP\/\S+ (\d+)/', $head[0] ?? '', $m);
    $body = (string) file_get_contents($file);
    unlink($file);

    return ['status' => (int) ($m[1] ?? 0), 'head' => strtolower(implode("\n", $head)), 'body' => $body, 'code' => $code];
}

it('is served over TLS by an authority of its own, with HSTS and cookies that go over nothing else', function () {
    $me = overTls('/api/me', '--cacert '.authority());
    expect($me['status'])
        ->toBe(200)
        ->and($me['head'])
        ->toContain('strict-transport-security: max-age=31536000')
        ->and(preg_match_all('/^set-cookie: .*; secure;/m', $me['head']))
        ->toBe(2);
    expect(overTls('/sign-in', '--cacert '.authority())['body'])->toContain('Warm Kettle');
    // Who does not know the authority is not let believe it: 60 is curl's "not authenticated".
    expect(overTls('/api/me')['code'])->toBe(60);
    // On the machine itself it is as it was, and binds nobody to TLS.
    $plain = shell('curl -s -D - -o /dev/null '.settings('trust')['APP_URL'].'/api/me');
    expect($plain)->toContain('200')->and(strtolower($plain))->not->toContain('strict-transport')->not->toContain('; secure');
});

it('speaks TLS 1.2 and 1.3 and nothing older, with a chain that openssl verifies', function () {
    $port = settings('trust')['KETTLE_TLS_PORT'];
    $connect = fn (string $with) => (string) shell_exec(
        "openssl s_client -connect 127.0.0.1:{$port} -servername ".
            NAME.
            ' -verify_hostname '.
            NAME.
            ' -CAfile '.
            authority().
            " {$with} </dev/null 2>&1",
    );
    expect($connect('-tls1_3'))->toContain('Verify return code: 0 (ok)')->toContain('TLSv1.3');
    expect($connect('-tls1_2'))->toContain('Verify return code: 0 (ok)');
    expect($connect('-tls1_1 -cipher DEFAULT@SECLEVEL=0'))->toContain('Cipher is (NONE)');
});

it('tells a phone how to trust it, by a fingerprint that is the authority’s, and serves nothing else unshut', function () {
    $port = settings('trust')['KETTLE_TRUST_PORT'];
    $ask = fn (string $path, string $name = NAME) => shell(
        "curl -s -m 10 -w '\\n%{http_code}' --resolve {$name}:{$port}:127.0.0.1 http://{$name}:{$port}{$path}",
    );
    $print = explode('=', shell('openssl x509 -in '.authority().' -noout -fingerprint -sha256'))[1];
    expect($ask('/'))
        ->toContain($print)
        ->toContain('https://'.NAME)
        ->toEndWith('200');
    $given = shell(
        'curl -s --resolve '.
            NAME.
            ":{$port}:127.0.0.1 http://".
            NAME.
            ":{$port}/kettle.crt | openssl x509 -noout -fingerprint -sha256",
    );
    expect($given)->toContain($print)->and(kettle('lan'))->toContain($print);
    foreach (['/api/me', '/sign-in', '/index.php', '/../run/Caddyfile', '/pki/authorities/local/root.key'] as $path) {
        expect($ask($path))->toEndWith('404');
    }
    expect($ask('/', 'another.test'))->toEndWith('421');
    // The key of the authority is nobody else's to read.
    expect(fileperms(dirname(authority()).'/root.key') & 0o077)->toBe(0);
});

it('writes nothing down that opens a door', function () {
    $secret = str_repeat('Open', 10);
    foreach (["/join/{$secret}", "/new-password/{$secret}", "/api/invitations/{$secret}", "/feeds/{$secret}.ics"] as $path) {
        overTls(
            $path,
            '--cacert '.
                authority().
                " -H 'Authorization: Bearer {$secret}' -H 'X-XSRF-TOKEN: {$secret}' -b session={$secret} -H 'Idempotency-Key: {$secret}'",
        );
    }
    usleep(500_000);
    foreach ((array) glob(HERE.'/var/trust/{log,storage/logs}/*', GLOB_BRACE) as $log) {
        expect((string) file_get_contents((string) $log))->not->toContain($secret);
    }
    expect((string) file_get_contents(HERE.'/var/trust/log/access.log'))->toContain('/new-password/…');
});

it('takes a certificate that is given, and is alone again when it is told', function () {
    $folder = folder();
    shell(
        'openssl req -x509 -newkey rsa:2048 -nodes -days 2 -subj /CN='.
            NAME.
            ' -addext subjectAltName=DNS:'.
            NAME.
            " -keyout {$folder}/k.pem -out {$folder}/c.pem",
    );
    expect(kettle('up --lan '.NAME." --cert {$folder}/c.pem", code: 1))->toContain('comes with its key');
    expect(kettle('up --lan "not a name"', code: 1))->toContain('is no name of a machine');
    kettle('up --lan '.NAME." --cert {$folder}/c.pem --key {$folder}/k.pem");
    expect(overTls('/api/me', "--cacert {$folder}/c.pem")['status'])->toBe(200);
    // There is nothing to explain then. 7 is curl's "could not connect".
    exec('curl -s -m 5 http://127.0.0.1:'.settings('trust')['KETTLE_TRUST_PORT'].'/', $out, $code);
    expect($code)->toBe(7);
    kettle('up --local');
    expect(overTls('/api/me', "--cacert {$folder}/c.pem")['code'])->toBe(7);
    shell('curl -fsS -o /dev/null '.settings('trust')['APP_URL'].'/api/me');
});
