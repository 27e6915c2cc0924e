<?php

/*
 * Backups of a house that runs, and what comes back of them, by the command that people use, in instances of their own.
 * What is in a backup is looked at by plain tools: tar, sha256sum, gzip and a plain MariaDB client.
 */

require_once __DIR__.'/../Kettles.php';

/** What a backup holds, line by line, without what is said of when and by whom it was made. */
function dumped(string $backup): string
{
    return shell("tar -xOf {$backup} database.sql.gz | zcat | grep -v -e '^-- Host' -e '^-- Dump completed' -e '^/\\*M!999999'");
}

beforeAll(fn () => demoed());

it('backs up a house under writes in one consistent reading, into a file that plain tools open', function () {
    $folder = folder();
    // What writes by itself is still, so that every row can be compared.
    shell('for part in devices scheduler queue; do sv -w 15 down '.HERE.'/var/trust/sv/$part; done');
    $db = database();
    // Two tables that are written to together, one read first and one read last, with much to read between them.
    $db->exec('CREATE TABLE aa_pair (id INT PRIMARY KEY); CREATE TABLE zz_pair (id INT PRIMARY KEY)');
    $db->exec('CREATE TABLE filler (id INT PRIMARY KEY AUTO_INCREMENT, t VARCHAR(400))');
    $db->exec("INSERT INTO filler (t) SELECT REPEAT('x', 400) FROM seq_1_to_200000");
    $env = settings();
    $writer = proc_open(
        [
            PHP_BINARY,
            '-r',
            '$p = new PDO($argv[1], $argv[2], $argv[3], [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION]);
            for ($i = 1; $i < 200000; $i++) { $p->beginTransaction(); $p->exec("INSERT INTO aa_pair VALUES ($i)");
            $p->exec("INSERT INTO zz_pair VALUES ($i)"); $p->commit(); }',
            "mysql:host=127.0.0.1;port={$env['DB_PORT']};dbname={$env['DB_DATABASE']}",
            $env['DB_USERNAME'],
            $env['DB_PASSWORD'],
        ],
        [],
        $pipes,
    );
    usleep(300_000);
    $before = (int) $db->query('SELECT COUNT(*) FROM aa_pair')->fetchColumn();
    kettle("backup {$folder}/kettle.tar");
    $after = (int) $db->query('SELECT COUNT(*) FROM aa_pair')->fetchColumn();
    proc_terminate($writer, 9);
    proc_close($writer);
    expect(fileperms("{$folder}/kettle.tar") & 0o777)->toBe(0o600);

    shell("cd {$folder} && tar -xf kettle.tar && sha256sum --check --strict SHA256SUMS && gzip -t database.sql.gz");
    // By a plain client, into a database of its own.
    $db->exec('CREATE DATABASE kettle_plain');
    $db->exec("CREATE USER plain@'127.0.0.1' IDENTIFIED BY 'plain'; GRANT ALL ON kettle_plain.* TO plain@'127.0.0.1'");
    shell("zcat {$folder}/database.sql.gz | mariadb --no-defaults -h 127.0.0.1 -P {$env['DB_PORT']} -u plain -pplain kettle_plain");
    $plain = database('trust', 'kettle_plain');
    $count = fn (string $table): int => (int) $plain->query("SELECT COUNT(*) FROM {$table}")->fetchColumn();
    expect($before)
        ->toBeGreaterThan(10)
        ->and($after)
        ->toBeGreaterThan($before + 10)
        ->and($count('aa_pair'))
        ->toBe($count('zz_pair'))
        ->toBeGreaterThanOrEqual($before)
        ->toBeLessThan($after)
        ->and($count('filler'))
        ->toBe(200_000)
        ->and($count('sessions'))
        ->toBe(0);
    // Of every table that is the house's, every row.
    $tables = $db->query('SHOW TABLES')->fetchAll(PDO::FETCH_COLUMN);
    expect(count($tables))->toBeGreaterThan(30);
    foreach (array_diff($tables, ['aa_pair', 'zz_pair', 'filler', 'sessions']) as $table) {
        $rows = fn (PDO $from): array => $from->query("SELECT * FROM `{$table}`")->fetchAll(PDO::FETCH_NUM);
        expect($rows($plain))->toEqual($rows($db), $table);
    }
    $db->exec("DROP USER plain@'127.0.0.1'");
    $db->exec('DROP DATABASE kettle_plain; DROP TABLE aa_pair; DROP TABLE zz_pair; DROP TABLE filler');
    $last = json_decode((string) file_get_contents(HERE.'/var/trust/backups/last.json'), true);
    expect($last['file'])
        ->toBe("{$folder}/kettle.tar")
        ->and($last['bytes'])
        ->toBe(filesize("{$folder}/kettle.tar"));
    expect(kettle("backup {$folder}/kettle.tar", code: 1))->toContain('is there already');
    shell("rm -rf {$folder}");
});

it('comes back in an empty place, row by row, with its secrets and the ports of that place', function () {
    $folder = folder();
    kettle("backup {$folder}/kettle.tar");
    kettle("restore {$folder}/kettle.tar --stopped", 'trust-new');
    kettle("backup {$folder}/again.tar", 'trust-new');
    $first = dumped("{$folder}/kettle.tar");
    expect(substr_count($first, 'INSERT INTO'))->toBeGreaterThan(20)->and(substr_count($first, 'TRIGGER'))->toBeGreaterThan(5);
    // Every row, every table, every trigger.
    expect(dumped("{$folder}/again.tar"))->toBe($first);
    [$was, $is] = [settings('trust'), settings('trust-new')];
    expect($is['APP_KEY'])
        ->toBe($was['APP_KEY'])
        ->and($is['DB_PORT'])
        ->not->toBe($was['DB_PORT'])
        ->and($is['WEB_PORT'])
        ->not->toBe($was['WEB_PORT'])
        ->and($is['DB_PASSWORD'])
        ->not->toBe($was['DB_PASSWORD'])
        ->and(fileperms(HERE.'/var/trust-new/env') & 0o777)
        ->toBe(0o600);
    // The logbook stays append-only there too.
    expect(fn () => database('trust-new')->exec('DELETE FROM log_entries'))->toThrow(PDOException::class, 'append-only');
    shell("rm -rf {$folder}");
});

it('refuses what is no backup of it, whole and of this version or one before, and touches nothing', function () {
    $folder = folder();
    kettle("backup {$folder}/kettle.tar");
    $stands = fn (): array => [file_get_contents(HERE.'/var/trust/env'), database()->query('SHOW DATABASES')->fetchAll(PDO::FETCH_COLUMN)];
    $before = $stands();
    $pack = function (string $name, string $do) use ($folder): string {
        shell("mkdir {$folder}/{$name} && cd {$folder}/{$name} && tar -xf ../kettle.tar && {$do}");

        return "{$folder}/{$name}.tar";
    };
    $all = 'tar -cf ../X.tar backup.json database.sql.gz secrets.sealed SHA256SUMS';
    $sums = 'sha256sum backup.json database.sql.gz secrets.sealed > SHA256SUMS';
    $cases = [
        'is damaged' => $pack(
            'turned',
            str_replace('X', 'turned', "printf 'X' | dd of=database.sql.gz bs=1 seek=500 conv=notrunc && {$all}"),
        ),
        'does not come to its end' => $pack(
            'cut',
            str_replace(
                'X',
                'cut',
                "zcat database.sql.gz > d.sql && sed -n 1,100p d.sql | gzip > d && mv d database.sql.gz && {$sums} && {$all}",
            ),
        ),
        'newer version (2099' => $pack(
            'newer',
            str_replace('X', 'newer', "sed -i 's/2026_11_01_000001/2099_11_01_000001/' backup.json && {$sums} && {$all}"),
        ),
        'is no backup of Warm Kettle' => $pack('climbs', 'tar -P -cf ../climbs.tar ../kettle.tar backup.json'),
        'a checksum is missing' => $pack('unsummed', str_replace('X', 'unsummed', "sed -i 1d SHA256SUMS && {$all}")),
    ];
    file_put_contents("{$folder}/notes.tar", 'no tar at all');
    $cases['no backup'] = "{$folder}/notes.tar";
    $cases['There is no file'] = "{$folder}/nowhere.tar";
    foreach ($cases as $says => $file) {
        expect(kettle("restore {$file}", code: 1))->toContain($says)->and($stands())->toBe($before);
    }
    expect(kettle("restore {$folder}/kettle.tar", env: ['KETTLE_PASSPHRASE' => 'another passphrase'], code: 1))
        ->toContain('The passphrase is another')
        ->and(kettle("restore {$folder}/kettle.tar", env: ['KETTLE_PASSPHRASE' => ''], code: 1))
        ->toContain('--without-secrets')
        ->and($stands())
        ->toBe($before);
    expect(kettle("backup {$folder}/short.tar", env: ['KETTLE_PASSPHRASE' => 'short'], code: 1))
        ->toContain('12 letters')
        ->and(file_exists("{$folder}/short.tar"))
        ->toBeFalse();
    expect(glob(HERE.'/var/trust/backups/.making.*'))->toBe([])->and(glob("{$folder}/*.part"))->toBe([]);
    shell("rm -rf {$folder}");
});

it('sets aside what was there, and brings it back', function () {
    $folder = folder();
    $name = fn (): string => (string) database()->query('SELECT name FROM houses ORDER BY id LIMIT 1')->fetchColumn();
    $was = $name();
    kettle("backup {$folder}/kettle.tar");
    database()->exec("UPDATE houses SET name = 'Changed since'");
    kettle("restore {$folder}/kettle.tar --stopped");
    expect($name())->toBe($was);
    kettle('restore --back --stopped');
    expect($name())->toBe('Changed since');
    // One that is killed as it loads changes nothing, and leaves nothing behind for long.
    $env = [...getenv(), 'KETTLE_INSTANCE' => 'trust', 'KETTLE_PASSPHRASE' => PASSPHRASE];
    unset($env['DB_DATABASE'], $env['APP_ENV']);
    $process = proc_open(['setsid', 'bash', '-c', "exec ./kettle restore {$folder}/kettle.tar >/dev/null 2>&1"], [], $pipes, HERE, $env);
    $pid = proc_get_status($process)['pid'];
    $databases = fn (): array => database()->query("SHOW DATABASES LIKE 'kettle\\_2%'")->fetchAll(PDO::FETCH_COLUMN);
    $already = count($databases());
    for ($i = 0; $i < 600 && count($databases()) === $already; $i++) {
        usleep(20_000);
    }
    posix_kill(-$pid, SIGKILL);
    proc_close($process);
    expect(count($databases()))
        ->toBe($already + 1)
        ->and($name())
        ->toBe('Changed since');
    // All of it is on again with the next.
    kettle("restore {$folder}/kettle.tar --without-secrets", env: ['KETTLE_PASSPHRASE' => '']);
    expect($name())
        ->toBe($was)
        ->and(count($databases()))
        ->toBeLessThanOrEqual(2)
        ->and((string) file_get_contents(settings()['APP_URL'].'/api/me'))
        ->toContain('{');
    shell("rm -rf {$folder}");
});

it('keeps one a night: of seven days, and of eight weeks', function () {
    $folder = HERE.'/var/trust/backups';
    // A hundred nights, the newest of them last night.
    for ($night = 1; $night <= 100; $night++) {
        $day = (new DateTimeImmutable("-{$night} days"))->format('Ymd');
        touch("{$folder}/nightly-warm-kettle-{$day}-031000.tar", time() - $night * 86400);
    }
    kettle('backup --nightly');
    $kept = array_map(basename(...), glob("{$folder}/nightly-*.tar"));
    $days = array_values(array_unique(array_map(fn (string $name) => substr($name, 20, 8), $kept)));
    $weeks = array_unique(array_map(fn (string $day) => (new DateTimeImmutable($day))->format('o-W'), $days));
    $seven = array_map(fn (int $back) => (new DateTimeImmutable("-{$back} days"))->format('Ymd'), range(6, 0));
    expect(array_slice($days, -7))
        ->toBe($seven)
        ->and(count($weeks))
        ->toBe(8)
        ->and(count($days))
        ->toBeLessThanOrEqual(7 + 7);
    // The one of a week is its newest night: a Sunday, but in the weeks of the seven days.
    foreach (array_slice($days, 0, -7) as $day) {
        expect((new DateTimeImmutable($day))->format('D'))->toBe('Sun');
    }
    // One a night is enough.
    $newest = end($kept);
    kettle('backup --nightly');
    expect(basename((string) array_slice(glob("{$folder}/nightly-*.tar"), -1)[0]))->toBe($newest);
});
