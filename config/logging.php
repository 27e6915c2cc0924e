<?php

use Monolog\Formatter\JsonFormatter;

// What differs from the framework's own: lines of JSON, for a host that gathers them.
return [
    'channels' => [
        'single' => [
            'driver' => 'single',
            'path' => storage_path('logs/laravel.log'),
            'level' => env('LOG_LEVEL', 'warning'),
            ...env('KETTLE_LOG') === 'json' ? ['formatter' => JsonFormatter::class] : [],
        ],
    ],
];
