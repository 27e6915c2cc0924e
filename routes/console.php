<?php

use App\Jobs\RefreshDiary;
use App\Jobs\SweepUp;
use App\Providers\AppServiceProvider;
use Illuminate\Support\Facades\Schedule;

// A sign of life, for `kettle doctor`.
Schedule::call(fn () => AppServiceProvider::beat('scheduler'))->everyMinute();
// Of several machines one lays these down; each turns its own logs.
Schedule::job(new SweepUp())->hourly()->onOneServer();
Schedule::command('kettle:logs')->hourly();
Schedule::job(new RefreshDiary())->everyTenMinutes()->onOneServer();
