<?php

use App\Jobs\RefreshDiary;
use App\Jobs\SweepUp;
use App\Providers\AppServiceProvider;
use Illuminate\Support\Facades\Schedule;

// A sign of life, for `kettle doctor`.
Schedule::call(fn () => AppServiceProvider::beat('scheduler'))->everyMinute();
Schedule::job(new SweepUp())->hourly();
Schedule::command('kettle:logs')->hourly();
// Looked at each hour, for a machine that slept at night makes it when it wakes.
if (config()->boolean('kettle.nightly')) {
    Schedule::exec(base_path('kettle').' backup --nightly')
        ->hourlyAt(10)
        ->withoutOverlapping()
        ->runInBackground();
}
Schedule::job(new RefreshDiary())->everyTenMinutes();
