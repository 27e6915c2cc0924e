<?php

use App\Jobs\SweepUp;
use Illuminate\Support\Facades\Schedule;

Schedule::job(new SweepUp)->hourly();
