<?php

return [
    // Whether anybody may enter Skerry House with one press.
    'demo' => (bool) env('KETTLE_DEMO', false),

    // A file holding the moment the clock stands at, for tests. Never heeded in production.
    'clock_file' => env('KETTLE_CLOCK_FILE'),

    // Days before an invitation, and hours before a new-password link, stop working.
    'invitation_days' => 14,
    'reset_hours' => 24,
];
