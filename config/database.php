<?php

declare(strict_types=1);

$mariadb = [
    'driver' => 'mariadb',
    'host' => env('DB_HOST', '127.0.0.1'),
    'port' => env('DB_PORT', '13306'),
    'database' => env('DB_DATABASE', 'pocketplot'),
    'username' => env('DB_USERNAME', 'pocketplot'),
    'password' => env('DB_PASSWORD', ''),
    'charset' => 'utf8mb4',
    'collation' => 'utf8mb4_unicode_ci',
    'prefix' => '',
    'strict' => true,
    'engine' => 'InnoDB',
    'options' => [
        PDO::ATTR_TIMEOUT => 3,
        // One way to the server and back a query instead of two; and never two statements in one.
        PDO::ATTR_EMULATE_PREPARES => true,
        PDO::MYSQL_ATTR_MULTI_STATEMENTS => false,
        // Nobody waits longer for somebody else's edit: then it is begun anew, or told. And with several nodes every read
        // waits until its node has what was acknowledged before; with one there is nothing to wait for.
        PDO::MYSQL_ATTR_INIT_COMMAND => 'set session innodb_lock_wait_timeout = 5'.((bool) env('DB_SYNC_READS', false) ? ', wsrep_sync_wait = 7' : ''),
    ],
];

return [
    'default' => 'mariadb',
    'connections' => [
        'mariadb' => $mariadb,
        // Sessions, limits and cache in a connection of their own: they are no part of a builder's transaction, and stay when that is taken back.
        'state' => $mariadb,
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => false],

    // Only where SESSION_DRIVER, CACHE_STORE or QUEUE_CONNECTION says redis; needs Debian's php8.2-redis.
    'redis' => [
        'client' => 'phpredis',
        'options' => ['prefix' => 'pocketplot:'],
        'default' => [
            'host' => env('REDIS_HOST', '127.0.0.1'),
            'port' => env('REDIS_PORT', '6379'),
            'username' => env('REDIS_USERNAME'),
            'password' => env('REDIS_PASSWORD'),
            'database' => '0',
            'timeout' => 2.0,
            'read_timeout' => 5.0,
        ],
    ],
];
