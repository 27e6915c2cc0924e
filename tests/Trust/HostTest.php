<?php

/*
 * What a host asks: health, counts that its own tool reads, logs that its own tool reads.
 */

require_once __DIR__.'/../Kettles.php';

beforeAll(function (): void {
    demoed();
    file_put_contents(HERE.'/var/trust/env', "KETTLE_METRICS_KEY=a-key-of-the-host\nKETTLE_LOG=json\n", FILE_APPEND);
    kettle('up');
});

afterAll(function (): void {
    $env = HERE.'/var/trust/env';
    file_put_contents($env, preg_replace('/^KETTLE_(METRICS_KEY|LOG)=.*\n/m', '', (string) file_get_contents($env)));
    kettle('up');
});

/** Debian's own tool of Prometheus, unpacked beside and not installed: nothing of it is to run here. */
function promtool(): string
{
    $there = HERE.'/var/tools/usr/bin/promtool';
    if (! is_file($there)) {
        shell(
            'mkdir -p '.
                HERE.
                '/var/tools && cd '.
                HERE.
                '/var/tools && apt-get download -q prometheus >/dev/null && dpkg -x prometheus_*.deb . && rm prometheus_*.deb',
        );
    }

    return $there;
}

it('gives counts of the house and of the web server that promtool has nothing to say of', function () {
    $url = settings('trust')['APP_URL'];
    foreach (['/metrics' => 'kettle_batches{stage=', '/metrics/web' => 'caddy_http_requests_total'] as $path => $has) {
        expect(shell("curl -s -o /dev/null -w '%{http_code}' {$url}{$path}"))->toBe('404');
        $text = shell("curl -fsS -H 'Authorization: Bearer a-key-of-the-host' {$url}{$path}");
        expect($text)->toContain($has);
        $checked = shell(
            "curl -fsS -H 'Authorization: Bearer a-key-of-the-host' {$url}{$path} | ".promtool().' check metrics 2>&1 || true',
        );
        // The web server's own names are not ours to change.
        expect($path === '/metrics' ? $checked : preg_replace('/^(caddy|go|process|promhttp)_.*$/m', '', $checked))->not->toMatch('/\S/');
    }
});

it('is ready while all of it runs, and says what is not', function () {
    $url = settings('trust')['APP_URL'];
    $ready = function () use ($url): array {
        $said = shell("curl -s -w '\n%{http_code}' {$url}/health/ready");

        return [(int) substr($said, -3), (array) json_decode(substr($said, 0, -4), true)];
    };
    // The scheduler gives its sign of life at the full minute.
    for ($i = 0; $i < 300 && $ready()[0] !== 200; $i++) {
        usleep(300_000);
    }
    expect($ready())->toBe([200, ['database' => true, 'queue' => true, 'scheduler' => true, 'devices' => true]]);
    shell('sv -w 20 down '.HERE.'/var/trust/sv/mariadb');
    [$code, $says] = $ready();
    expect($code)->toBe(503)->and($says['database'])->toBeFalse();
    // It lives all the same: a host does not begin a worker anew for a database that is away.
    expect(shell("curl -fsS {$url}/health/live"))->toBe('ok');
    // What is told of it is a line of JSON.
    shell("curl -s -o /dev/null {$url}/api/me");
    shell('sv -w 20 up '.HERE.'/var/trust/sv/mariadb');
    $lines = array_filter(explode("\n", (string) file_get_contents(HERE.'/var/trust/storage/logs/laravel.log')));
    $last = json_decode((string) end($lines), true);
    expect($last)
        ->toBeArray()
        ->and($last['level_name'] ?? null)
        ->toBe('ERROR')
        ->and($last)
        ->toHaveKeys(['message', 'datetime', 'context']);
    // The scheduler gives its sign of life at the full minute.
    for ($i = 0; $i < 300 && $ready()[0] !== 200; $i++) {
        usleep(300_000);
    }
    expect($ready()[0])->toBe(200);
});
