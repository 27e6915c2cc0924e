<?php

// What differs from the framework's own: whole houses are carried by a worker of their own, that nobody waits for.
return [
    'connections' => [
        'long' => [
            'driver' => env('QUEUE_CONNECTION', 'database'),
            'table' => 'jobs',
            'queue' => 'long',
            // One that gave no sign for so long was cut off, and is begun again; while it works it says so.
            'retry_after' => 300,
            'after_commit' => true,
        ],
    ],
];
