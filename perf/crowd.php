<?php

/*
 * kettle bench crowd: many at once. 64 who are slow or stuck (half a head, half a body, an answer that nobody reads) while
 * one other asks for Today; 450 pages that watch a pot; 64 who ask for Today at once. Ends with 1 where somebody waits
 * longer than they may: a second at the 95th of a hundred beside the slow, and twice what the cores allow among the many.
 */

use App\Models\User;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Str;

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/Client.php';
require __DIR__.'/times.php';
require __DIR__.'/houses.php';
require __DIR__.'/stove.php';
/** @var Illuminate\Foundation\Application $app */
$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();

/** What is begun of what any house has. */
const WISH = ['herb' => ['id' => 'calendula'], 'oils' => ['sunflower']];

const SLOW = 64;

const PAGES = 450;

const SLOW_MAY_MS = 1000.0;

const CROWD_MAY_TIMES = 2.0;

/** @return list<float> how long Today took, ms, so many times one after another */
function todays(Client $client, string $path, int $times): array
{
    $took = [];
    for ($i = 0; $i < $times; $i++) {
        $from = hrtime(true);
        $client->get($path);
        $took[] = (hrtime(true) - $from) / 1e6;
    }

    return $took;
}

/**
 * Who never gets to the end of what they say, or of what they are told.
 *
 * @return list<resource>
 */
function slowOnes(string $base, string $path, string $cookies, int $many): array
{
    ['host' => $host, 'port' => $port] = (array) parse_url($base);
    $held = [];
    for ($i = 0; $i < $many; $i++) {
        $stream = stream_socket_client("tcp://{$host}:{$port}", $no, $why, 5);
        if ($stream === false) {
            throw new RuntimeException("no connection: {$why}");
        }
        stream_set_blocking($stream, false);
        $head = "Host: {$host}:{$port}\r\nCookie: {$cookies}\r\n";
        fwrite(
            $stream,
            match ($i % 4) {
                0 => "GET {$path} HTTP/1.1\r\nHo",
                1 => "POST {$path} HTTP/1.1\r\n{$head}Content-Type: application/json\r\nContent-Length: 5000\r\n\r\n{\"a\":",
                2 => "GET {$path} HTTP/1.1\r\n{$head}\r\n",
                default => '',
            },
        );
        $held[] = $stream;
    }

    return $held;
}

$base = rtrim((string) config('app.url'), '/');
$password = Str::random(24);
$keeper = User::query()->create([
    'name' => 'Crowd',
    'email' => Str::lower(Str::random(8)).'@kettle.example',
    'password' => $password,
    'prefs' => User::PREFS,
]);
Auth::login($keeper);
$house = house($keeper, 60);
$client = new Client($base);
$client->signIn($keeper->email, $password);
$today = "/api/houses/{$house->uid}/today";
todays($client, $today, 20);
$alone = todays($client, $today, 100);
$one = quantile($alone, 0.5);

// Their sessions are nobody's: what counts is whom they keep waiting. They are let go after a while, and others come.
$beside = [];
for ($round = 0; $round < 5; $round++) {
    $slow = slowOnes($base, $today, 'kettle_session=none', SLOW);
    $beside = [...$beside, ...todays($client, $today, 40)];
    sleep(1);
    array_map(fclose(...), $slow);
}

[$pot, $key] = aWarmPot($house);
$pages = pagesHeld($client, $house, $base, $pot, $key, PAGES);

$multi = curl_multi_init();
$cookies = $client->cookies();
$crowd = [];
$failed = 0;
$began = microtime(true);
$left = SLOW * 10;
$begin = function () use (&$left, $multi, $base, $today, $cookies): void {
    if ($left-- > 0) {
        $curl = curl_init($base.$today);
        curl_setopt_array($curl, [
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_HTTPHEADER => ['Accept: application/json', "Cookie: {$cookies}"],
        ]);
        curl_multi_add_handle($multi, $curl);
    }
};
for ($i = 0; $i < SLOW; $i++) {
    $begin();
}
do {
    curl_multi_exec($multi, $running);
    curl_multi_select($multi, 0.01);
    while (($done = curl_multi_info_read($multi)) !== false) {
        $crowd[] = curl_getinfo($done['handle'], CURLINFO_TOTAL_TIME) * 1000;
        $failed += curl_getinfo($done['handle'], CURLINFO_RESPONSE_CODE) === 200 ? 0 : 1;
        curl_multi_remove_handle($multi, $done['handle']);
        $begin();
    }
} while (count($crowd) < SLOW * 10);
$cores = max(1, (int) shell_exec('nproc'));
// Each waits for the sixty-four before it, shared among the cores.
$allow = ($one * SLOW) / $cores;

$told = [
    'today_alone' => summary($alone),
    'today_beside_64_slow_or_stuck' => summary($beside) + ['may_p95_ms' => SLOW_MAY_MS],
    'pages_that_watch' => $pages,
    'today_asked_by_64_at_once' => summary($crowd) + [
        'failed' => $failed,
        'cores_allow_ms' => round($allow, 1),
        'may_times' => CROWD_MAY_TIMES,
    ],
];
echo json_encode($told, JSON_PRETTY_PRINT), "\n";
exit(
    quantile($beside, 0.95) < SLOW_MAY_MS && $pages['heard'] === PAGES && $failed === 0 && quantile($crowd, 0.95) < CROWD_MAY_TIMES * $allow
        ? 0
        : 1
);
