<?php

use App\Jobs\KeepDiary;
use App\Jobs\SweepUp;
use Illuminate\Support\Facades\Schedule;

Schedule::job(new SweepUp)->hourly();
Schedule::job(new KeepDiary)->everyTenMinutes();
