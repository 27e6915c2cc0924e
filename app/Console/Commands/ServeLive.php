<?php

namespace App\Console\Commands;

use App\Live\Hub;
use Illuminate\Console\Command;
use React\EventLoop\Loop;
use React\Socket\SocketServer;

/** Holds the pages that watch a pot, on a socket of its own behind the web server. */
final class ServeLive extends Command
{
    protected $signature = 'kettle:live {socket : path of the socket to listen on}';

    protected $description = 'Tell watching pages when a pot has changed';

    public function handle(): int
    {
        $path = (string) $this->argument('socket');
        @unlink($path);
        $hub = new Hub(Loop::get());
        $hub->serve(new SocketServer('unix://'.$path));
        @chmod($path, 0o600);
        Loop::run();

        return self::SUCCESS;
    }
}
