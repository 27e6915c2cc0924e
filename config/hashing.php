<?php

// Argon2id, by what OWASP's Password Storage Cheat Sheet names as its least (19 MiB, 2 passes, 1 lane; from memory): every
// letter of a password counts, where bcrypt leaves off at 72 bytes. What was hashed before is hashed anew at the next sign-in.
return [
    'driver' => 'argon2id',
    'bcrypt' => ['verify' => false],
    'argon' => [
        'memory' => (int) env('ARGON_MEMORY', 19456),
        'threads' => 1,
        'time' => (int) env('ARGON_TIME', 2),
        'verify' => false,
    ],
    'rehash_on_login' => true,
];
