<?php

return [
    // Whether anybody may enter Skerry House with one press.
    'demo' => (bool) env('KETTLE_DEMO', false),

    // A file holding the moment the clock stands at, for tests; a request may say another. Never heeded in production.
    'clock_file' => env('KETTLE_CLOCK_FILE'),

    // Who may make an account: "open" anybody, "invited" who has a link of a keeper's, "closed" nobody but by `kettle account`.
    'registration' => env('KETTLE_REGISTRATION', 'open'),

    // Tries at the door in one minute from one address, whoever they are for. The browser
    // tests stand the clock still, so that all of theirs are in one minute.
    'door_a_minute' => (int) env('KETTLE_DOOR_A_MINUTE', 60),

    // Who may say from where a question came, besides its own web server: a front of a host's, "10.0.0.2", "10.0.0.0/24".
    'fronts' => array_values(array_filter(explode(',', (string) env('KETTLE_FRONTS', '')))),

    // The key by which a host reads /metrics; without one there are none.
    'metrics_key' => (string) env('KETTLE_METRICS_KEY', ''),

    // Where backups are, and whether one is made each night.
    'backups' => env('KETTLE_BACKUPS'),
    'nightly' => (bool) env('KETTLE_NIGHTLY', false),

    // On one of several machines: which parts run on it (all, where nothing is said), and a folder that all see, for whole houses.
    'parts' => array_values(array_filter(explode(' ', (string) env('KETTLE_PARTS', '')))),
    'shared' => env('KETTLE_SHARED') ?: null,

    // Of a house that comes in as a zip no more is taken, MB.
    'transfer_mb' => (int) env('KETTLE_TRANSFER_MB', 4000),

    // Days after which somebody signs in anew, however often the session was used; unused it ends by SESSION_LIFETIME, minutes.
    'session_days' => (int) env('KETTLE_SESSION_DAYS', 90),

    // Days before an invitation, and hours before a new-password link, stop working.
    'invitation_days' => 14,
    'reset_hours' => 24,

    // Days in which a house or an account that is ended can be taken back.
    'ending_days' => 14,
];
