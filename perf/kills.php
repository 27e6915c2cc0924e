<?php

/*
 * kettle bench kills [how many]: two hundred times, unless told otherwise, one part of the house is killed (SIGKILL to all
 * of it) while four hands write, each sending the same again under its key until it is answered. Nothing that was answered
 * may be lost, nothing may stand twice, what is worked out of a logbook must be what the logbook says, and all of it must
 * be back by itself. Ends with 1 where it is not so. With KETTLE_POWER (`kettle bench power`) what is cut is the power of the
 * database's disk, and nothing else.
 */

use App\Actions\Batches\BatchProjector;
use App\Actions\Batches\StartBatch;
use App\Actions\Houses\CreateHouse;
use App\Models\Batch;
use App\Models\House;
use App\Models\Tenancy\CurrentHouse;
use App\Models\User;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

require __DIR__.'/../vendor/autoload.php';
/** @var Illuminate\Foundation\Application $app */
$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();

const HANDS = 4;

$cut = getenv('KETTLE_POWER');
define('PARTS', $cut ? ['mariadb'] : ['mariadb', 'fpm', 'caddy', 'queue', 'long', 'scheduler', 'live', 'devices']);

/** One hand: signed in, and stubborn. */
final class Hand
{
    private CurlHandle $curl;

    public int $tries = 0;

    public function __construct(private readonly string $base)
    {
        $this->curl = curl_init();
        curl_setopt_array($this->curl, [
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_COOKIEFILE => '',
            CURLOPT_TIMEOUT => 15,
            CURLOPT_CONNECTTIMEOUT => 2,
        ]);
    }

    /** @param  array<string, mixed>|null  $body */
    public function once(string $path, ?array $body, string $key): int
    {
        $this->tries++;
        $token = '';
        foreach ((array) curl_getinfo($this->curl, CURLINFO_COOKIELIST) as $line) {
            $parts = explode("\t", (string) $line);
            ($parts[5] ?? '') !== 'XSRF-TOKEN' || ($token = urldecode($parts[6]));
        }
        curl_setopt_array($this->curl, [
            CURLOPT_URL => $this->base.$path,
            CURLOPT_HTTPHEADER => [
                'Accept: application/json',
                'Content-Type: application/json',
                'X-XSRF-TOKEN: '.$token,
                'Idempotency-Key: '.$key,
            ],
        ]);
        curl_setopt($this->curl, CURLOPT_CUSTOMREQUEST, $body === null ? 'GET' : 'POST');
        curl_setopt($this->curl, CURLOPT_POSTFIELDS, $body === null ? null : (string) json_encode($body));
        curl_exec($this->curl);

        return (int) curl_getinfo($this->curl, CURLINFO_RESPONSE_CODE);
    }

    /**
     * Until it is answered for good, as the pages of the house do.
     *
     * @param  array<string, mixed>  $body
     */
    public function surely(string $path, array $body): int
    {
        $key = Str::random(24);
        for ($i = 0; ; $i++) {
            $is = $this->once($path, $body, $key);
            if ($is !== 0 && $is < 500 && $is !== 409 && $is !== 419 && $is !== 429) {
                return $is;
            }
            // The token went with the session of before.
            $is !== 419 || $this->once('/api/me', null, $key);
            usleep(min(1_000_000, 100_000 * ($i + 1)));
        }
    }
}

$kills = max(1, (int) ($argv[1] ?? 200));
$seed = (int) ($argv[2] ?? 7);
$base = rtrim((string) config('app.url'), '/');
$password = 'a kettle on the harbour wall';
$var = (string) getenv('KETTLE_VAR');
$keeper = User::query()->create([
    'name' => 'Keeper',
    'email' => Str::lower(Str::random(8)).'@kettle.example',
    'password' => $password,
    'prefs' => User::PREFS,
]);
Auth::login($keeper);
$house = app(CreateHouse::class)($keeper, ['name' => 'Under fire', 'time_zone' => 'Europe/London', 'measures' => 'us']);
$batches = app(CurrentHouse::class)->within(
    $house,
    fn (): array => array_map(
        fn (): string => app(StartBatch::class)(
            ['herb' => ['id' => 'calendula'], 'oils' => [['id' => 'olive']], 'method' => 'cold'],
            'the bench',
        )->uid,
        range(1, HANDS),
    ),
);
DB::disconnect();

$folder = sys_get_temp_dir().'/kettle-kills-'.getmypid();
mkdir($folder);
$hands = [];
for ($n = 0; $n < HANDS; $n++) {
    $pid = pcntl_fork();
    if ($pid === 0) {
        $hand = new Hand($base);
        $hand->once('/api/me', null, Str::random(24));
        $in = $hand->surely('/api/session', ['email' => $keeper->email, 'password' => $password]);
        $said = fopen("{$folder}/{$n}", 'w');
        for ($i = 0; $in === 200 && ! file_exists("{$folder}/stop"); $i++) {
            $note = "hand {$n}, line {$i}";
            $is = $hand->surely("/api/houses/{$house->uid}/batches/{$batches[($n + $i) % HANDS]}/notes", ['note' => $note]);
            fwrite($said, "{$is} {$note}\n");
            fflush($said);
        }
        fwrite($said, $in === 200 ? "tries {$hand->tries}\n" : "0 not let in: {$in}\n");
        posix_kill(posix_getpid(), SIGKILL);
    }
    $hands[] = $pid;
}

/** Whether the house answers: the page of who is in needs the front, a worker and the database. */
$answers = function () use ($base): bool {
    $curl = curl_init("{$base}/api/me");
    curl_setopt_array($curl, [CURLOPT_RETURNTRANSFER => true, CURLOPT_TIMEOUT => 2]);
    curl_exec($curl);

    return curl_getinfo($curl, CURLINFO_RESPONSE_CODE) === 200;
};
$alive = fn (string $part, int $but): bool => ($pid = (int) @file_get_contents("{$var}/run/{$part}.pid")) > 1 &&
    $pid !== $but &&
    posix_kill($pid, 0);
sleep(3);
mt_srand($seed);
$slowest = array_fill_keys(PARTS, 0.0);
$killed = array_fill_keys(PARTS, 0);
for ($k = 0; $k < $kills; $k++) {
    $part = PARTS[mt_rand(0, count(PARTS) - 1)];
    $pid = (int) @file_get_contents("{$var}/run/{$part}.pid");
    if ($pid < 2 || ! posix_kill($pid, 0) || (! $cut && ! posix_kill(-$pid, SIGKILL))) {
        usleep(300_000);
        $k--;

        continue;
    }
    if ($cut) {
        exec(escapeshellarg($cut).' bench cut 2>&1', $said, $code);
        $code === 0 || exit(implode("\n", $said)."\n");
    }
    $from = microtime(true);
    $killed[$part]++;
    do {
        usleep(50_000);
        $took = microtime(true) - $from;
    } while ($took < 60 && ! ($alive($part, $pid) && $answers()));
    $slowest[$part] = max($slowest[$part], round($took, 2));
    usleep(mt_rand(200_000, 1_500_000));
    ($k + 1) % 25 !== 0 || fprintf(STDERR, "%d of %d\n", $k + 1, $kills);
}
touch("{$folder}/stop");
foreach ($hands as $pid) {
    pcntl_waitpid($pid, $status);
}

$acknowledged = $refused = [];
$tries = 0;
foreach (range(0, HANDS - 1) as $n) {
    foreach ((array) file("{$folder}/{$n}", FILE_IGNORE_NEW_LINES) as $line) {
        [$is, $note] = explode(' ', (string) $line, 2);
        match (true) {
            $is === 'tries' => ($tries += (int) $note),
            $is === '200' => ($acknowledged[] = $note),
            default => ($refused[] = "{$is} {$note}"),
        };
    }
}
$stands = DB::table('log_entries')->where('house_id', $house->id)->where('note', 'like', 'hand %')->pluck('note')->countBy();
$lost = array_values(array_filter($acknowledged, fn (string $note) => ! $stands->has($note)));
$twice = $stands->filter(fn (int $many) => $many > 1)->keys()->all();
$apart = [];
app(CurrentHouse::class)->within(House::query()->findOrFail($house->id), function () use (&$apart): void {
    $but = ['version' => 0, 'updated_at' => 0];
    foreach (Batch::query()->get() as $batch) {
        $before = array_diff_key((array) DB::table('batches')->where('id', $batch->id)->first(), $but);
        $tasks = DB::table('tasks')
            ->where('batch_id', $batch->id)
            ->orderBy('due_at')
            ->get(['step', 'due_at'])
            ->toArray();
        app(BatchProjector::class)->refresh($batch);
        $after = array_diff_key((array) DB::table('batches')->where('id', $batch->id)->first(), $but);
        $now = DB::table('tasks')
            ->where('batch_id', $batch->id)
            ->orderBy('due_at')
            ->get(['step', 'due_at'])
            ->toArray();
        ($before == $after && $tasks == $now) || ($apart[] = $batch->code);
    }
});
array_map(unlink(...), (array) glob("{$folder}/*"));
rmdir($folder);
echo json_encode(
    [
        'kills' => array_sum($killed),
        'killed' => $killed,
        'slowest_back_s' => $slowest,
        'written_and_answered' => count($acknowledged),
        'tries' => $tries,
        'refused' => array_slice($refused, 0, 10),
        'lost' => $lost,
        'twice' => $twice,
        'apart_from_their_logbooks' => $apart,
    ],
    JSON_PRETTY_PRINT,
),
"\n";
exit($lost === [] && $twice === [] && $apart === [] && $refused === [] && $acknowledged !== [] && max($slowest) <= 10 ? 0 : 1);
