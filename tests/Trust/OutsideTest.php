<?php

/*
 * A database that is elsewhere: here that of another instance, which knows nothing of this one.
 */

require_once __DIR__.'/../Kettles.php';

const MOVER = ['KETTLE_MIGRATE_USERNAME' => 'mover', 'KETTLE_MIGRATE_PASSWORD' => 'may make tables'];

beforeAll(function (): void {
    demoed();
    kettle('up');
    takenAway('trust-new');
    mkdir(HERE.'/var/trust-new');
    $there = database('trust');
    foreach (
        [
            'CREATE DATABASE elsewhere',
            "CREATE USER 'mover'@'127.0.0.1' IDENTIFIED BY 'may make tables'",
            "GRANT ALL ON elsewhere.* TO 'mover'@'127.0.0.1'",
            "CREATE USER 'rows'@'127.0.0.1' IDENTIFIED BY 'rows alone'",
            "GRANT SELECT, INSERT, UPDATE, DELETE ON elsewhere.* TO 'rows'@'127.0.0.1'",
        ] as $statement
    ) {
        $there->exec($statement);
    }
    $port = freePort();
    $is = [
        ...settings('trust'),
        'APP_KEY' => 'base64:'.base64_encode(random_bytes(32)),
        'APP_URL' => "http://127.0.0.1:{$port}",
        'WEB_PORT' => $port,
        'KETTLE_DB' => 'outside',
        'DB_HOST' => '127.0.0.1',
        'DB_DATABASE' => 'elsewhere',
        'DB_USERNAME' => 'rows',
        'DB_PASSWORD' => '"rows alone"',
        'KETTLE_REGISTRATION' => 'closed',
    ];
    settle('trust-new', $is);
    kettle('up', 'trust-new', MOVER);
});

afterAll(function (): void {
    kettle('stop', 'trust-new');
    exec('rm -rf '.HERE.'/var/trust-new');
    $there = database('trust');
    foreach (['DROP DATABASE elsewhere', "DROP USER 'mover'@'127.0.0.1'", "DROP USER 'rows'@'127.0.0.1'"] as $statement) {
        $there->exec($statement);
    }
});

it('has its tables there, and no server of its own', function () {
    $tables = database('trust', 'elsewhere')->query('SHOW TABLES')->fetchAll(PDO::FETCH_COLUMN);
    expect($tables)->toContain('batches', 'log_entries', 'security_events')->and(is_dir(HERE.'/var/trust-new/db'))->toBeFalse();
    $said = kettle('doctor', 'trust-new');
    expect($said)->not->toContain('mariadb')->toContain('fpm: runs')->toContain('backup: of a database that is elsewhere, made there');
    // The logbook's triggers came with the tables, and the application's account is not who could take them away.
    expect(database('trust', 'elsewhere')->query('SHOW TRIGGERS')->fetchAll())->not->toBe([]);
    $rows = new PDO('mysql:host=127.0.0.1;port='.settings('trust')['DB_PORT'].';dbname=elsewhere', 'rows', 'rows alone', [
        PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION,
    ]);
    expect(fn () => $rows->exec('DROP TABLE log_entries'))->toThrow(PDOException::class, 'denied');
});

it('writes there, and is told by no part who may make tables', function () {
    kettle("account ola@example.org 'Ola'", 'trust-new');
    expect(database('trust', 'elsewhere')->query("SELECT name FROM users WHERE email = 'ola@example.org'")->fetchColumn())->toBe('Ola');
    $url = settings('trust-new')['APP_URL'];
    expect(shell("curl -s -o /dev/null -w '%{http_code}' {$url}/api/me"))->toBe('200');
    foreach ((array) glob(HERE.'/var/trust-new/run/*.pid') as $file) {
        $pid = trim((string) file_get_contents($file));
        expect(str_replace("\0", "\n", (string) @file_get_contents("/proc/{$pid}/environ")))->not->toContain('may make tables', $file);
    }
    expect(shell('grep -rl "may make tables" '.HERE.'/var/trust-new || true'))->toBe('');
});

it('is backed up where it runs, and says so', function () {
    expect(kettle('backup', 'trust-new', code: 1))->toContain('not one of ours: back it up where it runs');
});

it('starts anew without who may make tables, where there are none to make, and says where nobody answers', function () {
    kettle('stop', 'trust-new');
    kettle('up', 'trust-new');
    kettle('stop', 'trust-new');
    $env = HERE.'/var/trust-new/env';
    $was = (string) file_get_contents($env);
    file_put_contents($env, preg_replace('/^DB_PORT=.*$/m', 'DB_PORT=9', $was));
    expect(kettle('up', 'trust-new', code: 1))->toContain('The database at 127.0.0.1:9 does not let us in');
    file_put_contents($env, $was);
});
