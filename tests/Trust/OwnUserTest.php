<?php

/*
 * Started as root, what runs is a user of its own: it reads the code and the settings, and writes what is its own.
 */

require_once __DIR__.'/../Kettles.php';

const OWN = ['KETTLE_OWN_USER' => '1'];

/** What each part runs as, by the names of the parts. */
function partsUsers(): array
{
    // The web server may answer before the last of the others has begun.
    $begun = fn (): array => array_diff((array) glob(HERE.'/var/trust/run/*.pid'), [HERE.'/var/trust/run/watch.pid']);
    for ($i = 0; $i < 150 && count($begun()) < count((array) glob(HERE.'/var/trust/sv/*')); $i++) {
        usleep(200_000);
    }
    $of = [];
    foreach ($begun() as $file) {
        $group = trim((string) file_get_contents($file));
        $of[basename($file, '.pid')] = array_unique(
            explode("\n", trim(shell("ps -eo user:20=,pgid= | awk '\$2 == {$group} {print \$1}'"))),
        );
    }

    return $of;
}

beforeAll(function (): void {
    demoed();
    kettle('stop');
    // As on a fresh machine, where the web server has laid down nothing yet.
    shell('rm -rf '.HERE.'/var/trust/tls '.HERE.'/var/trust/tmp');
    kettle('up', env: OWN);
});

/** Whether the user of the parts may do something, by the words of test(1). */
function partsMay(string $test): bool
{
    exec('cd '.HERE.' && chpst -u warm-kettle test '.$test, $lines, $code);

    return $code === 0;
}

// Who starts it as nobody in particular has no user to make: it runs as them, and only that is theirs to try.
if (posix_getuid() !== 0) {
    it('runs every part as whoever started it', function () {
        foreach (partsUsers() as $part => $users) {
            expect($users)->toBe([trim(shell('id -un'))], $part);
        }
    });
} else {
    it('runs every part as a user who is nobody else', function () {
        $of = partsUsers();
        expect(array_keys($of))->toBe(['caddy', 'devices', 'fpm', 'live', 'long', 'mariadb', 'queue', 'scheduler']);
        foreach ($of as $part => $users) {
            expect($users)->toBe(['warm-kettle'], $part);
        }
        // It has no shell to come in by, and no folder of its own elsewhere.
        expect(shell('getent passwd warm-kettle'))->toEndWith(':/nonexistent:/usr/sbin/nologin');
    });

    it('may write what is its own, and neither settings nor how a part is run', function () {
        foreach (['storage/logs', 'storage/app', 'cache', 'tmp', 'log', 'db'] as $own) {
            expect(partsMay("-w var/trust/{$own}"))->toBeTrue($own);
        }
        $not = ['', 'env', 'sv', 'sv/fpm', 'sv/fpm/run', 'sv/fpm/finish', 'run', 'run/fpm.pid', 'run/Caddyfile', 'run/fpm.conf'];
        foreach ($not as $other) {
            expect(partsMay("-e var/trust/{$other}"))->toBeTrue($other)->and(partsMay("-w var/trust/{$other}"))->toBeFalse($other);
        }
        foreach (['kettle', 'bin/kettle.d/instance.sh', 'app', 'vendor/autoload.php', 'public/build', 'data'] as $code) {
            expect(partsMay("-r {$code}"))->toBeTrue($code)->and(partsMay("-w {$code}"))->toBeFalse($code);
        }
        // Its settings are for it and for root; others on the machine read nothing of the house at all.
        expect(fileperms(HERE.'/var/trust/env') & 0o777)
            ->toBe(0o640)
            ->and(fileperms(HERE.'/var/trust') & 0o777)
            ->toBe(0o750);
        // Nor is it the administrator of the database.
        $socket = '/tmp/kettle-0-'.substr(hash('sha256', realpath(HERE).'/var/trust'), 0, 10).'/db.sock';
        foreach (['root', 'warm-kettle', 'mariadb.sys'] as $account) {
            exec("chpst -u warm-kettle mariadb --no-defaults --socket={$socket} -u {$account} -e 'SELECT 1' 2>&1", $lines, $code);
            expect($code)->toBe(1, $account);
        }
    });

    it('does all it did: answers, writes, logs, and is backed up by root', function () {
        kettle('doctor', env: OWN);
        $url = settings()['APP_URL'];
        $jar = folder().'/jar';
        shell("curl -fsS -c {$jar} -o /dev/null {$url}/api/me");
        $token = fn (): string => urldecode(shell("awk '/XSRF-TOKEN/ {print \$7}' {$jar}"));
        $me = json_decode(
            shell("curl -fsS -b {$jar} -c {$jar} -H 'X-XSRF-TOKEN: {$token()}' -H 'Accept: application/json' -X POST {$url}/api/demo"),
            true,
        );
        $house = $me['houses'][0]['id'];
        $written = shell(
            "curl -sS -o /dev/null -w '%{http_code}' -b {$jar} -H 'X-XSRF-TOKEN: {$token()}' -H 'Accept: application/json' ".
                "-H 'Content-Type: application/json' -H 'Idempotency-Key: own-user-1' ".
                '-d '.
                escapeshellarg((string) json_encode(['called' => 'Own user', 'brim' => '500 mL', 'height' => '150 mm'])).
                ' '.
                "{$url}/api/houses/{$house}/jars",
        );
        expect($written)->toBe('200');
        $file = folder().'/own.tar';
        kettle("backup {$file}", env: OWN);
        expect(shell("tar -xOf {$file} database.sql.gz | zcat | grep -c 'Own user'"))->toBe('1');
        kettle('backup --nightly', env: OWN);
        $kept = glob(HERE.'/var/trust/backups/nightly-*.tar');
        expect($kept)
            ->not->toBe([])
            // House says when it was; none of the parts can read it, or take it away.
            ->and(partsMay('-r var/trust/backups/last.json'))
            ->toBeTrue()
            ->and(partsMay('-r '.escapeshellarg((string) end($kept))))
            ->toBeFalse()
            ->and(partsMay('-w var/trust/backups'))
            ->toBeFalse();
    });

    it('goes back to whoever starts it, and what it wrote with it', function () {
        kettle('stop', env: OWN);
        kettle('up', env: ['KETTLE_OWN_USER' => '0']);
        $master = trim((string) file_get_contents(HERE.'/var/trust/run/fpm.pid'));
        expect(shell("ps -o user= -p {$master}"))->toBe('root');
        kettle('doctor', env: ['KETTLE_OWN_USER' => '0']);
        expect((int) shell("curl -s -o /dev/null -w '%{http_code}' ".settings()['APP_URL'].'/api/me'))->toBe(200);
    });
}
