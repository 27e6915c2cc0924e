<?php

// What differs from the framework's own: one message for each statement where there were two.
$mariadb = [
    'driver' => 'mariadb',
    'host' => env('DB_HOST', '127.0.0.1'),
    'port' => env('DB_PORT', '3306'),
    // By which the administrator migrates; the application has an account that reads and writes rows.
    'unix_socket' => env('DB_SOCKET', ''),
    'database' => env('DB_DATABASE', 'kettle'),
    'username' => env('DB_USERNAME', 'kettle'),
    'password' => env('DB_PASSWORD', ''),
    'charset' => 'utf8mb4',
    'collation' => 'utf8mb4_unicode_ci',
    'prefix' => '',
    'strict' => true,
    // Of one on another machine: the authority by which it is known.
    'options' => [PDO::ATTR_EMULATE_PREPARES => true, PDO::MYSQL_ATTR_MULTI_STATEMENTS => false] +
        (env('DB_TLS_CA') ? [PDO::MYSQL_ATTR_SSL_CA => env('DB_TLS_CA'), PDO::MYSQL_ATTR_SSL_VERIFY_SERVER_CERT => true] : []),
];

// One that does not answer is not waited for: what is kept there is kept for a while, and can be counted here.
$redis = ['url' => env('KETTLE_REDIS'), 'timeout' => 0.5, 'read_write_timeout' => 1.0];

return [
    // The second says how far something is that is all in one transaction of the first.
    'connections' => ['mariadb' => $mariadb, 'aside' => $mariadb],
    'redis' => ['client' => 'predis', 'options' => ['prefix' => 'kettle:'], 'default' => $redis, 'cache' => $redis],
];
