<?php

/*
 * kettle bench carry [batches] [pictures]: a house of ten thousand batches and two thousand pictures, unless told
 * otherwise, out as a zip and into another house, by the worker that does it with 64 MB of memory; and out of that one
 * again. Every line and every picture of the two zips must be the same. Ends with 1 where one is not.
 */

use App\Actions\Batches\RecordTask;
use App\Actions\Batches\StartBatch;
use App\Actions\Houses\CreateHouse;
use App\Actions\Transfers\Choices;
use App\Actions\Transfers\Progress;
use App\Actions\Transfers\Transfers;
use App\Models\House;
use App\Models\Photo;
use App\Models\Probe;
use App\Models\StoveProbe;
use App\Models\StoveSession;
use App\Models\Tenancy\CurrentHouse;
use App\Models\Transfer;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/rows.php';
/** @var Illuminate\Foundation\Application $app */
$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();

const WISH = [
    'herb' => ['id' => 'marshmallow-root'],
    'oils' => [['id' => 'sunflower', 'parts' => '2'], ['id' => 'jojoba', 'parts' => '1']],
];

/** A round slow cooker with one jar in it. */
const SET_UP = [
    'cooker' => [
        'called' => 'round slow cooker, 3.5 L',
        'shape' => 'round',
        'length_mm' => 210,
        'width_mm' => 210,
        'height_mm' => 130,
        'settings' => [['name' => 'Warm', 'watts' => 75], ['name' => 'Low', 'watts' => 130], ['name' => 'High', 'watts' => 230]],
        'loss_w_per_k' => 1.5,
        'vessel_j_per_k' => 2500,
        'learned' => false,
        'methods' => ['slow-cooker'],
    ],
    'jars' => [
        ['x' => 0, 'y' => 0, 'd' => 73.9, 'height' => 118, 'level' => 90, 'bed' => 58.9, 'floats_at' => null, 'called' => '380 mL jar'],
    ],
    'full_mm' => 92.6,
    'low_mm' => 67.2,
    'water_ml' => 2810.1,
    'low_ml' => 2039.3,
    'full_ml' => 2810.1,
    'open_m2' => 0.03035,
    'jars_j_per_k' => 794.9,
    'jars_w_per_k' => 0.742,
    'room_c' => 18,
    'height_m' => 15,
    'lid' => false,
    'dry' => false,
    'held_by_floating' => false,
    'poured_c' => null,
    'foretold' => [
        'minutes_to_band' => ['value' => 82.1, 'cooler' => 97.1, 'hotter' => 72],
        'settles_c' => ['value' => 63.8, 'cooler' => 57.68, 'hotter' => 69.82],
        'water_lost_ml_per_h' => ['value' => 94.1, 'cooler' => 69.5, 'hotter' => 124.8],
        'passes_ceiling' => ['value' => true, 'cooler' => false, 'hotter' => true],
    ],
    'model' => [[0, 18], [36000, 49]],
];

$batches = max(2, (int) ($argv[1] ?? 10_000));
$pictures = max(0, (int) ($argv[2] ?? 2_000));
$readings = 100_000;
$keeper = User::query()->create([
    'name' => 'Carrier',
    'email' => Str::random(8).'@kettle.example',
    'password' => Str::random(16),
    'prefs' => [],
]);
Auth::login($keeper);
$like = ['time_zone' => 'Europe/London', 'measures' => 'us'];
$house = fn (string $name): House => app(CreateHouse::class)($keeper, ['name' => $name] + $like);
$first = $house('From here');
$within = fn (House $house, Closure $do) => app(CurrentHouse::class)->within($house, $do);

$within($first, function () use ($batches, $pictures, $readings, $first): void {
    $batch = app(StartBatch::class)(['method' => 'cold'] + WISH, 'the bench');
    app(RecordTask::class)($batch, 'fill', 'done', null, null);
    foreach (range(1, 8) as $time) {
        app(RecordTask::class)($batch, 'shake', 'done', null, null);
    }
    $row = rowToCopy('batches', $batch->id);
    $log = DB::table('log_entries')->where('batch_id', $batch->id)->get()->map(fn (object $line) => (array) $line);
    foreach (array_chunk(range(2, $batches), 250) as $numbers) {
        DB::table('batches')->insert(
            array_map(
                fn (int $n) => ['id' => null, 'uid' => strtolower((string) Str::ulid()), 'code' => sprintf('26-%05d', $n)] + $row,
                $numbers,
            ),
        );
        $ids = DB::table('batches')->where('house_id', $first->id)->orderByDesc('id')->limit(count($numbers))->pluck('id');
        $lines = [];
        foreach ($ids as $id) {
            foreach ($log as $line) {
                $lines[] = ['id' => null, 'uid' => strtolower((string) Str::ulid()), 'batch_id' => $id] + $line;
            }
        }
        foreach (array_chunk($lines, 500) as $part) {
            DB::table('log_entries')->insert($part);
        }
    }
    $ids = DB::table('batches')->where('house_id', $first->id)->pluck('id');
    mt_srand(7);
    for ($i = 0; $i < $pictures; $i++) {
        $image = imagecreatetruecolor(320, 240);
        for ($k = 0; $k < 400; $k++) {
            imagefilledellipse($image, mt_rand(0, 320), mt_rand(0, 240), 40, 40, mt_rand(0, 0xFFFFFF));
        }
        ob_start();
        imagejpeg($image, null, 85);
        Photo::query()->create(['uid' => (string) Str::ulid(), 'batch_id' => $ids[$i % count($ids)], 'jpeg' => (string) ob_get_clean()]);
    }
    $probe = Probe::query()->create(['uid' => (string) Str::ulid(), 'called' => 'in the oil', 'kind' => Probe::SENDS]);
    $started = Carbon::now()->subSeconds($readings * 10 + 60);
    $session = StoveSession::query()->create([
        'uid' => (string) Str::ulid(),
        'set_up' => SET_UP,
        'setting' => 'Warm',
        'band' => ['low' => 43, 'target' => 49, 'ceiling' => 60],
        'state' => StoveSession::ENDED,
        'speed' => 1,
        'started_at' => $started,
        'switched_at' => Carbon::now(),
        'ended_at' => Carbon::now(),
        'filled_at' => $started,
        'filled_ml' => 2000,
        'shaken_at' => $started,
        'version' => 1,
    ]);
    StoveProbe::query()->create(['stove_session_id' => $session->id, 'probe_id' => $probe->id, 'gathered' => []]);
    foreach (array_chunk(range(1, $readings), 2000) as $part) {
        DB::table('readings')->insert(
            array_map(
                fn (int $i) => [
                    'stove_session_id' => $session->id,
                    'probe_id' => $probe->id,
                    'at' => $started->getTimestamp() + $i * 10,
                    'centi_c' => 4900 + (int) round(300 * sin($i / 900)),
                ],
                $part,
            ),
        );
    }
});

/** Lets the worker do what it was given, as the house does; the most memory it had, MB, and how long it took, s. */
$work = function (): array {
    $from = hrtime(true);
    $process = proc_open(
        [
            PHP_BINARY,
            '-d',
            'memory_limit=64M',
            base_path('artisan'),
            'queue:work',
            'long',
            '--queue=long',
            '--once',
            '--tries=1',
            '--timeout=7200',
        ],
        [1 => ['file', '/dev/null', 'w'], 2 => STDERR],
        $pipes,
    );
    $most = 0;
    while (($status = proc_get_status($process))['running']) {
        if (preg_match('/VmHWM:\s+(\d+)/', (string) @file_get_contents("/proc/{$status['pid']}/status"), $m) === 1) {
            $most = max($most, (int) $m[1]);
        }
        usleep(100_000);
    }

    return ['s' => round((hrtime(true) - $from) / 1e9, 1), 'most_resident_mb' => (int) round($most / 1024)];
};

$report = [];
$out = function (House $house, string $what) use ($within, $work, &$report): string {
    $transfer = $within($house, fn () => app(Transfers::class)->out());
    $report[$what] = $work();
    $transfer->refresh();
    if ($transfer->state !== Transfer::DONE) {
        exit("{$what}: {$transfer->state}, ".Progress::of($transfer)['says']."\n");
    }
    $report[$what]['mb'] = (int) round((int) $transfer->size / 1e6);

    return $transfer->path();
};
$zip = $out($first, 'out');
$second = $house('To there');
$transfer = $within($second, function () use ($zip): Transfer {
    $transfer = app(Transfers::class)->in((int) filesize($zip));
    copy($zip, $transfer->path());
    app(Transfers::class)->take($transfer, new Choices(true, true, true, true));

    return $transfer;
});
$report['in'] = $work();
$transfer->refresh();
echo Progress::of($transfer)['says'], "\n";
$transfer->state === Transfer::DONE || exit(1);
$again = $out($second, 'out_again');

$unequal = 0;
[$one, $other] = array_map(
    function (string $path): ZipArchive {
        $zip = new ZipArchive();
        $zip->open($path, ZipArchive::RDONLY);

        return $zip;
    },
    [$zip, $again],
);
$lines = $files = 0;
for ($i = 0; $i < $one->count(); $i++) {
    $name = (string) $one->getNameIndex($i);
    if (in_array($name, ['house.json', 'jars.jsonl', 'bottles.jsonl', 'cookers.jsonl'], true)) {
        continue;
    }
    [$a, $b] = [$one->getStream($name), $other->getStream($name)];
    $files++;
    while ($a !== false && ($line = fgets($a)) !== false) {
        $lines++;
        if ($b === false || fgets($b) !== $line) {
            $unequal++ < 5 && fprintf(STDERR, "%s, line %d is another\n", $name, $lines);
        }
    }
    if ($b === false || fgets($b) !== false) {
        $unequal++;
    }
}
$unequal += $one->count() === $other->count() ? 0 : 1;
$report += ['batches' => $batches, 'pictures' => $pictures, 'readings' => $readings, 'files_compared' => $files, 'unequal' => $unequal];
echo json_encode($report, JSON_PRETTY_PRINT), "\n";
exit($unequal === 0 ? 0 : 1);
