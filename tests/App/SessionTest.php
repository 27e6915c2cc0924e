<?php

use App\Providers\QuietSessionHandler;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Session;

/** @return list<string> what was written to the sessions by something done with the handler */
function sessionWrites(Closure $do): array
{
    DB::flushQueryLog();
    DB::enableQueryLog();
    $do(new QuietSessionHandler(DB::connection(), 'sessions', 120, app()));

    return array_values(
        array_map(
            fn (array $query) => strtok($query['query'], ' '),
            array_filter(DB::getQueryLog(), fn (array $query) => ! str_starts_with($query['query'], 'select')),
        ),
    );
}

it('is what the application keeps its sessions with', function () {
    expect(Session::driver('database')->getHandler())->toBeInstanceOf(QuietSessionHandler::class);
});

it('writes a session only where something changed, or where it was not told as used for long', function () {
    Carbon::setTestNow('2026-11-24 10:00:00');
    $id = str_repeat('s', 40);
    expect(sessionWrites(fn ($sessions) => [$sessions->read($id), $sessions->write($id, 'a')]))->toBe(['insert']);
    Carbon::setTestNow('2026-11-24 10:04:59');
    expect(sessionWrites(fn ($sessions) => [$sessions->read($id), $sessions->write($id, 'a')]))
        ->toBe([])
        ->and(sessionWrites(fn ($sessions) => [$sessions->read($id), $sessions->write($id, 'b')]))
        ->toBe(['update'])
        ->and(sessionWrites(fn ($sessions) => [$sessions->read($id), $sessions->write($id, 'b')]))
        ->toBe([]);
    // Used on and on without a change it does not end.
    foreach (range(1, 40) as $i) {
        Carbon::setTestNow(Carbon::now()->addMinutes(4));
        $read = null;
        $writes = sessionWrites(function ($sessions) use ($id, &$read) {
            $read = $sessions->read($id);
            $sessions->write($id, 'b');
        });
        expect($read)
            ->toBe('b')
            ->and(count($writes))
            ->toBe($i % 2 === 0 ? 1 : 0);
    }
});

it('ends a session that was not used, and one that was signed out', function () {
    Carbon::setTestNow('2026-11-24 10:00:00');
    $id = str_repeat('t', 40);
    sessionWrites(fn ($sessions) => [$sessions->read($id), $sessions->write($id, 'a')]);
    sessionWrites(function ($sessions) use ($id) {
        $sessions->read($id);
        $sessions->destroy($id);
        $sessions->write($id, 'a');
    });
    Carbon::setTestNow('2026-11-24 12:00:01');
    $read = null;
    sessionWrites(function ($sessions) use ($id, &$read) {
        $read = $sessions->read($id);
    });
    expect($read)->toBe('');
});
