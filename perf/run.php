<?php

/*
 * kettle bench: what the kettle costs, measured on this machine in one run, printed and written to
 * docs/bench.json. Times over HTTP stand beside the plainest answer of a house, its scale, measured among them, and
 * are to be read as ratios to it.
 */

use App\Models\House;
use App\Models\User;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Kettle\Material\Blend;
use Kettle\Material\State;
use Kettle\Material\Tables;
use Kettle\Melt\House as MeltHouse;
use Kettle\Melt\Infused;
use Kettle\Melt\Melting;
use Kettle\Recipe\KitchenReader;
use Kettle\Recipe\Planning;
use Kettle\Trace\Graph;

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/Client.php';
require __DIR__.'/times.php';
require __DIR__.'/houses.php';
require __DIR__.'/press.php';
require __DIR__.'/stove.php';
/** @var Illuminate\Foundation\Application $app */
$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();

const WISH = [
    'herb' => ['id' => 'marshmallow-root'],
    'oils' => [['id' => 'sunflower', 'parts' => '2'], ['id' => 'jojoba', 'parts' => '1']],
    'method' => 'slow-cooker',
    'ready_by' => null,
];

/** A product of five of the house's oils and five other parts. */
const PRODUCT = [
    'product' => 'salve',
    'oils' => [['batch' => 'a'], ['batch' => 'b'], ['batch' => 'c'], ['batch' => 'd'], ['batch' => 'e']],
    'butters' => [['id' => 'shea', 'share' => 0.05], ['id' => 'cocoa-butter', 'share' => 0.05]],
    'others' => [['id' => 'vitamin-e', 'share' => 0.005]],
    'essential_oils' => [['id' => 'lavender', 'percent' => 1]],
    'firmness' => 0.25,
    'tins' => [['ml' => 60, 'count' => 6], ['ml' => 15, 'count' => 4]],
];

/** The same of an oil that is not begun yet, by a day. */
const WANTED =
    ['oils' => [['infuse' => ['herbs' => [['id' => 'calendula']], 'oils' => ['olive'], 'method' => 'cold']]]] + [
        'ready_by' => '2027-03-01',
    ] +
    SALVE;

/** Three herbs in four oils, by a day, with lots in the cupboard: as much as the Bench is likely to be asked. */
const FULL = [
    'herbs' => [['id' => 'calendula', 'parts' => '2'], ['id' => 'self-heal'], ['id' => 'yarrow']],
    'oils' => [['id' => 'olive', 'parts' => '3'], ['id' => 'sunflower', 'parts' => '2'], ['id' => 'jojoba'], ['id' => 'camellia']],
    'finished' => ['count' => '6', 'size' => '50 mL'],
    'purpose' => 'salve',
    'method' => 'slow-cooker',
    'ready_by' => '2027-03-01',
    'house' => [
        'lots' => [
            ['kind' => 'herb', 'material' => 'calendula', 'amount' => '100 g', 'price' => '5'],
            ['kind' => 'carrier', 'material' => 'olive', 'amount' => '120 mL', 'price' => '2'],
            ['kind' => 'carrier', 'material' => 'camellia', 'amount' => '1 L', 'price' => '20'],
            ['kind' => 'carrier', 'material' => 'jojoba', 'amount' => '10 mL', 'price' => '1'],
        ],
    ],
];

/**
 * The core alone, tables and all.
 *
 * @param  array<string, mixed>  $wish
 * @param  \Closure(Planning, \Kettle\Recipe\Kitchen): mixed  $do
 * @return array<string, mixed>
 */
function core(array $wish, Closure $do, float $aim): array
{
    $before = memory_get_usage();
    $tables = Tables::shipped();
    $bench = new Planning($tables);
    $kitchen = KitchenReader::read(
        is_array($wish['house'] ?? null) ? $wish['house'] : [],
        new DateTimeImmutable('2026-11-24T10:00:00Z'),
        $tables,
    );
    $times = [];
    memory_reset_peak_usage();
    for ($i = 0; $i < 400; $i++) {
        $from = hrtime(true);
        $do($bench, $kitchen);
        if ($i >= 20) {
            $times[] = (hrtime(true) - $from) / 1e6;
        }
    }

    return [
        ...summary($times),
        'memory_kb' => round((memory_get_peak_usage() - $before) / 1024),
        'aim_ms' => $aim,
        'aim_memory_kb' => 8192,
    ];
}

/**
 * Five oils of the house, as the Melt takes them.
 *
 * @return array<string, Infused>
 */
function infused(Planning $bench): array
{
    $cupboard = $bench->cupboard();
    $infused = [];
    foreach (['a' => 'sunflower', 'b' => 'olive', 'c' => 'jojoba', 'd' => 'sesame', 'e' => 'rice-bran'] as $id => $oil) {
        $infused[$id] = new Infused(
            $id,
            "oil {$id}",
            Blend::of([['carrier' => $cupboard->carrier($oil), 'parts' => 1.0]]),
            herbs: [['plant' => $cupboard->herb('calendula'), 'state' => State::Dried]],
            leftMl: 500.0,
            bestBefore: new DateTimeImmutable('2027-06-01'),
        );
    }

    return $infused;
}

/**
 * A lot that turned, in a house of 5,000 batches, 20,000 bottles and 20,000 tins: all it went into, and back again.
 *
 * @return array<string, float|int>
 */
function aLotThatTurned(): array
{
    mt_srand(11);
    $times = [];
    for ($round = 0; $round < 5; $round++) {
        $from = hrtime(true);
        $graph = new Graph();
        for ($i = 0; $i < 400; $i++) {
            $graph->thing('lot', "lot {$i}");
        }
        for ($i = 0; $i < 5_000; $i++) {
            $graph->thing('batch', "batch {$i}");
            $graph->joins('lot '.mt_rand(0, 399), "batch {$i}");
            $graph->joins('lot '.mt_rand(0, 399), "batch {$i}");
        }
        for ($i = 0; $i < 20_000; $i++) {
            $graph->thing('bottle', "bottle {$i}");
            $graph->joins('batch '.intdiv($i, 4), "bottle {$i}");
        }
        for ($i = 0; $i < 4_000; $i++) {
            $graph->thing('product', "product {$i}");
            $graph->joins('bottle '.mt_rand(0, 19_999), "product {$i}");
        }
        for ($i = 0; $i < 20_000; $i++) {
            $graph->thing('tin', "tin {$i}");
            $graph->joins('product '.intdiv($i, 5), "tin {$i}");
        }
        $touched = count($graph->forward('lot 7'));
        $graph->back('tin 77');
        $times[] = (hrtime(true) - $from) / 1e6;
    }

    return [...summary($times), 'touched' => $touched, 'aim_ms' => 100];
}

/**
 * @param  array<string, array{times_the_plainest: float}>  $smallest the same of a house that has hardly begun
 * @return array<string, array<string, float|int>&array{times_the_plainest: float}>
 */
function overHttp(Client $client, House $house, array $smallest = []): array
{
    $base = "/api/houses/{$house->uid}";
    $wish = (string) json_encode(['wish' => WISH]);
    /** @var string $batch */
    $batch = DB::table('batches')->where('house_id', $house->id)->orderBy('id')->value('uid');
    /** @var string $making */
    $making = DB::table('makings')->where('house_id', $house->id)->orderBy('id')->value('uid');
    $routes = [
        'plainest' => fn () => $client->get("{$base}/scale"),
        'today' => fn () => $client->get("{$base}/today"),
        'shelf' => fn () => $client->get("{$base}/shelf"),
        'bench' => fn () => $client->post("{$base}/reckon", $wish),
        'oils' => fn () => $client->get("{$base}/oils?purpose=salve"),
        'stores' => fn () => $client->get("{$base}/stores?kind=herb"),
        'batch' => fn () => $client->get("{$base}/batches/{$batch}"),
        'yields' => fn () => $client->get("{$base}/yields"),
        'melt' => fn () => $client->post("{$base}/melt/reckon", (string) json_encode(['wish' => SALVE])),
        'makings' => fn () => $client->get("{$base}/makings"),
        'making' => fn () => $client->get("{$base}/makings/{$making}"),
        'trace' => fn () => $client->get("{$base}/makings/{$making}/trace"),
        'almanac' => fn () => $client->get("{$base}/almanac/plant/marshmallow-root"),
    ];
    $times = array_fill_keys(array_keys($routes), []);
    // Round and round, so that whatever else the machine does falls on all alike.
    for ($round = 0; $round < 130; $round++) {
        foreach ($routes as $name => $ask) {
            $from = hrtime(true);
            $ask();
            if ($round >= 10) {
                $times[$name][] = (hrtime(true) - $from) / 1e6;
            }
        }
    }
    $results = array_map(summary(...), $times);
    foreach ($results as $name => $result) {
        $results[$name]['times_the_plainest'] = round($result['median_ms'] / $results['plainest']['median_ms'], 2);
        if (isset($smallest[$name])) {
            $results[$name]['times_itself_when_small'] = round(
                $results[$name]['times_the_plainest'] / $smallest[$name]['times_the_plainest'],
                2,
            );
        }
    }

    return $results;
}

/** @return array<string, int> bytes as they are sent, of what the first screen loads */
function firstScreen(): array
{
    /** @var array<string, array{file: string, css?: list<string>, imports?: list<string>}> $manifest */
    $manifest = json_decode((string) file_get_contents(public_path('build/.vite/manifest.json')), true);
    $files = [];
    $take = function (string $key) use (&$take, &$files, $manifest): void {
        $entry = $manifest[$key];
        if (isset($files[$entry['file']])) {
            return;
        }
        $files[$entry['file']] = true;
        foreach ($entry['css'] ?? [] as $css) {
            $files[$css] = true;
        }
        foreach ($entry['imports'] ?? [] as $import) {
            $take($import);
        }
    };
    foreach (['web/main.tsx', 'web/today/Today.tsx'] as $key) {
        $take($key);
    }
    $bytes = ['script' => 0, 'style' => 0];
    foreach (array_keys($files) as $file) {
        $kind = str_ends_with($file, '.css') ? 'style' : 'script';
        $bytes[$kind] += (int) filesize(public_path("build/{$file}.br"));
    }

    return ['script_bytes' => $bytes['script'], 'style_bytes' => $bytes['style'], 'aim_script_bytes' => 110_000];
}

$report = [
    'php' => PHP_VERSION,
    'cores' => (int) shell_exec('nproc'),
    'core_plan' => core(WISH, fn (Planning $bench, $kitchen) => $bench->document($bench->plan(WISH, $kitchen), $kitchen), 2),
    'core_product' => core(
        [],
        fn (Planning $bench, $kitchen) => (new Melting($bench->tables()))->plan(PRODUCT, new MeltHouse($kitchen, infused($bench))),
        2,
    ),
    'core_product_by_a_day' => core(
        [],
        fn (Planning $bench, $kitchen) => (new Melting($bench->tables()))->plan(WANTED, new MeltHouse($kitchen)),
        8,
    ),
    'core_everything' => core(FULL, fn (Planning $bench, $kitchen) => $bench->answer($bench->plan(FULL, $kitchen), $kitchen), 8),
];
$report['warm_hours_of_a_million_readings'] = aMillionReadings();
$report['diary_of_40_batches_3_cookers_120_days'] = aBusyDiary();
$report['best_filling_12_sizes_20_l'] = theBestFilling();
$report['yield_learned_from_5000_batches'] = whatFiveThousandBatchesTeach();
$report['trace_of_a_lot_through_45000_things'] = aLotThatTurned();
$report['label_sheet_of_200'] = aSheetOfTwoHundredLabels();
$password = Str::random(24);
$keeper = User::query()->create([
    'name' => 'Bench',
    'email' => Str::random(8).'@example.org',
    'password' => $password,
    'prefs' => User::PREFS,
]);
Auth::setUser($keeper);
$client = new Client(config()->string('app.url'));
$client->signIn($keeper->email, $password);
$smallest = [];
foreach ([[20, 20], [5000, 2000], [60_000, 20_000]] as [$batches, $lots]) {
    $house = house($keeper, $batches);
    lots($house, $lots);
    learned($house);
    $pages = overHttp($client, $house, $smallest);
    $smallest = $smallest ?: $pages;
    $report['http']["{$batches} batches, {$lots} lots"] = $pages;
    // What a cook sees: from the last keystroke to the sentence that has it, in a real browser.
    $eye = shell_exec(
        sprintf(
            'node perf/eye.mjs %s %s %s %s',
            escapeshellarg(config()->string('app.url')),
            escapeshellarg($house->uid),
            escapeshellarg($keeper->email),
            escapeshellarg($password),
        ),
    );
    /** @var array{bench: array<string, float>, melt: array<string, float>} $seen */
    $seen = json_decode((string) $eye, true, flags: JSON_THROW_ON_ERROR);
    foreach ($seen as $place => $times) {
        $report['to_the_eye']["{$place}, {$batches} batches, {$lots} lots"] = $times + ['aim_median_ms' => 150, 'aim_p95_ms' => 300];
    }
}
$base = config()->string('app.url');
[$pot, $key] = aWarmPot($kitchen = house($keeper, 2));
$report['readings_taken_in'] = takenIn($base, $pot, $key, 1500);
$report['pages_held_open'] = pagesHeld($client, $kitchen, $base, $pot, $key, 50);
$report['page_of_a_day_of_readings'] = aDayOfReadings($client, house($keeper, 2));
$report['first_screen'] = firstScreen();
$report['cold_start_to_ready_ms'] = (int) getenv('COLD_START_MS');

// What the browser's own yardstick said is measured apart: `kettle bench lighthouse`.
$before = json_decode((string) @file_get_contents(__DIR__.'/../docs/bench.json'), true);
$report += is_array($before) && isset($before['lighthouse']) ? ['lighthouse' => $before['lighthouse']] : [];

$json = json_encode($report, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)."\n";
file_put_contents(__DIR__.'/../docs/bench.json', $json);
echo $json;
