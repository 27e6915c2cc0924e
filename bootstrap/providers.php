<?php

return [App\Providers\AppServiceProvider::class, App\Providers\StandingClockProvider::class];
