<?php

use App\Jobs\RefreshDiary;
use App\Jobs\SweepUp;
use App\Providers\AppServiceProvider;
use Illuminate\Support\Facades\Schedule;

// A sign of life, for `kettle doctor`.
Schedule::call(fn () => AppServiceProvider::beat('scheduler'))->everyMinute();
Schedule::job(new SweepUp())->hourly();
Schedule::command('kettle:logs')->hourly();
Schedule::job(new RefreshDiary())->everyTenMinutes();
