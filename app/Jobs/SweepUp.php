<?php

namespace App\Jobs;

use App\Actions\People\Ending;
use App\Actions\Transfers\Transfers;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Takes away what has had its day: keys of old writes, links nobody used, houses that were carried, and what was ended. */
final class SweepUp implements ShouldQueue
{
    use Queueable;

    /** What was done without a network may be sent for fourteen days, and one whose answer was lost is known as long. */
    private const KEY_DAYS = 16;

    public function handle(Filesystem $files): void
    {
        Transfers::sweep($files);
        Ending::sweep();
        DB::table('written_keys')
            ->where('created_at', '<', Carbon::now()->subDays(self::KEY_DAYS))
            ->delete();
        DB::table('resets')->where('expires_at', '<', Carbon::now())->delete();
        DB::table('invitations')
            ->where('expires_at', '<', Carbon::now()->subMonth())
            ->delete();
    }
}
