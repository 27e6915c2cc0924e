<?php

// What is counted for a while: tries at a door, how far a house is on its way. On several machines they count it together, in a
// Redis; while that is away each machine counts for itself.
return [
    'default' => env('KETTLE_REDIS') ? 'shared' : env('CACHE_STORE', 'file'),
    'stores' => ['shared' => ['driver' => 'failover', 'stores' => ['redis', 'file']]],
];
