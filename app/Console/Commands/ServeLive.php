<?php

namespace App\Console\Commands;

use App\Live\Hub;
use Illuminate\Console\Command;
use React\EventLoop\Loop;
use React\EventLoop\LoopInterface;
use React\Socket\SocketServer;

/** Holds the pages that watch a pot, on a socket of its own behind the web server. */
final class ServeLive extends Command
{
    protected $signature = 'kettle:live {socket : path of the socket to listen on}';

    protected $description = 'Tell watching pages when a pot has changed';

    /** Pages that may come at once, as after a restart: PHP's own thirty-two would turn the rest away. */
    private const WAITING = 511;

    public function handle(): int
    {
        $hub = new Hub(Loop::get());
        $hub->serve(self::socket($this->argument('socket'), Loop::get()));
        Loop::run();

        return self::SUCCESS;
    }

    /** A socket of our own, in the stead of one that an earlier run left behind. */
    public static function socket(string $path, LoopInterface $loop): SocketServer
    {
        @unlink($path);
        $socket = new SocketServer('unix://'.$path, ['unix' => ['backlog' => self::WAITING]], $loop);
        @chmod($path, 0o600);

        return $socket;
    }
}
