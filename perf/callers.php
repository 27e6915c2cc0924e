<?php

/*
 * kettle bench callers [how many] [seed]: so many requests, a hundred thousand unless told otherwise, made from
 * docs/openapi.json by five kinds of callers (nobody signed in, a reader, a helper and a keeper of the house, and a keeper
 * of another), to every operation alike, their bodies the document's own examples with something changed. No answer may be
 * a 500 or come of one, none may take longer than 5 s, and nobody may get what tests/fixtures/roles.txt does not give them.
 * Each worker has 192 MB (256 for what is heavy): one that wants more dies, and that is seen as a 502. Ends with 1 where
 * something is wrong, with the first of each kind.
 */

use App\Actions\Houses\CreateHouse;
use App\Models\User;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Str;

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/Changed.php';
require __DIR__.'/Called.php';
/** @var Illuminate\Foundation\Application $app */
$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();

const AT_ONCE = 6;

const ROUNDS = 8;

const SLOW_S = 5.0;

const PASSWORD = 'a kettle on the harbour wall';

/** Letters of roles.txt; null for who is not of the house. */
const CALLERS = ['nobody' => null, 'reader' => 'r', 'helper' => 'h', 'keeper' => 'k', 'stranger' => null];

$many = max(ROUNDS, (int) ($argv[1] ?? 100_000));
$seed = (int) ($argv[2] ?? 11);
mt_srand($seed);
$users = [];
foreach (['reader', 'helper', 'keeper', 'stranger'] as $name) {
    $users[$name] = User::query()
        ->create([
            'name' => $name,
            'email' => Str::lower(Str::random(8)).'@kettle.example',
            'password' => PASSWORD,
            'prefs' => User::PREFS,
        ])
        ->refresh();
}
Auth::login($users['stranger']);
$other = app(CreateHouse::class)($users['stranger'], ['name' => 'Elsewhere', 'time_zone' => 'UTC', 'measures' => 'metric'])->refresh();
Auth::logout();
$called = new Called(rtrim((string) config('app.url'), '/'), $users, $other);

$may = [];
foreach ((array) file(__DIR__.'/../tests/fixtures/roles.txt', FILE_IGNORE_NEW_LINES) as $line) {
    if ($line !== '' && $line[0] !== '#') {
        [$verb, $path, $who] = explode(' ', (string) $line);
        $may["{$verb} ".rtrim("/houses/{house}{$path}", '/')] = $who;
    }
}
/** @var array{paths: array<string, array<string, array<string, mixed>>>, components: array<string, mixed>} $document */
$document = json_decode((string) file_get_contents(__DIR__.'/../docs/openapi.json'), true);
$operations = [];
foreach ($document['paths'] as $path => $verbs) {
    foreach ($verbs as $verb => $operation) {
        // Only who has the key of a thermometer calls there, and nobody here has.
        $operations[] = [
            'verb' => $verb,
            'path' => $path,
            'body' => $operation['requestBody']['content']['application/json']['example'] ?? null,
            'takes' => isset($operation['requestBody']),
            'query' => array_column(array_filter($operation['parameters'] ?? [], fn (array $each) => $each['in'] === 'query'), 'name'),
        ];
    }
}

$statuses = $by = $slowest = $wrong = $did = [];
// What was written there by what ran before is not of this.
$log = getenv('KETTLE_VAR').'/storage/logs/laravel.log';
! is_file($log) || file_put_contents($log, '');
$note = function (string $what, string $line) use (&$wrong): void {
    $wrong[$what] ??= ['many' => 0, 'first' => []];
    $wrong[$what]['many']++;
    $wrong[$what]['many'] > 5 || fprintf(STDERR, "%s: %s\n", $what, substr($line, 0, 400));
    count($wrong[$what]['first']) >= 25 || ($wrong[$what]['first'][] = $line);
};
$multi = curl_multi_init();
$going = [];
$sent = 0;
$began = microtime(true);
for ($round = 0; $round < ROUNDS; $round++) {
    $called->lay();
    $until = (int) (($many * ($round + 1)) / ROUNDS);
    while ($sent < $until || $going !== []) {
        while ($sent < $until && count($going) < AT_ONCE) {
            $operation = $operations[$sent % count($operations)];
            // At the door one leaves the session one had, and is let in but ten times a minute: most who knock there have none.
            $caller =
                ! str_contains($operation['path'], '/houses') && $operation['verb'] !== 'get' && mt_rand(0, 9) > 0
                    ? 'nobody'
                    : array_rand(CALLERS);
            // Who ends sessions is let in anew, and the rest go on as they were.
            $sent % 2000 !== 1999 || $going !== [] || $called->refresh();
            [$path, $ours, $parts] = $called->address($operation['path']);
            $asked = [];
            foreach ($operation['query'] as $name) {
                mt_rand(0, 2) === 0 ||
                    ($asked[$name] = ['1', '0', 'x', '', '-1', '2026', "\u{1f33f}", str_repeat('9', 40), 'calendula'][mt_rand(0, 8)]);
            }
            $asked === [] || ($path .= '?'.http_build_query($asked));
            $body = $operation['takes'] ? Changed::body($called->ofHere($operation['body'] ?? [], $parts)) : null;
            $curl = $called->handle($caller, $operation['verb'], $path, $body);
            if (curl_multi_add_handle($multi, $curl) !== CURLM_OK) {
                throw new RuntimeException("{$path} could not be asked.");
            }
            $going[(int) spl_object_id($curl)] = [$curl, $operation, $caller, $ours, $path, $body];
            $sent++;
            $sent % 5000 !== 0 || fprintf(STDERR, "%d of %d, %d s\n", $sent, $many, microtime(true) - $began);
        }
        curl_multi_exec($multi, $running);
        curl_multi_select($multi, 0.05);
        while (($done = curl_multi_info_read($multi)) !== false) {
            $curl = $done['handle'];
            [, $operation, $caller, $ours, $path, $body] = $going[(int) spl_object_id($curl)];
            unset($going[(int) spl_object_id($curl)]);
            $status = (int) curl_getinfo($curl, CURLINFO_RESPONSE_CODE);
            $took = (float) curl_getinfo($curl, CURLINFO_TOTAL_TIME);
            $said = (string) curl_multi_getcontent($curl);
            curl_multi_remove_handle($multi, $curl);
            $name = strtoupper($operation['verb']).' '.$operation['path'];
            $line =
                "{$status} {$caller} ".
                strtoupper($operation['verb']).
                " {$path} ".
                substr((string) $body, 0, 600).
                ' -> '.
                substr($said, 0, 200);
            $statuses[$status] = ($statuses[$status] ?? 0) + 1;
            ! in_array($status, [401, 419], true) || $called->ended($caller);
            $by[$caller][$status] = ($by[$caller][$status] ?? 0) + 1;
            $slowest[$name] = max($slowest[$name] ?? 0.0, $took);
            $did[$name][intdiv($status, 100)] = ($did[$name][intdiv($status, 100)] ?? 0) + 1;
            $both = str_contains($said, 'Two things were written at once');
            if ($status === 0 || ($status >= 500 && ! $both)) {
                $note('failed', $line);
            }
            $both && $note('waited for each other', $line);
            $took <= SLOW_S || $note('slow', sprintf('%.1f s ', $took).$line);
            $letter = CALLERS[$caller];
            $given = $may[$name] ?? null;
            if ($ours && $status < 400 && $given !== null && ($letter === null || ! str_contains($given, $letter))) {
                $note('given to who may not', $line);
            }
            if (str_contains($said, 'SQLSTATE') || str_contains($said, '/vendor/') || str_contains($said, 'Stack trace')) {
                $note('told of its inside', $line);
            }
        }
    }
}
$took = microtime(true) - $began;
ksort($statuses);
arsort($slowest);
$never = array_keys(array_filter($did, fn (array $each) => ! isset($each[2])));
printf("%d requests to %d operations in %d s (seed %d)\n", $sent, count($operations), $took, $seed);
echo 'answers: ', implode(', ', array_map(fn (int $status, int $many) => "{$status}: {$many}", array_keys($statuses), $statuses)), "\n";
foreach ($by as $caller => $each) {
    ksort($each);
    echo "  {$caller}: ", implode(', ', array_map(fn (int $status, int $many) => "{$status}: {$many}", array_keys($each), $each)), "\n";
}
echo 'slowest: ',
implode(
    ', ',
    array_map(
        fn (string $name, float $s) => sprintf('%s %.2f s', $name, $s),
        array_keys(array_slice($slowest, 0, 5)),
        array_slice($slowest, 0, 5),
    ),
),
"\n";
echo 'never taken: ', implode(', ', $never) ?: 'none', "\n";
$reported = is_file($log) ? preg_match_all('/^\[[^]]+\] \w+\.(ERROR|CRITICAL)/m', (string) file_get_contents($log)) : 0;
echo "reported in the log: {$reported}\n";
foreach ($wrong as $what => ['many' => $count, 'first' => $lines]) {
    echo "\n{$what}: {$count}\n", implode("\n", $lines), "\n";
}
exit(array_diff_key($wrong, ['waited for each other' => 0]) === [] && $reported === 0 ? 0 : 1);
