<?php

use App\Http\Outage;
use App\Http\Problems;
use Illuminate\Database\QueryException;

/** As PDO and the framework throw it. */
function databaseSays(string $words, ?int $code = null): QueryException
{
    $thrown = new PDOException($words);
    $thrown->errorInfo = $code === null ? null : ['HY000', $code, $words];

    return new QueryException('mariadb', 'insert into `lots` values (?)', [], $thrown);
}

it('tells a database that is away from a question that is wrong', function (QueryException $thrown, int $status) {
    $answer = Problems::of($thrown);
    expect($answer->getStatusCode())
        ->toBe($status)
        ->and($answer->headers->get('Retry-After'))
        ->toBe($status === 503 ? (string) Outage::RETRY_S : null)
        ->and((string) $answer->getContent())
        ->not->toContain('SQLSTATE')
        ->not->toContain('lots');
})->with([
    // Codes as MariaDB's own list has them: https://mariadb.com/kb/en/mariadb-error-code-reference/ (from memory).
    'refused' => [fn () => databaseSays('SQLSTATE[HY000] [2002] Connection refused'), 503],
    'gone away' => [fn () => databaseSays('SQLSTATE[HY000]: General error: 2006 MySQL server has gone away', 2006), 503],
    'lost in the middle' => [
        fn () => databaseSays('SQLSTATE[HY000]: General error: 2013 Lost connection to server during query', 2013),
        503,
    ],
    'too many' => [fn () => databaseSays('SQLSTATE[HY000] [1040] Too many connections'), 503],
    'going down' => [fn () => databaseSays('SQLSTATE[08S01]: 1053 Server shutdown in progress', 1053), 503],
    'the disk is full' => [fn () => databaseSays('SQLSTATE[HY000]: 1021 Disk full', 1021), 507],
    'the table is full' => [fn () => databaseSays("SQLSTATE[HY000]: 1114 The table 'lots' is full", 1114), 507],
    'a question that is wrong' => [fn () => databaseSays("SQLSTATE[42S22]: 1054 Unknown column 'x'", 1054), 500],
    'twice the same' => [fn () => databaseSays('SQLSTATE[23000]: 1062 Duplicate entry', 1062), 500],
]);

it('says of a full disk what it is, wherever it was written to', function () {
    $thrown = new ErrorException('file_put_contents(): Write of 8192 bytes failed with errno=28 No space left on device');
    expect(Problems::of($thrown)->getStatusCode())
        ->toBe(507)
        ->and(json_decode((string) Problems::of($thrown)->getContent(), true)['detail'])
        ->toContain('The disk of this machine is full: nothing was written')
        // What only speaks of it, with a number that is no fault of the database, is none.
        ->and(Outage::is(new RuntimeException('the jar is full', 1114)))
        ->toBeFalse();
});

it('says when to ask again, where too much was asked', function () {
    $answer = null;
    for ($i = 0; $i < 12; $i++) {
        $answer = $this->postJson('/api/session', ['email' => 'nobody@example.org', 'password' => 'not the one']);
    }
    expect($answer->status())->toBe(429)->and((int) $answer->headers->get('Retry-After'))->toBeGreaterThan(0)->toBeLessThanOrEqual(60);
});

it('believes a front that is named, and no other', function () {
    $from = fn (): ?string => $this->withServerVariables(['REMOTE_ADDR' => '10.0.0.2'])
        ->withHeaders(['X-Forwarded-For' => '198.51.100.7'])
        ->get('/api/me')
        ->baseRequest?->ip();
    expect($from())->toBe('10.0.0.2');
    Illuminate\Http\Middleware\TrustProxies::at(['10.0.0.2']);
    expect($from())->toBe('198.51.100.7');
    Illuminate\Http\Middleware\TrustProxies::at([]);
});
