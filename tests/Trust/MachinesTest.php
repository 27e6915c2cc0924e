<?php

/*
 * One house on several machines: two instances that share a database, a Redis of Debian's and a folder, each with some of the parts.
 */

require_once __DIR__.'/../Kettles.php';
require_once __DIR__.'/../../perf/Client.php';

/** The Redis of this file, begun and ended by it. */
function redis(bool $on): void
{
    static $process = null;
    if ($process !== null) {
        proc_terminate($process);
        proc_close($process);
        $process = null;
    }
    if ($on) {
        $process = proc_open(
            ['redis-server', '--port', (string) shared()['port'], '--bind', '127.0.0.1', '--requirepass', 'between us', '--save', ''],
            [1 => ['file', '/dev/null', 'w']],
            $pipes,
        );
        shell('timeout 5 bash -c "until (exec 3<>/dev/tcp/127.0.0.1/'.shared()['port'].') 2>/dev/null; do sleep 0.05; done"');
    }
}

/** @return array{port: int, folder: string, second: int} what the two machines share besides the database */
function shared(): array
{
    static $shared = null;

    return $shared ??= ['port' => (int) freePort(), 'folder' => folder(), 'second' => (int) freePort()];
}

/** @return array{0: Client, 1: string} signed in at Skerry House at the first machine, and the house's path */
function signedIn(): array
{
    $client = new Client(settings()['APP_URL']);
    $client->get('/api/me');
    $client->post('/api/demo', '{}');
    $me = json_decode($client->get('/api/me'), true);

    return [$client, "/api/houses/{$me['houses'][0]['id']}"];
}

beforeAll(function (): void {
    demoed();
    redis(true);
    shell('cp '.HERE.'/var/trust/env '.HERE.'/var/trust/env.was');
    takenAway('trust-new');
    mkdir(HERE.'/var/trust-new');
    $both = [
        'KETTLE_REDIS' => '"redis://:between%20us@127.0.0.1:'.shared()['port'].'"',
        'KETTLE_SHARED' => shared()['folder'],
        'KETTLE_DOOR_A_MINUTE' => '6',
        'KETTLE_METRICS_KEY' => 'counted',
    ];
    settle('trust', [...settings(), ...$both, 'KETTLE_PARTS' => '"mariadb fpm caddy queue scheduler live devices"']);
    kettle('up');
    $port = (string) shared()['second'];
    settle('trust-new', [
        ...settings(),
        'APP_URL' => "http://127.0.0.1:{$port}",
        'WEB_PORT' => $port,
        'KETTLE_DB' => 'outside',
        'KETTLE_PARTS' => '"fpm caddy long"',
    ]);
    kettle('up', 'trust-new');
});

afterAll(function (): void {
    kettle('stop', 'trust-new');
    redis(false);
    shell('rm -rf '.HERE.'/var/trust-new '.shared()['folder'].'; cd '.HERE.'/var/trust; cp env.was env; rm env.was');
    kettle('up');
});

it('runs on each the parts that were named for it, and is asked for no others', function () {
    $runs = fn (string $instance): array => array_map(
        fn (string $file) => basename($file, '.pid'),
        array_filter((array) glob(HERE."/var/{$instance}/run/*.pid"), fn (string $file) => basename($file) !== 'watch.pid'),
    );
    expect(array_values($runs('trust')))
        ->toBe(['caddy', 'devices', 'fpm', 'live', 'mariadb', 'queue', 'scheduler'])
        ->and(array_values($runs('trust-new')))
        ->toBe(['caddy', 'fpm', 'long']);
    // And is watched over by one, whatever stood in its place before.
    expect(shell("pgrep -fc '^runsvdir -P ".realpath(HERE)."/var/trust-new/sv'"))->toBe('1');
    expect(json_decode(shell('curl -fsS '.settings('trust-new')['APP_URL'].'/health/ready'), true))->toBe(['database' => true]);
    expect(kettle('doctor', 'trust-new'))->toContain('the shared cache: answers')->not->toContain('devices');
});

it('knows at one who came in at the other, and what was written there', function () {
    [$client, $house] = signedIn();
    $client->base = settings('trust-new')['APP_URL'];
    expect(json_decode($client->get('/api/me'), true)['signed_in'])->toBeTrue();
    $batch = json_decode($client->get("{$house}/today"), true);
    preg_match('/"batch":"(\w{26})"/', (string) json_encode($batch), $m);
    $client->post("{$house}/batches/{$m[1]}/notes", '{"note": "Written at the second machine."}');
    $client->base = settings()['APP_URL'];
    expect($client->get("{$house}/batches/{$m[1]}"))->toContain('Written at the second machine.');
});

it('takes a whole house out and in over both: begun at one, carried by the other, sent in pieces to either', function () {
    [$client, $house] = signedIn();
    [$one, $two] = [settings()['APP_URL'], settings('trust-new')['APP_URL']];
    $done = function (string $way) use ($client, $house): array {
        for ($i = 0; $i < 300; $i++) {
            $is = json_decode($client->get("{$house}/transfers"), true)[$way];
            if (in_array($is['state'], ['done', 'failed'], true)) {
                break;
            }
            usleep(200_000);
        }
        expect($is['state'])->toBe('done', (string) json_encode($is));

        return $is;
    };
    $client->post("{$house}/transfers", '{"way": "out"}');
    $out = $done('out');
    $zip = $client->get("{$house}/transfers/{$out['id']}/file");
    $client->base = $two;
    expect($client->get("{$house}/transfers/{$out['id']}/file"))->toBe($zip)->and(substr($zip, 0, 2))->toBe('PK');
    expect(glob(shared()['folder'].'/transfers/*.zip'))
        ->toHaveCount(1)
        ->and(glob(HERE.'/var/trust*/storage/app/transfers/*.zip'))
        ->toBe([]);

    $in = json_decode($client->post("{$house}/transfers", (string) json_encode(['way' => 'in', 'size' => strlen($zip)])), true);
    $size = intdiv(strlen($zip), 5) + 1;
    foreach (str_split($zip, $size) as $i => $part) {
        $client->base = $i % 2 === 0 ? $one : $two;
        $client->post(
            "{$house}/transfers/{$in['id']}/bytes",
            (string) json_encode(['from' => $i * $size, 'base64' => base64_encode($part)]),
        );
    }
    $client->base = $one;
    $client->post("{$house}/transfers/{$in['id']}/take", '{}');
    $done('in');
});

it('counts tries at the door together, and each for itself while the cache is away', function () {
    $try = function (string $instance): int {
        $client = new Client(settings($instance)['APP_URL']);
        $client->get('/api/me');
        try {
            $client->post('/api/session', '{"email": "nobody@example.org", "password": "no such password"}');
        } catch (RuntimeException $e) {
            return $e->getCode();
        }

        return 200;
    };
    // A minute of six tries, whichever way they go.
    $all = [];
    for ($i = 0; $i < 8; $i++) {
        $all[] = $try($i % 2 === 0 ? 'trust' : 'trust-new');
    }
    expect(array_slice($all, 0, 5))->each->toBe(422);
    expect(array_slice($all, 6))->each->toBe(429);

    $metrics = fn (): string => shell("curl -fsS -H 'Authorization: Bearer counted' ".settings('trust-new')['APP_URL'].'/metrics');
    expect($metrics())->toContain("\nkettle_shared_cache_up 1");
    redis(false);
    expect(kettle('doctor', 'trust-new', code: 1))->toContain('the shared cache: does not answer');
    expect($metrics())->toContain("\nkettle_shared_cache_up 0");
    [$client, $house] = signedIn();
    expect($client->get("{$house}/today"))->toContain('"batch"');
    expect($try('trust-new'))->toBe(422);
    $away = array_map(fn () => $try('trust-new'), range(1, 8));
    expect($away)->toContain(429)->not->toContain(500, 503);
    redis(true);
    expect($try('trust'))->toBe(422);
});

it('refuses settings that cannot be, by name', function (array $wrong, string $says) {
    $was = (string) file_get_contents(HERE.'/var/trust-new/env');
    settle('trust-new', [...settings('trust-new'), ...$wrong]);
    expect(kettle('up', 'trust-new', code: 1))->toContain($says);
    file_put_contents(HERE.'/var/trust-new/env', $was);
})->with([
    'a part that is none' => [['KETTLE_PARTS' => '"fpm candy"'], 'names “candy”'],
    'no database, and none elsewhere' => [['KETTLE_DB' => 'here'], 'leaves out mariadb'],
    'no Redis' => [['KETTLE_REDIS' => 'localhost:6379'], 'redis:// or tls://'],
    'no such folder' => [['KETTLE_SHARED' => '/nowhere/at/all'], 'There is no folder /nowhere/at/all'],
]);
