<?php

/*
 * What the Stove costs: hours from a long log, the diary of a busy house, readings taken in, a page with a
 * day of them, and pages held open.
 */

use App\Actions\Batches\RecordTask;
use App\Actions\Batches\StartBatch;
use App\Actions\Stove\StartSession;
use App\Live\LiveToken;
use App\Models\Cooker;
use App\Models\House;
use App\Models\Probe;
use App\Models\StoveProbe;
use App\Models\StoveSession;
use App\Models\Tenancy\CurrentHouse;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Kettle\Diary\Availability;
use Kettle\Diary\CookerDiary;
use Kettle\Diary\CookerJob;
use Kettle\Diary\CookerPlace;
use Kettle\Vessel\Cooker as CoreCooker;
use Kettle\Warmth\Band;
use Kettle\Warmth\WarmHours;

/** @return array<string, mixed> warm hours of a million readings, as they would come from a database */
function aMillionReadings(): array
{
    $readings = function (): Generator {
        for ($i = 0; $i < 1_000_000; $i++) {
            yield [$i * 10, 49 + 8 * sin($i / 900)];
        }
    };
    // What it costs to make them up is none of its cost.
    $from = hrtime(true);
    foreach ($readings() as [$at, $celsius]) {
    }
    $making = (hrtime(true) - $from) / 1e6;
    $before = memory_get_usage();
    memory_reset_peak_usage();
    $from = hrtime(true);
    $hours = WarmHours::over($readings(), Band::of(43, 49, 60))->hours();

    return [
        'ms' => round((hrtime(true) - $from) / 1e6 - $making),
        'making_them_up_ms' => round($making),
        'memory_kb' => round((memory_get_peak_usage() - $before) / 1024),
        'hours' => round($hours),
        'aim_ms' => 1000,
        'aim_memory_kb' => 65536,
    ];
}

/** @return array<string, mixed> 40 batches of three warmths in three cookers, people away now and then */
function aBusyDiary(): array
{
    $now = new DateTimeImmutable('2026-11-24T08:00:00Z');
    $places = [
        new CookerPlace(CoreCooker::measured('a', 'round', 'round', 210, 210, 130), ['slow-cooker']),
        new CookerPlace(CoreCooker::measured('b', 'oval', 'oval', 300, 210, 140), ['slow-cooker']),
        new CookerPlace(CoreCooker::measured('c', 'pot', 'round', 240, 240, 140), ['slow-cooker', 'water-bath']),
    ];
    $away = array_map(fn (int $week) => [$now->modify("+{$week} weeks"), $now->modify("+{$week} weeks +2 days")], range(1, 16));
    $times = [];
    for ($round = 0; $round < 12; $round++) {
        $jobs = [];
        for ($i = 0; $i < 40; $i++) {
            [$target, $ceiling] = [[49.0, 60.0], [38.0, 40.0], [60.0, 71.0]][($i + $round) % 3];
            $jobs[] = new CookerJob(
                "j{$i}",
                "herb {$i}",
                'slow-cooker',
                $target,
                $ceiling,
                [6.0, 8.0, 12.0, 24.0][$i % 4],
                array_fill(0, 1 + ($i % 2), [67.3, 79.8, 94.4][$i % 3]),
                $now->modify('+'.($i * 11) % 400 .' hours'),
                $i % 5 === 0 ? $now->modify('+'.(10 + $i).' days') : null,
            );
        }
        $from = hrtime(true);
        $diary = CookerDiary::plan(
            $jobs,
            $places,
            Availability::between('07:00', '22:30')
                ->atHome(['2' => '07:00-08:30, 17:00-22:30'])
                ->without($away),
            $now,
        );
        $times[] = (hrtime(true) - $from) / 1e6;
    }

    return [...summary($times), 'sessions' => $diary->sessions(), 'aim_ms' => 300];
}

/** @return array{StoveSession, string, Probe} a pot that is on, and the key of its thermometer */
function aWarmPot(House $house): array
{
    return app(CurrentHouse::class)->within($house, function (): array {
        $batch = app(StartBatch::class)(['method' => 'slow-cooker', 'school' => 'usual'] + WISH, 'the bench');
        app(RecordTask::class)($batch, 'fill', 'done', null, null);
        $key = Str::random(40);
        $probe = Probe::query()->create([
            'uid' => Str::ulid()->toString(),
            'called' => 'bench',
            'kind' => Probe::SENDS,
            'key_hash' => hash('sha256', $key),
        ]);
        $cooker = Cooker::query()->whereJsonContains('methods', 'slow-cooker')->firstOrFail();

        return [app(StartSession::class)($cooker->uid, 'Warm', [$batch->uid], 'rim', $probe->uid, null, 1), $key, $probe];
    });
}

/**
 * Single readings by several senders at once, every fifth sent twice.
 *
 * @return array<string, mixed>
 */
function takenIn(string $base, StoveSession $session, string $key, int $readings): array
{
    $from = $session->started_at->getTimestamp() - 500;
    $queue = [];
    for ($i = 0; $i < $readings; $i++) {
        $queue[] = $i;
        $i % 5 === 0 && ($queue[] = $i);
    }
    $sent = count($queue);
    $multi = curl_multi_init();
    $open = 0;
    $wrong = 0;
    // The session began now, so what is sent lies in the ten minutes before it and the seconds since.
    $start = hrtime(true);
    $next = function () use (&$queue, &$open, $multi, $base, $key, $from): void {
        $i = array_shift($queue);
        $curl = curl_init("{$base}/api/readings");
        curl_setopt_array($curl, [
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_POST => true,
            CURLOPT_POSTFIELDS => (string) json_encode(['readings' => [['at' => $from + ($i % 500), 'c' => 40 + ($i % 300) / 20]]]),
            CURLOPT_HTTPHEADER => ['Content-Type: application/json', 'Accept: application/json', "Authorization: Bearer {$key}"],
        ]);
        curl_multi_add_handle($multi, $curl);
        $open++;
    };
    while ($queue !== [] || $open > 0) {
        while ($queue !== [] && $open < 6) {
            $next();
        }
        curl_multi_exec($multi, $running);
        curl_multi_select($multi, 0.05);
        /** @var array{handle: CurlHandle}|false $done */
        while ($done = curl_multi_info_read($multi)) {
            curl_getinfo($done['handle'], CURLINFO_RESPONSE_CODE) === 200 || $wrong++;
            curl_multi_remove_handle($multi, $done['handle']);
            $open--;
        }
    }
    $seconds = (hrtime(true) - $start) / 1e9;
    $kept = DB::table('readings')->where('stove_session_id', $session->id)->count();

    return [
        'sent' => $sent,
        'a_second' => round($sent / $seconds),
        'aim_a_second' => 100,
        'kept' => $kept,
        'to_be_kept' => min(500, $readings),
        'refused' => $wrong,
    ];
}

/** @return array<string, mixed> a session with six thermometers, each ten seconds for eight hours */
function aDayOfReadings(Client $client, House $house): array
{
    [$session, , $probe] = aWarmPot($house);
    $from = now()->getTimestamp() - 8 * 3600;
    DB::table('stove_sessions')
        ->where('id', $session->id)
        ->update([
            'started_at' => now()->subHours(8),
            'switched_at' => now()->subHours(8),
            'filled_at' => now()->subHours(8),
            'shaken_at' => now(),
        ]);
    $probes = [$probe->id];
    for ($i = 1; $i < 6; $i++) {
        $probes[] = app(CurrentHouse::class)->within(
            $house,
            fn () => Probe::query()->create(['uid' => Str::ulid()->toString(), 'called' => "bench {$i}", 'kind' => Probe::SENDS]),
        )->id;
    }
    foreach ($probes as $n => $id) {
        foreach (array_chunk(range(0, 2879), 720) as $part) {
            DB::table('readings')->insert(
                array_map(
                    fn (int $i) => [
                        'stove_session_id' => $session->id,
                        'probe_id' => $id,
                        'at' => $from + $i * 10,
                        'centi_c' => 4500 + (int) (600 * sin($i / 90 + $n)),
                    ],
                    $part,
                ),
            );
        }
        StoveProbe::query()->updateOrInsert(
            ['stove_session_id' => $session->id, 'probe_id' => $id],
            ['gathered' => json_encode(['hours' => 6.5, 'last' => $from + 28790, 'last_c' => 48.0, 'count' => 2880, 'peak' => 51.0])],
        );
    }
    $times = ['plainest' => [], 'pot' => []];
    for ($round = 0; $round < 70; $round++) {
        foreach (
            ['plainest' => "/api/houses/{$house->uid}/scale", 'pot' => "/api/houses/{$house->uid}/stove/{$session->uid}"] as $name => $path
        ) {
            $start = hrtime(true);
            $answer = $client->get($path);
            $round >= 10 && ($times[$name][] = (hrtime(true) - $start) / 1e6);
        }
    }

    /** @var array{chart: array{points: list<mixed>}} $page */
    $page = json_decode($answer, true);

    return [
        ...summary($times['pot']),
        'times_the_plainest' => round(quantile($times['pot'], 0.5) / quantile($times['plainest'], 0.5), 2),
        'readings' => 6 * 2880,
        'points_drawn' => count($page['chart']['points']),
        'answer_kb' => round(strlen($answer) / 1024),
    ];
}

/** @return array<string, mixed> the empty route alone, and with fifty pages listening; and how soon they hear */
function pagesHeld(Client $client, House $house, string $base, StoveSession $session, string $key, int $pages): array
{
    $ask = function () use ($client, $house): array {
        $times = [];
        for ($i = 0; $i < 120; $i++) {
            $from = hrtime(true);
            $client->get("/api/houses/{$house->uid}/scale");
            $i >= 20 && ($times[] = (hrtime(true) - $from) / 1e6);
        }

        return $times;
    };
    $alone = quantile($ask(), 0.5);
    $url = parse_url($base);
    assert(is_array($url) && isset($url['host'], $url['port']));
    $held = [];
    for ($i = 0; $i < $pages; $i++) {
        $stream = stream_socket_client("tcp://{$url['host']}:{$url['port']}", $no, $why, 5);
        if ($stream === false) {
            throw new RuntimeException("no connection: {$why}");
        }
        fwrite(
            $stream,
            'GET /live?token='.
                LiveToken::for($session->id).
                " HTTP/1.1\r\nHost: {$url['host']}:{$url['port']}\r\nAccept: text/event-stream\r\n\r\n",
        );
        $held[] = $stream;
    }
    sleep(2);
    foreach ($held as $stream) {
        stream_set_blocking($stream, false);
        stream_get_contents($stream);
    }
    $with = quantile($ask(), 0.5);
    $from = hrtime(true);
    $curl = curl_init("{$base}/api/readings");
    curl_setopt_array($curl, [
        CURLOPT_RETURNTRANSFER => true,
        CURLOPT_POST => true,
        CURLOPT_POSTFIELDS => (string) json_encode(['readings' => [['at' => now()->getTimestamp(), 'c' => 50.5]]]),
        CURLOPT_HTTPHEADER => ['Content-Type: application/json', "Authorization: Bearer {$key}"],
    ]);
    curl_exec($curl);
    $heard = [];
    $text = array_fill(0, $pages, '');
    while (count($heard) < $pages && (hrtime(true) - $from) / 1e9 < 10) {
        foreach ($held as $i => $stream) {
            $text[$i] .= stream_get_contents($stream);
            if (! isset($heard[$i]) && str_contains($text[$i], 'event: changed')) {
                $heard[$i] = (hrtime(true) - $from) / 1e6;
            }
        }
        usleep(5000);
    }
    array_map(fclose(...), $held);

    return [
        'pages' => $pages,
        'heard' => count($heard),
        'heard_within_ms' => $heard === [] ? null : round(max($heard)),
        'empty_route_ms_alone' => round($alone, 2),
        'empty_route_ms_with_them' => round($with, 2),
        'slower_by_times' => round($with / $alone, 2),
    ];
}
