<?php

// Instances of their own, run by the command that people use: for tests of what a machine does to a house.

const HERE = __DIR__.'/..';

const PASSPHRASE = 'three words together';

/** @param  array<string, string>  $env */
function kettle(string $command, string $instance = 'trust', array $env = [], int $code = 0): string
{
    $all = [
        ...array_diff_key(
            getenv(),
            array_flip(['APP_ENV', 'DB_DATABASE', 'DB_PORT', 'APP_URL', 'WEB_PORT', 'KETTLE_CLOCK_FILE', 'KETTLE_VAR']),
        ),
        'KETTLE_INSTANCE' => $instance,
        'KETTLE_PASSPHRASE' => PASSPHRASE,
        ...$env,
    ];
    // What it starts outlives it, and holds what it was given: so its words go by a file.
    $said = tempnam(sys_get_temp_dir(), 'kettle');
    $process = proc_open(['bash', '-c', "./kettle {$command} >{$said} 2>&1 </dev/null"], [], $pipes, HERE, $all);
    $is = proc_close($process);
    $words = (string) file_get_contents($said);
    unlink($said);
    expect($is)->toBe($code, $words);

    return $words;
}

/** @return array<string, string> the settings of an instance */
function settings(string $instance = 'trust'): array
{
    preg_match_all('/^([A-Z_]+)=(.*)$/m', (string) file_get_contents(HERE."/var/{$instance}/env"), $m);

    return array_combine($m[1], $m[2]);
}

/** A port that nobody has. */
function freePort(): string
{
    return trim(
        shell('php -r \'$s = stream_socket_server("tcp://127.0.0.1:0"); echo explode(":", stream_socket_get_name($s, false))[1];\''),
    );
}

/** @param  array<string, string>  $is the settings that an instance is to have */
function settle(string $instance, array $is): void
{
    file_put_contents(
        HERE."/var/{$instance}/env",
        implode("\n", array_map(fn (string $name, string $value) => "{$name}={$value}", array_keys($is), $is))."\n",
    );
}

/** By the administrator, at the socket of an instance. */
function database(string $instance = 'trust', ?string $name = null): PDO
{
    $socket = '/tmp/kettle-'.posix_getuid().'-'.substr(hash('sha256', realpath(HERE)."/var/{$instance}"), 0, 10).'/db.sock';

    return new PDO("mysql:unix_socket={$socket};dbname=".($name ?? settings($instance)['DB_DATABASE']), trim(shell('id -un')), '', [
        PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION,
    ]);
}

/** As the application itself does. */
function asApplication(string $instance = 'trust'): PDO
{
    $env = settings($instance);

    return new PDO("mysql:host=127.0.0.1;port={$env['DB_PORT']};dbname={$env['DB_DATABASE']}", $env['DB_USERNAME'], $env['DB_PASSWORD'], [
        PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION,
    ]);
}

function folder(): string
{
    $folder = sys_get_temp_dir().'/kettle-trust-'.bin2hex(random_bytes(4));
    mkdir($folder, 0o700);

    return $folder;
}

function shell(string $command): string
{
    exec('bash -o pipefail -c '.escapeshellarg("{ {$command}; } 2>&1"), $lines, $code);
    expect($code)->toBe(0, implode("\n", $lines));

    return implode("\n", $lines);
}

/** Skerry House in an instance of its own, begun once for all tests of a run and taken away after them. */
function demoed(): void
{
    static $is = false;
    if ($is) {
        return;
    }
    $is = true;
    forRun('trust', 'trust-new');
    kettle('demo');
}

/** Stopped before its folder goes: who watches its parts would stay, and begin them again where the folder is made anew. */
function takenAway(string $instance): void
{
    exec('cd '.HERE." && KETTLE_INSTANCE={$instance} ./kettle stop >/dev/null 2>&1; rm -rf var/{$instance}");
}

/** Instances of a run: nothing of them is there before, nor stays after it. */
function forRun(string ...$instances): void
{
    $away = function () use ($instances): void {
        foreach ($instances as $instance) {
            takenAway($instance);
        }
    };
    $away();
    register_shutdown_function($away);
}
