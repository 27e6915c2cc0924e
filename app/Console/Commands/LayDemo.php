<?php

namespace App\Console\Commands;

use App\Demo\SkerryHouse;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/** Fills in Skerry House, once; again on a later day if nobody has written in it since. */
final class LayDemo extends Command
{
    protected $signature = 'kettle:demo {--fresh : throw the demo away and lay it anew}';

    protected $description = 'Fill in Skerry House, laid relative to today';

    public function handle(SkerryHouse $demo): int
    {
        $house = SkerryHouse::find();
        if ($house !== null && ($this->option('fresh') === true || $demo->isStale($house))) {
            $house->delete();
            $house = null;
        }
        if ($house === null) {
            DB::transaction(fn () => $demo->lay());
            $this->line('Skerry House is laid for today.');
        } else {
            $this->line('Skerry House is there already.');
        }

        return self::SUCCESS;
    }
}
