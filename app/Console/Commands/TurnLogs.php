<?php

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Illuminate\Filesystem\Filesystem;

/** Turns the logs of the parts over before they fill the disk: one before is kept of each. */
final class TurnLogs extends Command
{
    private const MOST = 5_000_000;

    protected $signature = 'kettle:logs';

    protected $description = 'Turn over the logs of the parts that are larger than 5 MB';

    public function handle(Filesystem $files): int
    {
        $folder = getenv('KETTLE_VAR');
        foreach (is_string($folder) ? (glob("{$folder}/{log,storage/logs}/*.log", GLOB_BRACE) ?: []) : [] as $log) {
            if ($files->size($log) > self::MOST && $files->copy($log, "{$log}.1")) {
                // Whoever writes to it has it open, at its end: it goes on at the beginning.
                file_put_contents($log, '');
            }
        }

        return self::SUCCESS;
    }
}
