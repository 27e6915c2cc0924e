<?php

namespace App\Live;

use Illuminate\Support\Facades\DB;
use React\EventLoop\LoopInterface;
use React\Socket\ConnectionInterface;
use React\Socket\ServerInterface;

/**
 * Server-sent events (WHATWG HTML, 9.2) for pages that watch a pot: one process holds them all, so that no
 * worker is tied up. It says only that something changed; the page then asks for it as for anything else.
 */
final class Hub
{
    private const LOOK_S = 1.0;

    private const SOON_S = 0.05;

    /** A line now and then keeps proxies from closing what is silent. */
    private const ALIVE_S = 20.0;

    private const MOST_PAGES = 800;

    private const MOST_BYTES = 4096;

    /** @var array<int, array{connection: ConnectionInterface, session: int, told: string}> by the object's id */
    private array $pages = [];

    private bool $looking = false;

    public function __construct(private readonly LoopInterface $loop) {}

    public function serve(ServerInterface $server): void
    {
        $server->on('connection', function (ConnectionInterface $connection): void {
            $asked = '';
            $connection->on('data', function (string $bytes) use (&$asked, $connection): void {
                $asked .= $bytes;
                if (isset($this->pages[spl_object_id($connection)])) {
                    return;
                }
                if (strlen($asked) > self::MOST_BYTES) {
                    self::refuse($connection, '413 Content Too Large');
                } elseif (str_contains($asked, "\r\n\r\n")) {
                    $this->open($connection, $asked);
                }
            });
            $connection->on('close', function () use ($connection): void {
                unset($this->pages[spl_object_id($connection)]);
            });
        });
        $this->loop->addPeriodicTimer(self::LOOK_S, $this->look(...));
        $this->loop->addPeriodicTimer(self::ALIVE_S, function (): void {
            foreach ($this->pages as $page) {
                $page['connection']->write(": still here\n\n");
            }
        });
    }

    public function count(): int
    {
        return count($this->pages);
    }

    private function open(ConnectionInterface $connection, string $asked): void
    {
        preg_match('#^GET [^ ?]*\?token=([\w.]+) HTTP/1\.[01]\r\n#', $asked, $m);
        $session = LiveToken::read($m[1] ?? '');
        if ($session === null) {
            self::refuse($connection, '403 Forbidden');

            return;
        }
        if (count($this->pages) >= self::MOST_PAGES) {
            self::refuse($connection, '503 Service Unavailable');

            return;
        }
        $connection->write(
            "HTTP/1.1 200 OK\r\nContent-Type: text/event-stream\r\nCache-Control: no-store\r\n".
                "X-Accel-Buffering: no\r\nConnection: close\r\n\r\nretry: 3000\n\n",
        );
        $this->pages[spl_object_id($connection)] = ['connection' => $connection, 'session' => $session, 'told' => ''];
        $this->soon();
    }

    /** A page that has just come is told how things stand; of many at once, all by one question. */
    private function soon(): void
    {
        if (! $this->looking) {
            $this->looking = true;
            $this->loop->addTimer(self::SOON_S, $this->look(...));
        }
    }

    /** One question of the database for all pages, however many there are. */
    private function look(): void
    {
        $this->looking = false;
        if ($this->pages === []) {
            return;
        }
        try {
            $stands = [];
            /** @var object{id: int, version: int, state: string} $row */
            foreach (
                DB::table('stove_sessions')
                    ->whereIn('id', array_unique(array_column($this->pages, 'session')))
                    ->get(['id', 'version', 'state']) as $row
            ) {
                $stands[$row->id] = $row->version.' '.$row->state;
            }
        } catch (\Throwable) {
            // The database is being restarted: asked again in a second.
            DB::purge();

            return;
        }
        foreach ($this->pages as $id => $page) {
            $now = $stands[$page['session']] ?? 'gone';
            if ($now !== $page['told']) {
                $this->pages[$id]['told'] = $now;
                $page['connection']->write("event: changed\ndata: {$now}\n\n");
            }
        }
    }

    private static function refuse(ConnectionInterface $connection, string $status): void
    {
        $connection->end("HTTP/1.1 {$status}\r\nContent-Length: 0\r\nConnection: close\r\n\r\n");
    }
}
