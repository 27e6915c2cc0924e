<?php

/*
 * The minutes since a backup, by the database's own log of changes, in instances of their own. That what comes back is what stood at that
 * moment is held against a dump by a plain client, made at that moment.
 */

require_once __DIR__.'/../Kettles.php';
require_once __DIR__.'/../../perf/Client.php';

const LOGGED = ['KETTLE_BINLOG' => '1'];

/** Instances of this file's own: a house with a log, and an empty place. */
function logged(string $command, int $code = 0, string $instance = 'trust-logged'): string
{
    return kettle($command, $instance, LOGGED, $code);
}

/** Every row but of who is signed in, and of what works on by itself, table by table. */
function stood(string $instance = 'trust-logged'): array
{
    $db = database($instance);
    $all = [];
    foreach (array_diff($db->query('SHOW TABLES')->fetchAll(PDO::FETCH_COLUMN), ['sessions', 'jobs']) as $table) {
        $rows = $db->query("SELECT * FROM `{$table}`")->fetchAll(PDO::FETCH_NUM);
        sort($rows);
        $all[$table] = hash('sha256', serialize($rows)).' of '.count($rows);
    }

    return $all;
}

/** A moment of the machine's, with a whole second around it in which nothing is written. */
function moment(): string
{
    sleep(2);
    $moment = (new DateTimeImmutable('now', new DateTimeZone(trim(shell('date +%z')))))->format('Y-m-d H:i:s');
    sleep(1);

    return $moment;
}

beforeAll(function () {
    forRun('trust-logged', 'trust-logged-new');
    logged('demo');
});

it('keeps who is signed in beside the house, in no backup and no log, where the application reads and writes', function () {
    $client = new Client(settings('trust-logged')['APP_URL']);
    $client->get('/api/me');
    $client->post('/api/demo', '{}');
    expect($client->get('/api/me'))->toContain('"signed_in":true');
    $db = database('trust-logged');
    expect((int) $db->query('SELECT COUNT(*) FROM kettle_signed_in.sessions WHERE user_id IS NOT NULL')->fetchColumn())
        ->toBe(1)
        ->and((int) $db->query('SELECT COUNT(*) FROM sessions')->fetchColumn())
        ->toBe(0);
    $grants = $db->query("SHOW GRANTS FOR kettle@'127.0.0.1'")->fetchAll(PDO::FETCH_COLUMN);
    expect(implode("\n", array_slice($grants, 1)))->toBe(
        "GRANT SELECT, INSERT, UPDATE, DELETE ON `kettle`.* TO `kettle`@`127.0.0.1`\n".
            'GRANT SELECT, INSERT, UPDATE, DELETE ON `kettle_signed_in`.* TO `kettle`@`127.0.0.1`',
    );
    expect(shell('mariadb-binlog --no-defaults -v '.HERE.'/var/trust-logged/binlog/log.0*'))
        ->toContain('`kettle`.`batches`')
        ->not->toContain('kettle_signed_in');
});

it('has who is signed in in one place at a time, whether a log is kept or not', function () {
    $db = database('trust-logged');
    $db->exec('DELETE FROM kettle_signed_in.sessions');
    $db->exec("INSERT INTO kettle_signed_in.sessions VALUES ('one', 7, '', '', '', 1), ('two', 8, '', '', '', 2)");
    $start = fn (string $log): string => shell(
        'cd '.
            HERE.
            " && KETTLE_BINLOG={$log} bash -c 'ROOT=\$PWD; for f in say install instance binlog; do source bin/kettle.d/\$f.sh; done; ".
            "instance trust-logged; read_env; sessions_aside'",
    );
    $in = fn (string $table): array => $db->query("SELECT id FROM {$table} ORDER BY id")->fetchAll(PDO::FETCH_COLUMN);
    $start('0');
    expect($in('sessions'))
        ->toBe(['one', 'two'])
        ->and($db->query("SHOW DATABASES LIKE 'kettle_signed_in'")->fetchAll())
        ->toBe([]);
    // Ended while none was kept: it does not come back with the log.
    $db->exec("DELETE FROM sessions WHERE id = 'one'");
    $start('1');
    expect($in('kettle_signed_in.sessions'))
        ->toBe(['two'])
        ->and($in('sessions'))
        ->toBe([]);
});

it('goes on from a backup by the log, to the moment that is asked for, and signs everybody out', function () {
    $folder = folder();
    shell('for part in devices scheduler queue long; do sv -w 15 down '.HERE.'/var/trust-logged/sv/$part; done');
    logged("backup {$folder}/kettle.tar");
    $log = json_decode(shell("tar -xOf {$folder}/kettle.tar backup.json"), true)['log'];
    expect($log['database'])->toBe('kettle')->and($log['file'])->toStartWith('log.0')->and($log['begins'])->toHaveLength(18);
    $app = asApplication('trust-logged');
    // Within one transaction with a change that is not logged, over a new file of the log, and with a table that a version brings.
    $app->exec("BEGIN; UPDATE houses SET name = 'The good name'; UPDATE kettle_signed_in.sessions SET last_activity = 1; COMMIT");
    database('trust-logged')->exec(
        'FLUSH BINARY LOGS; CREATE TABLE brought (id INT PRIMARY KEY, t TEXT); INSERT INTO brought VALUES (1, "é 🌿")',
    );
    $app->exec(
        'INSERT INTO security_events SELECT * FROM security_events WHERE 1 = 0; UPDATE kettle_signed_in.sessions SET last_activity = 2',
    );
    // Counted by the database with its rows: gone over, they are not counted twice.
    $app->exec(
        "UPDATE lots SET `left` = 0 LIMIT 2; UPDATE batches SET stage = 'discarded' WHERE stage = 'bottled' LIMIT 1; ".
            'UPDATE batches SET herbs = \'{"all": [{"herb": "sage"}]}\' ORDER BY id LIMIT 1',
    );
    $at = moment();
    $then = stood();
    // The mistake: all lots and a table are gone, and a name is wrong.
    $app->exec("SET FOREIGN_KEY_CHECKS = 0; DELETE FROM lots; UPDATE houses SET name = 'Spoiled'");
    database('trust-logged')->exec('DROP TABLE brought');
    expect(stood())->not->toBe($then);

    expect(logged("restore {$folder}/kettle.tar --until '{$at}' --stopped"))->toContain("as of {$at}");
    expect(stood())->toBe($then);
    expect((int) database('trust-logged')->query('SELECT COUNT(*) FROM kettle_signed_in.sessions')->fetchColumn())->toBe(0);
    // Nobody is left who might go over a log, and what stood is set aside.
    expect(database('trust-logged')->query("SELECT COUNT(*) FROM mysql.user WHERE user LIKE 'kettle_replay'")->fetchColumn())->toEqual(0);
    logged('restore --back --stopped');
    expect(database('trust-logged')->query('SELECT DISTINCT name FROM houses')->fetchColumn())->toBe('Spoiled');

    // Elsewhere, from copies of both: the machine is lost.
    shell('cp -r '.HERE."/var/trust-logged/binlog {$folder}/log");
    logged("restore {$folder}/kettle.tar --until '{$at}' --log {$folder}/log --stopped", instance: 'trust-logged-new');
    expect(stood('trust-logged-new'))->toBe($then);
    // A log of another place, one that is not whole, and moments that cannot be: each by name, and nothing is touched.
    $databases = fn (): array => database('trust-logged-new')->query('SHOW DATABASES')->fetchAll(PDO::FETCH_COLUMN);
    $before = $databases();
    $refused = fn (string $how): string => logged("restore {$folder}/kettle.tar --stopped {$how}", 1, 'trust-logged-new');
    expect($refused("--until '{$at}'"))->toContain('does not go back to');
    $files = glob("{$folder}/log/log.0*");
    shell("cp -r {$folder}/log {$folder}/hole && touch {$folder}/hole/log.000099");
    expect($refused("--until '{$at}' --log {$folder}/hole"))->toContain('a piece of it is missing');
    expect(count($files))->toBeGreaterThan(1);
    expect($refused("--until '2001-01-01' --log {$folder}/log"))->toContain('was made after');
    expect($refused('--until tomorrow'))->toContain('is not yet');
    expect($refused("--until 'when the cat'"))->toContain('“when the cat” is no moment');
    expect($refused('--until'))->toContain('wants a moment');
    // One that was shut and breaks off, and one with a letter turned: what was loaded is let go.
    $spoiled = [
        'cut' => "head -c $(($(stat -c %s {$files[0]}) - 7)) {$files[0]}",
        'turned' => "sed 's/The good name/The goof name/' {$files[0]}",
    ];
    foreach ($spoiled as $name => $do) {
        shell("cp -r {$folder}/log {$folder}/{$name} && {$do} > {$folder}/{$name}/".basename($files[0]));
        expect($refused("--until '{$at}' --log {$folder}/{$name}"))->toContain('Nothing was changed')->and($databases())->toBe($before);
    }
    // One that the server was cut off in: to where it goes.
    $end = end($files);
    shell("head -c $(($(stat -c %s {$end}) - 7)) {$end} > {$end}.cut && mv {$end}.cut {$end}");
    logged("restore {$folder}/kettle.tar --until '{$at}' --log {$folder}/log --stopped", instance: 'trust-logged-new');
    expect(stood('trust-logged-new'))->toBe($then);
    shell("rm -rf {$folder}");
});

it('takes the newest backup before the moment where none is named, and one without a place in a log as it is', function () {
    logged('restore --back --stopped');
    logged('backup');
    $at = moment();
    database('trust-logged')->exec("UPDATE houses SET name = 'After'");
    moment();
    logged('backup');
    logged("restore --until '{$at}' --stopped");
    expect(database('trust-logged')->query('SELECT DISTINCT name FROM houses')->fetchColumn())->toBe('The good name');
    expect(logged("restore --until '2001-01-01'", 1))->toContain('There is no backup in');
    $folder = folder();
    kettle("backup {$folder}/kettle.tar", 'trust-logged', ['KETTLE_BINLOG' => '0']);
    expect(shell("tar -xOf {$folder}/kettle.tar backup.json"))->not->toContain('"log"');
    expect(logged("restore {$folder}/kettle.tar --until now", 1))->toContain('none was kept then');
    logged("restore {$folder}/kettle.tar --stopped");
    shell("rm -rf {$folder}");
});
