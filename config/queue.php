<?php

declare(strict_types=1);

return [
    // Letters: sync sends them after the answer, from the machine that was asked; database or redis keeps them until a
    // worker (queue:work) sends them.
    'default' => env('QUEUE_CONNECTION', 'sync'),
    'connections' => [
        'sync' => ['driver' => 'sync'],
        // Longer than a letter may take, and a minute more: clocks of several machines differ.
        'database' => ['driver' => 'database', 'connection' => 'mariadb', 'table' => 'jobs', 'queue' => 'letters', 'retry_after' => 180, 'after_commit' => false],
        'redis' => ['driver' => 'redis', 'connection' => 'default', 'queue' => 'letters', 'retry_after' => 180, 'block_for' => null, 'after_commit' => true],
    ],
    'failed' => ['driver' => 'database-uuids', 'database' => 'mariadb', 'table' => 'failed_jobs'],
];
