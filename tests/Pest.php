<?php

use Tests\AppCase;

pest()->extend(AppCase::class)->in('App');
