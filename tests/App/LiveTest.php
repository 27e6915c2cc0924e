<?php

use App\Actions\Stove\SimulatedProbe;
use App\Console\Commands\RunDevices;
use App\Console\Commands\ServeLive;
use App\Devices\SimulatedWeather;
use App\Live\Hub;
use App\Live\LiveToken;
use App\Models\StoveSession;
use App\Models\Tenancy\CurrentHouse;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use React\EventLoop\StreamSelectLoop;
use React\Socket\SocketServer;

require_once __DIR__.'/../Pots.php';

/** @return array{StreamSelectLoop, Hub, string} a hub on a port of its own */
function aHub(): array
{
    $loop = new StreamSelectLoop();
    $hub = new Hub($loop);
    $server = new SocketServer('127.0.0.1:0', [], $loop);
    $hub->serve($server);

    return [$loop, $hub, substr((string) $server->getAddress(), 6)];
}

/** Runs a loop until something is so, or for some seconds. */
function runUntil(StreamSelectLoop $loop, Closure $so, float $seconds = 4): void
{
    $timers = [
        $loop->addPeriodicTimer(0.02, function () use ($loop, $so): void {
            $so() && $loop->stop();
        }),
        $loop->addTimer($seconds, fn () => $loop->stop()),
    ];
    $loop->run();
    array_map($loop->cancelTimer(...), $timers);
}

/** @return resource */
function listening(string $address, string $ask)
{
    $stream = stream_socket_client("tcp://{$address}", $no, $why, 2);
    stream_set_blocking($stream, false);
    fwrite($stream, $ask);

    return $stream;
}

it('gives a page a token for one pot and some hours, and takes no other', function () {
    $token = LiveToken::for(7);
    expect(LiveToken::read($token))
        ->toBe(7)
        ->and(LiveToken::read(str_replace('7.', '8.', $token)))
        ->toBeNull()
        ->and(LiveToken::read($token.'0'))
        ->toBeNull()
        ->and(LiveToken::read(''))
        ->toBeNull()
        ->and(LiveToken::read('7.9999999999.'.str_repeat('a', 64)))
        ->toBeNull();
    Carbon::setTestNow(Carbon::now()->addHours(13));
    expect(LiveToken::read($token))->toBeNull();
});

it('tells a page at once how its pot stands, and again when it has changed', function () {
    $id = begun($this, [warmBatch($this)])['id'];
    $session = StoveSession::query()->withoutGlobalScopes()->where('uid', $id)->firstOrFail();
    [$loop, $hub, $address] = aHub();
    $page = listening($address, 'GET /live?token='.LiveToken::for($session->id)." HTTP/1.1\r\nHost: x\r\n\r\n");
    $heard = '';
    $hear = function () use ($page, &$heard): string {
        return $heard .= stream_get_contents($page);
    };
    runUntil($loop, fn () => str_contains($hear(), 'event: changed'));
    expect($heard)
        ->toStartWith('HTTP/1.1 200')
        ->toContain('text/event-stream')
        ->and(substr_count($heard, 'event: changed'))
        ->toBe(1)
        ->and($hub->count())
        ->toBe(1);
    DB::table('stove_sessions')->where('id', $session->id)->increment('version');
    runUntil($loop, fn () => substr_count($hear(), 'event: changed') > 1);
    expect(substr_count($heard, 'event: changed'))->toBe(2);
    fclose($page);
    runUntil($loop, fn () => $hub->count() === 0);
    expect($hub->count())->toBe(0);
});

it('holds fifty pages by one question a second, and refuses what it does not know', function () {
    $id = begun($this, [warmBatch($this)])['id'];
    $session = StoveSession::query()->withoutGlobalScopes()->where('uid', $id)->value('id');
    [$loop, $hub, $address] = aHub();
    $pages = [];
    for ($i = 0; $i < 50; $i++) {
        $pages[] = listening($address, 'GET /live?token='.LiveToken::for($session)." HTTP/1.1\r\n\r\n");
    }
    runUntil($loop, fn () => $hub->count() === 50);
    expect($hub->count())->toBe(50);
    DB::enableQueryLog();
    DB::flushQueryLog();
    runUntil($loop, fn () => false, 2.2);
    expect(count(DB::getQueryLog()))->toBeLessThanOrEqual(3);
    $strangers = [
        '403' => listening($address, "GET /live?token=wrong HTTP/1.1\r\n\r\n"),
        '413' => listening($address, str_repeat('x', 5000)),
    ];
    foreach ($strangers as $status => $stranger) {
        $answer = '';
        runUntil($loop, function () use ($stranger, &$answer): bool {
            return str_contains($answer .= stream_get_contents($stranger), "\r\n\r\n");
        });
        expect($answer)->toStartWith("HTTP/1.1 {$status}");
    }
    expect($hub->count())->toBe(50);
    array_map(fclose(...), $pages);
});

it('lets a hundred pages come at once, on a socket that nobody else may open', function () {
    $id = begun($this, [warmBatch($this)])['id'];
    $session = StoveSession::query()->withoutGlobalScopes()->where('uid', $id)->value('id');
    $loop = new StreamSelectLoop();
    $hub = new Hub($loop);
    $path = sys_get_temp_dir().'/kettle-live-'.getmypid().'.sock';
    touch($path);
    $hub->serve($socket = ServeLive::socket($path, $loop));
    expect(fileperms($path) & 0o777)->toBe(0o600);
    $pages = [];
    for ($i = 0; $i < 100; $i++) {
        // Nobody answers yet: they wait at the door, and none is turned away.
        $page = @stream_socket_client("unix://{$path}", $no, $why, 0.2);
        expect($page)->not->toBeFalse("page {$i}: {$why}");
        fwrite($page, 'GET /live?token='.LiveToken::for($session)." HTTP/1.1\r\n\r\n");
        $pages[] = $page;
    }
    DB::enableQueryLog();
    DB::flushQueryLog();
    runUntil($loop, fn () => $hub->count() === 100);
    runUntil($loop, fn () => false, 0.3);
    expect($hub->count())->toBe(100)->and(count(DB::getQueryLog()))->toBeLessThanOrEqual(4);
    foreach ($pages as $page) {
        stream_set_blocking($page, false);
        expect((string) stream_get_contents($page))->toContain('event: changed');
    }
    $socket->close();
    array_map(fclose(...), $pages);
    unlink($path);
});

it('runs the thermometers that stand in a pot, of every house, and no others', function () {
    $probe = $this->atHouse('POST', '/probes', ['called' => 'made up', 'kind' => 'simulated'])->json('id');
    $this->atHouse('POST', '/probes', ['called' => 'idle', 'kind' => 'simulated'])->assertOk();
    begun($this, [warmBatch($this)], ['watch' => $probe]);
    // What a simulated thermometer loses goes by its session's id: this one loses nothing in its first half hour.
    DB::table('stove_sessions')->update(['uid' => '01kc00000000000000000000aa']);
    Carbon::setTestNow(Carbon::now()->addMinutes(20));
    app(CurrentHouse::class)->leave();
    Artisan::call('kettle:devices', ['--once' => true]);
    $count = DB::table('readings')->count();
    expect($count)->toBeBetween(80, 120);
    // Asked again at the same moment there is nothing more to say; later there is.
    Artisan::call(RunDevices::class, ['--once' => true]);
    expect(DB::table('readings')->count())->toBe($count);
    Carbon::setTestNow(Carbon::now()->addMinute());
    Artisan::call('kettle:devices', ['--once' => true]);
    expect(DB::table('readings')->count())
        ->toBeGreaterThan($count)
        ->and(DB::table('readings')->distinct()->count('probe_id'))
        ->toBe(1);
});

it('makes up the same pot the same way again, cools it when it is off, and fills it when it is filled', function () {
    $probe = $this->atHouse('POST', '/probes', ['called' => 'made up', 'kind' => 'simulated'])->json('id');
    $pot = begun($this, [warmBatch($this)], ['watch' => $probe, 'poured' => 'hand-hot'])['id'];
    $run = function (int $minutes): float {
        Carbon::setTestNow(Carbon::now()->addMinutes($minutes));
        app(CurrentHouse::class)->within(
            $this->house,
            fn () => app(SimulatedProbe::class)->run(
                StoveSession::query()->firstOrFail(),
                App\Models\Probe::query()->where('kind', 'simulated')->firstOrFail(),
            ),
        );

        return DB::table('readings')->orderByDesc('at')->value('centi_c') / 100;
    };
    $warm = $run(120);
    expect($warm)->toBeGreaterThan(42.0);
    tend($this, $pot, 'pause')->assertOk();
    expect($run(240))->toBeLessThan($warm - 5);
    $water = fn (): float => App\Models\Probe::query()->withoutGlobalScopes()->where('kind', 'simulated')->firstOrFail()->state['kg'];
    $before = $water();
    tend($this, $pot, 'topped_up')->assertOk();
    $run(1);
    expect($water())->toBeGreaterThan($before);
});

it('makes up weather that goes on for days, is cold in winter and warm in summer', function () {
    $weather = new SimulatedWeather();
    $days = array_map(fn (int $i) => $weather->on(52, 0, new DateTimeImmutable("2026-01-01 +{$i} days")), range(0, 364));
    $clouds = array_column($days, 'cloud');
    expect(min($clouds))
        ->toBeGreaterThanOrEqual(0.0)
        ->and(max($clouds))
        ->toBeLessThanOrEqual(1.0)
        ->and(array_sum($clouds) / 365)
        ->toBeBetween(0.35, 0.8)
        ->and($days)
        ->toBe(array_map(fn (int $i) => $weather->on(52, 0, new DateTimeImmutable("2026-01-01 +{$i} days")), range(0, 364)));
    // Tomorrow is more like today than another day is.
    $gap = fn (int $lag) => fn (int $i) => abs($clouds[$i] - $clouds[$i + $lag]);
    $apart = fn (int $lag) => array_sum(array_map($gap($lag), range(0, 364 - $lag))) / (365 - $lag);
    expect($apart(1))->toBeLessThan($apart(20));
    $mean = fn (int $from) => array_sum(
        array_map(fn (int $i) => ($days[$from + $i]['low_c'] + $days[$from + $i]['high_c']) / 2, range(0, 29)),
    ) / 30;
    expect($mean(180))->toBeGreaterThan($mean(0) + 6);
    foreach ($days as $day) {
        expect($day['low_c'])->toBeLessThan($day['high_c']);
    }
});
